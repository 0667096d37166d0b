import { CATALOGUE } from './catalogue'
import { marksOf } from './ladder'
import { stepOf, type Program } from './program'
import type { Step } from './step'

/**
 * A step by its key, on this path or on another: a horse that changed its school keeps what it answered before, and
 * answers that were on their way then are kept as well. Only steps of its own path are judged.
 */
export const knownStep = (program: Program, key: string): Step | undefined =>
  stepOf(program, key) ?? CATALOGUE.find((step) => step.key === key)

/** The hardest mark an answer of a step can carry: of its ladder here, or of the one that ships. */
export const hardestMark = (step: Step): number =>
  Math.max(...marksOf(step), CATALOGUE.find(({ key }) => key === step.key)?.rungs.length ?? 0)
