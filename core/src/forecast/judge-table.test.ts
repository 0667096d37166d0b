import { describe, expect, it } from 'vitest'
import { seeded } from '../../tests/logs'
import { PLAIN, type Answer, type Calm, type Grade } from '../answer'
import {
  askedOn,
  difficulty,
  freshBelief,
  momentsOf,
  STANDARD_MODEL as MODEL,
  unknownHorse,
  withAnswer,
} from '../judgement'
import { judgeTable, type Belief } from './judge-table'

const table = judgeTable(MODEL)
const STEP = { kind: 'ask', requiredRung: 3 } as const
const DAY = '2026-05-18'

const spread = (density: Float64Array): Belief => {
  const { mean, variance } = momentsOf(density)
  return { mean, sd: Math.sqrt(variance) }
}

/** No horse is slower: so little of the answer is learning. */
const LEAST_SPEED = MODEL.speedBounds.least

/** The first answer of a track by the filter itself: what it makes of where the track starts, as slow as it learns at all. */
const filtered = (grade: Grade, calm: Calm) => {
  const still = { ...MODEL, law: { ...MODEL.law, worry: 0, calmShare: 0 }, noise: 1e-6 }
  // Somewhat known, so that its start lies on the grid whole.
  const known = { mean: 0, variance: 0.09 }
  const horse = {
    ...unknownHorse(still),
    talent: known,
    ease: known,
    speed: { mean: LEAST_SPEED, variance: 1e-18 },
  }
  const answer: Answer = { ...PLAIN, day: DAY, at: `${DAY}T08:00:00Z`, rung: 3, grade, calm } as Answer
  const start = freshBelief(still, horse)
  const { belief } = withAnswer(still, STEP, {
    belief: start,
    horse: askedOn(still, horse, { track: 'a', day: DAY }),
    answer,
  })
  return { start, belief }
}

describe('the judge of a forecast', () => {
  const hardness = difficulty(MODEL, 3, { requiredRung: 3, cold: true })

  it('makes of a start what the filter on its grid makes of it, whatever the answer', () => {
    for (const grade of [0, 1, 2, 3, 4] as const)
      for (const calm of [0, 1, 2] as const) {
        const { start, belief } = filtered(grade, calm)
        const [ability, ease] = [spread(start.ability), spread(start.calm)]
        const graded = table.graded(grade, ability, hardness)
        const calmed = table.calmed(calm, ease, hardness)
        const [is, calmIs] = [spread(belief.ability), spread(belief.calm)]
        // A move spreads by half a cell at least, and the tables are read between two entries.
        const learnt =
          ability.mean + graded.shift + LEAST_SPEED * graded.unit * (calm === 2 ? MODEL.law.tightShare : 1)
        expect([grade, Math.abs(learnt - is.mean) < 0.03]).toEqual([grade, true])
        expect([grade, Math.abs(graded.sd - is.sd) < 0.04]).toEqual([grade, true])
        expect([calm, Math.abs(ease.mean + calmed.shift - calmIs.mean) < 0.03]).toEqual([calm, true])
        expect([calm, Math.abs(calmed.sd - calmIs.sd) < 0.04]).toEqual([calm, true])
      }
  })

  it('never grows surer of the other way than an answer says', () => {
    const draw = seeded(7)
    for (let i = 0; i < 300; i++) {
      const belief = { mean: 6 * draw() - 3, sd: 0.2 + 1.5 * draw() }
      const at = 3 * draw() - 1.5
      const [best, worst] = [table.graded(0, belief, at), table.graded(4, belief, at)]
      expect(best.shift).toBeGreaterThanOrEqual(-1e-6)
      expect(worst.shift).toBeLessThanOrEqual(1e-6)
      expect(best.sd).toBeLessThanOrEqual(belief.sd + 1e-6)
      expect(best.unit).toBeLessThanOrEqual(1)
    }
  })

  it('stays where it is at the ends of its tables', () => {
    for (const mean of [-20, 20])
      for (const sd of [0.001, 9]) {
        const updated = table.graded(1, { mean, sd }, 0)
        expect(Object.values(updated).every(Number.isFinite)).toBe(true)
      }
  })
})
