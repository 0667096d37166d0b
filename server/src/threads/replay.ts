import { STANDARD_MODEL } from '@still-pine/core/belief'
import type { Program } from '@still-pine/core/program'
import { replayHorse, type TrackedAnswer, type TrackKey, type TrackRecord } from '@still-pine/core/readiness'

export interface History {
  readonly program: Program
  /** The answers that stand, in the order they were given. */
  readonly answers: readonly TrackedAnswer[]
}

/** Works every track of a horse out from its history. Runs on a thread of its own, or here. */
const replay = ({ program, answers }: History): ReadonlyMap<TrackKey, TrackRecord> =>
  replayHorse(STANDARD_MODEL, program, answers)

export default replay
