import { over, under } from '../arithmetic'
import type { Calm, Grade } from '../answer'
import type { Amount } from './plan'

interface HoldEnded {
  readonly ladder: readonly Amount[]
  /** The first is 1. */
  readonly rung: number
  readonly end: 'full' | 'cut' | 'left'
  readonly done: number
  /** Corrections, each. */
  readonly light: number
  readonly firm: number
}

const WORST_HELD = 3
const WORST = 4

/** What a hold counts as: one hold is one answer, and ending a failing one does not save it. */
export const holdGrade = ({ ladder, rung, end, done, light, firm }: HoldEnded) => {
  const { measure, amount } = ladder[rung - 1]!
  const share = Math.min(1, done / amount)
  const corrections = light + 2 * firm
  const grade = Math.min(WORST_HELD, corrections)
  if (end === 'left') return { rung, grade: WORST, share, says: 'left' as const }
  if (!under(done, amount)) return { rung, grade, share, says: 'whole' as const }
  if (corrections >= 2) return { rung, grade: WORST_HELD, share, says: 'was-going-wrong' as const }
  const reached = ladder
    .slice(0, rung - 1)
    .map((lower, i) => ({ ...lower, rung: i + 1 }))
    .filter((lower) => lower.measure === measure && !over(lower.amount, done))
    .sort((a, b) => b.amount - a.amount || b.rung - a.rung)
  const hardest = reached[0]
  return hardest
    ? { rung: hardest.rung, grade, share, says: 'part' as const }
    : { rung: null, grade: null, share, says: 'no-answer' as const }
}

/** Steps that were asked for by number: how many came straight, and at what the pace was graded. */
export const countedSteps = (asked: number, straight: number, paceGrade: Grade) => {
  const ranOn = Math.max(0, straight - asked)
  if (straight === 0) return { grade: WORST, ranOn, says: 'none' as const }
  if (straight >= asked)
    return { grade: paceGrade, ranOn, says: ranOn > 0 ? ('ran-on' as const) : ('counted' as const) }
  const worse = 2 * straight >= asked ? 1 : 2
  return { grade: Math.min(WORST, paceGrade + worse), ranOn, says: 'short' as const }
}

interface Asked {
  readonly grade: Grade
  readonly calm: Calm | null
}

const SET = 3
const isBad = ({ grade, calm }: Asked): boolean => grade >= 2 || calm === 2

const saidOf = (answers: readonly Asked[], bad: number) => {
  if (bad >= 2) return 'smaller' as const
  if (answers.length < SET) return 'go-on' as const
  if (bad === 1) return 'one-more-set' as const
  return answers.every(({ calm }) => calm === 0) ? ('leave' as const) : ('again-later' as const)
}

/** Three times and no more: what a set says of going on. */
export const setOfThree = (answers: readonly Asked[]) => {
  const done = answers.length
  const bad = answers.filter(isBad).length
  return {
    done,
    good: done - bad,
    worst: Math.max(...answers.map(({ grade }) => grade)),
    passed: done === SET && bad === 0,
    says: saidOf(answers, bad),
  }
}
