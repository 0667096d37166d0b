import { describe, expect, it } from 'vitest'
import { ageWords } from './words'

describe('numbers as a person reads them', () => {
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
