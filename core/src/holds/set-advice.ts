import type { Advice, Calm, Grade } from '../answer'
import { setOfThree } from './grade'

interface Asked {
  readonly grade: Grade
  readonly calm: Calm | null
}

const SET = 3
const MOST_SETS = 2

/** What a set of three says of going on, on one side of a burst; nothing in the middle of a set that goes well. */
export const setAdvice = (asked: readonly Asked[]): Advice | null => {
  if (asked.length === 0) return null
  const before = Math.floor((asked.length - 1) / SET)
  const { says, passed } = setOfThree(asked.slice(before * SET))
  if (says === 'smaller')
    return {
      kind: 'smaller',
      headline: 'Two of three were hard',
      reason: 'A rung smaller, and a set of three there.',
    }
  if (says === 'go-on' || says === 'leave') return null
  if (passed)
    return {
      kind: 'leave',
      headline: 'Three went well',
      reason: 'Not all of them loose: something else now, and this again later.',
    }
  return before + 1 < MOST_SETS
    ? {
        kind: 'pattern',
        headline: 'One more set',
        reason: 'One of three was hard: three more, and never a third set.',
      }
    : { kind: 'leave', headline: 'Leave it here', reason: 'Two sets are enough, whatever the last one was.' }
}
