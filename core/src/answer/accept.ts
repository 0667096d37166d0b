import type { Grade } from './answer'
import { gradeFromWorst, secondsLessLag, type Worst } from './pace'

/** How an accept ended: the thing left before the feet moved, stayed until it settled, or left while they moved. */
export type Ending = 'left-before' | 'held' | 'left-moving'

export const ENDINGS: readonly Ending[] = ['left-before', 'held', 'left-moving']

export const ENDING_WORDS: Record<Ending, string> = {
  'left-before': 'left before it moved',
  held: 'held until it settled',
  'left-moving': 'left while it was moving',
}

/** What the last one may have taught: both others are good endings. */
export const WRONG_LESSON = 'Moving made it go: that teaches moving.'

/** Seconds to stay away between two approaches to a touchy spot (common practice, no source). */
export const BETWEEN_APPROACHES_SECONDS = 3

/** One approach, as it was pressed. */
export interface Approach {
  /** What it did at its worst. */
  readonly worst: Worst
  /** Seconds on the clock from its start to the last press. */
  readonly seconds: number
  /** The last press said "took it away" and not "settled". */
  readonly tookAway: boolean
}

export interface Accepted {
  readonly grade: Grade
  readonly ending: Ending
  /** Seconds to settle, or, where it was taken away first, to the taking away; press lag taken off. */
  readonly seconds: number
}

const hasMoved = (worst: Worst): boolean => worst === 'moved' || worst === 'left'

/** The grade, the ending and the time of one approach. */
export const acceptedFrom = ({ worst, seconds, tookAway }: Approach, lagSeconds: number): Accepted => {
  const real = secondsLessLag(seconds, lagSeconds)
  return {
    grade: gradeFromWorst(worst, real),
    ending: !tookAway ? 'held' : hasMoved(worst) ? 'left-moving' : 'left-before',
    seconds: real,
  }
}
