import type { Spot } from '@still-pine/core/coverage'
import type { AnswerHere } from './horse-here'

const place = ({ step, side, rung, place: from, zone, moving }: AnswerHere): string =>
  [step, side, rung, from, zone, moving].join('/')

/** The last answer of every step, rung, zone, place and movement that was told, oldest first. */
export const spotsHere = (history: readonly AnswerHere[]): readonly Spot[] => {
  const last = new Map<string, AnswerHere>()
  for (const answer of history) {
    if (answer.uncued || (answer.place === null && answer.zone === null)) continue
    // Taken out first, so that it goes to the end: what was answered last comes last.
    last.delete(place(answer))
    last.set(place(answer), answer)
  }
  return [...last.values()].map(({ step, side, rung, grade, calm, day, place: from, zone, moving }) => ({
    step,
    side,
    rung,
    grade,
    calm,
    day,
    place: from,
    zone,
    moving,
  }))
}
