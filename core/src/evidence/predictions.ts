import { isLight, type Day, type Side } from '../answer'
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
}

/** An answer with whatever else the caller wants to tell predictions apart by. */
type Told<T> = TrackedAnswer & T

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
 * The prediction before every first ask of a day, by-chance and recalled ones too, from a horse's whole history,
 * oldest first; each with the answer it was made for.
 */
export const predictionsOf = <T>(
  model: Model,
  program: Program,
  answers: readonly Told<T>[],
): readonly (Prediction & { readonly answer: Told<T> })[] => {
  const records = new Map<TrackKey, TrackRecord>()
  const predictions: (Prediction & { readonly answer: Told<T> })[] = []
  for (const answer of answers) {
    const step = stepOf(program, answer.step)
    if (!step || answer.uncued) continue
    for (const side of sidesAnswered(step, answer.side))
      if (records.get(trackKey(step.key, side))?.belief.lastDay !== answer.day)
        predictions.push({
          step: step.key,
          side,
          day: answer.day,
          chance: chanceBefore(model, program, records, answer, side),
          light: isLight(answer.grade),
          answer,
        })
    recordsWith(model, program, records, answer)
  }
  return predictions
}
