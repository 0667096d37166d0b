import { under } from '../arithmetic'
import { addDays, type Day } from '../answer'

export const CARE_KINDS = [
  'hooves',
  'worm-count',
  'teeth',
  'saddle',
  'vaccination',
  'hold',
  'stretches',
] as const
export type CareKind = (typeof CARE_KINDS)[number]

type Window = readonly [least: number, most: number]

/** Days from one time to the next, below an age in months and from it on (common practice, no source). */
const WINDOWS: Readonly<
  Record<Exclude<CareKind, 'vaccination' | 'hold'>, { below: number; young: Window; grown: Window }>
> = {
  hooves: { below: 12, young: [28, 42], grown: [42, 56] },
  // Worming by the calendar breeds resistance: a count is due, and the vet says the rest (AAEP 2019, from memory).
  'worm-count': { below: 36, young: [56, 84], grown: [84, 112] },
  teeth: { below: 60, young: [150, 182], grown: [335, 365] },
  saddle: { below: 72, young: [45, 60], grown: [150, 180] },
  stretches: { below: 0, young: [2, 2], grown: [2, 2] },
}

/** Those whose days only the vet knows. */
export const isTheVets = (kind: CareKind): kind is 'vaccination' | 'hold' =>
  kind === 'vaccination' || kind === 'hold'

interface Care {
  readonly kind: CareKind
  readonly on: Day
  readonly ageLowMonths: number
  readonly lastOn: Day | null
  /** Days that somebody said; of a vaccination or a hold always. */
  readonly days: Window | null
}

const windowOf = ({ kind, ageLowMonths, days }: Care): Window => {
  if (days !== null || isTheVets(kind)) return days!
  const { below, young, grown } = WINDOWS[kind]
  return under(ageLowMonths, below) ? young : grown
}

/** From when and by when something of a horse's care is due. */
export const careDue = (care: Care) => {
  const { on, lastOn } = care
  if (lastOn === null) return { fromOn: on, byOn: on, says: 'never' as const }
  const [least, most] = windowOf(care)
  const [fromOn, byOn] = [addDays(lastOn, least), addDays(lastOn, most)]
  const says = on < fromOn ? ('not-yet' as const) : on <= byOn ? ('due' as const) : ('late' as const)
  return { fromOn, byOn, says }
}
