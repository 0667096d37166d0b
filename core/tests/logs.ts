import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { addDays, PLAIN, type Answer, type Calm, type Grade } from '../src/answer'
import { STANDARD_MODEL } from '../src/judgement'
import type { JudgedStep } from '../src/program'
import { judge, trackAlone, type TrackView } from '../src/readiness'

export const FIRST_DAY = '2026-03-02'

export const answer = (change: Partial<Answer> = {}): Answer => ({
  day: FIRST_DAY,
  rung: 3,
  grade: 1,
  calm: 0,
  ...PLAIN,
  ...change,
})

/** The day `n` days after the first one. */
export const day = (n: number): string => addDays(FIRST_DAY, n)

/** `days` days of the same answers, every other day. */
export const everyOtherDay = (days: number, of: readonly Partial<Answer>[]): Answer[] =>
  Array.from({ length: days }, (_, i) => of.map((one) => answer({ day: day(2 * i), ...one }))).flat()

export const times = <T>(n: number, make: (i: number) => T): T[] =>
  Array.from({ length: n }, (_, i) => make(i))

export const light = (calm: Calm = 0, grade: Grade = 1): Partial<Answer> => ({ grade, calm })

export const ASK: JudgedStep = { kind: 'ask', requiredRung: 3, allRound: false }

export const judged = (answers: readonly Answer[], on: string, step: JudgedStep = ASK): TrackView =>
  judge(STANDARD_MODEL, step, { ...trackAlone(STANDARD_MODEL, step, answers), on })

/** Draws from [0, 1) with a fixed seed. */
export const seeded = (seed: number): (() => number) => {
  const generator = xoroshiro128plus(seed)
  return () => (generator.next() >>> 0) / 2 ** 32
}

/** A normal draw (Box and Muller 1958). */
export const normalDraw = (draw: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw())
