import { describe, expect, it } from 'vitest'
import { seeded, times } from '../logs'
import { calibrationOf, HERDS, predictedOf } from './calibration'

/** Neighbouring seeds begin alike, so the first draws are thrown away. */
const drawOf = (n: number): (() => number) => {
  const draw = seeded(7919 * (n + 1))
  times(20, draw)
  return draw
}

/** A few horses here; `npm run bench -- --only calibration` asks five herds of forty. */
describe('the chances said of a herd that the judge knows nothing of', () => {
  it.each([HERDS[0]!, HERDS[2]!])('come true, where the middle talent is $talent', (herd) => {
    const { light, calm } = predictedOf(herd, { horses: 6, days: 24, drawOf })
    for (const outcomes of [light, calm]) {
      const { meanError, better, predictions } = calibrationOf(outcomes)
      expect(predictions).toBeGreaterThan(500)
      // The noise of so few asks is in it: the bench holds the figure itself.
      expect(meanError).toBeLessThan(0.05)
      expect(better!).toBeGreaterThan(0.1)
    }
  })
})
