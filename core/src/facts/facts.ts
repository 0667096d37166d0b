import type { LeastAge } from './law'
import type { Day } from '../answer'
import type { CareDone } from '../care-calendar'
import type { HeatSays } from '../leave-off'
import type { Check } from './check'
import type { Incident } from './incidents'

/** What a person confirms at the pen on the day itself. */
export const CONFIRMATIONS = [
  'helper',
  'helmet',
  'safe-rail',
  'company',
  'rider-share',
  'whereabouts',
  'load-day',
] as const
export type Confirmation = (typeof CONFIRMATIONS)[number]

/** An age nobody has papers for: its bounds in months on the day they were said. */
export interface AgeEstimate {
  readonly lowMonths: number
  readonly highMonths: number
  readonly on: Day
}

/** A rung that an arrival check showed. */
export interface KnownRung {
  readonly step: string
  readonly rung: number
  /** The day of the check. */
  readonly on: Day
}

/** Who sits up, with what the saddle weighs. */
export interface Rider {
  readonly kg: number
  readonly tackKg: number
}

/** Everything known of a horse beside its tracks that says what may be asked of it. */
export interface Facts {
  readonly born: Day | null
  /** Read where the day of birth is not known. */
  readonly age?: AgeEstimate | null
  readonly sex?: string
  readonly kind?: string
  /** Feral, or taken off a herd. */
  readonly feral?: boolean
  /** Ridden in a bit, so that the mouth is looked after for every ride. */
  readonly bitted?: boolean
  readonly checks: readonly Check[]
  readonly incidents: readonly Incident[]
  /** What was confirmed today. */
  readonly confirmed: readonly Confirmation[]
  /** The steps the yard has ticked for handing this horse over. */
  readonly handOver: readonly string[]
  /** What an arrival check showed; it opens steps for work, and never a gate. */
  readonly known?: readonly KnownRung[]
  /** Why it is off work altogether, where its block says so. */
  readonly offWork?: string | null
  /** Days it was ridden off the lead since the last incident that closed it; none known is none. */
  readonly rides?: number
  /** Minutes the next ride may last, by the rides before it; nothing where nobody told of them. */
  readonly rideMinutes?: number | null
  readonly rider?: Rider | null
  readonly weightKg?: number | null
  /** Of nine points: fat bears no rider. */
  readonly conditionScore?: number | null
  /** What the heat of the day leaves, where somebody measured it. */
  readonly heat?: HeatSays | null
  /** Least ages of the country or the body, as the yard entered them. */
  readonly leastAges?: readonly LeastAge[]
  /** Days since it was measured, where it is due again. */
  readonly unmeasuredDays?: number | null
  /** Hooves, worms, teeth and the rest, as somebody told them beside the checks. */
  readonly care?: readonly CareDone[]
  /** Load days among the six before; not said, the rule of load days is not asked. */
  readonly loadDays?: number
  /** Gates overruled today, and by whom. */
  readonly overruled?: readonly { readonly gate: string; readonly byName: string }[]
}

/** Nothing is known beside the tracks. */
export const NO_FACTS: Facts = { born: null, checks: [], incidents: [], confirmed: [], handOver: [] }
