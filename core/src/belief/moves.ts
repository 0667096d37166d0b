import type { Kind } from '../answer'
import { CELL, GRID, POINTS, type Density } from './grid'
import type { Model, Normal } from './model'

/** Where one grid point's mass goes: `weights` laid on the points from `start` on. */
interface Row {
  readonly start: number
  readonly weights: Float64Array
}

/** The row of every source from which it fits on the grid. */
interface Shared {
  /** How far its first point lies from the source. */
  readonly from: number
  readonly weights: Float64Array
  /** The weights backwards: as a point meets the sources it gathers from. */
  readonly backwards: Float64Array
  /** The first and the last source. */
  readonly first: number
  readonly last: number
}

/** Where each grid point's mass goes. A row is worked out when some mass first leaves its point: most never have any. */
interface Move {
  readonly meanAt: (x: number) => number
  readonly sigma: number
  /** A move by the same amount everywhere has one row, but for the ends of the grid. */
  readonly shared: Shared | null
  readonly rows: (Row | undefined)[]
}

const REACH = 6

/** Mass this small changes no digit anyone sees; leaving it where it is saves most of the work. */
const NEGLIGIBLE = 1e-12

/**
 * Samples a Gaussian outwards from its centre. Neighbouring values of a Gaussian differ by a factor that itself
 * changes by a constant factor, so a row costs three exponentials however wide it is.
 */
const fillRow = (
  row: Float64Array,
  first: number,
  { mean, sigma }: { mean: number; sigma: number },
): void => {
  const shrink = Math.exp(-((CELL / sigma) ** 2))
  const centre = Math.min(row.length - 1, Math.max(0, Math.round((mean - GRID.lo) / CELL) - first))
  const distance = POINTS[first + centre]! - mean
  const peak = Math.exp(-0.5 * (distance / sigma) ** 2)
  row[centre] = peak
  for (const step of [1, -1]) {
    let factor = Math.exp(-(step * distance * CELL + CELL ** 2 / 2) / sigma ** 2)
    let value = peak
    for (let j = centre + step; j >= 0 && j < row.length; j += step) {
      value *= factor
      factor *= shrink
      row[j] = value
    }
  }
}

const makeMove = (meanAt: (x: number) => number, sd: number): Move => ({
  meanAt,
  shared: null,
  sigma: Math.max(sd, CELL / 2),
  rows: new Array<Row | undefined>(GRID.size).fill(undefined),
})

const MIDDLE = (GRID.size - 1) / 2

/** A move by the same amount everywhere has one row, the one in the middle of the grid. */
const makeShift = (by: number, sd: number): Move => {
  const move = makeMove((x) => x + by, sd)
  const { start, weights } = makeRow(move, MIDDLE)
  const from = start - MIDDLE
  return {
    ...move,
    shared: {
      from,
      weights,
      backwards: weights.slice().reverse(),
      first: Math.max(0, -from),
      last: GRID.size - weights.length - from,
    },
  }
}

const makeRow = (move: Move, i: number): Row => {
  const { meanAt, sigma } = move
  const mean = meanAt(POINTS[i]!)
  const lowest = Math.ceil((mean - REACH * sigma - GRID.lo) / CELL)
  const highest = Math.floor((mean + REACH * sigma - GRID.lo) / CELL)
  const start = Math.max(0, lowest)
  const last = Math.min(GRID.size - 1, highest)
  const weights = new Float64Array(last - start + 1)
  fillRow(weights, start, { mean, sigma })
  let sum = 0
  for (let j = 0; j < weights.length; j++) sum += weights[j]!
  for (let j = 0; j < weights.length; j++) weights[j]! /= sum
  return { start, weights }
}

/** Lays a point's mass along its row; four at a time runs twice as fast as one by one. */
const spread = (moved: Float64Array, { start, weights }: Row, mass: number): void => {
  const { length } = weights
  const whole = length - (length % 4)
  let at = start
  for (let j = 0; j < whole; j += 4, at += 4) {
    moved[at]! += mass * weights[j]!
    moved[at + 1]! += mass * weights[j + 1]!
    moved[at + 2]! += mass * weights[j + 2]!
    moved[at + 3]! += mass * weights[j + 3]!
  }
  for (let j = whole; j < length; j++, at++) moved[at]! += mass * weights[j]!
}

/** Room on either side of the sources, so that no end has to be looked for. */
const MARGIN = GRID.size
const sources = new Float64Array(GRID.size + 2 * MARGIN)

