import type { PlannedVisit, WeekPin, WeekWish } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'

const WHERE = ['day', 'start', 'leadId', 'helperId', 'placeId'] as const

/** Visits that stand otherwise than before, by their ids: elsewhere, new, or gone. */
export const movedVisits = (
  before: readonly PlannedVisit[],
  after: readonly PlannedVisit[],
): readonly string[] => {
  const was = new Map(before.map((visit) => [visit.id, visit]))
  const moved = after.filter((visit) => {
    const known = was.get(visit.id)
    return !known || WHERE.some((field) => known[field] !== visit[field])
  })
  const gone = before.filter(({ id }) => !after.some((visit) => visit.id === id))
  return [...moved, ...gone].map(({ id }) => id)
}

const MINUTES_A_DAY = 24 * 60

const minutesOf = (time: string): number => 60 * Number(time.slice(0, 2)) + Number(time.slice(3))

const timeAt = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

export interface Move {
  /** Days later, or earlier below nought. */
  readonly days?: number
  readonly minutes?: number
  readonly leadId?: string
}

/** A visit put elsewhere by hand; within the day it keeps its time unless that is what is moved. */
export const movedBy = (visit: PlannedVisit, { days = 0, minutes = 0, leadId }: Move): PlannedVisit => ({
  ...visit,
  day: addDays(visit.day, days),
  start: timeAt(Math.min(MINUTES_A_DAY - 5, Math.max(0, minutesOf(visit.start) + minutes))),
  ...(leadId === undefined || leadId === visit.leadId
    ? {}
    : { leadId, helperId: visit.helperId === leadId ? null : visit.helperId }),
})

/** What a person who puts a visit somewhere has said: its day, and of hour and lead what they moved. */
export const pinOf = (visit: PlannedVisit, { days, minutes, leadId }: Move): WeekPin => ({
  id: visit.id,
  horse: visit.horseId,
  day: visit.day,
  due: visit.due,
  part: null,
  start: minutes === undefined ? null : visit.start,
  use: days === undefined && visit.due === null ? visit.use : null,
  lead: leadId ?? null,
  helper: null,
  place: null,
})

/** The newest pin stands first: of two that clash it is the one that is had. */
export const withPin = (pins: readonly WeekPin[], pin: WeekPin): WeekPin[] => [
  pin,
  ...pins.filter(({ id }) => id !== pin.id),
]

/** A visit taken off is not to come back on that day. */
export const takenOff = (visit: PlannedVisit, id: string): WeekWish => ({
  id,
  kind: 'avoid',
  weight: 'must',
  match: {
    horses: [visit.horseId],
    days: [visit.day],
    ...(visit.due === null ? {} : { uses: [visit.use] }),
  },
})
