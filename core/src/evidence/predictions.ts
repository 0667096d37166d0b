import { isLight, isTight, type Day, type Side } from '../answer'
import { askedOn, freshBelief, lightChance, notTightChance, restedTo, type Model } from '../judgement'
import { rungAt, sidesAnswered, stepOf, type Program } from '../program'
import { dayEndOf, type DayEnd } from './day-ends'
import {
  noRecords,
  recordsWith,
  startingMean,
  trackKey,
  trackOf,
  type Records,
  type TrackedAnswer,
  type TrackKey,
} from '../readiness'

const dayKey = ({ step, side, day }: Pick<Evening, 'step' | 'side' | 'day'>): string =>
  `${step}/${side}/${day}`

/** What was predicted just before a first ask of a day, at its own rung, and what came. */
export interface Prediction {
  readonly step: string
  readonly side: Side
  readonly day: Day
  readonly chance: number
  readonly light: boolean
  /** What was predicted of the calm: that it would not be tight. */
  readonly calmChance: number
  /** `null` where no calm was noted. */
  readonly tight: boolean | null
  /** The chance of a light first ask at the required rung at the same time. */
  readonly morning: number
}

/** The chance of a light first ask at the required rung after a day's work on a track. */
export interface Evening {
  readonly step: string
  readonly side: Side
  readonly day: Day
  readonly evening: number
}

/**
 * What an answer puts to the test: the prediction of each track that it is the day's first of, by-chance and recalled
 * ones too. `records` must not know of it yet.
 */
const predictionsBefore = (
  model: Model,
  program: Program,
  { records, answer }: { records: Records; answer: TrackedAnswer },
): readonly Prediction[] => {
  const step = stepOf(program, answer.step)
  if (!step || answer.uncued) return []
  const { day } = answer
  const rung = step.marks ? rungAt(step, answer.rung) : answer.rung
  const horse = askedOn(model, records.horse, { track: trackKey(step.key, answer.side), day })
  return sidesAnswered(step, answer.side)
    .map((side) => ({ side, belief: records.tracks.get(trackKey(step.key, side))?.belief }))
    .filter(({ belief }) => belief?.lastDay !== day)
    .map(({ side, belief }) => {
      const asked = { ...records, horse }
      const rested = belief
        ? restedTo(model, belief, day)
        : freshBelief(model, horse, startingMean(model, program, { step, side, day, records: asked }))
      return {
        step: step.key,
        side,
        day,
        chance: lightChance(model, step, { rested, rung }),
        light: isLight(answer.grade),
        calmChance: notTightChance(model, step, { rested, rung }),
        tight: answer.calm === null ? null : isTight(answer.calm),
        morning: lightChance(model, step, { rested, rung: step.requiredRung }),
      }
    })
}

/** A horse's tracks after some answers, and every prediction on the way with the answer it was made for. */
export interface Replay<T> {
  readonly records: Records
  /** How the horse stood at the end of each day that a later one followed, oldest first. */
  readonly dayEnds: readonly DayEnd[]
  readonly predictions: readonly (Prediction & Evening & { readonly answer: T })[]
  /** Days that were begun before these answers, and how the tracks stand after them now. */
  readonly goneOn: readonly Evening[]
}

/**
 * Brings a horse's tracks on by more answers, oldest first, and predicts each first ask of a day before it is known.
 * `before` is left as it is.
 */
export const predictingOn = <T extends TrackedAnswer>(
  model: Model,
  program: Program,
  { before, answers }: { before: Records; answers: readonly T[] },
): Replay<T> => {
  const records = { horse: before.horse, tracks: new Map(before.tracks) }
  const dayEnds: DayEnd[] = []
  const evenings: Evening[] = []
  const noteEvening = (key: TrackKey): void => {
    const record = records.tracks.get(key)
    if (!record || record === before.tracks.get(key)) return
    const { step: stepKey, side } = trackOf(key)
    const step = stepOf(program, stepKey)!
    const evening = lightChance(model, step, { rested: record.belief, rung: step.requiredRung })
    evenings.push({ step: stepKey, side, day: record.belief.lastDay!, evening })
  }
  const begun: (Prediction & { readonly answer: T })[] = []
  for (const answer of answers) {
    const { lastDay } = records.horse
    if (lastDay !== null && answer.day > lastDay && dayEnds.at(-1)?.day !== lastDay)
      dayEnds.push(dayEndOf(records, lastDay))
    for (const prediction of predictionsBefore(model, program, { records, answer })) {
      noteEvening(trackKey(prediction.step, prediction.side))
      begun.push({ ...prediction, answer })
    }
    recordsWith(model, program, { records, answer })
  }
  for (const key of records.tracks.keys()) noteEvening(key)
  const eveningOf = new Map(evenings.map((one) => [dayKey(one), one]))
  const predictions = begun.map((one) => ({ ...one, evening: eveningOf.get(dayKey(one))!.evening }))
  for (const one of begun) eveningOf.delete(dayKey(one))
  return { records, dayEnds, predictions, goneOn: [...eveningOf.values()] }
}

/** Works a horse's whole history out, oldest answer first. */
export const replayPredicting = <T extends TrackedAnswer>(
  model: Model,
  program: Program,
  answers: readonly T[],
): Replay<T> => predictingOn(model, program, { before: noRecords(model), answers })
