import { describe, expect, it } from 'vitest'
import { pullOf, slackBelow, type Sample } from './pull'

const at10Hz = (...newtons: number[]): Sample[] => newtons.map((n, i) => ({ at: i / 10, newtons: n }))

describe('pull and release', () => {
  // Worked by hand: 20 N is held to 0.3 s, the try is at 0.2 s, slack is a fifth of 20 N = 4 N. From 0.3 s (20 N)
  // to 0.4 s (0 N) the line passes 4 N after 16/20 of a tenth: 0.38 s, so 0.18 s after the try.
  it('times the release from the try to a fifth of what was held', () => {
    const pull = pullOf(at10Hz(0, 20, 20, 20, 0, 0), 0.2)!
    expect(pull.peakNewtons).toBe(20)
    expect(pull.releaseSeconds).toBeCloseTo(0.18, 10)
  })

  // By hand: 5 N at the try; a fifth is 1 N, but a rope weighs 2 N. 5 to 1 N between 0.1 and 0.2 s: 2 N at 0.175 s.
  it('takes the rope’s own weight for slack when little was held', () => {
    expect(pullOf(at10Hz(5, 5, 1), 0.1)!.releaseSeconds).toBeCloseTo(0.075, 10)
  })

  it('keeps a peak that came after the try', () => {
    expect(pullOf(at10Hz(3, 4, 30, 0), 0.1)!.peakNewtons).toBe(30)
  })

  it('says nought where the rope was slack at the try', () => {
    expect(pullOf(at10Hz(10, 1, 1), 0.15)).toEqual({ peakNewtons: 10, releaseSeconds: 0 })
  })

  it('does not invent a release that was not recorded', () => {
    expect(pullOf(at10Hz(10, 12, 12), 0.1)).toEqual({ peakNewtons: 12, releaseSeconds: null })
  })

  it('has nothing to say of a gauge that sent nothing', () => {
    expect(pullOf([], 1)).toBeNull()
  })

  it('reads the try between two readings, and past the last one', () => {
    expect(pullOf(at10Hz(0, 10), 0.05)!.releaseSeconds).toBeNull()
    expect(pullOf(at10Hz(10, 10, 1), 5)).toEqual({ peakNewtons: 10, releaseSeconds: 0 })
  })

  it('calls 2 N slack, or a fifth', () => {
    expect([slackBelow(0), slackBelow(10), slackBelow(50)]).toEqual([2, 2, 10])
  })
})
