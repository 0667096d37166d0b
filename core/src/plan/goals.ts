import type { Day } from '../answer'
import {
  gatesGuarding,
  rungNeeded,
  stepOf,
  type Gate,
  type NeedRef,
  type Program,
  type Step,
} from '../program'
import {
  gateVerdict,
  needStanding,
  sideViews,
  stepFor,
  stepState,
  type Facts,
  type Views,
} from '../readiness'
import { butForPresses, opennessOf } from '../permit'
import { daysShort, type Learner, type Must } from './shortfall'

/** What the path asks of one step, and how much hangs on it. */
export interface Goal {
  readonly step: Step
  readonly rung: number
  readonly must: Must
  /** The nearest gate that asks for it; `null` where none does. */
  readonly gate: Gate | null
  /** How much it counts: 1 for the nearest shut gate, less for each one behind. */
  readonly weight: number
  /** Work days it still needs, as far as can be told. */
  readonly days: number
  /** Work days of the longest chain of steps that waits for it. */
  readonly behind: number
  /** The furthest gate that has nothing left but first asks, where this is one of them. */
  readonly due: Gate | null
}

/** Each gate further on counts this share of the one before. */
const FURTHER_GATE = 0.9

/** What no gate asks for is learnt when nothing else is to do. */
const NO_GATE = 0.05

/** A gate is behind the horse once what it guards holds. */
const isBegun = (program: Program, views: Views, { guards }: Gate): boolean => {
  const step = stepOf(program, guards.kind === 'step' ? guards.step : guards.after)
  return step === undefined || ['rusty', 'solid'].includes(stepState(sideViews(views, step)))
}

interface GateNeed {
  readonly step: Step
  readonly rung: number
  readonly must: Must
  readonly gate: Gate | null
  readonly weight: number
}

/** Everything a gate asks for, with all that must be met on the way to it. */
const askedBy = (
  program: Program,
  views: Views,
  { gate, weight, into }: { gate: Gate; weight: number; into: Map<string, GateNeed> },
): void => {
  const ask = (step: Step, rung: number, must: Must): void => {
    const known = into.get(step.key)
    const isMore = known === undefined || rung > known.rung || (must === 'solid' && known.must === 'met')
    if (!isMore) return
    into.set(step.key, {
      step,
      rung: Math.max(rung, known?.rung ?? 0),
      must: known?.must === 'solid' ? 'solid' : must,
      gate: known?.gate ?? gate,
      weight: Math.max(weight, known?.weight ?? 0),
    })
    for (const need of step.needs) if ((need.fromRung ?? 1) <= rung) meet(need)
    for (const guard of gatesGuarding(program, step.key, rung))
      if (guard !== gate && !isBegun(program, views, guard)) askAll(guard)
  }
  const meet = (need: NeedRef): void => {
    const step = needStanding(program, views, need)?.step
    if (step) ask(step, rungNeeded(need, step), 'met')
  }
  const askAll = ({ solid, met }: Gate): void => {
    for (const need of solid) {
      const step = stepFor(program, views, need)
      if (step) ask(step, rungNeeded(need, step), 'solid')
    }
    for (const need of met) meet(need)
  }
  askAll(gate)
}

/** The steps that wait for others, by the step they wait for. */
const waitingFor = (
  program: Program,
  views: Views,
  { asked, shut }: { asked: ReadonlyMap<string, GateNeed>; shut: ReadonlySet<Gate> },
): ReadonlyMap<string, readonly string[]> => {
  const waits = new Map<string, string[]>()
  const add = (key: string, waiting: string): void =>
    void waits.set(key, [...(waits.get(key) ?? []), waiting])
  for (const { step, rung } of asked.values()) {
    for (const need of step.needs) {
      if ((need.fromRung ?? 1) > rung) continue
      const standing = needStanding(program, views, need)
      if (standing && !standing.met) add(standing.step.key, step.key)
    }
    for (const guard of gatesGuarding(program, step.key, rung).filter((gate) => shut.has(gate))) {
      for (const need of guard.solid) {
        const source = stepFor(program, views, need)
        if (source && stepState(sideViews(views, source)) !== 'solid') add(source.key, step.key)
      }
      for (const need of guard.met) {
        const standing = needStanding(program, views, need)
        if (standing && !standing.met) add(standing.step.key, step.key)
      }
    }
  }
  return waits
}

/** The gates still before the horse, nearest first. */
export const gatesAhead = (program: Program, views: Views): readonly Gate[] =>
  program.gates.filter((gate) => !gate.ticked && !isBegun(program, views, gate))

/**
 * What the gates ahead ask of every step. `aim` puts one gate before all others; without it the nearest counts most.
 */
export const goalsOf = (
  learner: Learner,
  program: Program,
  { views, facts, on, aim }: { views: Views; facts: Facts; on: Day; aim?: string },
): ReadonlyMap<string, Goal> => {
  const asked = new Map<string, GateNeed>()
  const horse = { program, views, facts }
  // A gate that was gone through and has fallen shut is before the horse again.
  const hasFallenShut = (gate: Gate): boolean =>
    isBegun(program, views, gate) &&
    (gate.exposures ?? []).length > 0 &&
    opennessOf(horse, gate, on) === 'shut'
  const isAhead = (gate: Gate): boolean => !isBegun(program, views, gate) || hasFallenShut(gate)
  const ahead = program.gates.filter((gate) => !gate.ticked && isAhead(gate))
  const ordered = [...ahead].sort((a, b) => Number(b.key === aim) - Number(a.key === aim))
  ordered.forEach((gate, i) => askedBy(program, views, { gate, weight: FURTHER_GATE ** i, into: asked }))
  for (const step of program.steps)
    if (!asked.has(step.key))
      asked.set(step.key, { step, rung: step.requiredRung, must: 'solid', gate: null, weight: NO_GATE })
  const verdictOf = (gate: Gate) => gateVerdict(program, gate, { views, facts, on })
  const shut = new Set(program.gates.filter((gate) => butForPresses(verdictOf(gate)) !== 'go'))
  const waiting = ahead.filter((gate) => butForPresses(verdictOf(gate)) === 'check-first')
  const next = waiting.findLast(({ guards }) => guards.kind === 'step') ?? waiting[0]
  const due = new Set(next ? verdictOf(next).due.map(({ step }) => step) : [])
  const waits = waitingFor(program, views, { asked, shut })
  const days = new Map(
    [...asked.values()].map(({ step, rung, must }) => [
      step.key,
      Math.max(...sideViews(views, step).map(({ view }) => daysShort(learner, step, { view, rung, must }))),
    ]),
  )
  const behind = new Map<string, number>()
  const chainBehind = (key: string): number => {
    const known = behind.get(key)
    if (known !== undefined) return known
    behind.set(key, 0)
    const longest = Math.max(0, ...(waits.get(key) ?? []).map((next) => days.get(next)! + chainBehind(next)))
    behind.set(key, longest)
    return longest
  }
  return new Map(
    [...asked.values()].map((one) => [
      one.step.key,
      {
        ...one,
        days: days.get(one.step.key)!,
        behind: chainBehind(one.step.key),
        due: next && due.has(one.step.key) ? next : null,
      },
    ]),
  )
}
