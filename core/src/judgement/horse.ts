import type { Day } from '../answer'
import type { Model, OwnNumber } from './model'

/** What is known of a number: its mean and variance. */
export interface Estimate {
  readonly mean: number
  readonly variance: number
}

/**
 * A horse's own numbers as its answers so far tell them: talent, how able it starts a step; ease, how loose it starts;
 * speed, how much one ask teaches it at most. A value, never changed in place.
 */
export type OwnNumbers = Readonly<Record<OwnNumber, Estimate>>

/** A horse between two answers: its own numbers, and what was asked last. */
export interface HorseStanding extends OwnNumbers {
  readonly lastDay: Day | null
  /** The track asked last on that day, and how often in a row. */
  readonly burst: { readonly track: string; readonly asks: number }
}

const LEAST_VARIANCE = 0.001

const bounded = (model: Model, which: OwnNumber, { mean, variance }: Estimate): Estimate => {
  if (which !== 'speed') return { mean, variance: Math.max(LEAST_VARIANCE, variance) }
  const { least, most, leastSd } = model.speedBounds
  return { mean: Math.min(most, Math.max(least, mean)), variance: Math.max(leastSd ** 2, variance) }
}

const each = (make: (which: OwnNumber) => Estimate): OwnNumbers => ({
  talent: make('talent'),
  ease: make('ease'),
  speed: make('speed'),
})

/** A horse of which nothing is known. */
export const unknownHorse = (model: Model): HorseStanding => ({
  ...each((which) => ({ mean: model.own[which].mean, variance: model.own[which].sd ** 2 })),
  lastDay: null,
  burst: { track: '', asks: 0 },
})

/**
 * The horse as it is asked a track on a day: with each new day a little less is known of its own numbers, never less
 * than at first, and a burst goes on only where nothing else was asked between.
 */
export const askedOn = (
  model: Model,
  horse: HorseStanding,
  { track, day }: { track: string; day: Day },
): HorseStanding => {
  const goesOn = horse.lastDay === day && horse.burst.track === track
  const burst = { track, asks: goesOn ? horse.burst.asks + 1 : 1 }
  if (horse.lastDay === null || horse.lastDay === day) return { ...horse, lastDay: day, burst }
  const drifted = each((which) => {
    const { mean, variance } = horse[which]
    const most = Math.max(variance, model.own[which].sd ** 2)
    return { mean, variance: Math.min(most, variance + model.drift[which] ** 2) }
  })
  return { ...drifted, lastDay: day, burst }
}

/** How an answer moved what is believed of a track: its mean and variance before and after. */
export interface Moved {
  readonly was: Estimate
  readonly is: Estimate
}

/**
 * What the news of one track says of a number that varies together with it: the conditional mean and variance of a joint
 * Gaussian (any textbook; for example Bishop 2006, section 2.3.1).
 */
export const learntFrom = (
  model: Model,
  horse: OwnNumbers,
  { which, covariance, was, is }: Moved & { readonly which: OwnNumber; readonly covariance: number },
): Estimate => {
  const share = covariance / was.variance
  const { mean, variance } = horse[which]
  return bounded(model, which, {
    mean: mean + share * (is.mean - was.mean),
    variance: variance - share ** 2 * Math.max(0, was.variance - is.variance),
  })
}

/** What is left of a covariance when an answer has narrowed its track. */
export const narrowed = (covariance: number, { was, is }: Moved): number =>
  covariance * Math.min(1, is.variance / was.variance)
