import type { PlannedVisit } from '@still-pine/contract'
import { addDays, type Day } from '@still-pine/core/answer'
import { CARE_WORDS } from '../shared/entry-words'

/** What is done at a visit, in a word. */
const USE_WORDS: Readonly<Record<string, string>> = {
  loose: 'loose',
  ground: 'ground',
  lines: 'lines',
  mounting: 'getting up',
  ridden: 'ridden',
  loading: 'loading',
  tying: 'tying',
}

export const visitWord = ({ use, due }: Pick<PlannedVisit, 'use' | 'due'>): string =>
  due === null
    ? (USE_WORDS[use] ?? use)
    : (CARE_WORDS[due.split('/').at(-1) as keyof typeof CARE_WORDS] ?? use).toLowerCase()

const SUNDAY = 7

const weekdayOf = (day: Day): number => new Date(`${day}T00:00:00Z`).getUTCDay() || SUNDAY

/** The Monday of a day's week. */
export const mondayOf = (day: Day): Day => addDays(day, 1 - weekdayOf(day))

export const daysOfWeek = (firstDay: Day): readonly Day[] =>
  Array.from({ length: 7 }, (_, i) => addDays(firstDay, i))

const SHORT = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  timeZone: 'UTC',
})

/** "Mon 7 Dec" */
export const dayHead = (day: Day): string => SHORT.format(new Date(`${day}T00:00:00Z`)).replace(',', '')

/** "8:15" */
export const hour = (time: string): string => time.replace(/^0/, '')
