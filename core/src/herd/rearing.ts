import { addDays, PLAIN, type Day } from '../answer'
import { STANDARD_MODEL } from '../judgement'
import { NOTHING_YET, todayFrom, type Today } from '../plan'
import type { Program } from '../program'
import { gateVerdict, noRecords, recordsWith, viewsOf, type Facts, type Views } from '../readiness'
import { newcomer, type Draw, type Nature, type SimulatedHorse } from './simulated'
import { workThrough, type DayOfWork, type LoggedAnswer } from './work-day'

/** What a day is planned from beside the horse's tracks. */
export interface DayToPlan {
  readonly facts: Facts
  readonly on: Day
  /** What was done of it already. */
  readonly today: Today
}

/** Says what a horse does on a day. */
export type Planner = (program: Program, views: Views, day: DayToPlan) => DayOfWork

/** The morning of a work day: what is known of the horse, and what it did the day before. */
export interface Morning {
  /** Days worked so far. */
  readonly workDays: number
  readonly day: Day
  readonly views: Views
  readonly facts: Facts
  readonly lastWork: readonly LoggedAnswer[]
  /** What it truly is, which no planner is told. */
  readonly horse: SimulatedHorse
}

const FIRST_DAY: Day = '2026-03-02'

/** Days of the week on which it is worked: three, with rest between. */
const WEEK = [0, 2, 4]

/** With the minute it takes to change to each. */
const minutesTaken = (bursts: DayOfWork['bursts']): number =>
  bursts.reduce((sum, { minutes = 2 }) => sum + minutes + 1, 0)

const dayOf = (workDay: number): Day =>
  addDays(FIRST_DAY, 7 * Math.floor(workDay / WEEK.length) + WEEK[workDay % WEEK.length]!)

/** Old enough, checked and with a helper: what is asked here is how long the work takes, not the paper. */
const nothingInTheWay = (on: Day): Facts => ({
  born: addDays(FIRST_DAY, -6 * 365),
  checks: (['mouth', 'saddle'] as const).map((kind) => ({ kind, on, until: null, passed: true })),
  incidents: [],
  confirmed: ['helper', 'helmet', 'safe-rail', 'company', 'rider-share'],
  handOver: [],
})

/**
 * The work days of a made-up horse, three a week, each as the planner has it, without end. Where the first asks that
 * open a session open a gate, the rest of it is planned anew.
 */
export function* rearing(
  program: Program,
  nature: Nature,
  { planner, draw }: { planner: Planner; draw: Draw },
): Generator<Morning, never> {
  const records = noRecords(STANDARD_MODEL)
  let horse = newcomer(program, nature)
  let lastWork: readonly LoggedAnswer[] = []
  for (let workDays = 0; ; workDays++) {
    const day = dayOf(workDays)
    const facts = nothingInTheWay(day)
    const views = viewsOf(STANDARD_MODEL, program, { records, on: day })
    yield { workDays, day, views, facts, lastWork, horse }
    lastWork = []
    const work = (bursts: DayOfWork['bursts']): void => {
      const worked = workThrough(horse, { day, bursts }, draw)
      horse = worked.horse
      lastWork = [...lastWork, ...worked.answers]
      for (const answer of worked.answers)
        recordsWith(STANDARD_MODEL, program, { records, answer: { ...PLAIN, ...answer, day } })
    }
    const openGates = (now: Views): number =>
      program.gates.filter(
        (gate) => gateVerdict(program, gate, { views: now, facts, on: day }).verdict === 'go',
      ).length
    const { bursts } = planner(program, views, { facts, on: day, today: NOTHING_YET })
    const checks = bursts.filter(({ purpose }) => purpose === 'check')
    work(checks)
    const now = checks.length > 0 ? viewsOf(STANDARD_MODEL, program, { records, on: day }) : views
    if (openGates(now) > openGates(views)) {
      const today = todayFrom(program, lastWork, minutesTaken(checks))
      work(planner(program, now, { facts, on: day, today }).bursts)
    } else work(bursts.slice(checks.length))
  }
}
