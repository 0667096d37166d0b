import type { Calm, Grade } from '../answer'
import { POINTS } from './grid'
import { unitGain } from '../learning'
import type { Model } from './model'

const logistic = (x: number): number => 1 / (1 + Math.exp(-x))

/** How much harder an ask was than a warm one at the required rung. */
export const difficulty = (
  model: Model,
  rung: number,
  { requiredRung, cold }: { requiredRung: number; cold: boolean },
): number => model.rungStep * (rung - requiredRung) + (cold ? model.cold : 0)

/** P(grade ≤ k) at one ability. */
export const gradeAtMost = (
  model: Model,
  k: Grade,
  { ability, hardness }: { ability: number; hardness: number },
): number => (k === 4 ? 1 : logistic(model.slope * (ability - model.gradeCuts[k] - hardness)))

/** P(calm ≤ k) at one ability for calm. */
export const calmAtMost = (
  model: Model,
  k: Calm,
  { ability, hardness }: { ability: number; hardness: number },
): number => (k === 2 ? 1 : logistic(model.slope * (ability - model.calmCuts[k] - hardness)))

export interface Tables {
  /** `grade[k]` is P(grade = k) at each grid point. */
  readonly grade: readonly Float64Array[]
  readonly calm: readonly Float64Array[]
  /** P(grade ≤ 1), the chance of a light answer. */
  readonly light: Float64Array
  /** P(calm ≤ 1), the chance that it is not tight. */
  readonly notTight: Float64Array
  /** What an ask teaches at each grid point, as a share of the speed: 4p(1 − p), and nothing where it is too big. */
  readonly unitGain: Float64Array
  /** How many of the lowest points find the ask too big. */
  readonly tooBig: number
}

const differences = (atMost: readonly Float64Array[]): Float64Array[] =>
  atMost.map((upper, k) => (k === 0 ? upper : upper.map((p, i) => p - atMost[k - 1]![i]!)))

const build = (model: Model, hardness: number): Tables => {
  const grades = ([0, 1, 2, 3, 4] as const).map((k) =>
    POINTS.map((x) => gradeAtMost(model, k, { ability: x, hardness })),
  )
  const calms = ([0, 1, 2] as const).map((k) =>
    POINTS.map((x) => calmAtMost(model, k, { ability: x, hardness })),
  )
  const light = grades[1]!
  return {
    grade: differences(grades),
    calm: differences(calms),
    light,
    notTight: calms[1]!,
    unitGain: light.map((p) => unitGain(model.law, p)),
    tooBig: light.findLastIndex((p) => p < model.law.tooBig) + 1,
  }
}

const cache = new WeakMap<Model, Map<number, Tables>>()

/** The likelihoods at one hardness; there are only a few dozen, so each is worked out once per model. */
export const tablesFor = (model: Model, hardness: number): Tables => {
  const known = cache.get(model) ?? new Map<number, Tables>()
  cache.set(model, known)
  const found = known.get(hardness) ?? build(model, hardness)
  known.set(hardness, found)
  return found
}
