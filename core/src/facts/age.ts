import { monthsOld, type Day } from '../answer'
import type { Facts } from './facts'

type Aged = Pick<Facts, 'born' | 'age'>

/** The age in whole months as far as it is known, from the papers or from an estimate; `null` where nothing is known. */
export const ageBounds = (
  { born, age }: Aged,
  on: Day,
): { readonly low: number; readonly high: number } | null => {
  if (born !== null) return { low: monthsOld(born, on), high: monthsOld(born, on) }
  if (!age) return null
  const since = monthsOld(age.on, on)
  return { low: age.lowMonths + since, high: age.highMonths + since }
}

/** Months it is at the least: what every least age is held against. `null` where nothing is known. */
export const monthsAtLeast = (facts: Aged, on: Day): number | null => ageBounds(facts, on)?.low ?? null

const MOST_LOAD_DAYS = 5
const TWO_YEAR_OLD_LOAD_DAYS = 2

/**
 * Load days a week: no more than it has years, five at most, a couple for a two-year-old, and as many for one whose age
 * nobody knows (common practice, no source).
 */
export const mostLoadDays = (facts: Aged, on: Day): number => {
  const months = monthsAtLeast(facts, on)
  if (months === null) return TWO_YEAR_OLD_LOAD_DAYS
  const years = Math.max(0, Math.floor(months / 12))
  return years <= 2 ? Math.min(years, TWO_YEAR_OLD_LOAD_DAYS) : Math.min(years, MOST_LOAD_DAYS)
}
