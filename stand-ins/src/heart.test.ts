import { describe, expect, it } from 'vitest'
import { aSecondOn, atRest, messageOf, startled } from './heart'

describe('a simulated heart', () => {
  it('is startled, and is back near rest after a while', () => {
    let heart = startled(atRest(38))
    expect(heart.bpm).toBe(95)
    for (let second = 0; second < 12; second++) heart = aSecondOn(heart, 6)
    // (95 − 38) e⁻² = 7.7 above rest.
    expect(heart.bpm).toBeCloseTo(45.7, 1)
  })

  it('speaks as a strap does', () => {
    // By hand, from the published layout: the first bit of the flags says two bytes; 400 is 0x0190.
    expect(messageOf(38)).toEqual([0, 38])
    expect(messageOf(255)).toEqual([0, 255])
    expect(messageOf(400)).toEqual([1, 0x90, 0x01])
  })
})
