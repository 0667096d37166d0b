import { describe, expect, it } from 'vitest'
import { answer, day, normalDraw, seeded, times } from '../../tests/logs'
import { drawCalm, drawGrade } from '../herd'
import { modelWith, STANDARD_MODEL as MODEL, valuesOf } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import type { TrackedAnswer } from '../readiness'
import { fitTo, heldOutScore, heldOutSince, type HorseHistory } from './fit'
import { nelderMead } from './nelder-mead'

describe('the search', () => {
  it('finds the bottom of Rosenbrock’s valley (Rosenbrock 1960: 1, 1), as Nelder and Mead (1965) did', () => {
    const valley = ([x, y]: readonly number[]): number => 100 * (y! - x! ** 2) ** 2 + (1 - x!) ** 2
    const { at, value, evaluations } = nelderMead(valley, [-1.2, 1], {
      sizes: [0.5, 0.5],
      most: 400,
      close: 1e-14,
    })
    expect(at[0]).toBeCloseTo(1, 4)
    expect(at[1]).toBeCloseTo(1, 4)
    expect(value).toBeLessThan(1e-8)
    expect(evaluations).toBeLessThanOrEqual(400)
  })

  it('stays within what it may ask, and away from what is not allowed', () => {
    let asked = 0
    const { at } = nelderMead(
      ([x]) => {
        asked++
        return x! < 0 ? Infinity : (x! + 1) ** 2
      },
      [2],
      { sizes: [0.5], most: 60 },
    )
    expect(asked).toBeLessThanOrEqual(62)
    expect(at[0]).toBeGreaterThanOrEqual(0)
    expect(at[0]).toBeLessThan(0.01)
  })
})

const STEPS = ['settle-in-pen', 'face-up', 'draw', 'lead-up', 'step-back', 'stand']

/** Horses that start this much more able than is assumed, at a rate that never changes after the start. */
const yardOf = (above: number, horses = 7): readonly HorseHistory[] => {
  const draw = seeded(20261128)
  return times(horses, () => {
    const talent = 1.5 * normalDraw(draw)
    const abilities = new Map(STEPS.map((key) => [key, -2.2 + above + talent + 0.8 * normalDraw(draw)]))
    const answers = times(24, (n) => day(2 * n)).flatMap((on) =>
      STEPS.flatMap((key): TrackedAnswer[] => {
        const step = stepOf(FEET_FIRST, key)!
        return times(2, (k) => {
          const hardness = 0.7 * (2 - step.requiredRung) + (k === 0 ? 0.4 : 0)
          const grade = drawGrade(abilities.get(key)!, hardness, draw)
          const p = 1 / (1 + Math.exp(-2 * (abilities.get(key)! - hardness)))
          const gain = p < 0.15 ? 0 : 0.35 * 4 * p * (1 - p) * 0.85 ** k
          abilities.set(key, abilities.get(key)! + gain + 0.15 * normalDraw(draw))
          return {
            ...answer({ day: on, rung: 2, grade, calm: drawCalm(1, hardness, draw) }),
            step: key,
            side: 'none',
          }
        })
      }),
    )
    return { program: FEET_FIRST, answers }
  })
}

describe('a yard’s own values', () => {
  it('are not asked of a short log', () => {
    expect(fitTo(MODEL, yardOf(0, 2))).toBeNull()
  })

  it('change no need and no rule of Solid', () => {
    const changed = modelWith(MODEL, { ...valuesOf(MODEL), startMean: 0, cold: 1 })
    expect(changed.solid).toBe(MODEL.solid)
    expect(changed.law).toBe(MODEL.law)
    expect(valuesOf(changed)).toMatchObject({ startMean: 0, cold: 1 })
  })

  it('come near the truth where all horses start more able than is assumed, and say the held-out days better', () => {
    const horses = yardOf(1.5)
    const fit = fitTo(MODEL, horses, { most: 50 })!
    // The mean of seven horses’ talents is known to 1.5 / √7; three of that.
    expect(Math.abs(fit.values.startMean - -0.7)).toBeLessThan(1.7)
    expect(fit.values.startMean).toBeGreaterThan(-2)
    expect(fit.heldOut).toBeGreaterThanOrEqual(fit.inUse - 0.002)
    expect(fit.inUse).toBeCloseTo(heldOutScore(MODEL, horses, heldOutSince(horses)), 12)
  })
})
