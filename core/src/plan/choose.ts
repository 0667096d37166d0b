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

interface Cell {
  readonly worth: number
  /** The last thing taken, and the cell before it. */
  readonly taken: { readonly candidate: Candidate; readonly way: Way } | null
  readonly before: Cell | null
}

const NOTHING: Cell = { worth: 0, taken: null, before: null }

/** Worth this small is the same worth: which of two equal choices is taken must not hang on rounding. */
const SAME = 1e-9

const takenUpTo = (cell: Cell): Choice['taken'] => {
  const taken: { candidate: Candidate; way: Way }[] = []
  for (let at: Cell | null = cell; at?.taken; at = at.before) taken.unshift(at.taken)
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
  const at = (checks: number, learning: number, parts: number): number =>
    (checks * (limits.learning + 1) + learning) * width + parts
  let cells: (Cell | undefined)[] = new Array<Cell | undefined>(
    (limits.checks + 1) * (limits.learning + 1) * width,
  )
  cells[at(0, 0, 0)] = NOTHING
  for (const candidate of candidates) {
    const next = cells.slice()
    for (const way of candidate.ways) {
      if (way.worth <= 0) continue
      const cost = partsOf(way.minutes)
      const checks = way.kind === 'check' ? 1 : way.first.length
      const learning = way.kind === 'learn' && !candidate.begun ? 1 : 0
      for (let c = 0; c + checks <= limits.checks; c++)
        for (let l = 0; l + learning <= limits.learning; l++)
          for (let m = 0; m + cost <= room; m++) {
            const from = cells[at(c, l, m)]
            if (!from) continue
            const to = at(c + checks, l + learning, m + cost)
            const worth = from.worth + way.worth
            if (worth > (next[to]?.worth ?? -Infinity) + SAME)
              next[to] = { worth, taken: { candidate, way }, before: from }
          }
    }
    cells = next
  }
  let best: { cell: Cell; parts: number } = { cell: NOTHING, parts: 0 }
  let bestWithCheck: typeof best | null = null
  for (let c = 0; c <= limits.checks; c++)
    for (let l = 0; l <= limits.learning; l++)
      for (let m = 0; m <= room; m++) {
        const cell = cells[at(c, l, m)]
        if (!cell) continue
        if (cell.worth > best.cell.worth + SAME) best = { cell, parts: m }
        if (c > 0 && cell.worth > (bestWithCheck?.cell.worth ?? 0) + SAME) bestWithCheck = { cell, parts: m }
      }
  const { cell, parts } = bestWithCheck ?? best
  return { taken: takenUpTo(cell), worth: cell.worth, minutes: parts / PARTS }
}
