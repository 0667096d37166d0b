import { STANDARD_MODEL } from '@still-pine/core/belief'
import type { Program } from '@still-pine/core/program'
import { replayPredicting, type Judged } from '@still-pine/core/evidence'
import type { TrackedAnswer } from '@still-pine/core/readiness'

interface Tested {
  readonly id: string
}

export interface History {
  readonly program: Program
  /** The answers that stand, in the order they were given. */
  readonly answers: readonly (TrackedAnswer & Tested)[]
}

export type Replayed = Judged<Tested>

/** Works every track of a horse out from its history, and what was predicted on the way. Runs on a thread, or here. */
const replay = ({ program, answers }: History): Replayed => {
  const { predictions, ...judged } = replayPredicting(STANDARD_MODEL, program, answers)
  // Of an answer only its id goes back to whoever asked.
  return {
    ...judged,
    predictions: predictions.map(({ answer: { id }, ...prediction }) => ({ ...prediction, answer: { id } })),
  }
}

export default replay
