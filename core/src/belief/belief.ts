import { daysBetween, isHalfWeight, type Answer, type Day, type Kind } from '../answer'
import { expectation, gaussian, GRID, meanOf, quantile, type Density } from './grid'
import { difficulty, gradeAtMost, tablesFor } from './likelihood'
import type { Model } from './model'
import { afterAnswer, afterRest } from './moves'

/** What is believed of one track after its answers so far; a value, never changed in place. */
export interface Belief {
  readonly ability: Density
  readonly calm: Density
  /** Sum over the answers of log P(grade), half for a by-chance or recalled one; calm is not in it. */
  readonly logLikelihood: number
  readonly lastDay: Day | null
  readonly daysWorked: number
}

/** What the filter must know of a step. */
export interface StepShape {
  readonly kind: Kind
  readonly requiredRung: number
}

/** The belief before any answer; `priorMean` differs from the model's where other steps carry over. */
export const freshBelief = (model: Model, priorMean = model.priorAbility.mean): Belief => ({
  ability: gaussian({ mean: priorMean, sd: model.priorAbility.sd }),
  calm: gaussian(model.priorCalm),
  logLikelihood: 0,
  lastDay: null,
  daysWorked: 0,
})

interface Rested {
  readonly model: Model
  readonly day: Day
  readonly belief: Belief
}

/** A day's judgement asks for the same rest several times over; the last one of each belief is kept. */
const lastRest = new WeakMap<Belief, Rested>()

/** The belief after resting from its last day worked to `day`; unchanged when it was never worked. */
export const restedTo = (model: Model, belief: Belief, day: Day): Belief => {
  if (belief.lastDay === null) return belief
  const days = daysBetween(belief.lastDay, day)
  if (days <= 0) return belief
  const known = lastRest.get(belief)
  if (known?.day === day && known.model === model) return known.belief
  const rested = {
    ...belief,
    ability: afterRest(model, belief.ability, {
      prior: model.priorAbility,
      days,
      daysWorked: belief.daysWorked,
    }),
    calm: afterRest(model, belief.calm, { prior: model.priorCalm, days, daysWorked: belief.daysWorked }),
  }
  lastRest.set(belief, { model, day, belief: rested })
  return rested
}

interface Weighed {
  readonly density: Density
  /** Σ weight · likelihood, never raised to a power: how likely the answer was. */
  readonly evidence: number
}

/** Bayes' rule at every point; an answer of half weight raises its likelihood to the power 0.5. */
const weighed = (density: Density, likelihood: Float64Array, half: boolean): Weighed => {
  const after = new Float64Array(GRID.size)
  let evidence = 0
  let sum = 0
  for (let i = 0; i < GRID.size; i++) {
    const weight = density[i]!
    const whole = weight * likelihood[i]!
    const counted = half ? weight * Math.sqrt(likelihood[i]!) : whole
    evidence += whole
    sum += counted
    after[i] = counted
  }
  const scale = 1 / sum
  for (let i = 0; i < GRID.size; i++) after[i]! *= scale
  return { density: after, evidence }
}

/** The belief after one more answer, with the rest before it when it opens a new day. */
export const withAnswer = (
  model: Model,
  step: StepShape,
  { belief, answer }: { belief: Belief; answer: Answer },
): Belief => {
  const cold = belief.lastDay !== answer.day
  const before = cold ? restedTo(model, belief, answer.day) : belief
  const tables = tablesFor(model, difficulty(model, answer.rung, { requiredRung: step.requiredRung, cold }))
  const half = isHalfWeight(answer)
  const graded = weighed(before.ability, tables.grade[answer.grade]!, half)
  const calm =
    answer.calm === null
      ? before.calm
      : afterAnswer(model, weighed(before.calm, tables.calm[answer.calm]!, half).density, step.kind)
  return {
    ability: afterAnswer(model, graded.density, step.kind),
    calm,
    logLikelihood: before.logLikelihood + (half ? 0.5 : 1) * Math.log(graded.evidence),
    lastDay: answer.day,
    daysWorked: before.daysWorked + (cold ? 1 : 0),
  }
}

/** The chances of the next cold ask at one rung. */
export interface Chances {
  /** That it is answered light or on the thought. */
  readonly chance: number
  /** The same at the 10th and the 90th percentile of the ability. */
  readonly low: number
  readonly high: number
  /** That it is not tight. */
  readonly calmChance: number
}

/** The chance that a first ask of the day at `rung` is answered light; the belief must already be rested to that day. */
export const lightChance = (
  model: Model,
  step: StepShape,
  { rested, rung }: { rested: Belief; rung: number },
): number =>
  expectation(
    rested.ability,
    tablesFor(model, difficulty(model, rung, { requiredRung: step.requiredRung, cold: true })).light,
  )

/** The chances of a first ask of the day at `rung`; the belief must already be rested to that day. */
export const coldChances = (
  model: Model,
  step: StepShape,
  { rested, rung }: { rested: Belief; rung: number },
): Chances => {
  const hardness = difficulty(model, rung, { requiredRung: step.requiredRung, cold: true })
  const tables = tablesFor(model, hardness)
  return {
    chance: expectation(rested.ability, tables.light),
    low: gradeAtMost(model, 1, { ability: quantile(rested.ability, 0.1), hardness }),
    high: gradeAtMost(model, 1, { ability: quantile(rested.ability, 0.9), hardness }),
    calmChance: expectation(rested.calm, tables.notTight),
  }
}

export const meanAbility = (belief: Belief): number => meanOf(belief.ability)
