import type { Normal } from './model'

/** Abilities run from −7 to 7 in 281 points. */
export const GRID = { lo: -7, hi: 7, size: 281 } as const

export const CELL = (GRID.hi - GRID.lo) / (GRID.size - 1)

/** Weights over the grid's points, adding up to 1. */
export type Density = Float64Array

export const POINTS: Float64Array = Float64Array.from({ length: GRID.size }, (_, i) => GRID.lo + i * CELL)

/** The normal density at the grid's points, normalised. */
export const gaussian = ({ mean, sd }: Normal): Density =>
  normalise(POINTS.map((x) => Math.exp(-0.5 * ((x - mean) / sd) ** 2)))

export const normalise = (weights: Float64Array): Density => {
  let sum = 0
  for (const weight of weights) sum += weight
  return weights.map((weight) => weight / sum)
}

/** Σ weight · value. */
export const expectation = (density: Density, values: Float64Array): number => {
  let sum = 0
  for (let i = 0; i < GRID.size; i++) sum += density[i]! * values[i]!
  return sum
}

export const meanOf = (density: Density): number => expectation(density, POINTS)

/** Mean and variance of a density. */
export const momentsOf = (density: Density): { readonly mean: number; readonly variance: number } => {
  let mean = 0
  let square = 0
  for (let i = 0; i < GRID.size; i++) {
    const x = POINTS[i]!
    const mass = density[i]! * x
    mean += mass
    square += mass * x
  }
  return { mean, variance: square - mean * mean }
}

/** The ability below which a share `q` of the mass lies, each point's mass spread evenly over its cell. */
export const quantile = (density: Density, q: number): number => {
  let below = 0
  for (let i = 0; i < GRID.size; i++) {
    const mass = density[i]!
    if (below + mass >= q && mass > 0) return POINTS[i]! - CELL / 2 + (CELL * (q - below)) / mass
    below += mass
  }
  return GRID.hi + CELL / 2
}
