import { jStat } from 'jstat'
import { describe, expect, it } from 'vitest'
import { standardNormal } from './random'
import { crps, insideShare, scoreOf } from './score'

const normals = (count: number, seed: number): number[] =>
  Array.from({ length: count }, (_, draw) => standardNormal({ seed, draw, track: 0, n: 0, purpose: 'own' }))

describe('how a kept forecast is scored', () => {
  // Gneiting and Raftery 2007, section 4.2: of N(0, 1) at x it is x (2Φ(x) − 1) + 2φ(x) − 1/√π.
  it('is the closed form where the draws are normal', () => {
    const draws = normals(4_000, 5)
    for (const x of [-1.5, 0, 0.7, 3]) {
      const closed =
        x * (2 * jStat.normal.cdf(x, 0, 1) - 1) + 2 * jStat.normal.pdf(x, 0, 1) - 1 / Math.sqrt(Math.PI)
      expect(Math.abs(crps(draws, x) - closed)).toBeLessThan(0.03)
    }
  })

  it('is the distance where the forecast was one day, and by hand for two', () => {
    expect(crps([40], 47)).toBe(7)
    // Mean distance 6 less half of the mean distance of two draws, (0 + 8 + 8 + 0)/4 = 4: 4.
    expect(crps([40, 48], 50)).toBe(4)
  })

  it('counts a day at an end by its part', () => {
    const draws = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10]
    expect(insideShare(draws, 5)).toBe(1)
    expect(insideShare(draws, 1)).toBe(0)
    expect(insideShare(draws, 20)).toBe(0)
    // Two tenths of probability lie on day 1, one of them within: a half.
    expect(insideShare([1, 1, 3, 4, 5, 6, 7, 8, 9, 10], 1)).toBeCloseTo(0.5, 12)
  })

  it('has eight in ten inside where the forecast is true', () => {
    const scored = Array.from({ length: 300 }, (_, i) => ({
      draws: normals(200, 1_000 + i).map((one) => Math.round(20 * one)),
      came: Math.round(20 * standardNormal({ seed: 9, draw: i, track: 1, n: 0, purpose: 'own' })),
    }))
    const score = scoreOf(scored)!
    expect(score.inside).toBeGreaterThan(0.72)
    expect(score.inside).toBeLessThan(0.88)
    expect(Math.abs(score.middleOffDays)).toBeLessThan(5)
  })

  it('says nothing of fewer than ten', () => {
    expect(scoreOf([{ draws: [1, 2], came: 2 }])).toBeNull()
  })
})
