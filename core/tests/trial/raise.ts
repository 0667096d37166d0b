import { isLoad } from '../../src/counters'
import {
  askSimulated,
  rearing,
  type Draw,
  type Nature,
  type Planner,
  type SimulatedHorse,
} from '../../src/herd'
import { stepOf, type Program } from '../../src/program'
import { gateVerdict, type GateVerdict } from '../../src/readiness'

/** The first asks of the day on all a gate stands on: the misses it said were likely, and those that came. */
export interface FirstAsks {
  readonly asks: number
  readonly likelyMisses: number
  readonly misses: number
}

/** How long a made-up horse took to stand before a gate. */
export interface Raised {
  /** Days worked by then; `null` where it did not come so far. */
  readonly workDays: number | null
  /** Of the days worked, those with lunge, long lines or saddle. */
  readonly loadDays: number
  /** How its answers were on the day the gate had nothing else left; `null` where that never came. */
  readonly firstAsks: FirstAsks | null
}

/** A miss is an answer that is not light, or not easy. */
const firstAsksOf = (
  program: Program,
  { tracks, likelyMisses, day }: GateVerdict,
  { horse, draw }: { horse: SimulatedHorse; draw: Draw },
): FirstAsks => {
  let asked = horse
  let misses = 0
  for (const { step, side, rung } of tracks) {
    const ask = { step: stepOf(program, step)!, side, rung, day, opensBurst: true }
    const { horse: after, answer } = askSimulated(asked, ask, draw)
    asked = after
    if (answer.grade > 1 || answer.calm === 2) misses += 1
  }
  return { asks: tracks.length, likelyMisses, misses }
}

/** Works a made-up horse day by day until a gate has nothing left but first asks of the day, or for `most` days. */
export const raise = (
  program: Program,
  gateKey: string,
  { nature, planner, draw, most }: { nature: Nature; planner: Planner; draw: Draw; most: number },
): Raised => {
  const gate = program.gates.find(({ key }) => key === gateKey)!
  let loadDays = 0
  for (const { workDays, day, views, facts, lastWork, horse } of rearing(program, nature, {
    planner,
    draw,
  })) {
    if (lastWork.some(({ step, rung }) => isLoad(program, step, rung))) loadDays += 1
    const judged = gateVerdict(program, gate, { views, facts, on: day })
    if (judged.verdict === 'go' || judged.verdict === 'check-first')
      return { workDays, loadDays, firstAsks: firstAsksOf(program, judged, { horse, draw }) }
    if (workDays >= most) break
  }
  return { workDays: null, loadDays, firstAsks: null }
}
