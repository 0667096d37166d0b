import { describe, expect, it } from 'vitest'
import { differenceOf, rankCorrelation, summaryOf, type Drawn } from './summary'

const FROM = '2026-05-18'
const drawn = (...days: (number | null)[]): Drawn[] =>
  days.map((one) => ({ days: one, workDays: (one ?? 0) / 2 }))

describe('what the draws of a forecast say', () => {
  it('is a range, and the share by a date', () => {
    const draws = drawn(...Array.from({ length: 20 }, (_, i) => 10 * (i + 1)))
    expect(summaryOf(draws, { from: FROM, horizonDays: 180 }, '2026-08-26')).toEqual({
      p10: '2026-06-07',
      p50: '2026-08-26',
      p90: '2026-11-14',
      workDays: { p10: 10, p50: 45, p90: 85 },
      share: { inHorizon: 0.9, by: 0.5 },
    })
  })

  it('has no end where one in ten does not come there, and no middle where half do not', () => {
    const summary = summaryOf(
      drawn(5, 6, 7, null, null, null, null, null, null, null),
      { from: FROM, horizonDays: 180 },
      null,
    )
    expect(summary).toMatchObject({
      p10: '2026-05-23',
      p50: null,
      p90: null,
      share: { inHorizon: 0.3, by: null },
    })
    expect(summaryOf(drawn(null), { from: FROM, horizonDays: 180 }, null).workDays).toBeNull()
  })

  it('tells a what-if draw by draw', () => {
    const base = drawn(30, 40, 50, null)
    const other = drawn(20, 35, 50, 100)
    expect(differenceOf(base, other, 180)).toEqual({ p10: -80, p50: -10, p90: 0, mean: -23.75 })
  })
})

describe('how two lists move together', () => {
  // Worked by hand: ranks 1 2 3 4 5 against 2 1 4 3 5: 1 − 6 · 4/(5 · 24) = 0.8 (Spearman 1904).
  it('is told by ranks', () => {
    expect(rankCorrelation([10, 20, 30, 40, 50], [2, 1, 4, 3, 5])).toBeCloseTo(0.8, 12)
    expect(rankCorrelation([1, 2, 3], [9, 5, 1])).toBe(-1)
    expect(rankCorrelation([1, 2, 3], [7, 7, 7])).toBe(0)
  })

  it('gives equal values the middle of their ranks', () => {
    // Ranks 1.5 1.5 3 4 against 1 2 3 4: 4.5/√(4.5 · 5) by hand.
    expect(rankCorrelation([1, 1, 2, 3], [1, 2, 3, 4])).toBeCloseTo(4.5 / Math.sqrt(4.5 * 5), 12)
  })
})
