import { isTight, type Calm, type Grade, type Side } from './answer'

export type AdviceKind = 'danger' | 'smaller' | 'time' | 'leave' | 'uneven' | 'other-side' | 'pattern'

/** What the record of a running burst says about going on. */
export interface Advice {
  readonly kind: AdviceKind
  readonly headline: string
  readonly reason: string
}

interface Marked {
  readonly grade: Grade
  readonly calm: Calm | null
  readonly uncued?: boolean
}

/** A burst so far. */
export interface BurstSoFar {
  /** Answers on the side that is asked now, oldest first. */
  readonly here: readonly Marked[]
  /** Answers on the other side, oldest first; empty where the step has no sides. */
  readonly there: readonly Marked[]
  readonly side: Side
  readonly seconds: number
  /** A danger sign was seen since the burst began. */
  readonly danger: boolean
}

/** Seconds after which a burst has gone on long enough (common practice, no source). */
export const BURST_SECONDS = 120

/** The rest of these thresholds are our own judgement. */
const LEAD_OF_ONE_SIDE = 4
const ENOUGH_A_SIDE = 3
const UNEVEN_BY_GRADES = 1
const PATTERN_OF = 4
const PATTERN_UNCUED = 2

const isEasy = (answer: Marked): boolean => answer.grade <= 1 && answer.calm === 0
const isBad = (answer: Marked): boolean => answer.grade >= 2 || isTight(answer.calm)
const isAsked = (answer: Marked): boolean => !answer.uncued
const meanGrade = (answers: readonly Marked[]): number =>
  answers.reduce((sum, { grade }) => sum + grade, 0) / answers.length

const trouble = ({ danger }: BurstSoFar, asked: readonly Marked[]): Advice | null => {
  if (danger)
    return {
      kind: 'danger',
      headline: 'Stop',
      reason: 'A danger sign was seen. Get clear, record it, and do something it knows well.',
    }
  const lastTwo = asked.slice(-2)
  if (lastTwo.length === 2 && lastTwo.every(isBad))
    return {
      kind: 'smaller',
      headline: 'Two hard ones in a row',
      reason: 'A rung smaller, rather than more pressure.',
    }
  return null
}

const enough = ({ seconds }: BurstSoFar, asked: readonly Marked[]): Advice | null => {
  if (seconds > BURST_SECONDS)
    return { kind: 'time', headline: 'Two minutes are up', reason: 'Do something else, then ask it again.' }
  const lastThree = asked.slice(-3)
  if (lastThree.length === 3 && lastThree.every(isEasy))
    return { kind: 'leave', headline: 'Leave it here', reason: 'Three light and loose in a row.' }
  return null
}

const sides = ({ side, there }: BurstSoFar, asked: readonly Marked[]): Advice | null => {
  if (side === 'none') return null
  const other = side === 'left' ? 'right' : 'left'
  const askedThere = there.filter(isAsked)
  if (asked.length >= ENOUGH_A_SIDE && askedThere.length >= ENOUGH_A_SIDE) {
    const gap = meanGrade(asked) - meanGrade(askedThere)
    if (Math.abs(gap) >= UNEVEN_BY_GRADES) {
      const worse = gap > 0 ? side : other
      return {
        kind: 'uneven',
        headline: `The ${worse} takes more`,
        reason: `A smaller rung there, and about three asks on the ${worse} to two on the other side.`,
      }
    }
  }
  if (asked.length - askedThere.length >= LEAD_OF_ONE_SIDE)
    return {
      kind: 'other-side',
      headline: `Now the ${other} side`,
      reason: `${asked.length} asks on the ${side} and ${askedThere.length} on the ${other}.`,
    }
  return null
}

const pattern = ({ here }: BurstSoFar): Advice | null => {
  const last = here.slice(-PATTERN_OF)
  return last.filter(({ uncued }) => uncued).length >= PATTERN_UNCUED
    ? {
        kind: 'pattern',
        headline: 'It is learning the pattern',
        reason: 'It offers before you ask. Wait longer between asks, and ask for something else.',
      }
    : null
}

/**
 * Advice on a running burst. Danger comes first, trouble before time and time before success, because a horse in
 * trouble cannot wait for the clock.
 */
export const adviceFor = (burst: BurstSoFar): Advice | null => {
  const asked = burst.here.filter(isAsked)
  return trouble(burst, asked) ?? enough(burst, asked) ?? sides(burst, asked) ?? pattern(burst)
}

/** Grades by which a light ask after an accept burst must be worse than usual to say that the feet sleep. */
const NUMB_BY_GRADES = 2

/** The middle of the last grades of a step, rounded to the better one. */
export const usualGrade = (recent: readonly Marked[]): Grade | null => {
  const grades = recent.map(({ grade }) => grade).sort()
  return grades[Math.floor((grades.length - 1) / 2)] ?? null
}

/** After quieting, whether the feet still listen: two grades worse than usual says they do not. */
export const feetHaveGoneDull = (usual: Grade | null, now: Grade): boolean =>
  usual !== null && now >= usual + NUMB_BY_GRADES
