import { describe, expect, it } from 'vitest'
import { ageWords, withDays } from './words'

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

  it('tells the days of a sentence in words', () => {
    expect(withDays('The vet holds this horse to 2026-12-10.')).toBe(
      'The vet holds this horse to 10 December 2026.',
    )
    expect(withDays('Bend, 3 of 4.')).toBe('Bend, 3 of 4.')
  })
})
