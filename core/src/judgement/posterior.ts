import { daysBetween, isHalfWeight, isTight, type Answer, type Day, type Kind } from '../answer'
import { expectation, gaussian, GRID, meanOf, POINTS, quantile, type Density } from './grid'
import { learntFrom, narrowed, type HorseStanding, type Moved } from './horse'
import { difficulty, gradeAtMost, tablesFor, type Tables } from './likelihood'
import type { Model, Normal, OwnNumber } from './model'
import { afterRest, move, retention } from './transition'

/** Where a track started: it rests back towards this. */
export interface Start {
  readonly ability: Normal
  readonly calm: Normal
}

/** What is believed of one track after its answers so far; a value, never changed in place. */
export interface Belief {
  readonly ability: Density
  readonly calm: Density
  readonly start: Start
  /** How the track varies together with the horse's own numbers: ability with talent and speed, calm with ease. */
  readonly covariance: Readonly<Record<OwnNumber, number>>
  /** Sum over the answers of log P(grade), half for a by-chance or recalled one; calm is not in it. */
  readonly logLikelihood: number
  readonly lastDay: Day | null
  readonly daysWorked: number
}

/** What the filter must know of a step. */
export interface StepShape {
  readonly kind: Kind
  readonly requiredRung: number
}

/** Where any track of this horse starts, before anything carries over. */
export const startOf = (model: Model, { talent, ease }: HorseStanding): Start => ({
  ability: {
    mean: model.priorAbility.mean + talent.mean,
    sd: Math.sqrt(model.priorAbility.sd ** 2 + talent.variance),
  },
  calm: {
    mean: model.priorCalm.mean + ease.mean,
    sd: Math.sqrt(model.priorCalm.sd ** 2 + ease.variance),
  },
})

/** The belief before any answer; `mean` differs from the horse's own start where other steps carry over. */
export const freshBelief = (model: Model, horse: HorseStanding, mean?: number): Belief => {
  const own = startOf(model, horse)
  const start = mean === undefined ? own : { ...own, ability: { ...own.ability, mean } }
  return {
    ability: gaussian(start.ability),
    calm: gaussian(start.calm),
    start,
    covariance: { talent: horse.talent.variance, speed: 0, ease: horse.ease.variance },
    logLikelihood: 0,
    lastDay: null,
    daysWorked: 0,
  }
}

interface Rested {
  readonly model: Model
  readonly day: Day
  readonly belief: Belief
}

/** A day's judgement asks for the same rest several times over; the last one of each belief is kept. */
const lastRest = new WeakMap<Belief, Rested>()

const startDensities = new WeakMap<Normal, Density>()

/** A track keeps its start for good, and each rest asks for it. */
const startDensity = (start: Normal): Density => {
  const density = startDensities.get(start) ?? gaussian(start)
  startDensities.set(start, density)
  return density
}

const rest = (model: Model, belief: Belief, days: number): Belief => {
  const share = retention(model, days, belief.daysWorked)
  const worn = (density: Density, start: Normal): Density =>
    afterRest(density, share, { ...start, density: startDensity(start), setBack: model.setBack })
  const { talent, speed, ease } = belief.covariance
  return {
    ...belief,
    ability: worn(belief.ability, belief.start.ability),
    calm: worn(belief.calm, belief.start.calm),
    covariance: { talent: talent * share, speed: speed * share, ease: ease * share },
  }
}

/** The belief after resting from its last day worked to `day`; unchanged when it was never worked. */
export const restedTo = (model: Model, belief: Belief, day: Day): Belief => {
  if (belief.lastDay === null) return belief
  const days = daysBetween(belief.lastDay, day)
  if (days <= 0) return belief
  const known = lastRest.get(belief)
  if (known?.day === day && known.model === model) return known.belief
  const rested = rest(model, belief, days)
  lastRest.set(belief, { model, day, belief: rested })
  return rested
}

interface Weighed extends Moved {
  readonly density: Density
  /** Σ weight · likelihood, never raised to a power: how likely the answer was. */
  readonly evidence: number
}

/** Mass this small changes no digit anyone sees. */
const NEGLIGIBLE = 1e-14

/** Bayes' rule at every point; an answer of half weight raises its likelihood to the power 0.5. */
const weighed = (density: Density, likelihood: Float64Array, half: boolean): Weighed => {
  const after = new Float64Array(GRID.size)
  let evidence = 0
  let meanWas = 0
  let squareWas = 0
  let sum = 0
  let meanIs = 0
  let squareIs = 0
  for (let i = 0; i < GRID.size; i++) {
    const weight = density[i]!
    if (weight < NEGLIGIBLE) continue
    const x = POINTS[i]!
    const whole = weight * likelihood[i]!
    const counted = half ? weight * Math.sqrt(likelihood[i]!) : whole
    evidence += whole
    meanWas += weight * x
    squareWas += weight * x * x
    sum += counted
    meanIs += counted * x
    squareIs += counted * x * x
    after[i] = counted
  }
  const scale = 1 / sum
  for (let i = 0; i < GRID.size; i++) after[i]! *= scale
  meanIs *= scale
  return {
    density: after,
    evidence,
    was: { mean: meanWas, variance: squareWas - meanWas ** 2 },
    is: { mean: meanIs, variance: squareIs * scale - meanIs ** 2 },
  }
}

/** The share of a density on its lowest points. */
const massBelow = (density: Density, points: number): number => {
  let mass = 0
  for (let i = 0; i < points; i++) mass += density[i]!
  return mass
}

