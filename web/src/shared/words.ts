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

const DATE = new Intl.DateTimeFormat(undefined, {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
})
const SHORT = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', timeZone: 'UTC' })

const WITH_YEAR = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
})

/** A day that may lie years back. */
export const fullDay = (day: string): string => WITH_YEAR.format(new Date(`${day}T00:00:00Z`))

/** A sentence of the core with its days as a person reads them. */
export const withDays = (words: string): string => words.replace(/\b\d{4}-\d{2}-\d{2}\b/g, fullDay)

/** "Thursday 14 May", in the person's own language order. */
export const longDay = (day: string): string => DATE.format(new Date(`${day}T00:00:00Z`))
export const shortDay = (day: string): string => SHORT.format(new Date(`${day}T00:00:00Z`))

export const clock = (instant: string): string =>
  new Date(instant).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })

/** "3 years 1 month", from whole months. */
export const ageWords = (months: number): string => {
  const years = Math.floor(months / 12)
  const rest = months % 12
  const part = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`
  if (years === 0) return part(rest, 'month')
  return rest === 0 ? part(years, 'year') : `${part(years, 'year')} ${part(rest, 'month')}`
}
