import { addDays, count, daysBetween, type Day } from '../answer'
import { loadDaysMost, wholeMonths } from '../body'

/** When a horse is worked from now on, as far as anybody plans. */
export interface WorkPlan {
  /** 1 is Monday. */
  readonly weekdays: readonly number[]
  readonly minutes: number
  /** Days on which somebody else is there; `null` for every one. */
  readonly helperWeekdays: readonly number[] | null
  readonly off: readonly { readonly from: Day; readonly until: Day }[]
  readonly loadDaysAWeek?: number | null
}

export interface PlannedDay {
  /** Days from the first. */
  readonly at: number
  readonly day: Day
  readonly load: boolean
  readonly helper: boolean
}

/** What stands in the way of a forecast at all, beside the plan. */
export interface Standing {
  readonly born: Day | null
  readonly block: string
  /** On hold, with no day on which that ends. */
  readonly heldWithoutEnd: boolean
  /** The gate has a least age. */
  readonly needsAge: boolean
  readonly loadDays: readonly Day[]
}

export type Planned =
  { readonly refused: string } | { readonly refused: null; readonly days: readonly PlannedDay[] }

const WEEK = 7
const UNKNOWN_LOAD_DAYS = 2
const SPARED_BELOW_MONTHS = 36
const SUNDAY = 7

const weekdayOf = (day: Day): number => new Date(`${day}T00:00:00Z`).getUTCDay() || SUNDAY

const monthsOn = (born: Day | null, day: Day): number | null =>
  born === null ? null : wholeMonths(born, day)

const allowedOn = (born: Day | null, day: Day): number => {
  const months = monthsOn(born, day)
  return months === null ? UNKNOWN_LOAD_DAYS : loadDaysMost(months)
}

const YEARS = ['no', 'one', 'two', 'three', 'four', 'five'] as const
const inWords = (value: number): string => YEARS[value] ?? String(value)

const againstAge = (born: Day | null, from: Day, wanted: number): string | null => {
  const allowed = allowedOn(born, from)
  if (wanted <= allowed) return null
  const months = monthsOn(born, from)
  const who = months === null ? 'A horse of unknown age' : `A horse of ${inWords(Math.floor(months / 12))}`
  return `${who} has ${inWords(allowed)} load ${allowed === 1 ? 'day' : 'days'} a week; ${inWords(wanted)} are not forecast.`
}

const refusalOf = (standing: Standing, plan: WorkPlan, from: Day): string | null => {
  if (standing.block === 'grow') return 'It is left to grow: nothing is forecast until it is worked again.'
  if (standing.block === 'rest') return 'It rests: nothing is forecast until it is worked again.'
  if (standing.heldWithoutEnd) return 'It is on a veterinary hold that has no end: the vet says when it ends.'
  if (standing.born === null && standing.needsAge)
    return 'Its age is not known, and this gate has a least age: enter it, then ask again.'
  if (plan.weekdays.length === 0) return 'No day of the week is planned.'
  return againstAge(standing.born, from, plan.loadDaysAWeek ?? 0)
}

/** Whether one more load day fits the seven that end on it, and the age of the horse. */
const fitsLoad = (
  standing: Standing,
  plan: WorkPlan,
  { day, loads }: { day: Day; loads: readonly Day[] },
): boolean => {
  const most = Math.min(allowedOn(standing.born, day), plan.loadDaysAWeek ?? Infinity)
  const inSeven = loads.filter((one) => one <= day && daysBetween(one, day) < WEEK).length
  const months = monthsOn(standing.born, day)
  const isSpared = months === null || months < SPARED_BELOW_MONTHS
  return inSeven < most && !(isSpared && loads.includes(addDays(day, -1)))
}

/**
 * The calendar of a forecast: the days on which it is worked, which of them may be load days (the earliest that its age
 * leaves, so that a birthday opens them as it comes) and on which somebody helps; or why nothing is forecast.
 */
export const plannedDays = (
  standing: Standing,
  plan: WorkPlan,
  { from, horizonDays }: { from: Day; horizonDays: number },
): Planned => {
  const refused = refusalOf(standing, plan, from)
  if (refused !== null) return { refused }
  const loads: Day[] = standing.loadDays.filter((day) => day < from)
  const days: PlannedDay[] = []
  for (let at = 0; at <= horizonDays; at++) {
    const day = addDays(from, at)
    const weekday = weekdayOf(day)
    if (!plan.weekdays.includes(weekday)) continue
    if (plan.off.some((one) => one.from <= day && day <= one.until)) continue
    const load = fitsLoad(standing, plan, { day, loads })
    if (load) loads.push(day)
    days.push({ at, day, load, helper: plan.helperWeekdays?.includes(weekday) ?? true })
  }
  return days.length === 0
    ? { refused: `No day of the next ${count(horizonDays, 'day')} is planned.` }
    : { refused: null, days }
}
