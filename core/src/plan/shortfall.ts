import type { Model } from '../judgement'
import type { LearningLaw } from '../learning'
import type { Step } from '../program'
import { chancesAt, MEETS_CALM, needOf, WORK_CHANCE, type TrackView } from '../readiness'

/** Solid at its rung, or only met so that other steps open. */
export type Must = 'solid' | 'met'

/** What is assumed of how this horse answers and learns. */
export interface Learner {
  readonly model: Model
  readonly law: LearningLaw
}

/** What a track lacks of its goal, each told in ordinary work days. */
export interface Shortfall {
  readonly days: number
  readonly cold: number
  readonly ability: number
  readonly calm: number
  readonly places: number
}

/** The log-odds of a chance, kept finite. */
export const logit = (p: number): number => {
  const inside = Math.min(0.999, Math.max(0.001, p))
  return Math.log(inside / (1 - inside))
}

/** An ordinary day's asks on one side, and how much of the most they teach is taught on average. */
const ASKS_A_DAY = 6
const AVERAGE_SHARE = 0.45

/** What an ordinary day adds to the ability and to the calm. */
export const ordinaryGain = (law: LearningLaw): { readonly ability: number; readonly calm: number } => ({
  ability: law.speed * ASKS_A_DAY * AVERAGE_SHARE,
  calm: law.speed * law.calmShare * ASKS_A_DAY,
})

/** Places an ordinary day can prove. */
export const PLACES_A_DAY = 3

const coldMissing = ({ misses, lastCold }: TrackView): number =>
  misses.some(({ rule }) => rule === 'cold') ? (lastCold?.passed ? 1 : 2) : 0

/** What is missing between a track and its goal. */
export const shortfallOf = (
  { model, law }: Learner,
  step: Step,
  { view, rung, must }: { view: TrackView; rung: number; must: Must },
): Shortfall => {
  const { chance, low, calmChance } = chancesAt(view, rung)
  const gain = ordinaryGain(law)
  const gap = (wanted: number, is: number): number => Math.max(0, logit(wanted) - logit(is)) / model.slope
  if (must === 'met')
    return {
      days: view.hardest < rung ? 1 : 0,
      cold: 0,
      ability: gap(WORK_CHANCE, chance) / gain.ability,
      calm: gap(MEETS_CALM, calmChance) / gain.calm,
      places: 0,
    }
  const need = needOf(model, step)
  return {
    days: Math.max(0, model.solid[step.kind].days - view.daysWorked),
    cold: coldMissing(view),
    ability: Math.max(gap(need.chance, chance), gap(need.low, low)) / gain.ability,
    calm: gap(need.calm, calmChance) / gain.calm,
    places: (view.placesMissing.length + view.movingMissing) / PLACES_A_DAY,
  }
}

/** What is not the longest wait still counts a little: it may become it. */
const BESIDE = 0.25

/** A shortfall as one number of work days: its longest part, and a little of the others. */
export const inDays = ({ days, cold, ability, calm, places }: Shortfall): number => {
  const parts = [days, cold, ability, calm, places].map((part) => Math.max(0, part))
  const longest = Math.max(...parts)
  return longest + BESIDE * (parts.reduce((sum, part) => sum + part, 0) - longest)
}

export const daysShort = (
  learner: Learner,
  step: Step,
  { view, rung, must }: { view: TrackView; rung: number; must: Must },
): number => inDays(shortfallOf(learner, step, { view, rung, must }))
