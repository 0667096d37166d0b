import { TZDate } from '@date-fns/tz'
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventStatus } from 'ical-generator'
import { addDays, type Day } from '../../answer'
import { instantOf, zoneBlock } from './zone'

const MINUTE_MS = 60_000
const HOUR_SECONDS = 3_600

/** A visit as a calendar tells it. */
export interface CalendarVisit {
  readonly id: string
  /** Goes up by one whenever its start, end, place or status changes, and at no other time. */
  readonly sequence: number
  /** When that last was, ISO 8601. */
  readonly changedAt: string
  readonly day: Day
  /** `HH:MM` in the yard's zone. */
  readonly start: string
  readonly minutes: number
  readonly summary: string
  readonly place: string
  readonly cancelled: boolean
}

/** What is due by a day, for a starter's feed alone. */
export interface CalendarDue {
  readonly id: string
  readonly sequence: number
  readonly changedAt: string
  readonly from: Day
  readonly by: Day
  readonly summary: string
}

export interface Feed {
  readonly name: string
  readonly zone: string
  readonly visits: readonly CalendarVisit[]
  readonly dues: readonly CalendarDue[]
  /** Minutes before a visit; none where nobody wants to be reminded. */
  readonly remindMinutes: number | null
}

const spanOf = ({ visits, dues }: Pick<Feed, 'visits' | 'dues'>): { from: Day; until: Day } => {
  const days = [...visits.map(({ day }) => day), ...dues.flatMap(({ from, by }) => [from, by])].toSorted()
  const [first, last] = [days[0] ?? '2026-01-01', days.at(-1) ?? '2026-01-01']
  return { from: `${first.slice(0, 4)}-01-01`, until: `${Number(last.slice(0, 4)) + 1}-01-01` }
}

/**
 * A person's visits as an iCalendar file (RFC 5545): times by the yard's clocks with that zone's real changes, lengths in
 * instants, one reminder a visit; what was taken off stays as cancelled.
 */
export const calendarOf = (feed: Feed): string => {
  const { from, until } = spanOf(feed)
  const calendar = ical({
    name: feed.name,
    prodId: { company: 'Still Pine', product: 'Week', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    timezone: { name: feed.zone, generator: () => zoneBlock(feed.zone, from, until) },
    ttl: HOUR_SECONDS,
  })
  for (const visit of feed.visits) {
    const start = instantOf(feed.zone, visit.day, visit.start)
    const changed = new Date(visit.changedAt)
    const event = calendar.createEvent({
      id: `${visit.id}@still-pine`,
      sequence: visit.sequence,
      stamp: changed,
      lastModified: changed,
      start: new TZDate(start, feed.zone),
      end: new TZDate(start + visit.minutes * MINUTE_MS, feed.zone),
      timezone: feed.zone,
      summary: visit.summary,
      location: visit.place,
      status: visit.cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    })
    if (feed.remindMinutes !== null && !visit.cancelled)
      event.createAlarm({
        type: ICalAlarmType.display,
        trigger: feed.remindMinutes * 60,
        description: visit.summary,
      })
  }
  for (const due of feed.dues)
    calendar.createEvent({
      id: `${due.id}@still-pine`,
      sequence: due.sequence,
      stamp: new Date(due.changedAt),
      lastModified: new Date(due.changedAt),
      start: new Date(`${due.from}T00:00:00Z`),
      end: new Date(`${addDays(due.by, 1)}T00:00:00Z`),
      allDay: true,
      timezone: null,
      summary: due.summary,
    })
  return calendar.toString()
}
