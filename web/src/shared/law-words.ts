import type { EntryOf } from '@still-pine/contract/entries-of'
import { isLawAge } from '@still-pine/core/facts'
import type { Exposure } from '@still-pine/core/program'

export type Law = EntryOf<'law'>

export const LAW_WORDS: Readonly<Record<Law['about'], string>> = {
  bit: 'A bit carried',
  contact: 'Contact with the bit',
  girth: 'Saddle or girth',
  weight: 'Weight in the stirrup',
  'whole-weight': 'A person across its back',
  mounted: 'A person up',
  canter: 'Canter under tack or a person',
  jump: 'A fence',
  helmet: 'Helmet',
  minors: 'Minors',
  welfare: 'Welfare',
  transport: 'Transport',
}

/** "from 42 months; Animal Welfare Act, 3 March". */
export const lawWords = ({ months, says, source }: Law): string =>
  [months === null ? '' : `from ${months} months`, says, source].filter(Boolean).join('; ')

interface Guarded {
  readonly exposures?: readonly (Exposure | readonly Exposure[])[] | undefined
  readonly ticked?: boolean | undefined
}

/** What law may be about at a gate or a step: what it exposes to, and what goes with a person up, loading or leaving. */
export const lawsOf = ({ exposures = [], ticked = false }: Guarded): readonly Law['about'][] => {
  const all = exposures.flat()
  const isMounted = all.some((one) => one === 'mounted' || one === 'whole-weight')
  const isMoved = ticked || all.includes('loading')
  return [
    ...new Set([
      ...all.filter(isLawAge),
      ...(isMounted ? (['helmet', 'minors'] as const) : []),
      ...(isMoved ? (['transport'] as const) : []),
      ...(ticked ? (['welfare'] as const) : []),
    ]),
  ]
}
