/** One way to go on: which candidate to ask next, and how many asks it is expected to take from there. */
interface Choice {
  /** Counted from 0 in what is still open. */
  readonly at: number
  readonly expected: number
}

/** What an unsettled step costs when nothing may fail any more: it would take an ask to settle it. */
const UNSETTLED = 12

/**
 * Where to ask next on a path of `costs` (asks each would take), when a horse holds the path up to some place that may
 * be anywhere, and only so many steps may fail: the choice that leaves the fewest asks to be expected. With two failures
 * left it goes up in long strides that grow shorter, with one left step by step.
 */
export const bestPlace = (
  costs: readonly number[],
  failuresLeft: number,
  isSafe: (at: number) => boolean = () => true,
): Choice | null => {
  const known = new Map<string, number>()
  /** Asks to be expected on the places from `from` up to, not with, `to`; any number of them may be held, all alike. */
  const expected = (from: number, to: number, left: number): number => {
    if (from >= to) return 0
    if (left === 0) return (UNSETTLED * (to - from)) / 2
    const key = `${from} ${to} ${left}`
    const found = known.get(key)
    if (found !== undefined) return found
    let best = Infinity
    for (let at = from; at < to; at++) best = Math.min(best, askedAt(from, to, left, at))
    known.set(key, best)
    return best
  }
  const askedAt = (from: number, to: number, left: number, at: number): number => {
    const places = to - from + 1
    const holds = (to - at) / places
    return costs[at]! + holds * expected(at + 1, to, left) + (1 - holds) * expected(from, at, left - 1)
  }
  const choices = costs
    .map((_, at): Choice => ({ at, expected: askedAt(0, costs.length, failuresLeft, at) }))
    .filter(({ at }) => isSafe(at))
  return choices.length === 0 ? null : choices.reduce((a, b) => (b.expected < a.expected ? b : a))
}
