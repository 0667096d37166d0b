import type { Candidate, Way } from './ways'

/** What was taken of the candidates, and what it is worth. */
export interface Choice {
  readonly taken: readonly { readonly candidate: Candidate; readonly way: Way }[]
  readonly worth: number
  readonly minutes: number
}

export interface Limits {
  readonly minutes: number
  readonly checks: number
  readonly learning: number
}

/** Minutes are counted in sixths, which every burst fills without a rest to speak of. */
const PARTS = 6

const partsOf = (minutes: number): number => Math.ceil(minutes * PARTS - 1e-9)

interface Cost {
  readonly checks: number
  readonly learning: number
  readonly parts: number
}

const costOf = ({ begun }: Candidate, { kind, first, minutes }: Way): Cost => ({
  checks: kind === 'check' ? 1 : first.length,
  learning: kind === 'learn' && !begun ? 1 : 0,
  parts: partsOf(minutes),
})

/** Worth this small is the same worth: which of two equal choices is taken must not hang on rounding. */
const SAME = 1e-9

/**
 * The ways that a best choice may want. Of those that cost the same it takes no more than it may hold things at all, so
 * one with as many better ones of other steps beside it is wanted by none: whatever holds it has a better one left out.
 */
const wantedWays = (candidates: readonly Candidate[], limits: Limits): ReadonlySet<Way> => {
  const most = limits.checks + limits.learning + candidates.filter(({ begun }) => begun).length
  const alike = new Map<string, Map<Candidate, Way>>()
  for (const candidate of candidates)
    for (const way of candidate.ways) {
      const { checks, learning, parts } = costOf(candidate, way)
      const key = `${checks} ${learning} ${parts}`
      const best = alike.get(key) ?? new Map<Candidate, Way>()
      alike.set(key, best)
      if (way.worth > (best.get(candidate)?.worth ?? 0)) best.set(candidate, way)
    }
  return new Set(
    [...alike.values()].flatMap((best) =>
      [...best.values()].sort((a, b) => b.worth - a.worth).slice(0, most),
    ),
  )
}

/** Goes back from where the choice ended, candidate by candidate, the last one first. */
const tracedFrom = (
  end: number,
  candidates: readonly Candidate[],
  { ways, distanceOf }: { ways: readonly Uint8Array[]; distanceOf: (cost: Cost) => number },
): Choice['taken'] => {
  const taken: { candidate: Candidate; way: Way }[] = []
  let at = end
  for (let i = candidates.length - 1; i >= 0; i--) {
    const candidate = candidates[i]!
    const way = candidate.ways[ways[i]![at]! - 1]
    if (!way) continue
    taken.unshift({ candidate, way })
    at -= distanceOf(costOf(candidate, way))
  }
  return taken
}

/**
 * The choice of most worth that fits the limits, found exactly by dynamic programming over the candidates, one way
 * each at most: a knapsack of three measures (Bellman 1957). A way whose ingredients are looked at first takes up
 * checks and minutes for them. Where a first ask is to be had at all, the session has one.
 */
export const choose = (candidates: readonly Candidate[], limits: Limits): Choice => {
  const room = Math.max(0, Math.floor(limits.minutes * PARTS + 1e-9))
  const width = room + 1
  const rows = limits.learning + 1
  const size = (limits.checks + 1) * rows * width
  const distanceOf = ({ checks, learning, parts }: Cost): number => (checks * rows + learning) * width + parts
  // The most worth that can be had with so many checks, steps to learn and parts of the minutes, all of them spent.
  let worths = new Float64Array(size).fill(-Infinity)
  worths[0] = 0
  const wanted = wantedWays(candidates, limits)
  // Which way of each candidate was last taken on the way to each of these; 0 for none.
  const taken = candidates.map((candidate) => {
    const next = worths.slice()
    const ways = new Uint8Array(size)
    for (const [i, way] of candidate.ways.entries()) {
      if (!wanted.has(way)) continue
      const cost = costOf(candidate, way)
      const distance = distanceOf(cost)
      for (let c = 0; c + cost.checks <= limits.checks; c++)
        for (let l = 0; l + cost.learning <= limits.learning; l++) {
          const first = (c * rows + l) * width
          for (let from = first; from + cost.parts < first + width; from++) {
            const worth = worths[from]! + way.worth
            if (worth > next[from + distance]! + SAME) {
              next[from + distance] = worth
              ways[from + distance] = i + 1
            }
          }
        }
    }
    worths = next
    return ways
  })
  const bestFrom = (first: number): number => {
    let best = 0
    for (let i = first; i < size; i++) if (worths[i]! > worths[best]! + SAME) best = i
    return best
  }
  // Those without a check come first of all, and the very first is nothing at all.
  const best = bestFrom(rows * width) || bestFrom(0)
  return {
    taken: tracedFrom(best, candidates, { ways: taken, distanceOf }),
    worth: worths[best]!,
    minutes: (best % width) / PARTS,
  }
}
