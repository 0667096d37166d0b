import { createHash } from 'node:crypto'
import type { ArrangedOf, Horse } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import { calendarOf, type CalendarDue, type CalendarVisit } from '@still-pine/core/calendar'
import { careCalendar } from '@still-pine/core/care-calendar'
import { ageBounds } from '@still-pine/core/facts'
import { careDoneInYard } from '../data/entries'
import { allHorses } from '../data/horses'
import { personById, yardNow } from '../data/people'
import { arrangedParts, visitsOfPerson, type FeedVisit } from '../data/weeks'
import { todayIn, type Yard } from './yard'

const DAYS_BACK = 14
const TAKEN_OFF_DAYS = 30
const DAYS_AHEAD = 60
const DAY_MS = 24 * 3_600_000

/** In words that a calendar shows; how a use is called on a screen is the screen's. */
const USE_WORDS: Readonly<Record<string, string>> = {
  loose: 'Loose',
  ground: 'Ground',
  lines: 'Lines',
  mounting: 'Getting up',
  ridden: 'Ridden',
  loading: 'Loading',
  tying: 'Tying',
}

const CARE_WORDS: Readonly<Record<string, string>> = {
  hooves: 'Hooves',
  'worm-count': 'Worm egg count',
  teeth: 'Teeth',
  saddle: 'Saddle check',
  vaccination: 'Vaccination',
  hold: 'End of a hold',
  stretches: 'Stretches',
}

const eventOf = (visit: FeedVisit, names: boolean): CalendarVisit => {
  const what =
    visit.due === null
      ? (USE_WORDS[visit.use] ?? visit.use)
      : (CARE_WORDS[visit.due.split('/').at(-1)!] ?? visit.use)
  return {
    id: visit.id,
    sequence: visit.sequence,
    changedAt: visit.changedAt.toISOString(),
    day: visit.day,
    start: visit.start,
    minutes: visit.minutes,
    summary: `${names ? `${visit.horseName}: ${what.toLowerCase()}` : what}, ${visit.minutes} min`,
    place: visit.placeName ?? '',
    cancelled: visit.takenOff,
  }
}

/** An id of its own for what is due of a horse at a time: the same whenever it is asked. */
const dueId = (horse: Horse, kind: string, cycle: number): string =>
  createHash('sha256').update(`${horse.id}/${kind}/${cycle}`).digest('hex').slice(0, 32)

const duesOf = async (yard: Yard, names: boolean): Promise<readonly CalendarDue[]> => {
  const on = todayIn(yard)
  const done = await careDoneInYard(yard.client)
  const horses = (await allHorses(yard.client)).filter(({ archived }) => archived === null)
  return horses.flatMap((horse) => {
    const of = done.filter(({ horseId }) => horseId === horse.id)
    const age = ageBounds({ born: horse.born, age: horse.estimate }, on)
    return careCalendar(of, { on, ageLowMonths: age?.low ?? 0 })
      .filter(
        ({ says, kind, fromOn }) =>
          says !== 'never' && kind !== 'stretches' && fromOn <= addDays(on, DAYS_AHEAD),
      )
      .map(({ kind, cycle, fromOn, byOn, lastOn }) => ({
        id: dueId(horse, kind, cycle),
        sequence: 0,
        changedAt: `${lastOn ?? on}T00:00:00.000Z`,
        from: fromOn,
        by: byOn,
        summary: `${names ? `${horse.name}: ` : ''}${CARE_WORDS[kind]!.toLowerCase()} due`,
      }))
  })
}

/** A person's calendar: their visits from two weeks back on, what was taken off lately, and for a starter what is due. */
export const calendarOfPerson = async (yard: Yard, personId: string): Promise<string | null> => {
  const { client, now } = yard
  const person = await personById(client, personId)
  if (!person) return null
  const { name, timeZone } = (await yardNow(client))!
  const parts = await arrangedParts(client)
  const rules = parts.find(({ arranged }) => arranged.about === 'rules')?.arranged as
    ArrangedOf<'rules'> | undefined
  const own = parts.find(({ id }) => id === personId)?.arranged as ArrangedOf<'person'> | undefined
  const names = rules?.namesInCalendars ?? true
  const visits = await visitsOfPerson(client, personId, {
    from: addDays(todayIn(yard), -DAYS_BACK),
    takenOffSince: new Date(now.getTime() - TAKEN_OFF_DAYS * DAY_MS),
  })
  return calendarOf({
    name: `${person.name}, ${name}`,
    zone: timeZone,
    visits: visits.map((visit) => eventOf(visit, names)),
    dues: person.role === 'starter' ? await duesOf(yard, names) : [],
    remindMinutes: own?.remindMinutes ?? null,
  })
}
