import type { EvidenceAnswer, EvidenceSession } from '@still-pine/contract'
import { addDays, type Kind } from '@still-pine/core/answer'
import { modelFor } from '@still-pine/core/judgement'
import {
  byCircumstance,
  minutesByKind,
  movedBetween,
  promisesNotDone,
  replayPredicting,
  standsStill,
  talliesOf,
  type CircumstanceGroup,
  type Moved,
  type NotDone,
  type OwnTold,
  type TenthTally,
} from '@still-pine/core/evidence'
import type { Program } from '@still-pine/core/program'
import { replayHorse, viewsOf } from '@still-pine/core/readiness'
import { expose } from 'comlink'

/** A horse's whole history, as the server tells it. */
export interface History {
  readonly program: Program
  readonly answers: readonly EvidenceAnswer[]
  readonly sessions: readonly EvidenceSession[]
  /** The day it is read on. */
  readonly day: string
}

export interface HorseReading extends OwnTold {
  readonly moved: readonly Moved[]
  readonly still: readonly Moved[]
  readonly notDone: readonly NotDone[]
  readonly minutes: {
    readonly week: Readonly<Record<Kind, number>>
    readonly all: Readonly<Record<Kind, number>>
  }
  readonly tallies: readonly TenthTally[]
  readonly circumstances: readonly CircumstanceGroup[]
}

const WEEK_DAYS = 7

/** Reads evidence away from the page: a history of years takes its seconds. */
const reading = {
  horse: ({ program, answers, sessions, day }: History): HorseReading => {
    const weekAgo = addDays(day, -WEEK_DAYS)
    const model = modelFor(program)
    const { records, predictions } = replayPredicting(model, program, answers)
    const now = viewsOf(model, program, { records, on: day })
    const earlier = replayHorse(
      model,
      program,
      answers.filter((answer) => answer.day <= weekAgo),
    )
    const before = viewsOf(model, program, { records: earlier, on: weekAgo })
    const lately = answers.filter((answer) => answer.day > weekAgo)
    return {
      own: records.horse,
      answers: answers.length,
      moved: movedBetween(program, before, now),
      still: standsStill(program, before, now),
      notDone: promisesNotDone(
        sessions.filter((session) => session.day > weekAgo),
        lately,
      ),
      minutes: { week: minutesByKind(program, lately), all: minutesByKind(program, answers) },
      tallies: talliesOf(predictions),
      circumstances: byCircumstance(predictions, sessions),
    }
  },

  own: ({ program, answers }: Pick<History, 'program' | 'answers'>): OwnTold => ({
    own: replayHorse(modelFor(program), program, answers).horse,
    answers: answers.length,
  }),
}

export type EvidenceReading = typeof reading

expose(reading)