/**
 * Gathers what sources `first` to `last` send to each point by the row they share, four points at a time: each weight is
 * read once for four of them, which takes less than half the time of laying every source's row down.
 */
const gather = (
  moved: Float64Array,
  density: Density,
  { shared: { from, backwards }, first, last }: { shared: Shared; first: number; last: number },
): void => {
  if (first > last) return
  const { length } = backwards
  sources.fill(0, first + MARGIN - length, last + MARGIN + length + 4)
  sources.set(density.subarray(first, last + 1), first + MARGIN)
  for (let to = first + from; to < last + from + length; to += 4) {
    const start = to - from - length + 1 + MARGIN
    let a = 0
    let b = 0
    let c = 0
    let d = 0
    let x = sources[start]!
    let y = sources[start + 1]!
    let z = sources[start + 2]!
    for (let j = 0; j < length; j++) {
      const weight = backwards[j]!
      const next = sources[start + j + 3]!
      a += weight * x
      b += weight * y
      c += weight * z
      d += weight * next
      x = y
      y = z
      z = next
    }
    moved[to]! += a
    moved[to + 1]! += b
    moved[to + 2]! += c
    moved[to + 3]! += d
  }
}

/** The first and the last point with any mass to speak of. */
const support = (density: Density): readonly [first: number, last: number] => {
  let first = 0
  let last = GRID.size - 1
  while (first < last && density[first]! < NEGLIGIBLE) first++
  while (last > first && density[last]! < NEGLIGIBLE) last--
  return [first, last]
}

/** Lays down sources `first` to `last` one by one, each by its own row. */
const layDown = (
  moved: Float64Array,
  density: Density,
  { move, first, last }: { move: Move; first: number; last: number },
): void => {
  for (let i = first; i <= last; i++) spread(moved, (move.rows[i] ??= makeRow(move, i)), density[i]!)
}

const applyMove = (density: Density, move: Move): Density => {
  const moved = new Float64Array(GRID.size)
  const [first, last] = support(density)
  const { shared } = move
  if (shared === null) layDown(moved, density, { move, first, last })
  else {
    layDown(moved, density, { move, first, last: Math.min(last, shared.first - 1) })
    gather(moved, density, {
      shared,
      first: Math.max(first, shared.first),
      last: Math.min(last, shared.last),
    })
    layDown(moved, density, { move, first: Math.max(first, shared.last + 1), last })
  }
  return moved
}

const KEPT_MOVES = 256
const kept = new WeakMap<Model, Map<string, Move>>()

/** Tracks of one horse rest for the same few gaps, so the last moves are kept. */
const remembered = (model: Model, key: string, make: () => Move): Move => {
  const moves = kept.get(model) ?? new Map<string, Move>()
  kept.set(model, moves)
  const move = moves.get(key) ?? make()
  // The last one asked for stands last, so that the first is the one to let go.
  moves.delete(key)
  moves.set(key, move)
  if (moves.size > KEPT_MOVES) moves.delete(moves.keys().next().value!)
  return move
}

/** What one answer teaches: the ability moves up a little and becomes a little less certain. */
export const afterAnswer = (model: Model, density: Density, kind: Kind): Density => {
  const { mean, sd } = model.learning[kind]
  return applyMove(
    density,
    remembered(model, `learn ${mean} ${sd}`, () => makeShift(mean, sd)),
  )
}

/** Half-life in days of what was learnt over `daysWorked` days: spaced work lasts longer. */
export const halfLifeDays = (model: Model, daysWorked: number): number =>
  Math.min(model.halfLife.max, model.halfLife.base * (1 + model.halfLife.perDay * daysWorked))

/** The share of an ability's distance from the prior that is left after a rest. */
export const keptShare = (model: Model, days: number, daysWorked: number): number =>
  2 ** (-days / halfLifeDays(model, daysWorked))

/** A rest of some days: an Ornstein–Uhlenbeck step that drifts back to the prior. Nothing for 0 days. */
export const afterRest = (
  model: Model,
  density: Density,
  { prior, days, daysWorked }: { prior: Normal; days: number; daysWorked: number },
): Density => {
  if (days <= 0) return density
  const share = keptShare(model, days, daysWorked)
  const move = remembered(model, `rest ${prior.mean} ${prior.sd} ${share}`, () =>
    makeMove((x) => prior.mean + (x - prior.mean) * share, prior.sd * Math.sqrt(1 - share * share)),
  )
  return applyMove(density, move)
}
