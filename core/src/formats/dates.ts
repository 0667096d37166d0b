import { TZDate } from '@date-fns/tz'
import { isDay, type Day } from '../answer'

/** How a file from elsewhere writes its days. */
export type DateStyle = 'year-first' | 'day-first' | 'month-first'

export const DATE_STYLES: Readonly<Record<DateStyle, string>> = {
  'year-first': 'year, month, day: 2026-05-14',
  'day-first': 'day, month, year: 14/05/2026',
  'month-first': 'month, day, year: 05/14/2026',
}

const YEAR_FIRST = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})/
const YEAR_LAST = /^(\d{1,2})[-./](\d{1,2})[-./](\d{4})/

const two = (text: string): string => text.padStart(2, '0')

/** The style all these dates can be read in; nothing where more than one can, or none. */
export const dateStyleOf = (texts: readonly string[]): DateStyle | null => {
  if (texts.length === 0) return null
  if (texts.every((text) => YEAR_FIRST.test(text))) return 'year-first'
  const parts = texts.map((text) => YEAR_LAST.exec(text))
  if (parts.some((part) => part === null)) return null
  const above12 = (index: 1 | 2): boolean => parts.some((part) => Number(part![index]) > 12)
  if (above12(1) === above12(2)) return null
  return above12(1) ? 'day-first' : 'month-first'
}

/** The day at the beginning of a text, in one style. */
const dayIn = (text: string, style: DateStyle): { day: Day; rest: string } | null => {
  const match = (style === 'year-first' ? YEAR_FIRST : YEAR_LAST).exec(text)
  if (!match) return null
  const [whole, a, b, c] = match as unknown as [string, string, string, string]
  const [year, month, day] =
    style === 'year-first' ? [a, b, c] : style === 'day-first' ? [c, b, a] : [c, a, b]
  const written = `${year}-${two(month)}-${two(day)}`
  return isDay(written) ? { day: written, rest: text.slice(whole.length).trim() } : null
}

const CLOCK = /^T?\s*(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*(am|pm)?$/i
const WITH_OFFSET = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}(:\d{2}([.,]\d+)?)?(Z|[+-]\d{2}:?\d{2})$/

const NOON = 12

/** A clock as hours, minutes and seconds; nothing written is noon. */
const clockIn = (text: string): readonly [number, number, number] | null => {
  if (text === '') return [NOON, 0, 0]
  const match = CLOCK.exec(text)
  if (!match) return null
  const [, hours, minutes, seconds = '0', half] = match
  const from12 = half ? (Number(hours) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : Number(hours)
  return from12 < 24 && Number(minutes) < 60 && Number(seconds) < 60
    ? [from12, Number(minutes), Number(seconds)]
    : null
}

/** The instant of a day, or a day and a clock, written in a style and meant in a time zone; ISO 8601 in UTC. */
export const instantIn = (text: string, style: DateStyle, timeZone: string): string | null => {
  const trimmed = text.trim()
  if (WITH_OFFSET.test(trimmed)) {
    const at = Date.parse(trimmed.replace(' ', 'T').replace(',', '.'))
    return Number.isNaN(at) || !isDay(trimmed.slice(0, 10)) ? null : new Date(at).toISOString()
  }
  const found = dayIn(trimmed, style)
  const clock = found && clockIn(found.rest)
  if (!found || !clock) return null
  const [year, month, day] = found.day.split('-').map(Number) as [number, number, number]
  return new Date(+new TZDate(year, month - 1, day, ...clock, timeZone)).toISOString()
}
