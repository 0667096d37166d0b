import { PLAIN, type Day } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { newcomer, workDays, workThrough, type Draw, type LoggedAnswer } from '@still-pine/core/herd'
import { planSession } from '@still-pine/core/plan'
import { FEET_FIRST, type Program } from '@still-pine/core/program'
import { recordsWith, viewsOf, type Facts, type TrackKey, type TrackRecord } from '@still-pine/core/readiness'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import type { DemoHorse } from './scenario'

export interface DemoSession {
  readonly day: Day
  readonly answers: readonly LoggedAnswer[]
}

/** Draws from [0, 1) with a fixed seed: the same yard every time. */
export const seededDraw = (seed: number): Draw => {
  const generator = xoroshiro128plus(seed)
  return () => (generator.next() >>> 0) / 2 ** 32
}

/** Works one made-up horse through its days: the plan of each day is run by the simulated horse. */
export const historyOf = (
  horse: DemoHorse,
  today: Day,
  program: Program = FEET_FIRST,
): readonly DemoSession[] => {
  const draw = seededDraw(horse.seed)
  const records = new Map<TrackKey, TrackRecord>()
  const facts: Facts = { born: horse.form.born, checks: [], incidents: [], confirmed: [], handOver: [] }
  let simulated = newcomer(program, horse.nature)
  return workDays(today, horse.sessions, horse.every, horse.endsBefore).map((day) => {
    const plan = planSession(program, viewsOf(STANDARD_MODEL, program, records, day), facts, day)
    const worked = workThrough(simulated, plan, draw)
    simulated = worked.horse
    for (const answer of worked.answers)
      recordsWith(STANDARD_MODEL, program, records, {
        ...answer,
        day,
        ...PLAIN,
      })
    return { day, answers: worked.answers }
  })
}
