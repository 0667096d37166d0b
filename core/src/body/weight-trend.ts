import { median, over, under } from '../arithmetic'
import { daysBetween, addDays, type Day } from '../answer'
import { weightShare } from './growth'

export type WeighedBy = 'scale' | 'adult' | 'yearling' | 'weanling'

export interface Weighed {
  readonly day: Day
  readonly kg: number
  readonly method: WeighedBy
}

const LOOKED_BACK_DAYS = 56
const LEAST_ROWS = 4
const LEAST_DAYS = 21
const DAYS_PER_MONTH = 30.4375
const NOTICEABLE_PERCENT = 4

/** What the same stretch of time adds to a growing horse, in percent of where it began. */
const expectedGrowth = (ageMonths: number | null, spanDays: number): number => {
  if (ageMonths === null) return 0
  const before = Math.max(0, ageMonths - spanDays / DAYS_PER_MONTH)
  return 100 * (weightShare(ageMonths) / weightShare(before) - 1)
}

/**
 * Whether a horse gains or loses, by the median of the slopes of all pairs (Theil 1950, Sen 1968), which one wrong tape does
 * not turn. Only weights of the newest one's method are compared: at a change of method every horse gains or loses.
 */
export const weightTrend = (rows: readonly Weighed[], ageMonths: number | null) => {
  const newest = rows.at(-1)!
  const since = addDays(newest.day, -LOOKED_BACK_DAYS)
  const same = rows.filter(({ day, method }) => method === newest.method && day >= since)
  const n = same.length
  const spanDays = daysBetween(same[0]!.day, newest.day)
  if (n < LEAST_ROWS || spanDays < LEAST_DAYS)
    return {
      n,
      spanDays,
      perWeekKg: null,
      changePercent: null,
      expectedPercent: null,
      says: 'too-few' as const,
    }
  const slopes = same.flatMap((to, j) =>
    same.slice(0, j).map((from) => (to.kg - from.kg) / daysBetween(from.day, to.day)),
  )
  const slope = median(slopes)
  const changePercent = (100 * slope * spanDays) / median(same.map(({ kg }) => kg))
  const expectedPercent = expectedGrowth(ageMonths, spanDays)
  const beside = changePercent - expectedPercent
  const says = !over(changePercent, -NOTICEABLE_PERCENT)
    ? ('losing' as const)
    : !over(beside, -NOTICEABLE_PERCENT)
      ? ('behind' as const)
      : !under(beside, NOTICEABLE_PERCENT)
        ? ('gaining' as const)
        : ('steady' as const)
  return { n, spanDays, perWeekKg: 7 * slope, changePercent, expectedPercent, says }
}
