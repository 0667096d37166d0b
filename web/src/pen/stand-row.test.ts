import { describe, expect, it } from 'vitest'
import { placeAfter } from './stand-row'

describe('walking round the horse', () => {
  it('goes to the next place that is missing', () => {
    expect(placeAfter(null, [3, 5])).toBe(3)
    expect(placeAfter(3, [3, 5])).toBe(5)
    expect(placeAfter(5, [3, 5])).toBe(3)
  })

  it('goes round one by one when none is missing', () => {
    expect(placeAfter(null, [])).toBe(1)
    expect(placeAfter(4, [])).toBe(5)
    expect(placeAfter(5, [])).toBe(1)
  })
})
