import type { KeptAnswer, Session } from '@still-pine/contract'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import type { AnswerHere } from './history'
import type { HorseHere } from './horse-here'

const asKept = (horseId: string, { waits: _waits, seq: _seq, ...answer }: AnswerHere): KeptAnswer => ({
  ...answer,
  horseId,
  voided: null,
})

const newestFirst = (a: Session, b: Session): number => (a.startedAt < b.startedAt ? 1 : -1)

const runsInto = (a: readonly AnswerHere[], b: readonly AnswerHere[]): boolean =>
  a[0]!.at <= b.at(-1)!.at && b[0]!.at <= a.at(-1)!.at

/**
 * The sessions of a horse as this device knows them, newest first. What the server said of them stands where it is
 * known (`told`); what was noted here and waits comes over it.
 */
export const sessionsHere = (
  { carried, history, waiting }: HorseHere,
  told: readonly Session[],
): readonly Session[] => {
  const bySession = new Map<string, AnswerHere[]>()
  for (const answer of history)
    bySession.set(answer.sessionId, [...(bySession.get(answer.sessionId) ?? []), answer])
  const groups = [...bySession]
  const sessions = groups.map(([id, answers]): Session => {
    const first = answers[0]!
    const known = told.find((session) => session.id === id)
    const note = waiting.map(({ item }) => item).findLast((i) => i.do === 'note' && i.sessionId === id)
    const opening = waiting.map(({ item }) => item).find((i) => i.do === 'session' && i.session.id === id)
    const opened = opening?.do === 'session' ? opening.session : undefined
    const said = waiting
      .map(({ item }) => item)
      .findLast((i) => i.do === 'circumstances' && i.sessionId === id)
    const others = groups.filter(([other]) => other !== id)
    return {
      id,
      horseId: carried.horseId,
      horseName: carried.horse.name,
      personName: known?.personName ?? first.personName,
      startedAt: known?.startedAt ?? first.at,
      day: first.day,
      place: known?.place ?? opened?.place ?? null,
      note: note?.do === 'note' ? note.note : (known?.note ?? ''),
      confirmedAt: known?.confirmedAt ?? (note?.do === 'note' ? note.at : null),
      circumstances:
        said?.do === 'circumstances'
          ? said.circumstances
          : (known?.circumstances ?? opened?.circumstances ?? NOTHING_NOTED),
      promised: known?.promised ?? opened?.promised ?? null,
      answers: answers.length,
      against: answers.filter(({ against }) => against !== null).length,
      overlaps: known?.overlaps ?? others.some(([, theirs]) => runsInto(answers, theirs)),
    }
  })
  return sessions.sort(newestFirst)
}

export const answersOfSessionHere = (horse: HorseHere, sessionId: string): readonly KeptAnswer[] =>
  horse.history
    .filter((answer) => answer.sessionId === sessionId)
    .map((answer) => asKept(horse.carried.horseId, answer))

/** How many answers of a step are shown at once, as the server does. */
const STEP_PAGE = 60

/** The newest answers of a step, newest first. */
export const answersOfStepHere = (horse: HorseHere, step: string): readonly KeptAnswer[] =>
  horse.history
    .filter((answer) => answer.step === step)
    .slice(-STEP_PAGE)
    .reverse()
    .map((answer) => asKept(horse.carried.horseId, answer))
