import { tz, TZDate } from '@date-fns/tz'
import { addDays, type Day } from '../../answer'

const MINUTE_MS = 60_000
const HOUR_MS = 60 * MINUTE_MS
const DAY_MS = 24 * HOUR_MS

/** Minutes by which the clocks of a zone are ahead of UTC at an instant. */
export const offsetAt = (zone: string, at: number): number => -new TZDate(at, zone).getTimezoneOffset()

/**
 * The instant of a time on a day by the clocks of a zone. A time that does not exist on the night of a change moves
 * forward by the gap; of one that is twice the first is meant.
 */
export const instantOf = (zone: string, day: Day, time: string): number => {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  const [hours, minutes] = time.split(':').map(Number) as [number, number]
  const asUtc = Date.UTC(year, month - 1, date, hours, minutes)
  // Offsets a day before and after hold on either side of whatever change there is.
  const [before, after] = [offsetAt(zone, asUtc - DAY_MS), offsetAt(zone, asUtc + DAY_MS)]
  const candidates = [before, after].map((offset) => asUtc - offset * MINUTE_MS)
  const exact = candidates.filter((at) => asUtc - offsetAt(zone, at) * MINUTE_MS === at)
  return exact.length > 0 ? Math.min(...exact) : asUtc - before * MINUTE_MS
}

/** A change of the clocks: from when, from how far ahead of UTC to how far, and what the zone is called then. */
export interface ClockChange {
  readonly at: number
  readonly from: number
  readonly to: number
  readonly name: string
}

const nameAt = (zone: string, at: number): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, timeZoneName: 'short' })
    .formatToParts(at)
    .find(({ type }) => type === 'timeZoneName')?.value ?? zone

/** The instant within a day at which the offset changes, to the minute. */
const changeIn = (zone: string, from: number, until: number): number => {
  let [low, high] = [from, until]
  while (high - low > MINUTE_MS) {
    const middle = low + Math.floor((high - low) / 2 / MINUTE_MS) * MINUTE_MS
    if (offsetAt(zone, middle) === offsetAt(zone, from)) low = middle
    else high = middle
  }
  return high
}

/** Every change of a zone's clocks from one day to another, as Intl has them. */
export const clockChanges = (zone: string, from: Day, until: Day): readonly ClockChange[] => {
  const changes: ClockChange[] = []
  const end = Date.parse(`${until}T00:00:00Z`)
  for (let at = Date.parse(`${from}T00:00:00Z`); at < end; at += DAY_MS) {
    const [before, after] = [offsetAt(zone, at), offsetAt(zone, at + DAY_MS)]
    if (before === after) continue
    const changed = changeIn(zone, at, at + DAY_MS)
    changes.push({ at: changed, from: before, to: after, name: nameAt(zone, changed) })
  }
  return changes
}

const two = (value: number): string => String(value).padStart(2, '0')

const offsetWords = (minutes: number): string =>
  `${minutes < 0 ? '-' : '+'}${two(Math.floor(Math.abs(minutes) / 60))}${two(Math.abs(minutes) % 60)}`

/** `YYYYMMDDTHHMMSS` by clocks that are so many minutes ahead of UTC. */
const localStamp = (at: number, offset: number): string =>
  new Date(at + offset * MINUTE_MS).toISOString().slice(0, 19).replace(/[-:]/g, '')

const observance = ({ at, from, to, name }: ClockChange): readonly string[] => {
  const kind = to > from ? 'DAYLIGHT' : 'STANDARD'
  return [
    `BEGIN:${kind}`,
    `DTSTART:${localStamp(at, from)}`,
    `TZOFFSETFROM:${offsetWords(from)}`,
    `TZOFFSETTO:${offsetWords(to)}`,
    `TZNAME:${name}`,
    `END:${kind}`,
  ]
}

/** A zone as its real changes over some years, with what held before the first of them (RFC 5545, 3.6.5). */
export const zoneBlock = (zone: string, from: Day, until: Day): string => {
  const start = Date.parse(`${from}T00:00:00Z`)
  const offset = offsetAt(zone, start)
  const held: ClockChange = { at: start, from: offset, to: offset, name: nameAt(zone, start) }
  return [
    'BEGIN:VTIMEZONE',
    `TZID:${zone}`,
    ...observance(held),
    ...clockChanges(zone, addDays(from, 1), until).flatMap(observance),
    'END:VTIMEZONE',
  ].join('\r\n')
}

/** The day and the time that the clocks of a zone show at an instant. */
export const clockAt = (zone: string, at: number): { readonly day: Day; readonly time: string } => {
  const local = new TZDate(at, zone)
  return {
    day: `${local.getFullYear()}-${two(local.getMonth() + 1)}-${two(local.getDate())}`,
    time: `${two(local.getHours())}:${two(local.getMinutes())}`,
  }
}

/** Whether Intl knows a zone by this name. */
export const isZone = (name: string): boolean => {
  try {
    return tz(name) !== undefined && new Intl.DateTimeFormat('en-GB', { timeZone: name }) !== undefined
  } catch {
    return false
  }
}
