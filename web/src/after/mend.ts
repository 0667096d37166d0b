import type { SavedAnswer, NewAnswer, Session } from '@still-pine/contract'
import type { Calm, Grade, Side } from '@still-pine/core/answer'
import { v7 as uuid } from 'uuid'
import { PLAIN_ANSWER } from '@still-pine/device'
import { saveHere } from '../offline/save'

const now = (): string => new Date().toISOString()

const asNew = ({
  day: _day,
  personName: _name,
  ahead: _ahead,
  voided: _voided,
  ...answer
}: SavedAnswer): NewAnswer => answer

/** Takes an answer back; it stays in the history as taken back. */
export const takeBack = (personId: string, { id, horseId }: SavedAnswer, reason: string): Promise<boolean> =>
  saveHere(personId, horseId, { do: 'void', id: uuid(), answerId: id, reason, at: now() })

/** Mends an answer: the old one is taken back, the mended one stands in its place and time. */
export const mend = async (
  personId: string,
  before: SavedAnswer,
  patch: Partial<Pick<NewAnswer, 'grade' | 'calm' | 'side' | 'rung' | 'byChance' | 'why'>>,
): Promise<void> => {
  const answer: NewAnswer = { ...asNew(before), ...patch, id: uuid(), replaces: before.id }
  if (await takeBack(personId, before, 'mended after the session'))
    await saveHere(personId, answer.horseId, { do: 'add', answer })
}

export interface RecalledMark {
  readonly grade: Grade
  readonly calm: Calm | null
}

/** Seconds between recalled marks: they keep their order, and stay behind the session's start. */
const APART_MS = 1000

/** Adds the marks of a burst from memory, first one first. */
export const recall = async (
  personId: string,
  session: Pick<Session, 'id' | 'horseId' | 'startedAt'>,
  {
    track,
    marks,
    after,
  }: { track: { step: string; side: Side; rung: number }; marks: readonly RecalledMark[]; after: string },
): Promise<void> => {
  const from = Math.max(Date.parse(session.startedAt), Date.parse(after))
  for (const [i, mark] of marks.entries()) {
    const answer: NewAnswer = {
      id: uuid(),
      horseId: session.horseId,
      sessionId: session.id,
      ...track,
      ...mark,
      at: new Date(from + (i + 1) * APART_MS).toISOString(),
      ...PLAIN_ANSWER,
      recalled: true,
      replaces: null,
    }
    if (!(await saveHere(personId, session.horseId, { do: 'add', answer }))) return
  }
}
