import type { Entry, HorseInWeek } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { addDays, type Day } from '@still-pine/core/answer'
import { sessionsLeft } from '@still-pine/core/blocks'
import { careCalendar, careDoneIn } from '@still-pine/core/care-calendar'
import { isRidden, loadDaysOf } from '@still-pine/core/counters'
import { ageBounds, holdOn } from '@still-pine/core/facts'
import type { Facts } from '@still-pine/core/readiness'
import { careDues } from '@still-pine/core/week'
import { loadTold } from '../line'
import { query } from '../query'

const WEEK_DAYS = 7

const lastDayFrom = (firstDay: Day): Day => addDays(firstDay, WEEK_DAYS - 1)

const timeIn = (timeZone: string, now: Date): string =>
  now.toLocaleTimeString('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' })

const STARTERS_FIRST = ['starter', 'helper']

/** A week as it is planned, with all it is planned from but its horses. */
export const plannedWeek = query(
  'plannedWeek',
  ['me', 'people', 'places', 'horses', 'arrangedParts', 'plannedWeek', 'busyTimes', 'feeds', 'workedBetween'],
  (parts, { named: { firstDay }, today, now }) => {
    const last = lastDayFrom(firstDay)
    const timesOf = (personId: string) =>
      (parts.busyTimes.find((one) => one.personId === personId)?.times ?? []).filter(
        ({ day }) => firstDay <= day && day <= last,
      )
    return {
      firstDay,
      today,
      time: timeIn(parts.me.yard.timeZone, now),
      yardId: parts.me.yard.id,
      people: parts.people
        .filter(({ standing, role }) => standing === 'here' && role !== 'owner')
        .toSorted((a, b) => STARTERS_FIRST.indexOf(a.role) - STARTERS_FIRST.indexOf(b.role))
        .map(({ id, name, role }) => ({
          id,
          name,
          role,
          busy: timesOf(id),
          feedSince: parts.feeds.find(({ personId }) => personId === id)?.since ?? null,
        })),
      places: parts.places,
      horses: parts.horses.filter(({ archived }) => archived === null).map(({ id, name }) => ({ id, name })),
      arranged: parts.arrangedParts,
      planned: parts.plannedWeek,
      worked: parts.workedBetween,
    }
  },
)

/** Holds that stand in the week: from when, until when. */
const holdsIn = (facts: Facts, firstDay: Day): HorseInWeek['holds'] => {
  const held = Array.from({ length: WEEK_DAYS }, (_, i) => addDays(firstDay, i)).flatMap((day) => {
    const hold = holdOn(facts, day)
    return hold?.leaves === 'nothing' ? [{ from: hold.on, until: hold.until }] : []
  })
  return held.filter(
    (one, i) => held.findIndex(({ from, until }) => from === one.from && until === one.until) === i,
  )
}

/** So young as it may be: a birthday is taken from the youngest age that was estimated. */
const youngestBorn = (facts: Facts, on: Day): Day | null => {
  if (facts.born !== null) return facts.born
  const age = ageBounds({ born: null, age: facts.age ?? null }, on)
  if (!age) return null
  const months = Number(on.slice(0, 4)) * 12 + Number(on.slice(5, 7)) - 1 - age.low
  return `${Math.floor(months / 12)}-${String((months % 12) + 1).padStart(2, '0')}-01`
}

/** The chance of missing the day its owner asked for, by the newest forecast that was shown. */
const missingIn = (entries: readonly Entry[]): number | null => {
  const newest = entriesOf(entries, 'forecast').findLast(({ byShare }) => byShare !== null)
  return newest ? 1 - newest.byShare! : null
}

const NOTHING_OPEN = 'Nothing is open: look at its steps.'

/** What of a horse goes into a week. */
export const horseInWeek = query(
  'horseInWeek',
  [
    'horse',
    'program',
    'views',
    'facts',
    'block',
    'entries',
    'checks',
    'week',
    'sessionsInBlock',
    'weekOptions',
  ],
  ({ horse, program, views, facts, block, entries, checks, week, sessionsInBlock, weekOptions }, { on }) => {
    const ridden = [...entriesOf(entries, 'ride'), ...entriesOf(entries, 'run-sheet')].map((one) => one.on)
    const sat = week.filter(({ step, hardestRung }) => isRidden(program, step, hardestRung))
    const isBehind = (day: Day): boolean => day >= addDays(on, -WEEK_DAYS) && day < on
    const touched = [...views.values()].flatMap(({ lastDay }) => (lastDay === null ? [] : [lastDay])).sort()
    const age = ageBounds({ born: horse.born, age: horse.estimate }, on)
    const care = careCalendar(
      careDoneIn(
        checks.filter(({ withdrawn }) => withdrawn === null),
        entriesOf(entries, 'care'),
      ),
      { on, ageLowMonths: age?.low ?? 0 },
    )
    return {
      horseId: horse.id,
      name: horse.name,
      born: youngestBorn(facts, on),
      block: block?.kind ?? 'start',
      lastTouchedDay: touched.at(-1) ?? null,
      loadDays: loadDaysOf(program, week, loadTold(entries, horse)).filter(isBehind),
      hardDays: [...new Set([...sat.map(({ day }) => day), ...ridden])].filter(isBehind).sort(),
      holds: holdsIn(facts, on),
      options: weekOptions as HorseInWeek['options'],
      nothing: weekOptions.length > 0 ? null : (facts.offWork ?? NOTHING_OPEN),
      sessionsLeft: sessionsLeft(block, horse.born, { sessions: sessionsInBlock, on }),
      dues: careDues(care, lastDayFrom(on)).map((due) => ({ ...due, name: due.id })),
      missing: missingIn(entries),
    } as HorseInWeek
  },
)

/** What was planned from a day to another, and what was worked then. */
export const visits = query(
  'visits',
  ['visitsBetween', 'plannedWeeks', 'workedBetween'],
  ({ visitsBetween, plannedWeeks, workedBetween }, { named: { from, until } }) => {
    const planned = plannedWeeks.flatMap((first) =>
      Array.from({ length: WEEK_DAYS }, (_, i) => addDays(first, i)),
    )
    const days = planned.filter((day) => from <= day && day <= until)
    return { visits: visitsBetween, days, worked: workedBetween }
  },
)
