import { describe, expect, it } from 'vitest'
import { ageWords, percent } from './words'

describe('numbers as a person reads them', () => {
  it('never rounds a chance up', () => {
    expect([percent(0.849), percent(0.85), percent(1), percent(0.0042)]).toEqual([
      '84 %',
      '85 %',
      '100 %',
      '0 %',
    ])
  })

  it('tells an age in years and months', () => {
    expect([0, 1, 11, 12, 13, 25, 36].map(ageWords)).toEqual([
      '0 months',
      '1 month',
      '11 months',
      '1 year',
      '1 year 1 month',
      '2 years 1 month',
      '3 years',
    ])
  })
})
