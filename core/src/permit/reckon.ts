import { STANDARD_MODEL } from '../judgement'
import { countersOf } from '../counters'
import type { Facts } from '../facts'
import type { Program } from '../program'
import { replayHorse, viewsOf, type TrackedAnswer } from '../readiness'
import type { Ask } from './ask'
import { permit } from './permit'
import type { Permit } from './reason'

export interface ToReckon {
  readonly program: Program
  readonly facts: Facts
  /** In the order they were given; those after the day are left out. */
  readonly answers: readonly TrackedAnswer[]
  readonly asks: readonly Ask[]
  readonly on: string
}

/** Load days among the six before, from what was answered on them. */
const loadDaysOf = ({ program, answers, on }: ToReckon): number => {
  const worked = answers
    .filter(({ day }) => day < on)
    .map(({ day, step, side, rung }) => ({
      session: day,
      day,
      step,
      side,
      answers: 1,
      hardestRung: rung,
      from: 0,
      to: 0,
    }))
  return countersOf(program, worked, { arrived: on, on }).loadDaysThisWeek
}

/** What is said to each of some asks, of a horse known by its facts and a log of its answers alone. */
export const reckonPermits = (told: ToReckon): readonly (Ask & Permit)[] => {
  const { program, on, asks } = told
  const answers = told.answers.filter(({ day }) => day <= on)
  const views = viewsOf(STANDARD_MODEL, program, {
    records: replayHorse(STANDARD_MODEL, program, answers),
    on,
  })
  const facts = { ...told.facts, loadDays: loadDaysOf(told) }
  return asks.map((ask) => ({ ...ask, ...permit({ program, views, facts }, ask, on) }))
}
