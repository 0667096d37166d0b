import { CELL, GRID, POINTS, type Density } from './grid'
import type { Model } from './model'

/** A kernel reaches so many standard deviations. */
const REACH = 8

/** Mass this small changes no digit anyone sees; leaving it out saves most of the work. */
const NEGLIGIBLE = 1e-12

/** Points that are gathered, and weights that are read, at once. */
const AT_ONCE = 4

/** A Gaussian sampled on the grid, and how much of it lies beyond each distance from its middle. */
interface Kernel {
  /** Its middle is the weight of staying; behind them lie zeros, for they are read four at a time. */
  readonly weights: Float64Array
  /** `beyond[k]` is what reaches more than k points to one side. */
  readonly beyond: Float64Array
}

/** Out to 8 standard deviations, normalised. */
const kernelOf = (sd: number): Kernel => {
  const reach = Math.floor((REACH * sd) / CELL)
  const weights = new Float64Array(2 * reach + 1 + AT_ONCE)
  let sum = 1
  weights[reach] = 1
  for (let j = 1; j <= reach; j++) {
    const weight = Math.exp(-0.5 * ((j * CELL) / sd) ** 2)
    weights[reach - j] = weight
    weights[reach + j] = weight
    sum += 2 * weight
  }
  for (let j = 0; j <= 2 * reach; j++) weights[j]! /= sum
  const beyond = new Float64Array(reach + 1)
  for (let k = reach - 1; k >= 0; k--) beyond[k] = beyond[k + 1]! + weights[reach + k + 1]!
  return { weights, beyond }
}

const MOST_KERNELS = 512
const kernels = new Map<number, Kernel>()

/** Tracks of one horse rest for the same few gaps and learn by the same few spreads: the last kernels are at hand. */
const kernelFor = (sd: number): Kernel => {
  const known = kernels.get(sd)
  if (known) return known
  const kernel = kernelOf(sd)
  if (kernels.size >= MOST_KERNELS) kernels.clear()
  kernels.set(sd, kernel)
  return kernel
}

/** Room on either side of the grid for what is read at once beyond it. */
const MARGIN = 3 * AT_ONCE
/** The mass of a density where it has come to, and what a kernel then makes of it; both are written over by each move. */
const shifted = new Float64Array(GRID.size + 2 * MARGIN)
const gathered = new Float64Array(GRID.size + AT_ONCE)

const TOP = GRID.size - 1

/** Where the mass of each point goes: by `times` what the table says for it, and by `plus`. */
export interface Shift {
  readonly times: number
  readonly table: Float64Array
  readonly plus?: number
}

/** The first and the last point with any mass. */
interface Reach {
  readonly first: number
  readonly last: number
}

/** Moves each point's mass, shared between the two points beside where it comes to, or on the edge before it. */
const shift = (density: Density, { times, table, plus = 0 }: Shift): Reach => {
  shifted.fill(0)
  let first = TOP
  let last = 0
  for (let i = 0; i < GRID.size; i++) {
    const mass = density[i]!
    if (mass < NEGLIGIBLE) continue
    const to = i + (plus + times * table[i]!) / CELL
    const floor = Math.floor(to)
    const below = floor < 0 ? 0 : floor > TOP ? TOP : floor
    const above = floor < -1 ? 0 : floor >= TOP ? TOP : floor + 1
    const share = to - floor
    shifted[below + MARGIN]! += mass * (1 - share)
    shifted[above + MARGIN]! += mass * share
    if (below < first) first = below
    if (above > last) last = above
  }
  return { first, last }
}

/**
 * Spreads what was shifted by a kernel, inside the grid, and only from where there is mass. Four points are gathered by
 * four weights at a time, written out by hand: each number is read once for all of them, which takes half as long.
 */
const gather = ({ first, last }: Reach, { weights, beyond }: Kernel): Density => {
  const reach = beyond.length - 1
  gathered.fill(0)
  const end = Math.min(TOP, last + reach)
  for (let to = Math.max(0, first - reach); to <= end; to += AT_ONCE) {
    const from = Math.max(to - reach, first - AT_ONCE + 1)
    const until = Math.min(to + reach, last)
    let a = 0
    let b = 0
    let c = 0
    let d = 0
    let x0 = shifted[from + MARGIN]!
    let x1 = shifted[from + MARGIN + 1]!
    let x2 = shifted[from + MARGIN + 2]!
    for (let j = from; j <= until; j += AT_ONCE) {
      const w = j - to + reach
      const x = j + MARGIN
      const w0 = weights[w]!
      const w1 = weights[w + 1]!
      const w2 = weights[w + 2]!
      const w3 = weights[w + 3]!
      const x3 = shifted[x + 3]!
      const x4 = shifted[x + 4]!
      const x5 = shifted[x + 5]!
      const x6 = shifted[x + 6]!
      a += w0 * x0 + w1 * x1 + w2 * x2 + w3 * x3
      b += w0 * x1 + w1 * x2 + w2 * x3 + w3 * x4
      c += w0 * x2 + w1 * x3 + w2 * x4 + w3 * x5
      d += w0 * x3 + w1 * x4 + w2 * x5 + w3 * x6
      x0 = x4
      x1 = x5
      x2 = x6
    }
    gathered[to] = a
    gathered[to + 1] = b
    gathered[to + 2] = c
    gathered[to + 3] = d
  }
  return gathered.slice(0, GRID.size)
}

/** What a kernel carries over the edges of the grid stays on the edge points. */
const keepAtEdges = (moved: Density, { first, last }: Reach, beyond: Float64Array): void => {
  const reach = beyond.length - 1
  for (let i = first; i < reach && i <= last; i++) moved[0]! += shifted[i + MARGIN]! * beyond[i]!
  for (let i = last; TOP - i < reach && i >= first; i--)
    moved[TOP]! += shifted[i + MARGIN]! * beyond[TOP - i]!
}

/**
 * A move of a density: each point's mass goes where the shift says, and the whole is then spread by a Gaussian of `sd`, at
 * least half a cell. What leaves the grid stays on its edge points.
 */
export const move = (density: Density, by: Shift, sd: number): Density => {
  const kernel = kernelFor(Math.max(sd, CELL / 2))
  const reach = shift(density, by)
  const moved = gather(reach, kernel)
  keepAtEdges(moved, reach, kernel.beyond)
  return moved
}

/** Half-life in days of what was learnt over `daysWorked` days: spaced work lasts longer. */
export const halfLifeDays = (model: Model, daysWorked: number): number =>
  Math.min(model.halfLife.max, model.halfLife.base * (1 + model.halfLife.perDay * daysWorked))

/** The share of an ability's distance from its start that is left after a rest: 2^(−days / half-life). */
export const retention = (model: Model, days: number, daysWorked: number): number =>
  2 ** (-days / halfLifeDays(model, daysWorked))

/**
 * A rest: an Ornstein–Uhlenbeck step back to where the track started, and a small chance that a fright or a pain has
 * undone it altogether. `start` is the density it started from, `mean` and `sd` those of it.
 */
export const afterRest = (
  density: Density,
  share: number,
  { mean, sd, density: start, setBack }: { mean: number; sd: number; density: Density; setBack: number },
): Density => {
  const back = 1 - share
  const towards = { times: -back, table: POINTS, plus: mean * back }
  const worn = move(density, towards, sd * Math.sqrt(1 - share * share))
  for (let i = 0; i < GRID.size; i++) worn[i] = (1 - setBack) * worn[i]! + setBack * start[i]!
  return worn
}
