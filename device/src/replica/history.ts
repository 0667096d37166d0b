import type { CarriedAnswer } from '@still-pine/contract'
import type { Carried, Waiting } from '../store'

/** An answer of a horse as this device knows it. */
export interface AnswerHere extends CarriedAnswer {
  /** Not yet with the server. */
  readonly waits: boolean
}

/** Answers put in on this device come after all that the server has numbered. */
const AFTER_ALL = Number.MAX_SAFE_INTEGER / 2

const byTime = (a: AnswerHere, b: AnswerHere): number => Date.parse(a.at) - Date.parse(b.at) || a.seq - b.seq

/**
 * A horse's answers that stand, in the order they were given: what the server had, less what was taken back here, and
 * what waits here. `dayIn` gives the calendar day of an instant in the yard's time zone.
 */
export const historyOf = (
  carried: Pick<Carried, 'answers'>,
  waiting: readonly Waiting[],
  me: { readonly name: string },
  dayIn: (at: string) => string,
): readonly AnswerHere[] => {
  const takenBack = new Set(waiting.flatMap(({ item }) => (item.do === 'void' ? [item.answerId] : [])))
  const known = new Set(carried.answers.map(({ id }) => id))
  const here = waiting.flatMap(({ item, order, refused }): AnswerHere[] => {
    if (item.do !== 'add' || refused !== undefined || known.has(item.answer.id)) return []
    const { horseId: _horse, ...answer } = item.answer
    return [
      {
        ...answer,
        seq: AFTER_ALL + order,
        day: dayIn(answer.at),
        personName: me.name,
        ahead: false,
        waits: true,
      },
    ]
  })
  return [...carried.answers.map((answer) => ({ ...answer, waits: false })), ...here]
    .filter(({ id }) => !takenBack.has(id))
    .sort(byTime)
}
