import { CATALOGUE } from './catalogue'
import { stepOf, type Program } from './program'
import type { Step } from './step'

/**
 * A step by its key, on this path or on another: a horse that changed its school keeps what it answered before, and
 * answers that were on their way then are kept as well. Only steps of its own path are judged.
 */
export const knownStep = (program: Program, key: string): Step | undefined =>
  stepOf(program, key) ?? CATALOGUE.find((step) => step.key === key)
