import { isLight, isTight, type Day, type Side } from '../answer'
import { coldChances, freshBelief, restedTo, type Model } from '../belief'
import { rungAt, sidesAnswered, stepOf, type Program } from '../program'
import {
  recordsWith,
  startingMean,
  trackKey,
  type Records,
  type TrackedAnswer,
  type TrackKey,
  type TrackRecord,
} from '../readiness'

/** What was predicted just before a first ask of a day, at its own rung, and what came. */
export interface Prediction {
  readonly step: string
  readonly side: Side
  readonly day: Day
  readonly chance: number
  readonly light: boolean
  /** `null` where no calm was noted. */
  readonly tight: boolean | null
}

const chanceBefore = (
  model: Model,
  program: Program,
  records: Records,
  answer: TrackedAnswer,
  side: Side,
): number => {
  const step = stepOf(program, answer.step)!
  const record = records.get(trackKey(step.key, side))
  const belief =
    record?.belief ?? freshBelief(model, startingMean(model, program, step, side, answer.day, records))
  const rung = step.marks ? rungAt(step, answer.rung) : answer.rung
  return coldChances(model, step, restedTo(model, belief, answer.day), rung).chance
}

/**
 * What an answer puts to the test: the prediction of each track that it is the day's first of, by-chance and recalled
 * ones too. `records` must not know of it yet.
 */
export const predictionsBefore = (
  model: Model,
  program: Program,
  records: Records,
  answer: TrackedAnswer,
): readonly Prediction[] => {
  const step = stepOf(program, answer.step)
  if (!step || answer.uncued) return []
  return sidesAnswered(step, answer.side)
    .filter((side) => records.get(trackKey(step.key, side))?.belief.lastDay !== answer.day)
    .map((side) => ({
      step: step.key,
      side,
      day: answer.day,
      chance: chanceBefore(model, program, records, answer, side),
      light: isLight(answer.grade),
      tight: answer.calm === null ? null : isTight(answer.calm),
    }))
}

/** A horse's tracks from its whole history, and every prediction on the way with the answer it was made for. */
export interface Judged<T> {
  readonly records: ReadonlyMap<TrackKey, TrackRecord>
  readonly predictions: readonly (Prediction & { readonly answer: T })[]
}

/** Works a horse's history out, oldest answer first, and predicts each first ask of a day before it is known. */
export const replayPredicting = <T extends TrackedAnswer>(
  model: Model,
  program: Program,
  answers: readonly T[],
): Judged<T> => {
  const records = new Map<TrackKey, TrackRecord>()
  const predictions: (Prediction & { readonly answer: T })[] = []
  for (const answer of answers) {
    for (const prediction of predictionsBefore(model, program, records, answer))
      predictions.push({ ...prediction, answer })
    recordsWith(model, program, records, answer)
  }
  return { records, predictions }
}
