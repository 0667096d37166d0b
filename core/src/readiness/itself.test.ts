import fc from 'fast-check'
import { jStat } from 'jstat'
import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import { replayHorse, viewsOf, type TrackedAnswer } from './horse'
import { atMostOf, notItself, notItselfInWords } from './itself'
import { noticesOf } from './notices'
import { NO_FACTS } from '../facts'

describe('how rare a day is', () => {
  it('is binomial where all chances are the same, by an independent library', () => {
    for (const [n, p, k] of [
      [5, 0.8, 1],
      [12, 0.35, 4],
      [20, 0.95, 17],
    ] as const)
      expect(
        atMostOf(
          times(n, () => p),
          k,
        ),
      ).toBeCloseTo(jStat.binomial.cdf(k, n, p), 10)
  })

  it('is the sum over every way it could have gone', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 8 }),
        fc.nat(8),
        (chances, most) => {
          let sum = 0
          for (let ways = 0; ways < 2 ** chances.length; ways++) {
            const came = chances.map((_, i) => (ways >> i) & 1)
            if (came.reduce((a, b) => a + b, 0) > most) continue
            sum += chances.reduce((p, chance, i) => p * (came[i] ? chance : 1 - chance), 1)
          }
          expect(atMostOf(chances, most)).toBeCloseTo(sum, 10)
        },
      ),
    )
  })
})

describe('a horse that is not itself', () => {
  const STEPS = ['settle-in-pen', 'face-up', 'draw', 'lead-up', 'step-back', 'halter-on']

  const asked = (on: string, change: Partial<TrackedAnswer>): TrackedAnswer[] =>
    STEPS.map((key) => {
      const step = stepOf(FEET_FIRST, key)!
      return {
        ...answer({ day: on, rung: step.requiredRung, grade: 0, ...change }),
        step: key,
        side: step.sided ? 'left' : 'none',
      }
    })

  const GOOD_DAYS = [0, 2, 4, 6].flatMap((n) => asked(day(n), {}))
  const viewsAfter = (...today: TrackedAnswer[][]) =>
    viewsOf(MODEL, FEET_FIRST, {
      records: replayHorse(MODEL, FEET_FIRST, [...GOOD_DAYS, ...today.flat()]),
      on: day(8),
    })

  it('is told from four first asks on, with the counts', () => {
    const bad = asked(day(8), { grade: 3 })
    expect(notItself(viewsAfter(bad.slice(0, 3)))).toBeNull()
    const strange = notItself(viewsAfter(bad.slice(0, 4)))
    expect(strange).toMatchObject({ about: 'light', asks: 4, came: 0 })
    expect(notItselfInWords(strange!)).toMatch(/^Not itself today: 0 of 4 first asks light, about 4 expected/)
  })

  it('is told by the calm too, and not on a day like others, nor of what was by chance', () => {
    expect(notItself(viewsAfter(asked(day(8), { calm: 2 })))).toMatchObject({ about: 'calm', came: 0 })
    expect(notItself(viewsAfter(asked(day(8), {})))).toBeNull()
    expect(notItself(viewsAfter(asked(day(8), { grade: 3, byChance: true })))).toBeNull()
    expect(notItself(viewsAfter())).toBeNull()
  })

  it('stands among what must be known before it goes on, that day alone', () => {
    const noticed = { program: FEET_FIRST, facts: NO_FACTS, on: day(8) }
    const views = viewsAfter(asked(day(8), { grade: 3 }))
    expect(noticesOf({ ...noticed, views })[0]).toMatchObject({ about: 'itself', tone: 'stop' })
    const records = replayHorse(MODEL, FEET_FIRST, [...GOOD_DAYS, ...asked(day(8), { grade: 3 })])
    const tomorrow = viewsOf(MODEL, FEET_FIRST, { records, on: day(9) })
    expect(noticesOf({ ...noticed, views: tomorrow, on: day(9) })).toEqual([])
  })
})
