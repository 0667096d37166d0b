import { describe, expect, it } from 'vitest'
import { seeded } from '../../tests/logs'
import { DEFAULTS, MANY_HORSES, shifted, yardOf } from '../../tests/trial/fitted-yards'
import { modelWith, STANDARD_MODEL as MODEL, valuesOf, type FittedValues } from '../judgement'
import { replayHorse } from '../readiness'
import { fitTo, heldOutScore, heldOutSince, logLikelihoodOf } from './fit'
import { nelderMead } from './nelder-mead'
import { fitInWords } from './words'

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

const SIZE = { ...MANY_HORSES, horses: 72 }
const yardWith = (values: FittedValues, size = SIZE) => yardOf(values, seeded(20261128), size)

describe('a yard’s own values', () => {
  it('are not asked of a short log', () => {
    expect(fitTo(MODEL, yardWith(DEFAULTS, { ...SIZE, horses: 30 }))).toBeNull()
  })

  it('change no need and no rule of Solid', () => {
    const changed = modelWith(MODEL, { ...valuesOf(MODEL), startMean: 0, cold: 1 })
    expect(changed.solid).toBe(MODEL.solid)
    expect(changed.law).toBe(MODEL.law)
    expect(valuesOf(changed)).toMatchObject({ startMean: 0, cold: 1 })
  })

  it('are sought by the log-likelihood that replaying a horse gives', () => {
    for (const horse of yardWith(shifted('start higher'), { ...SIZE, horses: 4 })) {
      const { tracks } = replayHorse(MODEL, horse.program, horse.answers)
      const whole = [...tracks.values()].reduce((sum, { belief }) => sum + belief.logLikelihood, 0)
      const counted = [...tracks.values()].reduce((sum, { tally }) => sum + tally.answers, 0)
      const { logLikelihood, answers } = logLikelihoodOf(MODEL, horse)
      expect(logLikelihood).toBeCloseTo(whole, 9)
      expect(answers).toBe(counted)
    }
  })

  it('come near the truth where all horses start more able than is assumed, and say the held-out days better', () => {
    const horses = yardWith(shifted('start higher'))
    const fit = fitTo(MODEL, horses, { most: 50 })!
    // The mean of sixty horses’ talents is known to 1.5 / √60; four of that.
    expect(Math.abs(fit.values.startMean - -0.7)).toBeLessThan(0.8)
    expect(fit.values.startMean).toBeGreaterThan(-2)
    expect(fit.heldOut).toBeGreaterThanOrEqual(fit.inUse - 0.002)
    expect(fit.inUse).toBeCloseTo(heldOutScore(MODEL, horses, heldOutSince(horses)), 12)
  })
})

describe('what a fit says', () => {
  it('names each value that moved, and how far', () => {
    expect(fitInWords(DEFAULTS, { ...DEFAULTS, startMean: -0.8, speedMean: 0.2 })).toEqual([
      'your horses start steps more able than we assumed: 1.4 up',
      'your horses learn more slowly than we assumed: 0.35 to 0.20',
    ])
    expect(fitInWords(DEFAULTS, { ...DEFAULTS, cold: 0.9, noise: 0.11 })).toEqual([
      'what one ask teaches varies less than we assumed: 0.15 to 0.11',
      'the first ask of a day is harder for them than we assumed: 0.4 to 0.9',
    ])
    expect(fitInWords(DEFAULTS, { ...DEFAULTS, startMean: -2.1 })).toEqual([])
  })
})
