import type { Model } from '../belief'
import { STANDARD_LAW } from '../learning'
import type { Program } from '../program'
import { replayHorse, type TrackedAnswer } from '../readiness'

/** Learning steps that a horse may have, and how likely each is before anything is known of it. */
const STEPS = [0, 0.03, 0.06, 0.09, 0.12, 0.18]
const WEIGHTS = [1, 2, 3, 2, 1.5, 0.5]

/** A hold teaches this much more. */
const HOLD_TIMES = 2.5

/** The learning step of the median horse, to which the law's speed belongs. */
const MEDIAN_STEP = 0.06

export interface LearningSpeed {
  /** Posterior mean of the learning step. */
  readonly step: number
  readonly sd: number
  /** The law's speed that belongs to it. */
  readonly speed: number
  readonly answers: number
}

const withStep = (model: Model, step: number): Model => ({
  ...model,
  learning: {
    ask: { ...model.learning.ask, mean: step },
    accept: { ...model.learning.accept, mean: step },
    hold: { ...model.learning.hold, mean: HOLD_TIMES * step },
  },
})

const logLikelihood = (model: Model, program: Program, answers: readonly TrackedAnswer[]): number =>
  [...replayHorse(model, program, answers).values()].reduce(
    (sum, { belief }) => sum + belief.logLikelihood,
    0,
  )

/** A horse's own learning speed from its whole history, by the likelihood of all its answers under each step. */
export const learningSpeed = (
  model: Model,
  program: Program,
  answers: readonly TrackedAnswer[],
): LearningSpeed => {
  const logs = STEPS.map((step) => logLikelihood(withStep(model, step), program, answers))
  const best = Math.max(...logs)
  const weights = logs.map((log, i) => WEIGHTS[i]! * Math.exp(log - best))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const mean = STEPS.reduce((sum, step, i) => sum + (step * weights[i]!) / total, 0)
  const variance = STEPS.reduce((sum, step, i) => sum + ((step - mean) ** 2 * weights[i]!) / total, 0)
  return {
    step: mean,
    sd: Math.sqrt(variance),
    speed: (STANDARD_LAW.speed * mean) / MEDIAN_STEP,
    answers: answers.length,
  }
}
