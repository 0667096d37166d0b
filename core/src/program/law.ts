import { GATES, type Gate, type StopRule } from './gate'
import { stepOf, type Program } from './program'
import type { Flaw } from './flaw'

/** Stops that the law or a vet stands behind: a yard can add to them and never take one away. */
export const FIXED_STOPS: readonly StopRule[] = ['veterinary-hold', 'mouth-check', 'age', 'helmet']

/** The youngest age at which any school that ships opens these gates; a yard may be later, not earlier. */
const YOUNGEST_MONTHS: Readonly<Record<string, number>> = {
  'first-bit': 30,
  'first-saddle': 30,
  'first-time-up': 36,
  'first-canter': 36,
  'first-fence': 48,
}

export const fixedStopsOf = (gateKey: string): readonly StopRule[] =>
  GATES.find(({ key }) => key === gateKey)?.stops.filter((stop) => FIXED_STOPS.includes(stop)) ?? []

export const youngestAt = (gateKey: string): number => YOUNGEST_MONTHS[gateKey] ?? 0

const hasWhatItGuards = (program: Program, { guards }: Gate): boolean =>
  guards.kind === 'event' || stepOf(program, guards.step) !== undefined

const STOP_WORDS: Partial<Record<StopRule, string>> = {
  'veterinary-hold': 'a veterinary hold',
  'mouth-check': 'the mouth check',
  age: 'the least age',
  helmet: 'the helmet',
}

const flawsOfGate = (program: Program, shipped: Gate): Flaw[] => {
  const fixed = fixedStopsOf(shipped.key)
  if (fixed.length === 0 || !hasWhatItGuards(program, shipped)) return []
  const flaw = (words: string): Flaw => ({ kind: 'law', step: shipped.key, words })
  const own = program.gates.find(({ key }) => key === shipped.key)
  if (!own) return [flaw(`The ${shipped.name} gate cannot be taken out while the step it guards stays.`)]
  const missing = fixed.filter((stop) => !own.stops.includes(stop))
  const stands =
    own.guards.kind === shipped.guards.kind &&
    (own.guards.kind === 'event' ||
      (shipped.guards.kind === 'step' &&
        own.guards.step === shipped.guards.step &&
        own.guards.fromRung <= shipped.guards.fromRung))
  return [
    ...missing.map((stop) => flaw(`${shipped.name}: ${STOP_WORDS[stop]} stays; law and vet come first.`)),
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
