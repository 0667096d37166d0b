import type { Day } from '../answer'

export const CHECK_KINDS = ['mouth', 'saddle', 'veterinary-hold', 'vet-look', 'feet', 'worming'] as const
export type CheckKind = (typeof CHECK_KINDS)[number]

/** What a vet's hold leaves; nothing where it is not said. */
export const LEAVES = ['nothing', 'handling', 'walking'] as const
export type Leaves = (typeof LEAVES)[number]

/** A look that somebody took, or a hold that a vet put on. */
export interface Check {
  readonly kind: CheckKind
  readonly on: Day
  /** The day a hold ends or the next look is due; `null` where it is open. */
  readonly until: Day | null
  /** For a look: whether all was well. A hold is never "well". */
  readonly passed: boolean
  readonly leaves?: Leaves | null | undefined
}
