import type { EntryOf } from '@still-pine/contract/entries-of'

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
