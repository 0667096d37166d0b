import type { Pace } from '../answer'
import type { FittedValues } from '../judgement'
import type { CarryOver } from './carry-over'
import { exposuresAt, type Exposure } from './exposure'
import type { Gate } from './gate'
import type { Manner } from './manner'
import type { NeedRef, Role, Step } from './step'
import type { Service } from './step-data'

/** A school's way of working as one document; a horse points at one version of one. */
export interface Program {
  readonly school: string
  readonly name: string
  readonly version: number
  /** The school that ships which a yard's own was copied from: its cards are read until the yard writes its own. */
  readonly copyOf?: string
  /** The seconds and the words of an ask's phases. */
  readonly pace: Pace
  readonly manner: Manner
  readonly steps: readonly Step[]
  readonly gates: readonly Gate[]
  readonly carryOver: readonly CarryOver[]
  /** The values by which a yard's horses are judged on it, where its log has spoken; no part of the document. */
  readonly values?: FittedValues | undefined
}

const valued = new WeakMap<Program, Map<string, Program>>()

/** A program as the horses of a yard are judged on it; the same object for the same values. */
export const judgedBy = (program: Program, values: FittedValues | null): Program => {
  if (values === null) return program
  const known = valued.get(program) ?? new Map<string, Program>()
  valued.set(program, known)
  const key = JSON.stringify(values)
  const made = known.get(key) ?? { ...program, values }
  known.set(key, made)
  return made
}

const byKey = new WeakMap<Program, ReadonlyMap<string, Step>>()

const stepsByKey = (program: Program): ReadonlyMap<string, Step> => {
  const known = byKey.get(program)
  if (known) return known
  const made = new Map(program.steps.map((step) => [step.key, step]))
  byKey.set(program, made)
  return made
}

export const stepOf = (program: Program, key: string): Step | undefined => stepsByKey(program).get(key)

export const stepsOfRole = (program: Program, role: Role): readonly Step[] =>
  program.steps.filter(({ roles }) => roles.includes(role))

/** The step of a path that another rule looks for by what it serves; nothing where the path has none. */
export const stepServing = (program: Program, service: Service): Step | undefined =>
  program.steps.find(({ serves }) => serves?.includes(service))

/** The steps that can meet a need: the one named, or every step of the role. */
export const stepsMeeting = (program: Program, need: NeedRef): readonly Step[] => {
  if (need.role !== undefined) return stepsOfRole(program, need.role)
  const step = need.step === undefined ? undefined : stepOf(program, need.step)
  return step ? [step] : []
}

export const rungNeeded = (need: NeedRef, step: Step): number => need.rung ?? step.requiredRung

/** Whether a gate asks for this rung to be Solid: it cannot wait for what it stands on. */
const isAskedFor = ({ solid }: Gate, step: Step, rung: number): boolean =>
  solid.some((need) => need.step === step.key && rung <= (need.rung ?? step.requiredRung))

const guardsExposure = ({ exposures = [] }: Gate, exposed: readonly Exposure[]): boolean =>
  exposures.some((all) => all.length > 0 && all.every((one) => exposed.includes(one)))

const guardsRung = (gate: Gate, step: Step, rung: number): boolean => {
  const { guards } = gate
  if (guards.kind === 'step' && guards.step === step.key && rung >= guards.fromRung) return true
  return guardsExposure(gate, exposuresAt(step, rung)) && !isAskedFor(gate, step, rung)
}

const guarding = new WeakMap<Program, Map<string, readonly Gate[]>>()

/** The gates that close a rung of a step: those that stand before it, and those that guard what it exposes to. */
export const gatesGuarding = (program: Program, key: string, rung: number): readonly Gate[] => {
  const known = guarding.get(program) ?? new Map<string, readonly Gate[]>()
  guarding.set(program, known)
  const at = `${key}@${rung}`
  const found = known.get(at)
  if (found) return found
  const step = stepOf(program, key)
  const gates = step ? program.gates.filter((gate) => guardsRung(gate, step, rung)) : []
  known.set(at, gates)
  return gates
}

/** The gates whose post hangs before (or, for an event, after) this step. */
export const postsAt = (program: Program, step: string): readonly Gate[] =>
  program.gates.filter(({ guards }) => (guards.kind === 'step' ? guards.step : guards.after) === step)
