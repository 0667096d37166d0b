import { describe, expect, it } from 'vitest'
import { degreesAt, pointAt, RADIUS, secondsAt, spanOfPhase } from './arc-geometry'

describe('the arc', () => {
  const limits = [1.5, 4.5, 7.5, 12]

  it('gives each phase the room of its seconds, one after the other with the same gap', () => {
    const spans = limits.map((_, phase) => spanOfPhase(limits, phase, 12))
    const gaps = spans.slice(1).map(({ from }, i) => from - spans[i]!.to)
    for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0]!, 9)
    const degrees = spans.map(({ from, to }) => to - from + gaps[0]!)
    // 240 degrees for 12 seconds are 20 for each.
    expect(degrees.map((d) => Number(d.toFixed(6)))).toEqual([30, 60, 60, 90])
    expect(spans[0]!.from).toBeGreaterThan(degreesAt(0, 12))
    expect(spans[3]!.to).toBeLessThan(degreesAt(12, 12))
  })

  it('ends a phase of no length before it begins, so that nothing is drawn of it', () => {
    const { from, to } = spanOfPhase([2, 2, 5, 9], 1, 9)
    expect(to).toBeLessThan(from)
  })

  it('finds the moment under the point where that moment is drawn', () => {
    for (const seconds of [0, 0.1, 3, 7.5, 11.9, 12])
      expect(secondsAt(pointAt(degreesAt(seconds, 12), RADIUS), 12)).toBeCloseTo(seconds, 9)
  })
})
