import type { Pace } from '../answer'
import type { CarryOver } from './carry-over'
import type { Gate } from './gate'
import type { Manner } from './manner'
import type { NeedRef, Role, Step } from './step'

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

/** The steps that can meet a need: the one named, or every step of the role. */
export const stepsMeeting = (program: Program, need: NeedRef): readonly Step[] => {
  if (need.role !== undefined) return stepsOfRole(program, need.role)
  const step = need.step === undefined ? undefined : stepOf(program, need.step)
  return step ? [step] : []
}

export const rungNeeded = (need: NeedRef, step: Step): number => need.rung ?? step.requiredRung

/** The gate that closes a rung of a step, if any does. */
export const gateGuarding = (program: Program, step: string, rung: number): Gate | undefined =>
  program.gates.find(
    ({ guards }) => guards.kind === 'step' && guards.step === step && rung >= guards.fromRung,
  )

/** The gates whose post hangs before (or, for an event, after) this step. */
export const postsAt = (program: Program, step: string): readonly Gate[] =>
  program.gates.filter(({ guards }) => (guards.kind === 'step' ? guards.step : guards.after) === step)

const grown = (
  steps: ReadonlySet<string>,
  next: (step: string) => readonly string[],
): ReadonlySet<string> => {
  const all = new Set(steps)
  for (const step of all) for (const other of next(step)) all.add(other)
  return all
}

/** The steps whose tracks may change when one of these does: itself and all it carries over to. */
export const fedBy = (program: Program, steps: ReadonlySet<string>): ReadonlySet<string> =>
  grown(steps, (step) => program.carryOver.filter(({ from }) => from === step).map(({ to }) => to))

/** The steps whose history is needed to work these out again. */
export const feeding = (program: Program, steps: ReadonlySet<string>): ReadonlySet<string> =>
  grown(steps, (step) => program.carryOver.filter(({ to }) => to === step).map(({ from }) => from))
