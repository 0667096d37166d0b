import { STANDARD_MODEL } from '../judgement'
import { STANDARD_LAW } from '../learning'
import type { Wishes } from './burst'
import type { Outlook } from './outlook'
import type { Learner } from './shortfall'
import type { Today } from './today'

/** The learner a plan is made for where no other is known. */
export const ASSUMED: Learner = { model: STANDARD_MODEL, law: STANDARD_LAW }

/** What a plan is made for, beside the horse itself. */
export interface PlanRequest {
  readonly outlook?: Outlook
  readonly wishes?: Wishes
  readonly learner?: Learner
  /** The gate that comes before all others. */
  readonly aim?: string
  /** What the session had so far; the plan is for the rest of it. */
  readonly today?: Today
}
