import type { Day } from './answer'

const MS_A_DAY = 86_400_000

// Parts of a fixed width are read several times faster than a date is parsed.
const read = (day: Day): number =>
  Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10)))

const MOST_READ = 4_096
const midnights = new Map<Day, number>()

/** A Line asks a thousand times for the same few days, and a forecast a million times. */
const midnight = (day: Day): number => {
  const known = midnights.get(day)
  if (known !== undefined) return known
  if (midnights.size >= MOST_READ) midnights.clear()
  const found = read(day)
  midnights.set(day, found)
  return found
}

/** Whole days from one calendar day to another; negative when `to` is earlier. */
export const daysBetween = (from: Day, to: Day): number =>
  Math.round((midnight(to) - midnight(from)) / MS_A_DAY)

export const addDays = (day: Day, days: number): Day =>
  new Date(midnight(day) + days * MS_A_DAY).toISOString().slice(0, 10)

/** Whole months of age on a day; a month is full on the same day of the month. */
export const monthsOld = (born: Day, on: Day): number => {
  const [bornYear, bornMonth, bornDay] = born.split('-').map(Number) as [number, number, number]
  const [year, month, day] = on.split('-').map(Number) as [number, number, number]
  return (year - bornYear) * 12 + (month - bornMonth) - (day < bornDay ? 1 : 0)
}

/** A real calendar day written `YYYY-MM-DD`; the 30th of February is not one. */
export const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && addDays(text, 0) === text
