import { daysBetween, type Day } from '../answer'
import type { Due, DueKind, Match, Previous, WeekAsked, WeekHorse, Wish } from './asked'

/** Earlier is better by so much a day: rain and colds come. */
const LATER_COSTS = 0.01
/** For a horse's k-th wanted visit that is missing, so many work days times k less one. */
export const UNFAIR = 4
export const UNTOUCHED = 0.4
const DUE_WORTH: Readonly<Record<DueKind, number>> = { vet: 10, farrier: 6, saddle: 4, worming: 3, other: 2 }
const LATE_A_DAY = 0.5
const KEEP = { visit: 0.5, part: 0.15, lead: 0.25, place: 0.1 } as const

/** What a visit of an option is worth on a day of the week, from 0. */
export const savedBy = (savedDays: number, { urgency }: WeekHorse, day: number): number =>
  savedDays * urgency * (1 - LATER_COSTS * day)

/** What a due visit costs on a day. */
export const lateBy = ({ dueDay }: Due, day: Day): number =>
  -LATE_A_DAY * Math.max(0, daysBetween(dueDay, day))

/** What it costs to leave one undone that is due this week, as if it were done on the day after it. */
export const undoneCosts = (due: Due, { lastDay, dayAfter }: { lastDay: Day; dayAfter: Day }): number =>
  due.dueDay > lastDay ? 0 : -DUE_WORTH[due.kind] + lateBy(due, dayAfter)

/** A visit as wishes and the plan before see it. */
export interface Told {
  readonly horse: string
  readonly day: Day
  readonly part: string
  readonly due: string | null
  readonly use: string
  readonly lead: string
  readonly helper: string | null
  readonly place: string
}

/** Whether a visit fits; without uses a match speaks of work, not of the farrier. */
export const fits = (match: Match, told: Told, conditions: readonly string[]): boolean => {
  const has = (list: readonly string[] | undefined, ...values: readonly (string | null)[]): boolean =>
    list === undefined || values.some((value) => value !== null && list.includes(value))
  return (
    (match.uses === undefined ? told.due === null : match.uses.includes(told.use)) &&
    has(match.horses, told.horse) &&
    has(match.days, told.day) &&
    has(match.parts, told.part) &&
    has(match.leads, told.lead) &&
    has(match.helpers, told.helper) &&
    has(match.people, told.lead, told.helper) &&
    has(match.places, told.place) &&
    has(match.conditions, ...conditions)
  )
}

export const conditionsOn = ({ conditions }: Pick<WeekAsked, 'conditions'>, day: Day): readonly string[] =>
  conditions[day] ?? []

/** Whether one visit by itself misses a wish to avoid or to do only so. */
export const misses = (wish: Wish, told: Told, conditions: readonly string[]): boolean =>
  wish.kind === 'avoid'
    ? fits(wish.match, told, conditions)
    : wish.kind === 'only'
      ? fits(wish.match, told, conditions) &&
        !fits({ ...wish.then, uses: wish.then.uses ?? [told.use] }, told, conditions)
      : false

/** What keeping a visit where it was is worth; `was` is the visit before of the same horse, day and due. */
export const keepsBy = (
  was: (Previous & { readonly part: string | null }) | undefined,
  told: Told,
): number =>
  was === undefined
    ? 0
    : KEEP.visit +
      (was.part === told.part ? KEEP.part : 0) +
      (was.lead === told.lead ? KEEP.lead : 0) +
      (was.place === told.place ? KEEP.place : 0)
