import type { Kind } from '../answer'

/** A normal distribution by its mean and standard deviation. */
export interface Normal {
  readonly mean: number
  readonly sd: number
}

/** What a step needs before it counts as sure: chance and its low end, and the calm chance. */
export interface Thresholds {
  readonly chance: number
  readonly low: number
  readonly calm: number
}

/**
 * The numbers of the readiness model, the product's own judgement and editable per yard. The form is the graded
 * response model (Samejima 1969) with an ability that walks at random between answers.
 */
export interface Model {
  readonly slope: number
  /** P(grade ≤ k) = 1 / (1 + exp(−slope (ability − gradeCuts[k] − difficulty))). */
  readonly gradeCuts: readonly [number, number, number, number]
  readonly calmCuts: readonly [number, number]
  /** Added difficulty for each rung above the required one. */
  readonly rungStep: number
  /** Added difficulty of the first answer of a day. */
  readonly cold: number
  readonly priorAbility: Normal
  readonly priorCalm: Normal
  readonly learning: Readonly<Record<Kind, Normal>>
  /** Half-life of what was learnt, in days: base · (1 + perDay · days worked), at most `max`. */
  readonly halfLife: { readonly base: number; readonly perDay: number; readonly max: number }
  readonly solid: Readonly<Record<Kind, Thresholds & { readonly days: number; readonly atRung: number }>>
}

export const STANDARD_MODEL: Model = {
  slope: 2,
  gradeCuts: [2.4, 0, -1.3, -2.6],
  calmCuts: [2.4, 0],
  rungStep: 0.7,
  cold: 0.4,
  priorAbility: { mean: -2.2, sd: 1.2 },
  priorCalm: { mean: -0.5, sd: 1.2 },
  learning: {
    ask: { mean: 0.06, sd: 0.15 },
    accept: { mean: 0.06, sd: 0.15 },
    hold: { mean: 0.15, sd: 0.15 },
  },
  halfLife: { base: 240, perDay: 0.5, max: 2920 },
  solid: {
    ask: { chance: 0.85, low: 0.7, calm: 0.8, days: 3, atRung: 4 },
    accept: { chance: 0.85, low: 0.7, calm: 0.8, days: 3, atRung: 4 },
    hold: { chance: 0.75, low: 0.5, calm: 0.8, days: 2, atRung: 2 },
  },
}

/** The need of a step a neck hangs on. */
export const NECK_NEED: Thresholds = { chance: 0.9, low: 0.75, calm: 0.85 }
