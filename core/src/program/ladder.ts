import type { Side } from '../answer'
import { stepOf, type Program } from './program'
import { sidesOf, type Step } from './step'

/**
 * A rung keeps its mark whatever becomes of the ladder around it: answers carry marks, and a program says where on its
 * ladder a mark lies. The rungs that ship are marked 1, 2, 3 …; one put between two others gets a mark between theirs.
 */
type Ladder = Pick<Step, 'rungs' | 'marks'>

/** The mark of a rung, counted from 1. */
export const markOf = ({ marks }: Ladder, rung: number): number => marks?.[rung - 1] ?? rung

/** Marks come from the whole numbers by halving, a few times at most. */
const FINEST = 65_536

/** Whether a number can be the mark of a rung, on this ladder or on one that was. */
export const isMark = (mark: number): boolean => mark > 0 && Number.isInteger(mark * FINEST)

/** The marks of a ladder, easiest rung first. */
export const marksOf = (ladder: Ladder): readonly number[] =>
  ladder.rungs.map((_, i) => markOf(ladder, i + 1))

/** Where a mark lies on a ladder: its own rung; where that is gone, the hardest one that is easier, else the first. */
export const rungAt = (ladder: Ladder, mark: number): number => {
  const marks = marksOf(ladder)
  const own = marks.indexOf(mark)
  if (own !== -1) return own + 1
  const easier = Math.max(...marks.filter((one) => one < mark), -Infinity)
  return easier === -Infinity ? 1 : marks.indexOf(easier) + 1
}

/** A mark for a new rung that is to stand before the rung now at `rung` (one past the end: after the last). */
export const markBetween = (ladder: Ladder, rung: number): number => {
  const marks = marksOf(ladder)
  const above = marks[rung - 1]
  if (above === undefined) return Math.floor(Math.max(0, ...marks)) + 1
  // Half way to the next easier mark, wherever that rung stands: so it is nobody else's.
  return (above + Math.max(0, ...marks.filter((mark) => mark < above))) / 2
}

/** The tracks an answer speaks for: where a step has lost or gained its sides, all it has. */
export const sidesAnswered = (step: Step, side: Side): readonly Side[] => {
  const sides = sidesOf(step)
  return sides.includes(side) ? [side] : sides
}

/** Answers with the place on their ladder in the stead of the mark they carry. */
export const onLadders = <T extends { readonly step: string; readonly rung: number }>(
  program: Program,
  answers: readonly T[],
): readonly T[] =>
  answers.map((answer) => {
    const step = stepOf(program, answer.step)
    return step?.marks ? { ...answer, rung: rungAt(step, answer.rung) } : answer
  })
