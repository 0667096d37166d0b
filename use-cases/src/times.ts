import { addDays, type Day } from '@still-pine/core/answer'

/** A horse lives no longer: nothing that was done with it lies further back. */
export const LONGEST_LIFE_YEARS = 40
const LONGEST_LIFE_DAYS = Math.round(LONGEST_LIFE_YEARS * 365.25)
const DAY_MS = 86_400_000

export interface Born {
  readonly name: string
  readonly born: Day | null
}

export const isLongAgo = (today: Day, day: Day): boolean => day < addDays(today, -LONGEST_LIFE_DAYS)

/** What is wrong with the day of something that is done with a horse, or nothing. */
export const dayFault = (today: Day, { name, born }: Born, day: Day): string | null => {
  if (day > addDays(today, 1)) return 'This day is still to come.'
  if (born !== null && day < born) return `This lies before ${name} was born (${born}).`
  return isLongAgo(today, day) ? `This lies more than ${LONGEST_LIFE_YEARS} years back.` : null
}

/** What is wrong with the day of something that has been done, or nothing. */
export const pastDayFault = (today: Day, horse: Born, day: Day): string | null =>
  day > today ? 'This day is still to come.' : dayFault(today, horse, day)

/** When something is taken in: the server's clock, and the yard's days. */
export interface Clock {
  readonly now: Date
  readonly today: Day
  readonly dayIn: (at: Date) => Day
}

/** What is wrong with the time of something, or nothing. */
export const timeFault = ({ now, today, dayIn }: Clock, horse: Born, at: Date): string | null => {
  if (Number.isNaN(at.getTime())) return 'This is no time that can be read.'
  if (at.getTime() - now.getTime() > DAY_MS)
    return 'This lies more than 24 hours ahead: set the clock of the phone, then send it again.'
  return dayFault(today, horse, dayIn(at))
}
