import { isLight, isTight, type Calm, type Grade, type Side } from '../answer'
import type { Program } from '../program'
import { stepOf } from '../program'
import { trackKey, type TrackKey } from '../readiness'

/** What has happened in a session so far, as far as the rest of it is planned by it. */
export interface Today {
  readonly minutes: number
  /** How often each step was come to for a burst; a first ask or two is none. */
  readonly visits: ReadonlyMap<string, number>
  /** The step worked last. */
  readonly last: string | null
  /** Tracks that went badly, and the rung to go on at. */
  readonly smaller: ReadonlyMap<TrackKey, number>
  /** Steps that are done for the day: they hold, or they are better left. */
  readonly over: ReadonlyMap<string, 'done' | 'left'>
}

export const NOTHING_YET: Today = {
  minutes: 0,
  visits: new Map(),
  last: null,
  smaller: new Map(),
  over: new Map(),
}

/** One answer of the session, oldest first. */
export interface Given {
  readonly step: string
  readonly side: Side
  readonly rung: number
  readonly grade: Grade
  readonly calm: Calm | null
}

const isHard = ({ grade, calm }: Given): boolean => grade >= 2 || isTight(calm)

const isEasy = ({ grade, calm }: Given): boolean => isLight(grade) && calm === 0

/** Three light and loose running: it is left there. */
const ENOUGH = 3
/** Two hard ones running: it is made smaller. */
const TOO_MUCH = 2

/** More than one ask a side is a visit; no more is a look. */
const isVisit = (run: readonly Given[]): boolean =>
  [...new Set(run.map(({ side }) => side))].some((side) => run.filter((one) => one.side === side).length > 1)

const runsOf = (answers: readonly Given[]): readonly (readonly Given[])[] => {
  const runs: Given[][] = []
  for (const one of answers)
    if (runs.at(-1)?.[0]?.step === one.step) runs.at(-1)!.push(one)
    else runs.push([one])
  return runs
}

const visitsOf = (answers: readonly Given[]): ReadonlyMap<string, number> => {
  const visits = new Map<string, number>()
  for (const run of runsOf(answers))
    if (isVisit(run)) visits.set(run[0]!.step, (visits.get(run[0]!.step) ?? 0) + 1)
  return visits
}

const wentBadly = (answers: readonly Given[]): boolean =>
  answers.length >= TOO_MUCH && answers.slice(-TOO_MUCH).every(isHard)

const holds = (answers: readonly Given[], requiredRung: number): boolean =>
  answers.length >= ENOUGH &&
  answers.slice(-ENOUGH).every((answer) => isEasy(answer) && answer.rung >= requiredRung)

/**
 * What a session's answers say of the rest of it: a step that goes badly goes on a rung smaller, or is left where it
 * was at the smallest; one that is light and loose three times running where it has to be is done on that side.
 */
export const todayFrom = (program: Program, answers: readonly Given[], minutes: number): Today => {
  const smaller = new Map<TrackKey, number>()
  const over = new Map<string, 'done' | 'left'>()
  for (const key of new Set(answers.map(({ step }) => step))) {
    const step = stepOf(program, key)
    if (!step) continue
    const sides: readonly Side[] = step.sided ? ['left', 'right'] : ['none']
    const bySide = sides.map((side) => answers.filter((one) => one.step === key && one.side === side))
    for (const ofSide of bySide) {
      const last = ofSide.at(-1)
      if (!last || !wentBadly(ofSide)) continue
      if (last.rung <= 1) over.set(key, 'left')
      else smaller.set(trackKey(key, last.side), last.rung - 1)
    }
    if (bySide.every((ofSide) => holds(ofSide, step.requiredRung))) over.set(key, 'done')
  }
  return { minutes, visits: visitsOf(answers), last: answers.at(-1)?.step ?? null, smaller, over }
}
