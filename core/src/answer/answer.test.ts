import { describe, expect, it } from 'vitest'
import {
  addDays,
  adviceFor,
  daysBetween,
  gradeFromCorrections,
  gradeFromPace,
  gradeFromWorst,
  holdSeconds,
  isDay,
  monthsOld,
  secondsLessLag,
  type Pace,
} from './index'

const FEET_FIRST: Pace = { limits: [1.5, 4.5, 7.5, 12], phases: ['thought', 'light', 'firm', 'strong'] }

describe('pace to grade', () => {
  it.each([
    [0, 0],
    [1.5, 0],
    [1.51, 1],
    [4.5, 1],
    [4.51, 2],
    [7.5, 2],
    [7.51, 3],
    [12, 3],
    [12.01, 4],
    [600, 4],
  ])('an answer after %f s is grade %i in a pace of 1.5, 4.5, 7.5, 12', (seconds, grade) => {
    expect(gradeFromPace(FEET_FIRST, seconds)).toBe(grade)
  })

  it('takes the press lag off, never below nought', () => {
    expect(gradeFromPace(FEET_FIRST, secondsLessLag(1.8, 0.4))).toBe(0)
    expect(gradeFromPace(FEET_FIRST, secondsLessLag(2.0, 0.4))).toBe(1)
    expect(secondsLessLag(0.2, 0.4)).toBe(0)
  })
})

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

describe('advice while it happens', () => {
  const good = { grade: 1, calm: 0 } as const
  const hard = { grade: 3, calm: 1 } as const

  it('leaves after three light and loose in a row', () => {
    expect(adviceFor([good, good, good], 30)?.kind).toBe('leave')
    expect(adviceFor([good, { ...good, calm: 1 }, good], 30)).toBeNull()
    expect(adviceFor([good, { ...good, calm: null }, good], 30)).toBeNull()
  })

  it('makes it smaller after two hard ones, tight ones too', () => {
    expect(adviceFor([good, hard, hard], 30)?.kind).toBe('smaller')
    expect(adviceFor([good, { grade: 1, calm: 2 }, hard], 30)?.kind).toBe('smaller')
    expect(adviceFor([hard, good, hard], 30)).toBeNull()
  })

  it('puts trouble before time and time before success', () => {
    expect(adviceFor([hard, hard], 500)?.kind).toBe('smaller')
    expect(adviceFor([good, good, good], 121)?.kind).toBe('time')
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
