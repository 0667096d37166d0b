import { wilson } from '../evidence'

/** The ends of a forecast's middle eight in ten. */
const INSIDE = { low: 0.1, high: 0.9 } as const

/** How far a day lay from the draws of its forecast: a proper score in days, the smaller the better (Gneiting and Raftery 2007). */
export const crps = (draws: readonly number[], came: number): number => {
  const sorted = draws.toSorted((a, b) => a - b)
  const n = sorted.length
  const off = sorted.reduce((sum, one) => sum + Math.abs(one - came), 0) / n
  // Half the mean distance of two draws, each pair once: in order the i-th counts 2i − n + 1 times.
  const apart = sorted.reduce((sum, one, i) => sum + one * (2 * i - n + 1), 0) / (n * n)
  return off - apart
}

/**
 * How much of a day's own probability lies inside the middle eight in ten: 1 or 0, and a part where its step straddles an
 * end, for days come whole (Czado, Gneiting and Held 2009).
 */
export const insideShare = (draws: readonly number[], came: number): number => {
  const below = draws.filter((one) => one < came).length / draws.length
  const upTo = draws.filter((one) => one <= came).length / draws.length
  if (upTo === below) return below >= INSIDE.low && below <= INSIDE.high ? 1 : 0
  const within = Math.min(upTo, INSIDE.high) - Math.max(below, INSIDE.low)
  return Math.max(0, within) / (upTo - below)
}

/** A forecast that has come true, or whose horizon is over: the day then counts as the horizon. */
export interface Scored {
  readonly draws: readonly number[]
  readonly came: number
}

const ENOUGH = 10

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length

const middleOf = (draws: readonly number[]): number => {
  const sorted = draws.toSorted((a, b) => a - b)
  return sorted[Math.ceil(sorted.length / 2) - 1]!
}

/** How the kept forecasts of a yard came out; nothing while there are fewer than ten. */
export const scoreOf = (scored: readonly Scored[]) => {
  if (scored.length < ENOUGH) return null
  const inside = scored.map(({ draws, came }) => insideShare(draws, came))
  const hits = inside.reduce((sum, one) => sum + one, 0)
  return {
    n: scored.length,
    inside: mean(inside),
    insideBetween: wilson(hits, scored.length),
    crpsDays: mean(scored.map(({ draws, came }) => crps(draws, came))),
    /** Above nought: it came later than the middle that was said. */
    middleOffDays: mean(scored.map(({ draws, came }) => came - middleOf(draws))),
  }
}
