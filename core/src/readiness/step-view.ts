import type { Day, Side } from '../answer'
import { STATES, type State, type TrackView } from './judge'

/** The tracks of one step: left and right, or one without a side. */
export type Sides = readonly { readonly side: Side; readonly view: TrackView }[]

const worseState = (a: State, b: State): State => (STATES.indexOf(a) <= STATES.indexOf(b) ? a : b)

/** A step's state over its sides is the worse side's. */
export const stepState = (sides: Sides): State => sides.map(({ view }) => view.state).reduce(worseState)

export type SideGap =
  | { readonly kind: 'gap'; readonly value: number; readonly flagged: boolean }
  | { readonly kind: 'not-asked'; readonly sides: readonly Side[] }
  | null

const ENOUGH_A_SIDE = 4
const FLAGGED_GAP = 0.15
const DAYS_LOOKED_AT = 10

const lastDaysWorked = (sides: Sides): ReadonlySet<Day> => {
  const days = sides.flatMap(({ view }) => view.recentDays.map(({ day }) => day))
  return new Set([...new Set(days)].sort().slice(-DAYS_LOOKED_AT))
}

/**
 * Chance left less chance right, where both sides were asked enough in the last ten days the step was worked;
 * otherwise which side was not. `null` for a step without sides or without answers.
 */
export const sideGap = (sides: Sides): SideGap => {
  const left = sides.find(({ side }) => side === 'left')
  const right = sides.find(({ side }) => side === 'right')
  if (!left || !right || left.view.answers + right.view.answers === 0) return null
  const days = lastDaysWorked(sides)
  const asked = ({ view }: Sides[number]): number =>
    view.recentDays.filter(({ day }) => days.has(day)).reduce((sum, day) => sum + day.answers, 0)
  const short = [left, right].filter((side) => asked(side) < ENOUGH_A_SIDE)
  if (short.length > 0) return { kind: 'not-asked', sides: short.map(({ side }) => side) }
  const value = left.view.chance - right.view.chance
  return { kind: 'gap', value, flagged: Math.abs(value) >= FLAGGED_GAP }
}
