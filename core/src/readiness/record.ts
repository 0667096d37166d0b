import { isHalfWeight, isLight, isTight, type Answer } from '../answer'
import {
  askedOn,
  coldChances,
  freshBelief,
  lightChance,
  notTightChance,
  restedTo,
  unknownHorse,
  withAnswer,
  type Belief,
  type HorseStanding,
  type Model,
} from '../judgement'
import type { JudgedStep } from '../program'
import { solidMisses } from './solid'
import { DAYS_REMEMBERED, EMPTY_TALLY, newest, tallyWith, type Foretold, type Tally } from './tally'

/** One track: what is believed of it and what was counted. */
export interface TrackRecord {
  readonly belief: Belief
  readonly tally: Tally
}

/** A track and the horse it is of. */
export interface RecordOfHorse {
  readonly record: TrackRecord
  readonly horse: HorseStanding
}

/** A track nobody has asked; `mean` differs from the horse's own start where other steps carry over. */
export const freshRecord = (model: Model, horse: HorseStanding, mean?: number): TrackRecord => ({
  belief: freshBelief(model, horse, mean),
  tally: EMPTY_TALLY,
})

/** Solid at the end of the record's last day: after that day's learning, before any rest. */
export const solidAtEndOfDay = (model: Model, step: JudgedStep, { belief, tally }: TrackRecord): boolean =>
  belief.lastDay !== null &&
  solidMisses(model, step, {
    chances: coldChances(model, step, { rested: belief, rung: step.requiredRung }),
    tally,
    belief,
    on: belief.lastDay,
  }).length === 0

const closedDay = (model: Model, step: JudgedStep, record: TrackRecord): Tally => {
  if (record.belief.lastDay === null) return record.tally
  const solid = solidAtEndOfDay(model, step, record)
  return {
    ...record.tally,
    solidEnds: newest(record.tally.solidEnds, solid, DAYS_REMEMBERED),
    onceSolid: record.tally.onceSolid || solid,
  }
}

/** What was foretold of an answer that opens a day, and what came. */
const foretoldOf = (
  model: Model,
  step: JudgedStep,
  { belief, answer }: { belief: Belief; answer: Answer },
): Foretold | null => {
  if (isHalfWeight(answer)) return null
  const asked = { rested: restedTo(model, belief, answer.day), rung: answer.rung }
  return {
    chance: lightChance(model, step, asked),
    light: isLight(answer.grade),
    calmChance: notTightChance(model, step, asked),
    tight: answer.calm === null ? null : isTight(answer.calm),
  }
}

/**
 * Track and horse after one more answer; `horse` must stand as it is asked. Answers must come in the order they were
 * given, without the uncued ones.
 */
export const recordWith = (
  model: Model,
  step: JudgedStep,
  { record, horse, answer }: RecordOfHorse & { readonly answer: Answer },
): RecordOfHorse => {
  const cold = record.belief.lastDay !== answer.day
  const tally = cold ? closedDay(model, step, record) : record.tally
  const foretold = cold ? foretoldOf(model, step, { belief: record.belief, answer }) : null
  const after = withAnswer(model, step, { belief: record.belief, horse, answer })
  return {
    record: { belief: after.belief, tally: tallyWith(tally, step, { answer, cold, foretold }) },
    horse: after.horse,
  }
}

/** Track and horse where this step was asked and nothing else, oldest answer first. */
export const trackAlone = (model: Model, step: JudgedStep, answers: readonly Answer[]): RecordOfHorse => {
  const nothing = unknownHorse(model)
  return answers
    .filter(({ uncued }) => !uncued)
    .reduce<RecordOfHorse>(
      ({ record, horse }, answer) => {
        const asked = askedOn(model, horse, { track: '', day: answer.day })
        return recordWith(model, step, { record, horse: asked, answer })
      },
      { record: freshRecord(model, nothing), horse: nothing },
    )
}
