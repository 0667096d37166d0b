import { addDays, count, daysBetween, type Day } from '../answer'
import type { Difference, Range, Summary } from './summary'

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

const notWithin = (horizonDays: number): string =>
  horizonDays === HALF_YEAR_DAYS
    ? 'not within half a year as planned'
    : `not within ${count(horizonDays, 'day')} as planned`

/** "between 2026-06-03 and the week of 2026-08-24, most likely about 2026-06-20 (8 of 10 such horses)" */
const rangeSaid = ({ p10, p50, p90 }: Range, { today, horizonDays }: Said): string => {
  if (p10 === null) return notWithin(horizonDays)
  if (p10 === p90) return `all but surely ${roughly(p10, today)} (8 of 10 such horses)`
  const until = p90 === null ? `later than ${addDays(today, horizonDays)}` : roughly(p90, today)
  const middle = p50 === null ? '' : `, most likely about ${roughly(p50, today)}`
  return `between ${roughly(p10, today)} and ${until}${middle} (8 of 10 such horses)`
}

const capital = (words: string): string => `${words[0]!.toUpperCase()}${words.slice(1)}`

/** When a horse stands before its gate: always a range, never a day alone. */
export const forecastWords = (summary: Summary, said: Said): string => {
  const { p90, workDays, share } = summary
  if (share.inHorizon < FEWEST_SHARE || summary.p10 === null || workDays === null)
    return `${capital(notWithin(said.horizonDays))}.`
  const days = p90 === null ? `${workDays.p10} work days or more` : rangeWords(workDays)
  return `${capital(rangeSaid(summary, said))}; ${days}.`
}

/** A forecast as it was kept: its days at 5, 10, … 95 of a hundred. */
export interface KeptForecast {
  readonly on: Day
  readonly horizonDays: number
  readonly days: readonly (number | null)[]
}

/** Which of the kept days are the tenth, the middle and the ninetieth of a hundred. */
const KEPT_AT = { p10: 1, p50: 9, p90: 17 } as const

/** What a kept forecast said of a gate, and when: "First time up, as reckoned on 2026-05-18: between …" */
export const keptWords = (gate: string, { on, horizonDays, days }: KeptForecast): string => {
  const dayAt = (at: number): Day | null => {
    const after = days[at] ?? null
    return after === null ? null : addDays(on, after)
  }
  const range = { p10: dayAt(KEPT_AT.p10), p50: dayAt(KEPT_AT.p50), p90: dayAt(KEPT_AT.p90) }
  return `${gate}, as reckoned on ${on}: ${rangeSaid(range, { today: on, horizonDays })}.`
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
