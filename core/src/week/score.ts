import { addDays } from '../answer'
import type { Visit, WeekAsked } from './asked'
import { gridOf } from './grid'
import { partAt } from './columns'
import { untouchedRuns, wantedOf } from './rules'
import { conditionsOn, fits, keepsBy, lateBy, misses, savedBy, undoneCosts, UNFAIR, UNTOUCHED } from './worth'

/** What a plan is worth, in work days, term by term. */
export interface Terms {
  readonly saved: number
  readonly unfair: number
  readonly untouched: number
  readonly due: number
  readonly wishes: number
  readonly keep: number
}

const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0)

/** The k-th missing visit costs so much times k less one. */
const unfairBy = (missing: number): number => -(UNFAIR * missing * (missing - 1)) / 2

/** What a list of visits is worth: counted from the visits, not read from a model. */
export const termsOf = (asked: WeekAsked, visits: readonly Visit[]): Terms => {
  const grid = gridOf(asked)
  const lastDay = grid.days.at(-1)!
  const workOf = (id: string): readonly Visit[] =>
    visits.filter(({ horse, due }) => horse === id && due === null)
  const horseOf = (id: string) => asked.horses.find((one) => one.id === id)!
  const saved = visits.map(({ option, horse, day }) =>
    option === null
      ? 0
      : savedBy(horseOf(horse).options[option]!.savedDays, horseOf(horse), grid.days.indexOf(day)),
  )
  const unfair = asked.horses.map((horse) =>
    unfairBy(Math.max(0, wantedOf(horse, grid.days) - workOf(horse.id).length)),
  )
  const untouched = asked.horses.flatMap((horse) => {
    const days = new Set(workOf(horse.id).map(({ day }) => grid.days.indexOf(day)))
    return untouchedRuns(asked, horse, grid.days)
      .filter((run) => !run.some((day) => days.has(day)))
      .map(() => -UNTOUCHED)
  })
  const due = asked.dues.map((one) => {
    const done = visits.find((visit) => visit.due === one.id)
    return done ? lateBy(one, done.day) : undoneCosts(one, { lastDay, dayAfter: addDays(lastDay, 1) })
  })
  const wishes = asked.wishes.map((wish) => {
    if (wish.weight === 'must') return 0
    const fitting = visits.filter((visit) => fits(wish.match, visit, conditionsOn(asked, visit.day))).length
    if (wish.kind === 'pin') return -wish.weight * Math.max(0, 1 - fitting)
    if (wish.kind === 'count')
      return (
        -wish.weight *
        (Math.max(0, (wish.least ?? 0) - fitting) + Math.max(0, fitting - (wish.most ?? Infinity)))
      )
    return -wish.weight * visits.filter((visit) => misses(wish, visit, conditionsOn(asked, visit.day))).length
  })
  const keep = visits.map((visit) => {
    const was = asked.previous.find(
      (one) => one.horse === visit.horse && one.day === visit.day && (one.due ?? null) === visit.due,
    )
    return keepsBy(was && { ...was, part: partAt(grid, was.start) }, visit)
  })
  return {
    saved: sum(saved),
    unfair: sum(unfair),
    untouched: sum(untouched),
    due: sum(due),
    wishes: sum(wishes),
    keep: sum(keep),
  }
}

export const worthOf = ({ saved, unfair, untouched, due, wishes, keep }: Terms): number =>
  saved + unfair + untouched + due + wishes + keep
