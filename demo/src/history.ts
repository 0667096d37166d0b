import { PLAIN, type Day } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import {
  changedBy,
  newcomer,
  pathWork,
  plainDay,
  sessionsFor,
  workDays,
  workThrough,
  type DayOfWork,
  type LoggedAnswer,
} from '@still-pine/core/herd'
import { FEET_FIRST, type Program } from '@still-pine/core/program'
import { noRecords, recordsWith, viewsOf, type Facts } from '@still-pine/core/readiness'
import { seededDraw } from './draw'
import type { DemoHorse } from './scenario'

export interface DemoSession {
  readonly day: Day
  readonly answers: readonly LoggedAnswer[]
}

/** What was known and confirmed at the pen on a day of the made-up past. */
const factsOn = (horse: DemoHorse, day: Day): Facts => ({
  born: horse.form.born,
  checks: horse.checks.filter(({ on }) => on <= day),
  incidents: [],
  confirmed: ['helper', 'helmet', 'safe-rail', 'company', 'rider-share'],
  handOver: [],
})

/** Works one made-up horse through its days: a plain hand's day, or its place on the path, is run by the simulated horse. */
export const historyOf = (
  horse: DemoHorse,
  today: Day,
  program: Program = FEET_FIRST,
): readonly DemoSession[] => {
  const draw = seededDraw(horse.seed)
  const records = noRecords(STANDARD_MODEL)
  let simulated = newcomer(program, horse.nature)
  const planFor = (day: Day): DayOfWork =>
    plainDay(program, viewsOf(STANDARD_MODEL, program, { records, on: day }), {
      facts: factsOn(horse, day),
      on: day,
    })
  const session = (work: DayOfWork): DemoSession => {
    const worked = workThrough(simulated, work, draw)
    simulated = worked.horse
    for (const answer of worked.answers)
      recordsWith(STANDARD_MODEL, program, { records, answer: { ...PLAIN, ...answer, day: work.day } })
    return { day: work.day, answers: worked.answers }
  }
  return horse.spells.flatMap(({ work, every, endsBefore, changed }) => {
    if (changed) simulated = changedBy(simulated, changed)
    if ('sessions' in work)
      return workDays(today, work.sessions, { every, endsBefore }).map((day) => session(planFor(day)))
    const days = workDays(today, sessionsFor(program, work), { every, endsBefore })
    return pathWork(program, work, days).map(session)
  })
}
