import { isTight, type Calm, type Grade } from './answer'

/** What the record of a running burst says about going on. */
export interface Advice {
  readonly kind: 'leave' | 'smaller' | 'time'
  readonly headline: string
  readonly reason: string
}

interface Marked {
  readonly grade: Grade
  readonly calm: Calm | null
}

/** Seconds after which a burst has gone on long enough (common practice, no source). */
export const BURST_SECONDS = 120

const isEasy = (answer: Marked): boolean => answer.grade <= 1 && answer.calm === 0
const isBad = (answer: Marked): boolean => answer.grade >= 2 || isTight(answer.calm)

/**
 * Advice from this burst's answers on one track, oldest first, and the seconds it has run. Trouble comes
 * before time and time before success, because a horse in trouble cannot wait for the clock.
 */
export const adviceFor = (answers: readonly Marked[], burstSeconds: number): Advice | null => {
  const lastTwo = answers.slice(-2)
  const lastThree = answers.slice(-3)
  if (lastTwo.length === 2 && lastTwo.every(isBad))
    return {
      kind: 'smaller',
      headline: 'Two hard ones in a row',
      reason: 'A rung smaller, rather than more pressure.',
    }
  if (burstSeconds > BURST_SECONDS)
    return { kind: 'time', headline: 'Two minutes are up', reason: 'Do something else and come back to it.' }
  if (lastThree.length === 3 && lastThree.every(isEasy))
    return { kind: 'leave', headline: 'Leave it here', reason: 'Three light and loose in a row.' }
  return null
}
