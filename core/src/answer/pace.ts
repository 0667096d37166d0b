import type { Grade } from './answer'

/**
 * What a school goes by. `phases`: the feel grows and the seconds tell how far it had to. `wait`: it stays the same and
 * the seconds tell how long it took. `aids`: each aid after the cue is pressed. Where a school works by wait or by
 * aids, pressed aids outrank the clock.
 */
export type GradedBy = 'phases' | 'wait' | 'aids'

/**
 * A school's pace: the seconds from the cue at which each grade ends. An answer within `limits[0]` is on the
 * thought, within `limits[1]` light, then firm, then strong; later than `limits[3]` there was no answer.
 */
export interface Pace {
  readonly gradedBy: GradedBy
  readonly limits: readonly [number, number, number, number]
  /** What the handler is doing in each phase, in the school's words. */
  readonly phases: readonly [string, string, string, string]
}

/** Seconds a thumb takes to press after the eye has seen, until a person's own lag is measured. */
export const DEFAULT_PRESS_LAG_SECONDS = 0.4

/** Seconds of time to settle up to which an accept with nothing else pressed is "at ease" (our judgement). */
export const AT_EASE_WITHIN_SECONDS = 3

const MILLISECONDS = 1000

/** The seconds that count: what the clock showed less the press lag, never below nought, to the millisecond. */
export const secondsLessLag = (seconds: number, lagSeconds: number): number =>
  Math.max(0, Math.round((seconds - lagSeconds) * MILLISECONDS) / MILLISECONDS)

/** The grade of an ask that was answered after so many seconds (press lag already taken off). */
export const gradeFromPace = (pace: Pace, seconds: number): Grade => {
  const phase = pace.limits.findIndex((limit) => seconds <= limit)
  return (phase === -1 ? 4 : phase) as Grade
}

/** Aids after the cue that a school can press; one more is no answer. */
export const MOST_AIDS = 3

/** The grade of an ask: by the aids that were pressed, where the school counts them, and otherwise by the seconds. */
export const gradeFromAsk = (pace: Pace, seconds: number, aids: number): Grade =>
  pace.gradedBy !== 'phases' && aids > 0 ? (Math.min(MOST_AIDS, aids) as Grade) : gradeFromPace(pace, seconds)

/** What an accept did at its worst before it settled. */
export type Worst = 'nothing' | 'tightened' | 'moved' | 'left'

/** The grade of an accept from what it did at its worst and how long it took to settle. */
export const gradeFromWorst = (worst: Worst, settleSeconds: number): Grade => {
  if (worst === 'left') return 4
  if (worst === 'moved') return 3
  if (worst === 'tightened') return 2
  return settleSeconds <= AT_EASE_WITHIN_SECONDS ? 0 : 1
}

/** The grade of a hold from the corrections pressed; leaving before time is no answer. */
export const gradeFromCorrections = (corrections: number, left: boolean): Grade =>
  left ? 4 : (Math.min(3, corrections) as Grade)
