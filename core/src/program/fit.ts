import type { Grade, Side } from '../answer'
import { hardestMark, knownStep } from './known-step'
import type { Program } from './program'

/** What of an answer has to fit the step it names. */
export interface ToFit {
  readonly step: string
  readonly side: Side
  /** The mark of its rung. */
  readonly rung: number
  readonly grade: Grade
  readonly seconds?: number | null
}

export interface Misfit {
  readonly field: keyof ToFit
  readonly words: string
}

/** No answer at the lightest takes longer, in seconds; common practice, no source. */
const LONGEST_LIGHTEST = 600

/** Why an answer cannot be one of this program, or nothing. A step that has left the path still has its answers. */
export const misfitOf = (
  program: Program,
  { step: key, side, rung, grade, seconds }: ToFit,
): Misfit | null => {
  const step = knownStep(program, key)
  if (!step) return { field: 'step', words: `“${key}” is not a step that is known here.` }
  if (rung > hardestMark(step))
    return { field: 'rung', words: `${step.name} has ${step.rungs.length} rungs, and this says ${rung}.` }
  if (step.sided && side === 'none')
    return { field: 'side', words: `${step.name} is asked on each side: say left or right.` }
  if (!step.sided && side !== 'none') return { field: 'side', words: `${step.name} has no sides.` }
  if (step.kind === 'ask' && grade === 0 && (seconds ?? 0) > LONGEST_LIGHTEST)
    return { field: 'seconds', words: `An answer to the lightest ask cannot have taken ${seconds} seconds.` }
  return null
}
