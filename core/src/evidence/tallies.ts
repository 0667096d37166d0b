import type { Day } from '../answer'

/** How often something was seen, and when last. */
export interface Seen {
  readonly what: string
  readonly times: number
  readonly lastDay: Day
}

interface Told {
  readonly day: Day
}

/** What was seen how often, the most frequent first, the newest first of those seen alike. */
export const seenIn = <T extends Told>(
  answers: readonly T[],
  what: (answer: T) => string | null,
): readonly Seen[] => {
  const seen = new Map<string, { times: number; lastDay: Day }>()
  for (const answer of answers) {
    const name = what(answer)
    if (name === null) continue
    const { times, lastDay } = seen.get(name) ?? { times: 0, lastDay: answer.day }
    seen.set(name, { times: times + 1, lastDay: answer.day > lastDay ? answer.day : lastDay })
  }
  return [...seen]
    .map(([what, rest]) => ({ what, ...rest }))
    .sort((a, b) => b.times - a.times || b.lastDay.localeCompare(a.lastDay))
}

/** The middle of some numbers; `null` of none. */
export const medianOf = (values: readonly number[]): number | null => {
  if (values.length === 0) return null
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** The middle of the first and of the last so many numbers, oldest first; `null` where there are not twice as many. */
export const firstAndLast = (
  values: readonly number[],
  many: number,
): { readonly first: number; readonly last: number } | null =>
  values.length < 2 * many
    ? null
    : { first: medianOf(values.slice(0, many))!, last: medianOf(values.slice(-many))! }
