import { GATES, type Gate, type StopRule } from './gate'
import { stepOf, type Program } from './program'
import { firstGuarded } from './first-guarded'
import { markOf } from './ladder'
import type { Flaw } from './flaw'

/** The stops of the gates that ship: a yard can add to them and never take one away. */
export const FIXED_STOPS: readonly StopRule[] = [...new Set(GATES.flatMap(({ stops }) => stops))]

/** The youngest age at which any school that ships opens these gates; a yard may be later, not earlier. */
const YOUNGEST_MONTHS: Readonly<Record<string, number>> = {
  'first-bit': 30,
  'first-saddle': 30,
  'first-weight': 30,
  'first-time-up': 36,
  'off-the-lead': 36,
  'first-canter': 36,
  'first-fence': 48,
}

export const fixedStopsOf = (gateKey: string): readonly StopRule[] =>
  GATES.find(({ key }) => key === gateKey)?.stops.filter((stop) => FIXED_STOPS.includes(stop)) ?? []

export const youngestAt = (gateKey: string): number => YOUNGEST_MONTHS[gateKey] ?? 0

const hasWhatItGuards = (program: Program, gate: Gate): boolean =>
  gate.guards.kind === 'event' ||
  stepOf(program, gate.guards.step) !== undefined ||
  firstGuarded(program, gate) !== null

/** It stands no further up the path than the one that ships; where that step is gone, at the first rung it guards. */
const standsAsShipped = (program: Program, { guards }: Gate, shipped: Gate): boolean => {
  if (guards.kind !== 'step' || shipped.guards.kind !== 'step') return guards.kind === shipped.guards.kind
  const post = stepOf(program, shipped.guards.step) ? shipped.guards : firstGuarded(program, shipped)
  const step = stepOf(program, guards.step)
  // A rung that was put in below moves the post up with its own: what counts is the mark it stands at.
  const stands = step ? markOf(step, guards.fromRung) : guards.fromRung
  return post === null || (guards.step === post.step && stands <= post.fromRung)
}

const STOP_WORDS: Record<StopRule, string> = {
  'veterinary-hold': 'a veterinary hold',
  'mouth-check': 'the mouth check',
  'saddle-check': 'the saddle check',
  age: 'the least age',
  helmet: 'the helmet',
  helper: 'the second person',
  incident: 'the days after an incident',
  company: 'company outside',
  'rider-share': 'the rider’s share of its weight',
  'safe-rail': 'the safe rail and the quick release',
}

const flawsOfGate = (program: Program, shipped: Gate): Flaw[] => {
  const fixed = fixedStopsOf(shipped.key)
  if (fixed.length === 0 || !hasWhatItGuards(program, shipped)) return []
  const flaw = (words: string): Flaw => ({ kind: 'law', step: shipped.key, words })
  const own = program.gates.find(({ key }) => key === shipped.key)
  if (!own) return [flaw(`The ${shipped.name} gate cannot be taken out while the step it guards stays.`)]
  const missing = fixed.filter((stop) => !own.stops.includes(stop))
  const stands = standsAsShipped(program, own, shipped)
  return [
    ...missing.map((stop) =>
      flaw(`${shipped.name}: ${STOP_WORDS[stop]} stays; the yard’s rules can be stricter, not looser.`),
    ),
    ...(stands
      ? []
      : [flaw(`The ${shipped.name} gate guards what it guards; it cannot be moved up the path.`)]),
    ...((own.leastMonths ?? 0) < youngestAt(shipped.key)
      ? [
          flaw(
            `${shipped.name}: not younger than ${youngestAt(shipped.key)} months; later is yours to choose.`,
          ),
        ]
      : []),
  ]
}

/** What a program takes away that no yard may take away. */
export const lawFlaws = (program: Program): Flaw[] => GATES.flatMap((gate) => flawsOfGate(program, gate))
