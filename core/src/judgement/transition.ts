import { CELL, GRID, POINTS, type Density } from './grid'
import type { Model } from './model'

/** A kernel reaches so many standard deviations. */
const REACH = 8

/** Mass this small changes no digit anyone sees; leaving it out saves most of the work. */
const NEGLIGIBLE = 1e-12

/** A Gaussian sampled on the grid, and how much of it lies beyond each distance from its middle. */
interface Kernel {
  /** Its middle is the weight of staying. */
  readonly weights: Float64Array
  /** `beyond[k]` is what reaches more than k points to one side. */
  readonly beyond: Float64Array
}

/** Out to 8 standard deviations, normalised. */
const kernelOf = (sd: number): Kernel => {
  const reach = Math.floor((REACH * sd) / CELL)
  const weights = new Float64Array(2 * reach + 1)
  let sum = 1
  weights[reach] = 1
  for (let j = 1; j <= reach; j++) {
    const weight = Math.exp(-0.5 * ((j * CELL) / sd) ** 2)
    weights[reach - j] = weight
    weights[reach + j] = weight
    sum += 2 * weight
  }
  for (let j = 0; j < weights.length; j++) weights[j]! /= sum
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

/** Room on either side of the grid for the four points that are gathered at once. */
const MARGIN = 4
const sources = new Float64Array(GRID.size + 2 * MARGIN)
const gathered = new Float64Array(GRID.size + MARGIN)

/** The first and the last point with any mass to speak of. */
const support = (density: Density): readonly [first: number, last: number] => {
  let first = 0
  let last = GRID.size - 1
  while (first < last && density[first]! < NEGLIGIBLE) first++
  while (last > first && density[last]! < NEGLIGIBLE) last--
  return [first, last]
}

/** Adds to a grid point, or to the edge that lies before it. */
const addAt = (moved: Density, to: number, mass: number): void => {
  moved[to < 0 ? 0 : to >= GRID.size ? GRID.size - 1 : to]! += mass
}

/** What a kernel carries over the edges of the grid stays on the edge points. */
const keepAtEdges = (moved: Density, density: Density, beyond: Float64Array): void => {
  const [top, reach] = [GRID.size - 1, beyond.length - 1]
  for (let i = 0; i < reach && i <= top; i++) {
    moved[0]! += density[i]! * beyond[i]!
    moved[top]! += density[top - i]! * beyond[i]!
  }
}

/**
 * Spreads a density by a Gaussian of `sd` (at least half a cell); what leaves the grid stays on its edge point. Four
 * points are gathered at a time, so that each weight is read once for four of them, and only from where there is mass.
 */
export const spread = (density: Density, sd: number): Density => {
  const { weights, beyond } = kernelFor(Math.max(sd, CELL / 2))
  const reach = beyond.length - 1
  const [first, last] = support(density)
  gathered.fill(0)
  sources.fill(0)
  sources.set(density.subarray(first, last + 1), first + MARGIN)
  const end = Math.min(GRID.size - 1, last + reach)
  for (let to = Math.max(0, first - reach); to <= end; to += 4) {
    const from = Math.max(to - reach, first - 3)
    const until = Math.min(to + reach, last)
    let a = 0
    let b = 0
    let c = 0
    let d = 0
    let x = sources[from + MARGIN]!
    let y = sources[from + MARGIN + 1]!
    let z = sources[from + MARGIN + 2]!
    for (let j = from; j <= until; j++) {
      const weight = weights[j - to + reach]!
      const next = sources[j + MARGIN + 3]!
      a += weight * x
      b += weight * y
      c += weight * z
      d += weight * next
      x = y
      y = z
      z = next
    }
    gathered[to] = a
    gathered[to + 1] = b
    gathered[to + 2] = c
    gathered[to + 3] = d
  }
  const moved = gathered.slice(0, GRID.size)
  keepAtEdges(moved, density, beyond)
  return moved
}

/** Moves the mass of each point by what `by` says for it, shared between the two points beside where it comes to. */
export const shifted = (density: Density, by: (i: number) => number): Density => {
  const moved = new Float64Array(GRID.size)
  const [first, last] = support(density)
  for (let i = first; i <= last; i++) {
    const mass = density[i]!
    const to = i + by(i) / CELL
    const below = Math.floor(to)
    const share = to - below
    addAt(moved, below, mass * (1 - share))
    addAt(moved, below + 1, mass * share)
  }
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
  const worn = spread(
    shifted(density, (i) => (mean - POINTS[i]!) * (1 - share)),
    sd * Math.sqrt(1 - share * share),
  )
  for (let i = 0; i < GRID.size; i++) worn[i] = (1 - setBack) * worn[i]! + setBack * start[i]!
  return worn
}
