import type { SavedAnswer, Session } from '@still-pine/contract'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import type { SessionTold } from '@still-pine/use-cases'
import type { AnswerHere, HorseHere } from './horse-here'

const asSaved = (horseId: string, { seq: _seq, ...answer }: AnswerHere): SavedAnswer => ({
  ...answer,
  horseId,
  voided: null,
})

const newestFirst = (a: Session, b: Session): number => (a.startedAt < b.startedAt ? 1 : -1)

const runsInto = (a: readonly AnswerHere[], b: readonly AnswerHere[]): boolean =>
  a[0]!.at <= b.at(-1)!.at && b[0]!.at <= a.at(-1)!.at

/** What is told of a session that this device knows by its answers alone. */
const NOT_TOLD: SessionTold = {
  place: null,
  promised: null,
  note: '',
  circumstances: NOTHING_NOTED,
  confirmedAt: null,
}

/** The sessions of a horse that have answers, as this device knows them, newest first. */
export const sessionsHere = ({ carried, history, told, sessions }: HorseHere): readonly Session[] => {
  const bySession = new Map<string, AnswerHere[]>()
  for (const answer of history)
    bySession.set(answer.sessionId, [...(bySession.get(answer.sessionId) ?? []), answer])
  const groups = [...bySession]
  return groups
    .map(([id, answers]): Session => {
      const first = answers[0]!
      const known = told.find((session) => session.id === id)
      const others = groups.filter(([other]) => other !== id)
      const { place, promised, note, circumstances, confirmedAt } = sessions.get(id) ?? NOT_TOLD
      return {
        id,
        horseId: carried.horseId,
        horseName: carried.horse.name,
        personName: known?.personName ?? first.personName,
        startedAt: known?.startedAt ?? first.at,
        day: first.day,
        place,
        promised,
        note,
        circumstances,
        confirmedAt,
        answers: answers.length,
        against: answers.filter(({ against }) => against !== null).length,
        overlaps: known?.overlaps ?? others.some(([, theirs]) => runsInto(answers, theirs)),
      }
    })
    .sort(newestFirst)
}

export const answersOfSessionHere = (horse: HorseHere, sessionId: string): readonly SavedAnswer[] =>
  horse.history
    .filter((answer) => answer.sessionId === sessionId)
    .map((answer) => asSaved(horse.carried.horseId, answer))

/** How many answers of a step are shown at once, as the server does. */
const STEP_PAGE = 60

/** The newest answers of a step, newest first. */
export const answersOfStepHere = (horse: HorseHere, step: string): readonly SavedAnswer[] =>
  horse.history
    .filter((answer) => answer.step === step)
    .slice(-STEP_PAGE)
    .reverse()
    .map((answer) => asSaved(horse.carried.horseId, answer))
