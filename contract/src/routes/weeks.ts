import { z } from 'zod'
import { addresses } from '../addresses'
import { Place } from '../places'
import { Day, Id } from '../primitives'
import { ROLES } from '../rights'
import {
  ArrangedPart,
  BusyTime,
  FeedMade,
  HorseInWeek,
  PlannedWeek,
  PutArranged,
  PutBusy,
  PutPlannedWeek,
  VisitTold,
  WeekTime,
} from '../weeks'
import { horse, nothing, route } from './making'

const week = z.object({ firstDay: Day })
const person = z.object({ personId: Id })

/** Weeks that are planned, what goes into them, and the calendars they are told by. */
export const weekRoutes = {
  plannedWeek: route({
    ...addresses.plannedWeek,
    summary: 'A week as it is planned, and who and what it is planned from',
    needs: 'read-yard',
    params: week,
    reply: z.object({
      firstDay: Day,
      today: Day,
      /** What the yard's clocks say. */
      time: WeekTime,
      yardId: Id,
      people: z.array(
        z.object({
          id: Id,
          name: z.string(),
          role: z.enum(ROLES),
          busy: z.array(BusyTime),
          /** Since when there is an address that a calendar reads. */
          feedSince: z.string().nullable(),
        }),
      ),
      places: z.array(Place),
      horses: z.array(z.object({ id: Id, name: z.string() })),
      arranged: z.array(ArrangedPart),
      planned: PlannedWeek.nullable(),
      /** Days of this week on which each horse was worked. */
      worked: z.array(z.object({ horseId: Id, day: Day })),
    }),
  }),
  horseInWeek: route({
    ...addresses.horseInWeek,
    summary: 'What of a horse goes into a week: its options, its rules, what is due',
    needs: 'read-yard',
    params: horse.extend({ on: Day }),
    reply: HorseInWeek,
  }),
  visits: route({
    ...addresses.visits,
    summary:
      'The visits that are planned from a day to another, and on which of those days a horse was worked',
    needs: 'read-yard',
    query: z.object({ from: Day, until: Day }),
    reply: z.object({
      visits: z.array(VisitTold),
      /** The days whose week is planned. */
      days: z.array(Day),
      worked: z.array(z.object({ horseId: Id, day: Day })),
    }),
  }),
  putArranged: route({
    ...addresses.putArranged,
    summary: 'Arrange what holds for every week: rules, a person’s hours, a place, what a horse wants',
    needs: 'own-hours',
    params: z.object({ partId: Id }),
    body: PutArranged,
    reply: ArrangedPart,
  }),
  putPlannedWeek: route({
    ...addresses.putPlannedWeek,
    summary: 'Keep a week as it is planned',
    needs: 'plan-week',
    params: week,
    body: PutPlannedWeek,
    reply: PlannedWeek,
  }),
  putBusy: route({
    ...addresses.putBusy,
    summary:
      'Keep when a person is busy, as a calendar file says; it takes the stead of what was kept before',
    needs: 'own-hours',
    params: person,
    body: PutBusy,
    reply: nothing,
  }),
  makeFeed: route({
    ...addresses.makeFeed,
    summary: 'Make a new address for a person’s calendar; the one before ends',
    needs: 'own-hours',
    params: person,
    reply: FeedMade,
  }),
  endFeed: route({
    ...addresses.endFeed,
    summary: 'End the address of a person’s calendar',
    needs: 'own-hours',
    params: person,
    reply: nothing,
  }),
} as const
