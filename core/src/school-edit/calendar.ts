import { addDays, PLAIN, type Day } from '../answer'
import { STANDARD_MODEL } from '../belief'
import { newcomer, workThrough, type Draw, type Nature, type SimulatedHorse } from '../herd'
import { STANDARD_LAW } from '../learning'
import { planSession } from '../plan'
import type { Program } from '../program'
import {
  gateVerdict,
  recordsWith,
  viewsOf,
  type Facts,
  type TrackKey,
  type TrackRecord,
  type Views,
} from '../readiness'

/** When a made-up horse first stands before a gate with nothing left but first asks of the day. */
export interface GateDay {
  readonly gate: string
  readonly name: string
  /** How many days it was worked by then; `null` where it did not come so far. */
  readonly workDays: number | null
}

/** Days of the week on which it is worked: three, with rest between. */
const WEEK = [0, 2, 4]

/**
 * The horse that half of our made-up herd is quicker than. It begins above the model's cautious prior: a horse that began
 * there would learn nothing on ladders of two rungs, whose first ask the law calls too big.
 */
const MEDIAN: Nature = {
  law: { ...STANDARD_LAW, speed: 0.5 },
  ability: 2,
  calm: 2,
  stiffer: { side: 'right', by: 0.3 },
}

const FIRST_DAY: Day = '2026-03-02'

/** Old enough, checked and with a helper: what is asked here is how long the work takes, not the paper. */
const nothingInTheWay = (on: Day): Facts => ({
  born: addDays(FIRST_DAY, -6 * 365),
  checks: (['mouth', 'saddle'] as const).map((kind) => ({ kind, on, until: null, passed: true })),
  incidents: [],
  confirmed: ['helper', 'helmet', 'safe-rail', 'company', 'rider-share'],
  handOver: [],
})

const dayOf = (workDay: number): Day =>
  addDays(FIRST_DAY, 7 * Math.floor(workDay / WEEK.length) + WEEK[workDay % WEEK.length]!)

interface Work {
  readonly horse: SimulatedHorse
  readonly records: Map<TrackKey, TrackRecord>
}

/** Works the horse through one day as the plan has it; its records grow in place. */
const workedOn = (program: Program, { horse, records }: Work, views: Views, day: Day, draw: Draw): Work => {
  const plan = planSession(program, views, nothingInTheWay(day), day)
  const worked = workThrough(horse, plan, draw)
  for (const answer of worked.answers)
    recordsWith(STANDARD_MODEL, program, records, { ...PLAIN, ...answer, day })
  return { horse: worked.horse, records }
}

/**
 * The work days after which a made-up median horse of this school stands before each gate, three days a week, worked
 * as the plan says. `workDays` is where it ends; draws come from the caller, so that the same ones give the same days.
 */
export const calendarOf = (
  program: Program,
  draw: Draw,
  workDays: number,
  heard: (day: number) => void = () => undefined,
): readonly GateDay[] => {
  const reached = new Map<string, number>()
  let work: Work = { horse: newcomer(program, MEDIAN), records: new Map() }
  const gates = program.gates.filter(({ ticked }) => !ticked)
  for (let n = 0; n < workDays && reached.size < gates.length; n++) {
    const day = dayOf(n)
    const views = viewsOf(STANDARD_MODEL, program, work.records, day)
    const facts = nothingInTheWay(day)
    for (const gate of gates) {
      if (reached.has(gate.key)) continue
      const { verdict } = gateVerdict(program, gate, views, facts, day)
      if (verdict === 'go' || verdict === 'check-first') reached.set(gate.key, n)
    }
    work = workedOn(program, work, views, day, draw)
    heard(n + 1)
  }
  return gates.map(({ key, name }) => ({ gate: key, name, workDays: reached.get(key) ?? null }))
}
