import { rearing, type Draw, type Nature, type Planner } from '../herd'
import { STANDARD_LAW } from '../learning'
import { planSession } from '../plan'
import type { Program } from '../program'
import { gateVerdict } from '../readiness'

/** When a made-up horse first stands before a gate with nothing left but first asks of the day. */
export interface GateDay {
  readonly gate: string
  readonly name: string
  /** How many days it was worked by then; `null` where it did not come so far. */
  readonly workDays: number | null
}

/**
 * The horse in the middle of our made-up herd, whose first asks come light about three times in four. It begins above
 * the model's cautious start: a horse that began there would learn nothing on ladders of two rungs, whose first ask the
 * law calls too big.
 */
export const MEDIAN_HORSE: Nature = {
  law: STANDARD_LAW,
  ability: 1.2,
  calm: 1,
  stiffer: { side: 'right', by: 0.3 },
}

const asPlanned: Planner = (program, views, { facts, on, today }) =>
  planSession(program, views, { facts, on, asked: { today } })

/**
 * The work days after which a made-up median horse of this school stands before each gate, three days a week, worked
 * as the plan says. `most` is where it ends; draws come from the caller, so that the same ones give the same days.
 */
export const calendarOf = (
  program: Program,
  draw: Draw,
  { most, heard = () => undefined }: { most: number; heard?: (day: number) => void },
): readonly GateDay[] => {
  const reached = new Map<string, number>()
  const gates = program.gates.filter(({ ticked }) => !ticked)
  for (const { workDays, day, views, facts } of rearing(program, MEDIAN_HORSE, {
    planner: asPlanned,
    draw,
  })) {
    if (workDays > 0) heard(workDays)
    if (workDays >= most || reached.size === gates.length) break
    for (const gate of gates) {
      if (reached.has(gate.key)) continue
      const { verdict } = gateVerdict(program, gate, { views, facts, on: day })
      if (verdict === 'go' || verdict === 'check-first') reached.set(gate.key, workDays)
    }
  }
  return gates.map(({ key, name }) => ({ gate: key, name, workDays: reached.get(key) ?? null }))
}
