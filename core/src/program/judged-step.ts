import type { Kind } from '../answer'
import type { Thresholds } from '../judgement'
import type { RungExposures } from './exposure'

/** What the judgement must know of a step. */
export interface JudgedStep {
  readonly kind: Kind
  readonly requiredRung: number
  /** How many rungs the ladder has; those beyond the required one are for later or by age. */
  readonly rungCount?: number | undefined
  /** Not done until it holds from all five places, some of it moving. */
  readonly allRound: boolean
  /** The step's own need, where a neck hangs on it. */
  readonly need?: Thresholds | undefined
  /** What each rung puts at risk; documents from before this was told have it worked out when they are read. */
  readonly exposures?: RungExposures | undefined
}
