import { CATALOGUE, type Program, type Step } from '../program'
import type { Zone } from './zones'

/** Something that is brought to a horse, and the steps that bring it. */
export interface Thing {
  readonly key: string
  readonly words: string
  readonly steps: readonly string[]
}

/** The hand is the first of them, as it is with every horse. */
const THINGS: readonly Omit<Thing, 'steps'>[] = [
  { key: 'hand', words: 'Hand' },
  { key: 'rope', words: 'Rope' },
  { key: 'flag', words: 'Flag' },
  { key: 'stick', words: 'Stick' },
  { key: 'blanket', words: 'Blanket' },
  { key: 'person', words: 'Person' },
]

/** The steps of a path and, after them, those of others: a horse keeps what it was shown on another path. */
const knownSteps = (program: Program): readonly Step[] => [
  ...program.steps,
  ...CATALOGUE.filter(({ key }) => program.steps.every((step) => step.key !== key)),
]

const made = new WeakMap<Program, readonly Thing[]>()

/** The things, with the steps that bring them, easiest first. */
export const thingsOf = (program: Program): readonly Thing[] => {
  const steps = knownSteps(program)
  const things =
    made.get(program) ??
    THINGS.map((thing) => ({
      ...thing,
      steps: steps.filter(({ shows }) => shows === thing.key).map(({ key }) => key),
    }))
  made.set(program, things)
  return things
}

/** A rung of a step: the one that says a part of the animal bears the hand. */
export interface HandStep {
  readonly step: string
  readonly rung: number
}

/** Which step and rung a hand laid on a zone belongs to; nothing where no step of any path bears one there. */
export const handOn = (program: Program, zone: Zone): HandStep | undefined => {
  for (const { key, does = [] } of knownSteps(program)) {
    const at = does.findIndex(({ bears = [] }) => bears.includes(zone))
    if (at >= 0) return { step: key, rung: at + 1 }
  }
  return undefined
}
