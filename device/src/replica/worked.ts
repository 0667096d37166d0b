import type { Session, Worked } from '@still-pine/contract'
import { isCleanPass } from '@still-pine/core/answer'
import type { AnswerHere } from './history'

const key = ({ sessionId, step, side }: AnswerHere): string => `${sessionId}/${step}/${side}`

const counted = (answers: readonly AnswerHere[], place: string | null): Worked => {
  const [first] = answers
  const times = answers.map(({ at }) => Date.parse(at))
  return {
    session: first!.sessionId,
    place,
    day: first!.day,
    step: first!.step,
    side: first!.side,
    answers: answers.length,
    clean: answers.filter(isCleanPass).length,
    hardestRung: Math.max(...answers.map(({ rung }) => rung)),
    from: Math.min(...times),
    to: Math.max(...times),
  }
}

/** The answers of a history counted by track and session, as the server counts them. */
export const workedHere = (history: readonly AnswerHere[], told: readonly Session[]): readonly Worked[] => {
  const places = new Map(told.map(({ id, place }) => [id, place]))
  const groups = new Map<string, AnswerHere[]>()
  for (const answer of history.filter(({ uncued }) => !uncued))
    groups.set(key(answer), [...(groups.get(key(answer)) ?? []), answer])
  return [...groups.values()].map((answers) => counted(answers, places.get(answers[0]!.sessionId) ?? null))
}
