import { describe, expect, it } from 'vitest'
import {
  chancePercent,
  addDays,
  daysBetween,
  gradeFromCorrections,
  gradeFromWorst,
  holdSeconds,
  isDay,
  monthsOld,
  percent,
} from './index'

describe('accepts and holds', () => {
  it('grades an accept by its worst, and by the count of three where there was none', () => {
    expect(gradeFromWorst('nothing', 3)).toBe(0)
    expect(gradeFromWorst('nothing', 3.1)).toBe(1)
    expect(gradeFromWorst('tightened', 1)).toBe(2)
    expect(gradeFromWorst('moved', 1)).toBe(3)
    expect(gradeFromWorst('left', 1)).toBe(4)
  })

  it('grades a hold by its corrections', () => {
    expect([0, 1, 2, 3, 9].map((n) => gradeFromCorrections(n, false))).toEqual([0, 1, 2, 3, 3])
    expect(gradeFromCorrections(0, true)).toBe(4)
  })

  it('reads how long a hold lasts from the rung itself', () => {
    expect(holdSeconds('5 s beside')).toBe(5)
    expect(holdSeconds('2 min at 3 m')).toBe(120)
    expect(holdSeconds('30 min in the halter')).toBe(1800)
    expect(holdSeconds('rope on the ground')).toBe(30)
  })
})

describe('days', () => {
  it('counts over a leap day and a change of clocks', () => {
    expect(daysBetween('2028-02-28', '2028-03-01')).toBe(2)
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2)
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
  })

  it('knows the calendar', () => {
    expect([isDay('2028-02-29'), isDay('2027-02-29'), isDay('2026-13-01'), isDay('today')]).toEqual([
      true,
      false,
      false,
      false,
    ])
  })

  it('fills a month of age on the same day of the month', () => {
    expect(monthsOld('2023-05-14', '2026-05-13')).toBe(35)
    expect(monthsOld('2023-05-14', '2026-05-14')).toBe(36)
  })
})

describe('shares in words', () => {
  it('never say a chance higher than it is, and a share that was seen to the nearest whole', () => {
    expect([0.849, 0.85, 1, 0.0042].map(chancePercent)).toEqual(['84 %', '85 %', '100 %', '0 %'])
    expect([0.849, 0.0042].map(percent)).toEqual(['85 %', '0 %'])
  })
})