interface Given {
  readonly answer: Answer
  readonly tables: Tables
  readonly half: boolean
}

/** Track and horse, which an answer changes together. */
export interface TrackOfHorse {
  readonly belief: Belief
  readonly horse: HorseStanding
}

/** What the grade says, and what the ask has taught; `tooBig` is how probable it is that it was too big an ask. */
const withGrade = (
  model: Model,
  { belief, horse }: TrackOfHorse,
  { answer, tables, half }: Given,
): TrackOfHorse & { readonly tooBig: number } => {
  const { density, evidence, ...moved } = weighed(belief.ability, tables.grade[answer.grade]!, half)
  const { covariance } = belief
  const talent = learntFrom(model, horse, { which: 'talent', covariance: covariance.talent, ...moved })
  const speed = learntFrom(model, horse, { which: 'speed', covariance: covariance.speed, ...moved })
  const withSpeed = narrowed(covariance.speed, moved)

  const scale = model.law.tiring ** (horse.burst.asks - 1) * (isTight(answer.calm) ? model.law.tightShare : 1)
  const unit = scale * expectation(density, tables.unitGain)
  const doubt = Math.max(0, 2 * unit * withSpeed + unit ** 2 * speed.variance)
  const learnt = { times: speed.mean * scale, table: tables.unitGain }
  return {
    belief: {
      ...belief,
      ability: move(density, learnt, Math.sqrt(model.noise ** 2 + doubt)),
      covariance: {
        talent: narrowed(covariance.talent, moved),
        speed: withSpeed + unit * speed.variance,
        ease: covariance.ease,
      },
      logLikelihood: belief.logLikelihood + (half ? 0.5 : 1) * Math.log(evidence),
    },
    horse: { ...horse, talent, speed },
    tooBig: massBelow(density, tables.tooBig),
  }
}

/** What the calm says, and what the ask has done to it. */
const withCalm = (
  model: Model,
  { belief, horse, tooBig }: TrackOfHorse & { readonly tooBig: number },
  { answer, tables, half }: Given,
): TrackOfHorse => {
  if (answer.calm === null) return { belief, horse }
  const { density, ...moved } = weighed(belief.calm, tables.calm[answer.calm]!, half)
  const { covariance } = belief
  const ease = learntFrom(model, horse, { which: 'ease', covariance: covariance.ease, ...moved })
  const eased = isTight(answer.calm) ? 0 : (1 - tooBig) * horse.speed.mean * model.law.calmShare
  const by = eased - model.law.worry * tooBig
  return {
    belief: {
      ...belief,
      calm: move(density, { times: 0, table: POINTS, plus: by }, model.noise),
      covariance: { ...covariance, ease: narrowed(covariance.ease, moved) },
    },
    horse: { ...horse, ease },
  }
}

/**
 * Track and horse after one more answer, with the track's rest before it when it opens a new day. `horse` must stand as
 * it is asked (see `askedOn`).
 */
export const withAnswer = (
  model: Model,
  step: StepShape,
  { belief, horse, answer }: TrackOfHorse & { readonly answer: Answer },
): TrackOfHorse => {
  const cold = belief.lastDay !== answer.day
  const before = cold ? restedTo(model, belief, answer.day) : belief
  const tables = tablesFor(model, difficulty(model, answer.rung, { requiredRung: step.requiredRung, cold }))
  const given = { answer, tables, half: isHalfWeight(answer) }
  const opened = { ...before, lastDay: answer.day, daysWorked: before.daysWorked + (cold ? 1 : 0) }
  return withCalm(model, withGrade(model, { belief: opened, horse }, given), given)
}

/** The chances of the next cold ask at one rung. */
export interface Chances {
  /** That it is answered light or on the thought. */
  readonly chance: number
  /** The same at the 10th and the 90th percentile of the ability. */
  readonly low: number
  readonly high: number
  /** That it is not tight. */
  readonly calmChance: number
}

const coldTables = (model: Model, { requiredRung }: StepShape, rung: number): Tables =>
  tablesFor(model, difficulty(model, rung, { requiredRung, cold: true }))

/** The chance that a first ask of the day at `rung` is answered light; the belief must already be rested to that day. */
export const lightChance = (
  model: Model,
  step: StepShape,
  { rested, rung }: { rested: Belief; rung: number },
): number => expectation(rested.ability, coldTables(model, step, rung).light)

/** The chance that such an ask is not answered tight. */
export const notTightChance = (
  model: Model,
  step: StepShape,
  { rested, rung }: { rested: Belief; rung: number },
): number => expectation(rested.calm, coldTables(model, step, rung).notTight)

/** The chances of a first ask of the day at `rung`; the belief must already be rested to that day. */
export const coldChances = (
  model: Model,
  step: StepShape,
  { rested, rung }: { rested: Belief; rung: number },
): Chances => {
  const hardness = difficulty(model, rung, { requiredRung: step.requiredRung, cold: true })
  return {
    chance: lightChance(model, step, { rested, rung }),
    low: gradeAtMost(model, 1, { ability: quantile(rested.ability, 0.1), hardness }),
    high: gradeAtMost(model, 1, { ability: quantile(rested.ability, 0.9), hardness }),
    calmChance: notTightChance(model, step, { rested, rung }),
  }
}

export const meanAbility = (belief: Belief): number => meanOf(belief.ability)
