import { isLight, isTight, type Day } from '../answer'
import type { TrackedAnswer } from '../readiness'
import type { Recheck } from './sheet'

/** How a first ask of a sheet went, beside how it stood before. */
export type Outcome = 'as-before' | 'tight' | 'less' | 'not-asked'

export const OUTCOME_WORDS: Record<Outcome, string> = {
  'as-before': 'as before the break',
  tight: 'light, but tight now',
  less: 'less than before the break',
  'not-asked': 'not asked yet',
}

/** Reads the day's first answer of the track at its rung or harder; a smaller rung says it could not be asked as before. */
export const outcomeOf = (
  { step, side, rung }: Pick<Recheck, 'step' | 'side' | 'rung'>,
  answers: readonly TrackedAnswer[],
  on: Day,
): Outcome => {
  const first = answers.find((one) => one.step === step && one.side === side && one.day === on && !one.uncued)
  if (!first) return 'not-asked'
  if (!isLight(first.grade) || first.rung < rung) return 'less'
  return isTight(first.calm) ? 'tight' : 'as-before'
}
