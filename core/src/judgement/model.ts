import type { Kind } from '../answer'
import { STANDARD_LAW, type LearningLaw } from '../learning'

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

/** The three numbers that are a horse's own, whatever step it is asked. */
export type OwnNumber = 'talent' | 'ease' | 'speed'

/**
 * The numbers of the readiness model, the product's own judgement and editable per yard. The form is the graded
 * response model (Samejima 1969) with an ability that moves between answers.
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
  /** Where a track starts in a horse without talent or ease: its mean, and how tracks of one horse differ. */
  readonly priorAbility: Normal
  readonly priorCalm: Normal
  /** What is known of a horse's own numbers before its first answer. */
  readonly own: Readonly<Record<OwnNumber, Normal>>
  /** How much less is known of each with every new day worked: standard deviations. */
  readonly drift: Readonly<Record<OwnNumber, number>>
  /** The means that speed may have, and how little it is ever in doubt. */
  readonly speedBounds: { readonly least: number; readonly most: number; readonly leastSd: number }
  /** The law of learning; its speed is each horse's own. */
  readonly law: LearningLaw
  /** How unevenly one ask teaches: the standard deviation of a gain. */
  readonly noise: number
  /** How probable it is that a rest undoes a track altogether. */
  readonly setBack: number
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
  priorAbility: { mean: -2.2, sd: 0.8 },
  priorCalm: { mean: -0.5, sd: 0.8 },
  own: {
    talent: { mean: 0, sd: 1.5 },
    ease: { mean: 0, sd: 1 },
    speed: { mean: STANDARD_LAW.speed, sd: 0.15 },
  },
  drift: { talent: 0.1, ease: 0.1, speed: 0.03 },
  speedBounds: { least: 0.1, most: 1, leastSd: 0.05 },
  law: STANDARD_LAW,
  noise: 0.15,
  setBack: 0.005,
  halfLife: { base: 240, perDay: 0.5, max: 2920 },
  solid: {
    ask: { chance: 0.85, low: 0.75, calm: 0.8, days: 3, atRung: 4 },
    accept: { chance: 0.85, low: 0.75, calm: 0.8, days: 3, atRung: 4 },
    hold: { chance: 0.75, low: 0.5, calm: 0.8, days: 2, atRung: 2 },
  },
}

/** The need of a step a neck hangs on. */
export const NECK_NEED: Thresholds = { chance: 0.9, low: 0.8, calm: 0.85 }
