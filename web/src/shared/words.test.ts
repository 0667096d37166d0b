import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { ageWords, clock, dayOf, longDay, tellTimeOf, withDays } from './words'

beforeAll(() => void vi.setSystemTime('2026-05-14T09:00:00Z'))
afterAll(() => void vi.useRealTimers())

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

  it('tells the days of a sentence in words, and the year where it is not this one', () => {
    expect(withDays('The vet holds this horse to 2026-12-10.')).toBe(
      'The vet holds this horse to 10 December.',
    )
    expect(withDays('Held since 2025-12-10.')).toBe('Held since 10 December 2025.')
    expect(withDays('Bend, 3 of 4.')).toBe('Bend, 3 of 4.')
  })

  it('tells time by the yard’s clock, whatever the device keeps', () => {
    tellTimeOf('Pacific/Auckland')
    // New Zealand is twelve hours ahead of UTC in its winter (IANA time zone database).
    expect([dayOf('2026-05-14T13:30:00Z'), clock('2026-05-14T13:30:00Z')]).toEqual(['2026-05-15', '01:30'])
    tellTimeOf('America/Denver')
    expect(dayOf('2026-05-14T03:30:00Z')).toBe('2026-05-13')
    expect(longDay('2026-05-13')).toBe('Wednesday 13 May')
    expect(longDay('2025-05-13')).toBe('Tuesday 13 May 2025')
  })
})
