import type { Answer } from '../answer'
import { coldChances, freshBelief, restedTo, withAnswer, type Belief, type Model } from '../belief'
import type { JudgedStep } from '../program'
import { solidMisses } from './solid'
import { DAYS_REMEMBERED, EMPTY_TALLY, newest, tallyWith, type Tally } from './tally'

/** One track: what is believed of it and what was counted. */
export interface TrackRecord {
  readonly belief: Belief
  readonly tally: Tally
}

export const freshRecord = (model: Model, priorMean?: number): TrackRecord => ({
  belief: freshBelief(model, priorMean),
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

/** The record after one more answer. Answers must come in the order they were given; an uncued one changes nothing. */
export const recordWith = (
  model: Model,
  step: JudgedStep,
  { record, answer }: { record: TrackRecord; answer: Answer },
): TrackRecord => {
  if (answer.uncued) return record
  const cold = record.belief.lastDay !== answer.day
  const tally = cold ? closedDay(model, step, record) : record.tally
  return {
    belief: withAnswer(model, step, { belief: record.belief, answer }),
    tally: tallyWith(tally, step, { answer, cold }),
  }
}

/** The record of a whole history, and the chance predicted just before each day's first answer, at its own rung. */
export const replay = (
  model: Model,
  step: JudgedStep,
  { answers, priorMean }: { answers: readonly Answer[]; priorMean?: number },
): { record: TrackRecord; predicted: readonly number[] } => {
  const predicted: number[] = []
  let record = freshRecord(model, priorMean)
  for (const answer of answers) {
    if (!answer.uncued && record.belief.lastDay !== answer.day)
      predicted.push(
        coldChances(model, step, { rested: restedTo(model, record.belief, answer.day), rung: answer.rung })
          .chance,
      )
    record = recordWith(model, step, { record, answer })
  }
  return { record, predicted }
}
