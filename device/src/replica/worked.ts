import type { Worked } from '@still-pine/contract'
import type { SessionTold } from '@still-pine/use-cases'
import { isCleanPass } from '@still-pine/core/answer'
import type { AnswerHere } from './horse-here'

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

type Places = ReadonlyMap<string, Pick<SessionTold, 'place'>>

/** The answers of a history counted by track and session, as the server counts them. */
export const workedHere = (
  history: readonly AnswerHere[],
  sessions: Places = new Map(),
): readonly Worked[] => {
  const groups = new Map<string, AnswerHere[]>()
  for (const answer of history.filter(({ uncued }) => !uncued))
    groups.set(key(answer), [...(groups.get(key(answer)) ?? []), answer])
  return [...groups.values()].map((answers) =>
    counted(answers, sessions.get(answers[0]!.sessionId)?.place ?? null),
  )
}
