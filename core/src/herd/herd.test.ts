import { describe, expect, it } from 'vitest'
import { day, seeded, times } from '../../tests/logs'
import { gainOf, STANDARD_LAW } from '../learning'
import { FEET_FIRST, stepOf } from '../program'
import { askSimulated, drawSeconds, drawSettleSeconds, newcomer, type Nature } from './simulated'
import { workDays } from './work-day'
import { gradeFromPace, type Grade } from '../answer'

const NATURE: Nature = { law: STANDARD_LAW, ability: 1, calm: 1, stiffer: { side: 'right', by: 1 } }
const STEP = stepOf(FEET_FIRST, 'loose-direction')!

const lightShare = (side: 'left' | 'right'): number => {
  const draw = seeded(9)
  const grades = times(400, () => {
    const asked = askSimulated(
      newcomer(FEET_FIRST, NATURE),
      { step: STEP, side, rung: 1, day: day(0), opensBurst: true },
      draw,
    )
    return asked.answer.grade
  })
  return grades.filter((grade) => grade <= 1).length / grades.length
}

/** The law at a speed that is easy to reckon with by hand. */
const LAW = { ...STANDARD_LAW, speed: 0.35 }

describe('the law of learning', () => {
  it('teaches most where the answer is even, and nothing but worry where it is hopeless', () => {
    expect(gainOf(LAW, 1, { chance: 0.5, calm: 0 }).ability).toBeCloseTo(0.35, 12)
    expect(gainOf(LAW, 1, { chance: 0.9, calm: 0 }).ability).toBeCloseTo(0.35 * 0.36, 12)
    expect(gainOf(LAW, 1, { chance: 0.14, calm: 0 })).toEqual({ ability: 0, calm: -0.1 })
  })

  it('tires within a burst and halves for a tight answer', () => {
    expect(gainOf(LAW, 3, { chance: 0.5, calm: 0 }).ability).toBeCloseTo(0.35 * 0.85 ** 2, 12)
    expect(gainOf(LAW, 1, { chance: 0.5, calm: 2 })).toEqual({ ability: 0.175, calm: 0 })
  })
})

describe('the simulated horse', () => {
  it('answers its stiffer side less often light', () => {
    // Ability −1.2 against 0 − 1.4·… at rung 1 of 4: the response form gives the two rates apart from the draws.
    const rate = (ability: number): number => 1 / (1 + Math.exp(-2 * (ability - 0.7 * (1 - 4) - 0.4)))
    expect(lightShare('left')).toBeCloseTo(rate(-1.2), 1)
    expect(lightShare('right')).toBeCloseTo(rate(-2.2), 1)
  })

  it('is the same horse from the same seed', () => {
    const run = () => {
      const draw = seeded(3)
      let horse = newcomer(FEET_FIRST, NATURE)
      return times(20, (i) => {
        const asked = askSimulated(
          horse,
          { step: STEP, side: 'left', rung: 2, day: day(i), opensBurst: true },
          draw,
        )
        horse = asked.horse
        return asked.answer
      })
    }
    expect(run()).toEqual(run())
  })

  it('gives seconds that grade back to what it answered', () => {
    const draw = seeded(5)
    for (const grade of [0, 1, 2, 3] as Grade[])
      for (let i = 0; i < 50; i++)
        expect(gradeFromPace(FEET_FIRST.pace, drawSeconds(FEET_FIRST.pace, grade, draw))).toBe(grade)
  })

  it('settles in a log-normal time with the median of its grade', () => {
    const draw = seeded(6)
    const seconds = times(2001, () => drawSettleSeconds(2, draw)).sort((a, b) => a - b)
    expect(seconds[1000]).toBeGreaterThan(7.3)
    expect(seconds[1000]).toBeLessThan(8.7)
  })

  it('works on days counted back from today', () => {
    expect(workDays('2026-05-14', 3, { every: 2, endsBefore: 1 })).toEqual([
      '2026-05-09',
      '2026-05-11',
      '2026-05-13',
    ])
  })
})
