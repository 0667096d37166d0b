import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SCHOOLS } from '../program'
import { gradeFromPace } from '../answer'
import { afterRelease, intentOf, lessonKept, lightChances, NEW_TO_IT, type Intent } from './practice'

const LIGHT: Intent = { grade: 1, calm: 0, trySeconds: 3 }

describe('the practice horse', () => {
  // By hand: half a second is prompt; each further half second halves what is left.
  it('keeps the whole of a lesson that ends at once, and half of it half a second late', () => {
    expect([0, 0.5, 1, 1.5, 2.5].map(lessonKept)).toEqual([1, 1, 0.5, 0.25, 0.0625])
  })

  it('learns as fast as it can from prompt hands, and less the later they let go', () => {
    const chance = (release: number) => lightChances(afterRelease(NEW_TO_IT, LIGHT, release))
    expect(chance(0.3).now).toBeCloseTo(chance(0.3).withPromptHands, 12)
    expect(chance(1).now).toBeLessThan(chance(0.3).now)
    expect(chance(3).now).toBeLessThan(chance(1).now)
    expect(chance(3).now).toBeGreaterThan(lightChances(NEW_TO_IT).now)
  })

  it('learns nothing from a rope let go before it tried, or when it did not try', () => {
    expect(afterRelease(NEW_TO_IT, LIGHT, null).ability).toBe(NEW_TO_IT.ability)
    const refusal = { grade: 4, calm: 1, trySeconds: null } as const
    expect(afterRelease(NEW_TO_IT, refusal, 0)).toMatchObject({
      ability: NEW_TO_IT.ability,
      withPromptHands: NEW_TO_IT.withPromptHands,
    })
  })

  it('is worried by a rope that is not let go for long', () => {
    expect(afterRelease(NEW_TO_IT, LIGHT, 4).calm).toBeLessThan(NEW_TO_IT.calm)
  })

  it('tries within the window of its grade, in the pace of every school', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SCHOOLS),
        fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { minLength: 8 }),
        ({ pace }, draws) => {
          let i = 0
          const intent = intentOf(NEW_TO_IT, pace, () => draws[i++ % draws.length]!)
          if (intent.trySeconds !== null) expect(gradeFromPace(pace, intent.trySeconds)).toBe(intent.grade)
          else expect(intent.grade).toBe(4)
        },
      ),
    )
  })
})
