import ICAL from 'ical.js'
import { addDays, type Day } from '../../answer'
import { clockAt, instantOf, isZone } from './zone'

/** A stretch in which somebody is not to be had: no more of it is kept than that. */
export interface Busy {
  readonly day: Day
  readonly from: string
  readonly to: string
}

export interface BusyRead {
  readonly busy: readonly Busy[]
  /** What was left out, and why. */
  readonly leftOut: readonly string[]
}

/** Why nothing of a file is kept. */
export class CalendarRefused extends Error {}

const WEEKS = 8
const MOST_OCCURRENCES = 10_000
/** A repetition from long ago, every second of it. */
const MOST_LOOKED = 200_000
const MOST_BYTES = 5_000_000
const MINUTE_MS = 60_000
const END_OF_DAY = '24:00'

interface Reading {
  /** The yard's zone: of times that float, and of whole days. */
  readonly zone: string
  readonly from: Day
  readonly until: Day
}

const plainDay = (time: ICAL.Time): Day =>
  `${String(time.year).padStart(4, '0')}-${String(time.month).padStart(2, '0')}-${String(time.day).padStart(2, '0')}`

const plainTime = (time: ICAL.Time): string =>
  `${String(time.hour).padStart(2, '0')}:${String(time.minute).padStart(2, '0')}`

/** The instant of a time of the file: by its own zone, by Intl where the file only names it, by the yard's where it floats. */
const instantIn = (time: ICAL.Time, tzid: string | null, zone: string): number => {
  if (time.isDate) return instantOf(zone, plainDay(time), '00:00')
  const isKnown = time.zone && time.zone !== ICAL.Timezone.localTimezone
  if (isKnown) return time.toUnixTime() * 1000
  return instantOf(tzid ?? zone, plainDay(time), plainTime(time))
}

/** A stretch as busy times of each day that it touches, by the yard's clocks. */
const daysOf = (start: number, end: number, zone: string): readonly Busy[] => {
  const stretches: Busy[] = []
  const [first, last] = [clockAt(zone, start), clockAt(zone, end - 1)]
  const ends = clockAt(zone, end)
  for (let day = first.day; day <= last.day; day = addDays(day, 1))
    stretches.push({
      day,
      from: day === first.day ? first.time : '00:00',
      to: day === ends.day ? ends.time : END_OF_DAY,
    })
  return stretches
}

const textOf = (component: ICAL.Component, name: string): string =>
  String(component.getFirstPropertyValue(name) ?? '').toUpperCase()

/** The zone that a file names and does not hold, or `undefined` where nobody knows it. */
const namedZone = (component: ICAL.Component, known: ReadonlySet<string>): string | null | undefined => {
  const tzid = component.getFirstProperty('dtstart')?.getParameter('tzid')
  if (typeof tzid !== 'string' || known.has(tzid)) return null
  return isZone(tzid) ? tzid : undefined
}

class Reader {
  readonly busy: Busy[] = []
  readonly leftOut: string[] = []
  private seen = 0
  private looked = 0
  private readonly begins: number
  private readonly ends: number

  constructor(private readonly reading: Reading) {
    this.begins = instantOf(reading.zone, reading.from, '00:00')
    this.ends = instantOf(reading.zone, reading.until, '00:00')
  }

  add(start: number, end: number): void {
    if (end <= start || end <= this.begins || start >= this.ends) return
    const within = daysOf(Math.max(start, this.begins), Math.min(end, this.ends), this.reading.zone)
    this.busy.push(...within)
  }

  /** Those that are over by the first day are gone through, and not counted. */
  private count(end: number): void {
    if (++this.looked > MOST_LOOKED || (end > this.begins && ++this.seen > MOST_OCCURRENCES))
      throw new CalendarRefused(`More than ${MOST_OCCURRENCES} times are in it: nothing of it was kept.`)
  }

