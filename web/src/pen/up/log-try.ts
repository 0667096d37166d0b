import type { Line, NewAnswer } from '@still-pine/contract'
import type { EntryOf } from '@still-pine/contract/entries-of'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import type { Calm, Grade, Side } from '@still-pine/core/answer'
import { markOf, stepOf, type Program } from '@still-pine/core/program'
import type { RunStage } from '@still-pine/core/ride'
import { PLAIN_ANSWER } from '@still-pine/device'
import { v7 as uuid } from 'uuid'
import { saveHere } from '../../offline/save'
import { whereNow } from '../../shared/where'

/** How a try was, as it is told by one press. */
export const TRIES = [
  { word: 'Loose', grade: 1, calm: 0 },
  { word: 'Watchful', grade: 1, calm: 1 },
  { word: 'Tight', grade: 2, calm: 2 },
] as const satisfies readonly { word: string; grade: Grade; calm: Calm }[]

export type Try = (typeof TRIES)[number]

/** The rung a stage is tried at: where it opens on its worse side. */
export const rungOfStage = (line: Line, stage: RunStage): number =>
  Math.min(...line.tracks.filter(({ step }) => step === stage).map(({ view }) => view.openAt))

interface Tried {
  readonly stage: RunStage
  readonly side: Side
  readonly how: Try
  /** What the permit says against it, and why it was done. */
  readonly against: string | null
  readonly why: string | null
}

/** A try as an answer of the sheet's session. */
export const answerOf = (
  line: Line,
  program: Program,
  { sheet, tried }: { sheet: EntryOf<'run-sheet'>; tried: Tried },
): NewAnswer => {
  const { stage, side, how, against, why } = tried
  return {
    id: uuid(),
    horseId: line.horse.id,
    sessionId: sheet.sessionId,
    step: stage,
    side,
    rung: markOf(stepOf(program, stage)!, rungOfStage(line, stage)),
    grade: how.grade,
    calm: how.calm,
    at: new Date().toISOString(),
    ...PLAIN_ANSWER,
    against,
    why,
    replaces: null,
  }
}

/** Keeps a try; the first brings its session with it. */
export const keepTry = async (
  personId: string,
  answer: NewAnswer,
  begun: Pick<EntryOf<'run-sheet'>, 'startedAt'> | null,
): Promise<boolean> => {
  const { horseId, sessionId } = answer
  if (begun !== null) {
    const session = {
      id: sessionId,
      horseId,
      startedAt: begun.startedAt,
      place: whereNow(),
      circumstances: { ...NOTHING_NOTED, hands: 'two' as const },
      promised: null,
    }
    if (!(await saveHere(personId, horseId, { do: 'session', session }))) return false
  }
  return saveHere(personId, horseId, { do: 'add', answer })
}
