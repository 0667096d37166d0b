/** A variable of a linear model: what each unit of it is worth, and its bounds. */
export interface Variable {
  readonly worth: number
  readonly upper: number
  readonly isWhole: boolean
}

/** A row: the sum of its terms lies between two bounds; `null` for none. */
export interface Row {
  readonly least: number | null
  readonly most: number | null
  readonly terms: readonly (readonly [variable: number, coefficient: number])[]
}

/** What is to be made as big as it can be; every variable is 0 or more. */
export interface LinearModel {
  readonly variables: readonly Variable[]
  readonly rows: readonly Row[]
}

export interface SolveLimits {
  /** Share of the objective that may stay unproved. */
  readonly relativeGap: number
  readonly nodes: number
  readonly seconds: number
}

export interface Solution {
  readonly status: 'proved' | 'within the gap' | 'stopped' | 'infeasible'
  /** By variable; empty where there is none. */
  readonly values: readonly number[]
  readonly objective: number
  /** No solution is worth more than this. */
  readonly bound: number
}

/**
 * Solves a model; the same model, limits and start give the same solution unless the clock stopped it. `start` gives
 * values of the first variables to begin from; the rest of them are found.
 */
export type Solver = (model: LinearModel, limits: SolveLimits, start?: readonly number[]) => Solution
