import { addDays, count, daysBetween, type Day } from '../answer'
import type { Difference, Summary } from './summary'

/** Within so many days a day is told to the day, and beyond it to the week. */
const TO_THE_DAY = 31
const FEWEST_SHARE = 0.1
const HALF_YEAR_DAYS = 180

const mondayOf = (day: Day): Day => {
  const weekday = new Date(`${day}T00:00:00Z`).getUTCDay()
  return addDays(day, -((weekday + 6) % 7))
}

/** "2026-06-03", or beyond a month "the week of 2026-06-29". */
const roughly = (day: Day, today: Day): string =>
  daysBetween(today, day) <= TO_THE_DAY ? day : `the week of ${mondayOf(day)}`

const tenths = (share: number): string => `${Math.round(10 * share)} of 10`

interface Said {
  readonly today: Day
  readonly horizonDays: number
}

const rangeWords = ({ p10, p90 }: { readonly p10: number; readonly p90: number }): string =>
  p10 === p90 ? count(p10, 'work day') : `${p10} to ${count(p90, 'work day')}`

/** When a horse stands before its gate: always a range, never a day alone. */
export const forecastWords = (summary: Summary, { today, horizonDays }: Said): string => {
  const { p10, p50, p90, workDays, share } = summary
  const end = addDays(today, horizonDays)
  if (share.inHorizon < FEWEST_SHARE || p10 === null || workDays === null)
    return horizonDays === HALF_YEAR_DAYS
      ? 'Not within half a year as planned.'
      : `Not within ${count(horizonDays, 'day')} as planned.`
  if (p10 === p90)
    return `All but surely ${roughly(p10, today)} (8 of 10 such horses); ${rangeWords(workDays)}.`
  const until = p90 === null ? `later than ${end}` : roughly(p90, today)
  const middle = p50 === null ? '' : `, most likely about ${roughly(p50, today)}`
  const days = p90 === null ? `${workDays.p10} work days or more` : rangeWords(workDays)
  return `Between ${roughly(p10, today)} and ${until}${middle} (8 of 10 such horses); ${days}.`
}

/** How likely an owner's date is: "6 of 10 by 2026-08-01." */
export const byWords = (share: number, by: Day): string => `${tenths(share)} by ${by}.`

const days = (value: number): number => Math.round(Math.abs(value))

/** What a what-if changes, with its own range: "9 to 21 days sooner". */
export const differenceWords = ({ p10, p90 }: Difference): string => {
  if (days(p10) === 0 && days(p90) === 0) return 'no difference'
  if (p90 <= 0) return `${days(p90)} to ${count(days(p10), 'day')} sooner`
  if (p10 >= 0) return `${days(p10)} to ${count(days(p90), 'day')} later`
  return `from ${count(days(p10), 'day')} sooner to ${count(days(p90), 'day')} later`
}
