import { rungNeeded, sidesOf, stepsMeeting, type NeedRef, type Program, type Step } from '../program'

/**
 * How far along the path a horse is, as one number: every rung has a place on the path, and a horse that is worked to a
 * level holds what lies well below it, does not hold what lies well above, and is mixed around it. A discrete Bayes
 * filter over that level; the values are the product's own judgement.
 */
export interface Level {
  /** The weight of each level, from 0 steps of the path to all of them. */
  readonly weights: readonly number[]
}

/** Over how many steps a horse's own path is mixed. */
const SPREAD = 4

/** A step is learnt while this many later ones are begun. */
const IN_HAND = 4

/** A first ask misleads about so many times: a known step answered badly, an unknown one by chance well. */
const MISLEADS = 0.08

/** Where a rung lies on the path, in steps. */
export const placeOf = (program: Program, step: Step, rung: number): number =>
  program.steps.indexOf(step) + (IN_HAND * rung) / step.requiredRung

const heldAt = (level: number, place: number): number => 1 / (1 + Math.exp(-(level - place) / SPREAD))

export const anyLevel = (program: Program): Level => {
  const levels = program.steps.length + IN_HAND + 1
  return { weights: Array.from({ length: levels }, () => 1 / levels) }
}

/** The chance that a rung at this place is held. */
export const chanceHeld = ({ weights }: Level, place: number): number =>
  weights.reduce((sum, weight, level) => sum + weight * heldAt(level, place), 0)

const chanceOfPass = (level: number, place: number): number =>
  MISLEADS + (1 - 2 * MISLEADS) * heldAt(level, place)

/** The level after one first ask at this place; `weight` 0.5 for the second side, which is no independent word. */
export const levelAfter = ({ weights }: Level, place: number, passed: boolean, weight = 1): Level => {
  const raw = weights.map((before, level) => {
    const pass = chanceOfPass(level, place)
    return before * (passed ? pass : 1 - pass) ** weight
  })
  const total = raw.reduce((sum, one) => sum + one, 0)
  return { weights: raw.map((one) => one / total) }
}

/** The chance of a pass at this place. */
export const passChance = ({ weights }: Level, place: number): number =>
  weights.reduce((sum, weight, level) => sum + weight * chanceOfPass(level, place), 0)

/** The steps a need can be met by, with the place of the rung it wants. */
export const placesOfNeed = (
  program: Program,
  need: NeedRef,
): readonly { readonly step: Step; readonly rung: number; readonly place: number }[] =>
  stepsMeeting(program, need).map((step) => {
    const rung = rungNeeded(need, step)
    return { step, rung, place: placeOf(program, step, rung) }
  })

export const asksFor = (step: Step): number => sidesOf(step).length