  event(component: ICAL.Component, zones: ReadonlySet<string>): void {
    if (textOf(component, 'status') === 'CANCELLED' || textOf(component, 'transp') === 'TRANSPARENT') return
    const event = new ICAL.Event(component)
    if (!component.getFirstProperty('dtstart')) return
    const tzid = namedZone(component, zones)
    if (tzid === undefined) {
      this.leftOut.push(`“${event.summary || 'Without a name'}”: its time zone is not known here.`)
      return
    }
    const at = (time: ICAL.Time): number => instantIn(time, tzid, this.reading.zone)
    if (!event.isRecurring()) {
      this.count(at(event.endDate))
      this.add(at(event.startDate), at(event.endDate))
      return
    }
    const occurrences = event.iterator()
    for (let next = occurrences.next(); next; next = occurrences.next()) {
      const { startDate, endDate, item } = event.getOccurrenceDetails(next)
      this.count(at(endDate))
      if (at(startDate) >= this.ends && !event.isRecurrenceException()) return
      if (textOf(item.component, 'status') === 'CANCELLED') continue
      this.add(at(startDate), at(endDate))
    }
  }

  freeBusy(component: ICAL.Component): void {
    for (const property of component.getAllProperties('freebusy')) {
      if (String(property.getParameter('fbtype') ?? 'BUSY').toUpperCase() === 'FREE') continue
      for (const period of property.getValues() as ICAL.Period[]) {
        const [start, end] = [period.start, period.getEnd()].map((time) =>
          instantIn(time, null, this.reading.zone),
        ) as [number, number]
        this.count(end)
        this.add(start, end)
      }
    }
  }
}

const merged = (busy: readonly Busy[]): readonly Busy[] => {
  const all = busy.toSorted((a, b) => a.day.localeCompare(b.day) || a.from.localeCompare(b.from))
  const joined: Busy[] = []
  for (const one of all) {
    const last = joined.at(-1)
    if (last?.day === one.day && one.from <= last.to)
      joined[joined.length - 1] = { ...last, to: one.to > last.to ? one.to : last.to }
    else joined.push(one)
  }
  return joined
}

const calendarIn = (text: string): ICAL.Component => {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]])
    if (calendar.name === 'vcalendar') return calendar
  } catch {
    // Said below, whatever is wrong with it.
  }
  throw new CalendarRefused('This is not an iCalendar file: nothing of it was kept.')
}

/**
 * Busy times of an iCalendar file over the next eight weeks, with its repetitions, exceptions and zones; overlapping ones
 * are one. Whole days and times without a zone are the yard's. Throws `CalendarRefused` where nothing of it is kept.
 */
export const busyIn = (text: string, { zone, from }: Pick<Reading, 'zone' | 'from'>): BusyRead => {
  if (new TextEncoder().encode(text).length > MOST_BYTES)
    throw new CalendarRefused('It is over 5 MB: nothing of it was kept.')
  const calendar = calendarIn(text)
  const zones = new Set<string>(['UTC'])
  for (const block of calendar.getAllSubcomponents('vtimezone')) {
    const one = new ICAL.Timezone(block)
    zones.add(one.tzid)
    ICAL.TimezoneService.register(block)
  }
  const reader = new Reader({ zone, from, until: addDays(from, 7 * WEEKS) })
  for (const component of calendar.getAllSubcomponents('vevent'))
    // A moved repetition is read with the event it is of.
    if (!component.getFirstProperty('recurrence-id')) reader.event(component, zones)
  for (const component of calendar.getAllSubcomponents('vfreebusy')) reader.freeBusy(component)
  return { busy: merged(reader.busy), leftOut: reader.leftOut }
}

/** How long a stretch is, minutes; a day ends at 24:00. */
export const busyMinutes = (zone: string, { day, from, to }: Busy): number => {
  const end = to === END_OF_DAY ? instantOf(zone, addDays(day, 1), '00:00') : instantOf(zone, day, to)
  return (end - instantOf(zone, day, from)) / MINUTE_MS
}
