import { CELL, GRID, POINTS, type Density } from './grid'
import type { Model } from './model'

/** A kernel reaches so many standard deviations. */
const REACH = 8

/** Mass this small changes no digit anyone sees; leaving it out saves most of the work. */
const NEGLIGIBLE = 1e-12

/** A Gaussian sampled on the grid out to 8 standard deviations and normalised; its middle is 0. */
const kernelOf = (sd: number): Float64Array => {
  const reach = Math.floor((REACH * sd) / CELL)
  const kernel = new Float64Array(2 * reach + 1)
  let sum = 1
  kernel[reach] = 1
  for (let j = 1; j <= reach; j++) {
    const weight = Math.exp(-0.5 * ((j * CELL) / sd) ** 2)
    kernel[reach - j] = weight
    kernel[reach + j] = weight
    sum += 2 * weight
  }
  for (let j = 0; j < kernel.length; j++) kernel[j]! /= sum
  return kernel
}

const MOST_KERNELS = 512
const kernels = new Map<number, Float64Array>()

/** Tracks of one horse rest for the same few gaps and learn by the same few spreads: the last kernels are at hand. */
const kernelFor = (sd: number): Float64Array => {
  const known = kernels.get(sd)
  if (known) return known
  const kernel = kernelOf(sd)
  if (kernels.size >= MOST_KERNELS) kernels.clear()
  kernels.set(sd, kernel)
  return kernel
}

/** Room on either side of the grid for the widest kernel there can be, and for the four that are gathered at once. */
const MARGIN = 1024
const sources = new Float64Array(GRID.size + 2 * MARGIN)

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

/**
 * Spreads a density by a Gaussian of `sd` (at least half a cell); what leaves the grid stays on its edge point. Four
 * points are gathered at a time, so that each weight is read once for four of them.
 */
export const spread = (density: Density, sd: number): Density => {
  const kernel = kernelFor(Math.max(sd, CELL / 2))
  const { length } = kernel
  const reach = (length - 1) / 2
  const [first, last] = support(density)
  const moved = new Float64Array(GRID.size)
  sources.fill(0, first + MARGIN - length, last + MARGIN + length + 4)
  sources.set(density.subarray(first, last + 1), first + MARGIN)
  for (let to = first - reach; to <= last + reach; to += 4) {
    const start = to - reach + MARGIN
    let a = 0
    let b = 0
    let c = 0
    let d = 0
    let x = sources[start]!
    let y = sources[start + 1]!
    let z = sources[start + 2]!
    for (let j = 0; j < length; j++) {
      const weight = kernel[j]!
      const next = sources[start + j + 3]!
      a += weight * x
      b += weight * y
      c += weight * z
      d += weight * next
      x = y
      y = z
      z = next
    }
    addAt(moved, to, a)
    addAt(moved, to + 1, b)
    addAt(moved, to + 2, c)
    addAt(moved, to + 3, d)
  }
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
