import { modelFor } from '../judgement'
import type { Program } from '../program'
import type { Views } from '../readiness'
import type { Wishes } from './burst'
import type { Outlook } from './outlook'
import type { Learner } from './shortfall'
import type { Today } from './today'

/** What is known of how this horse answers and learns: by its yard's values, and as fast as it has shown so far. */
export const learnerOf = (program: Program, views: Views): Learner => {
  const model = modelFor(program)
  const [view] = views.values()
  return { model, law: { ...model.law, speed: view?.speed ?? model.law.speed } }
}

/** What a plan is made for, beside the horse itself. */
export interface PlanRequest {
  readonly outlook?: Outlook
  readonly wishes?: Wishes
  /** Where the plan is to be made as for another one. */
  readonly learner?: Learner
  /** The gate that comes before all others. */
  readonly aim?: string
  /** What the session had so far; the plan is for the rest of it. */
  readonly today?: Today
}
