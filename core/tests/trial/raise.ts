import { isLoad } from '../../src/counters'
import { rearing, type Draw, type Nature, type Planner } from '../../src/herd'
import type { Program } from '../../src/program'
import { gateVerdict } from '../../src/readiness'

/** How long a made-up horse took to stand before a gate. */
export interface Raised {
  /** Days worked by then; `null` where it did not come so far. */
  readonly workDays: number | null
  /** Of the days worked, those with lunge, long lines or saddle. */
  readonly loadDays: number
}

/** Works a made-up horse day by day until a gate has nothing left but first asks of the day, or for `most` days. */
export const raise = (
  program: Program,
  gateKey: string,
  { nature, planner, draw, most }: { nature: Nature; planner: Planner; draw: Draw; most: number },
): Raised => {
  const gate = program.gates.find(({ key }) => key === gateKey)!
  let loadDays = 0
  for (const { workDays, day, views, facts, lastWork } of rearing(program, nature, { planner, draw })) {
    if (lastWork.some(({ step, rung }) => isLoad(program, step, rung))) loadDays += 1
    const { verdict } = gateVerdict(program, gate, { views, facts, on: day })
    if (verdict === 'go' || verdict === 'check-first') return { workDays, loadDays }
    if (workDays >= most) break
  }
  return { workDays: null, loadDays }
}
