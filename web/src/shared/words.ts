import { count } from '@still-pine/core/answer'
import type { Verdict, State } from '@still-pine/core/readiness'

export const STATE_WORDS: Record<State, string> = {
  new: 'New',
  started: 'Started',
  slipped: 'Slipped',
  coming: 'Coming',
  rusty: 'Rusty',
  solid: 'Solid',
}

export const VERDICTS: Record<Verdict, string> = {
  go: 'Go',
  'check-first': 'Check first',
  'not-yet': 'Not yet',
  stop: 'Stop',
}

/** ", left" behind a name; nothing for a step without sides. */
export const sideAfter = (side: string): string => (side === 'none' ? '' : `, ${side}`)

/** The product is written in one language, and so are its days; a device's own would mix two on one page. */
const LANGUAGE = 'en-GB'

/** The yard's time zone, by which its days begin and its clock is told, whatever the device's own is. */
let yardZone: string | undefined

export const tellTimeOf = (zone: string): void => void (yardZone = zone)

/** The yard's zone, where this device keeps another time. */
export const otherZone = (zone: string): string | null => {
  const now = new Date()
  const at = (timeZone?: string): string => now.toLocaleTimeString(LANGUAGE, { timeZone })
  return at(zone) === at() ? null : zone
}

type Shape = 'plain' | 'short'

const SHAPES: Record<Shape, Intl.DateTimeFormatOptions> = {
  plain: { day: 'numeric', month: 'long' },
  short: { day: 'numeric', month: 'short' },
}

const formatOf = (shape: Shape, hasYear: boolean): Intl.DateTimeFormat =>
  new Intl.DateTimeFormat(LANGUAGE, {
    ...SHAPES[shape],
    ...(hasYear ? { year: 'numeric' } : {}),
    timeZone: 'UTC',
  })

const WITHOUT_YEAR = {
  plain: formatOf('plain', false),
  short: formatOf('short', false),
}
const WITH_YEAR = {
  plain: formatOf('plain', true),
  short: formatOf('short', true),
}

const WEEKDAY = new Intl.DateTimeFormat(LANGUAGE, { weekday: 'long', timeZone: 'UTC' })

const thisYear = (): string => new Date().toLocaleDateString('sv-SE', { timeZone: yardZone }).slice(0, 4)

const dayIn = (shape: Shape, day: string): string =>
  (day.startsWith(thisYear()) ? WITHOUT_YEAR : WITH_YEAR)[shape].format(new Date(`${day}T00:00:00Z`))

/** A day with its year, for what is read in years to come: on paper, in a report. */
export const fullDay = (day: string): string => WITH_YEAR.plain.format(new Date(`${day}T00:00:00Z`))

/** "14 May", with the year where it is not this one. */
export const plainDay = (day: string): string => dayIn('plain', day)

/** "Thursday 14 May", with the year where it is not this one. */
export const longDay = (day: string): string =>
  `${WEEKDAY.format(new Date(`${day}T00:00:00Z`))} ${dayIn('plain', day)}`

/** "14 May" in few letters. */
export const shortDay = (day: string): string => dayIn('short', day)

/** A sentence of the core with its days as a person reads them. */
export const withDays = (words: string): string => words.replace(/\b\d{4}-\d{2}-\d{2}\b/g, plainDay)

/** The day an instant falls on in the yard. */
export const dayOf = (instant: string): string =>
  new Date(instant).toLocaleDateString('sv-SE', { timeZone: yardZone })

/** "07:30" by the yard's clock. */
export const clock = (instant: string): string =>
  new Date(instant).toLocaleTimeString(LANGUAGE, { hour: '2-digit', minute: '2-digit', timeZone: yardZone })

/** "12,300". */
export const grouped = (n: number): string => n.toLocaleString(LANGUAGE)

/** "3 years 1 month", from whole months. */
export const ageWords = (months: number): string => {
  const years = Math.floor(months / 12)
  const rest = months % 12
  if (years === 0) return count(rest, 'month')
  return rest === 0 ? count(years, 'year') : `${count(years, 'year')} ${count(rest, 'month')}`
}
