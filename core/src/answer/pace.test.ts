import { describe, expect, it } from 'vitest'
import { SCHOOLS } from '../program'
import { DEFAULT_PRESS_LAG_SECONDS, gradeFromAsk, gradeFromPace, secondsLessLag } from './pace'

/** A hair over, in seconds. */
const HAIR = 0.01

describe.each(SCHOOLS.map(({ name, pace }) => [name, pace] as const))('the pace of %s', (_name, pace) => {
  it.each(pace.limits.map((limit, grade) => [limit, grade] as const))(
    'still gives the better grade at %f s, and the next a hair later',
    (limit, grade) => {
      expect(gradeFromPace(pace, limit)).toBe(grade)
      expect(gradeFromPace(pace, limit + HAIR)).toBe(grade + 1)
    },
  )

  it.each(pace.limits.map((limit, grade) => [limit, grade] as const))(
    'takes the thumb off before it grades at %f s',
    (limit, grade) => {
      for (const lag of [0, DEFAULT_PRESS_LAG_SECONDS, 0.25, 1]) {
        expect(gradeFromAsk(pace, secondsLessLag(limit + lag, lag), 0)).toBe(grade)
        expect(gradeFromAsk(pace, secondsLessLag(limit + lag + HAIR, lag), 0)).toBe(grade + 1)
      }
    },
  )

  it('has nothing to give for no answer, however late', () => {
    expect(gradeFromAsk(pace, 86_400, 0)).toBe(4)
  })
})

describe('a press for each aid', () => {
  it.each(SCHOOLS)('outranks the clock in $name where it goes by wait or by aids', ({ pace }) => {
    const late = pace.limits[3] + 1
    const grades = [1, 2, 3, 7].map((aids) => gradeFromAsk(pace, late, aids))
    expect(grades).toEqual(pace.gradedBy === 'phases' ? [4, 4, 4, 4] : [1, 2, 3, 3])
    expect(gradeFromAsk(pace, 0, 2)).toBe(pace.gradedBy === 'phases' ? 0 : 2)
  })
})

describe('the press lag', () => {
  it('never makes an answer earlier than the cue', () => {
    expect(secondsLessLag(0.2, 0.4)).toBe(0)
  })

  it('does not move a border by the way computers hold tenths', () => {
    // 2.9 − 0.4 and 4.1 − 1.1 are not 2.5 and 3 in binary fractions.
    for (let tenths = 1; tenths < 700; tenths++)
      for (const lag of [0.1, 0.3, 0.4, 0.7, 1.1])
        expect(secondsLessLag(tenths / 10 + lag, lag)).toBe(tenths / 10)
  })
})
