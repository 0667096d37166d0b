import { addDays, count, daysBetween, type Day, type Side } from '../answer'
import { thingsOf } from '../coverage'
import { knownStep, type Program } from '../program'
import { HANDLING_MINUTES, isLoad, isRidden } from './load'

/** The answers of one track in one session, counted. */
export interface Worked {
  readonly session: string
  readonly day: Day
  readonly step: string
  readonly side: Side
  readonly answers: number
  /** By the mark it carries, which is its rung on the ladder that ships. */
  readonly hardestRung: number
  /** Milliseconds of the first and the last of them. */
  readonly from: number
  readonly to: number
}

/** How often something was done and how long ago. */
export interface Times {
  readonly times: number
  readonly lastDay: Day | null
}

export interface TrackCount extends Times {
  readonly step: string
  readonly side: Side
  /** Days on which it was worked. */
  readonly days: number
  /** Days off between two of them, the most there ever were. */
  readonly longestGap: number
}

/** Counters of one horse that people mix up; each says what it counts. */
export interface Counters {
  /** Since the day of arrival, which is day 0. */
  readonly calendarDays: number
  /** Days with any answer: load days and handling days together. */
  readonly workDays: number
  /** Days with lunge, long lines, saddle or rider, or with more than twenty minutes of handling. */
  readonly loadDays: number
  readonly handlingDays: number
  /** Load days of the last seven, today among them. */
  readonly loadDaysThisWeek: number
  readonly sessions: number
  readonly answers: number
  readonly ties: Times
  readonly rides: Times
  /** Each thing it was shown, in the order of the path. */
  readonly things: readonly ({ readonly thing: string } & Times)[]
  readonly tracks: readonly TrackCount[]
  /** Days off in a row, the most there ever were between two work days. */
  readonly longestGap: number
  /** Days off since the last work day; `null` where it was never worked. */
  readonly daysOff: number | null
}

const distinctDays = (rows: readonly Worked[]): readonly Day[] =>
  [...new Set(rows.map(({ day }) => day))].sort()

/** Days off between two days that follow each other. */
const longestGapIn = (days: readonly Day[]): number =>
  days.slice(1).reduce((most, day, i) => Math.max(most, daysBetween(days[i]!, day) - 1), 0)

const answersIn = (rows: readonly Worked[]): number => rows.reduce((sum, { answers }) => sum + answers, 0)

const timesOf = (rows: readonly Worked[], times: number): Times => ({
  times,
  lastDay: distinctDays(rows).at(-1) ?? null,
})

const groupedBy = (rows: readonly Worked[], key: (row: Worked) => string): ReadonlyMap<string, Worked[]> => {
  const groups = new Map<string, Worked[]>()
  for (const row of rows) {
    const group = groups.get(key(row))
    if (group) group.push(row)
    else groups.set(key(row), [row])
  }
  return groups
}

const MS_A_MINUTE = 60_000

const minutesOf = (rows: readonly Worked[]): number =>
  [...groupedBy(rows, ({ session }) => session).values()].reduce(
    (sum, ofSession) =>
      sum +
      (Math.max(...ofSession.map(({ to }) => to)) - Math.min(...ofSession.map(({ from }) => from))) /
        MS_A_MINUTE,
    0,
  )

const isLoadDay = (program: Program, rows: readonly Worked[]): boolean =>
  rows.some(({ step, hardestRung }) => isLoad(program, step, hardestRung)) ||
  minutesOf(rows) > HANDLING_MINUTES

/** The days of load among what was worked, and those that no answer tells of. */
export const loadDaysOf = (
  program: Program,
  rows: readonly Worked[],
  onTheLine: readonly Day[] = [],
): readonly Day[] => {
  const asked = [...groupedBy(rows, ({ day }) => day)]
    .filter(([, ofDay]) => isLoadDay(program, ofDay))
    .map(([day]) => day)
  return [...new Set([...asked, ...onTheLine])].sort()
}

const trackCounts = (rows: readonly Worked[]): readonly TrackCount[] =>
  [...groupedBy(rows, ({ step, side }) => `${step}/${side}`).values()].map((track) => {
    const days = distinctDays(track)
    const { step, side } = track[0]!
    return {
      step,
      side,
      times: answersIn(track),
      lastDay: days.at(-1)!,
      days: days.length,
      longestGap: longestGapIn(days),
    }
  })

const WEEK = 7

/**
 * Counts what was logged of one horse up to a day; rows of later days are left out. `onTheLine` are days of load that
 * no answer tells of.
 */
export const countersOf = (
  program: Program,
  all: readonly Worked[],
  { arrived, on, onTheLine = [] }: { arrived: Day; on: Day; onTheLine?: readonly Day[] },
): Counters => {
  const rows = all.filter(({ day }) => day <= on)
  const days = [...new Set([...distinctDays(rows), ...onTheLine.filter((day) => day <= on)])].sort()
  const loadDays = loadDaysOf(
    program,
    rows,
    onTheLine.filter((day) => day <= on),
  )
  const ofStep = (steps: readonly string[]): readonly Worked[] =>
    rows.filter(({ step }) => steps.includes(step))
  const ties = rows.filter(({ step }) => knownStep(program, step)?.serves?.includes('ties'))
  const rides = rows.filter(({ step, hardestRung }) => isRidden(program, step, hardestRung))
  const weekAgo = addDays(on, 1 - WEEK)
  return {
    calendarDays: Math.max(0, daysBetween(arrived, on)),
    workDays: days.length,
    loadDays: loadDays.length,
    handlingDays: days.length - loadDays.length,
    loadDaysThisWeek: loadDays.filter((day) => day >= weekAgo).length,
    sessions: new Set(rows.map(({ session }) => session)).size,
    answers: answersIn(rows),
    ties: timesOf(ties, answersIn(ties)),
    rides: timesOf(rides, new Set(rides.map(({ session }) => session)).size),
    things: thingsOf(program).map(({ words, steps }) => {
      const shown = ofStep(steps)
      return { thing: words, ...timesOf(shown, answersIn(shown)) }
    }),
    tracks: trackCounts(rows),
    longestGap: longestGapIn(days),
    daysOff: days.length === 0 ? null : Math.max(0, daysBetween(days.at(-1)!, on) - 1),
  }
}

/** "12 times, last 3 calendar days ago"; "never". */
export const timesInWords = ({ times, lastDay }: Times, on: Day): string => {
  if (times === 0 || lastDay === null) return 'never'
  const days = daysBetween(lastDay, on)
  const when = days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} calendar days ago`
  return `${count(times, 'time')}, last ${when}`
}
