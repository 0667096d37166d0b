import { addDays, PLAIN, type Day } from '../src/answer'
import { STANDARD_MODEL } from '../src/judgement'
import {
  newcomer,
  pathWork,
  sessionsFor,
  workThrough,
  type Nature,
  type PathWork,
  type SimulatedHorse,
} from '../src/herd'
import { STANDARD_LAW } from '../src/learning'
import { FEET_FIRST, type Program } from '../src/program'
import { noRecords, recordsWith, viewsOf, type Records, type Views } from '../src/readiness'
import { FIRST_DAY, seeded } from './logs'

export interface WorkedHorse {
  readonly horse: SimulatedHorse
  readonly records: Records
  readonly lastDay: Day
  /** Its tracks on a day, the last one worked where none is said. */
  viewsOn(day?: Day): Views
}

/** A quick, easy horse: what is planted in it stands out from what it learnt. */
const EASY: Nature = {
  law: { ...STANDARD_LAW, speed: 0.5 },
  ability: 2,
  calm: 2,
  stiffer: { side: 'right', by: 0.2 },
}

/** Works a made-up horse along the path, every other day, and logs every answer. */
export const workedHorse = (
  seed: number,
  path: PathWork,
  { nature = {}, program = FEET_FIRST }: { nature?: Partial<Nature>; program?: Program } = {},
): WorkedHorse => {
  const draw = seeded(seed)
  const records = noRecords(STANDARD_MODEL)
  const days = Array.from({ length: sessionsFor(program, path) }, (_, i) => addDays(FIRST_DAY, 2 * i))
  let horse = newcomer(program, { ...EASY, ...nature })
  for (const work of pathWork(program, path, days)) {
    const worked = workThrough(horse, work, draw)
    horse = worked.horse
    for (const answer of worked.answers)
      recordsWith(STANDARD_MODEL, program, { records, answer: { ...PLAIN, ...answer, day: work.day } })
  }
  const lastDay = days.at(-1)!
  return {
    horse,
    records,
    lastDay,
    viewsOn: (day = lastDay) => viewsOf(STANDARD_MODEL, program, { records, on: day }),
  }
}
