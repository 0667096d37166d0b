import type { Gate } from '../program'
import type { Goal } from './goals'
import { checkOf, minutesOfAll, partsOf, type Part } from './parts'
import type { Candidate } from './ways'
import { pressOf } from './worth'

/** A gate that waits for first asks alone. */
export interface Opening {
  readonly gate: Gate
  /** What a first day behind it is worth. */
  readonly worth: number
}

/** Least minutes that must be left for what a gate opens. */
export const BEHIND_GATE_MINUTES = 3

/** The gate whose first asks would open a step today; a visit that somebody pays opens none. */
export const openingOf = (goals: ReadonlyMap<string, Goal>): Opening | null => {
  const gate = [...goals.values()].find(({ due }) => due !== null)?.due
  if (!gate || gate.guards.kind !== 'step') return null
  const opened = goals.get(gate.guards.step)
  return opened ? { gate, worth: pressOf(opened) } : null
}

/** All the first asks a gate waits for, or none where they do not fit the minutes: a part of them opens nothing. */
export const gateAsks = (
  { gate }: Opening,
  candidates: readonly Candidate[],
  minutes: number,
): readonly Part[] => {
  const due = candidates.filter(({ goal }) => goal.due === gate)
  const asks = due.flatMap((candidate) => {
    const way = checkOf(candidate)
    return way ? partsOf(candidate, way, { role: 'check' }) : []
  })
  const fits = minutesOfAll(asks) + BEHIND_GATE_MINUTES <= minutes
  return asks.length === due.length && fits ? asks : []
}
