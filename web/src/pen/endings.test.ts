import { FEET_FIRST, LIGHT_AIDS, STAND_FIRST } from '@still-pine/core/program'
import { describe, expect, it } from 'vitest'
import { endedTakenAway, endedWell, endedWithout } from './endings'

const RUNNING = {
  startedAt: 0,
  worst: 'nothing',
  corrections: 0,
  firm: 0,
  outSince: null,
  aids: 0,
} as const

const course = (over: object) =>
  ({ kind: 'ask', pace: FEET_FIRST.pace, running: RUNNING, seconds: 2, lagSeconds: 0.4, ...over }) as never

describe('how a running ask, accept or hold ends', () => {
  it('grades an ask by its seconds where the feel grows', () => {
    expect(endedWell(course({}))).toEqual({ grade: 1, seconds: 1.6, ending: null, aids: null })
  })

  it('grades an ask by its aids in a school that counts them, and keeps how many', () => {
    const running = { ...RUNNING, aids: 2 }
    expect(endedWell(course({ pace: LIGHT_AIDS.pace, running }))).toMatchObject({ grade: 2, aids: 2 })
    expect(endedWell(course({ pace: STAND_FIRST.pace, running, seconds: 40 }))).toMatchObject({ grade: 2 })
    expect(endedWithout(course({ pace: LIGHT_AIDS.pace, running }))).toMatchObject({ grade: 4, aids: 2 })
  })

  it('grades an accept by its worst and says how it ended', () => {
    const running = { ...RUNNING, worst: 'moved' }
    expect(endedWell(course({ kind: 'accept', running, seconds: 12.4 }))).toEqual({
      grade: 3,
      seconds: 12,
      ending: 'held',
      aids: null,
    })
    expect(endedTakenAway(course({ kind: 'accept', running }))).toMatchObject({
      ending: 'left-moving',
      grade: 3,
    })
    expect(endedTakenAway(course({ kind: 'accept' }))).toMatchObject({ ending: 'left-before', grade: 0 })
  })

  it('counts a hold that was cut short as the hardest rung it reached, and as none where it reached none', () => {
    const hold = (seconds: number, corrections = 0) =>
      endedWell(
        course({
          kind: 'hold',
          running: { ...RUNNING, corrections },
          seconds: seconds + 0.4,
          hold: { ladder: [5, 30, 30, 120, null], rung: 4 },
        }),
      )
    expect(hold(120)).toEqual({ grade: 0, seconds: 120, ending: null, aids: null })
    expect(hold(70)).toMatchObject({ rung: 3, grade: 0, seconds: 70 })
    expect(hold(70, 1)).toMatchObject({ rung: 3, grade: 1 })
    // It was going wrong: ending it does not save it.
    expect(hold(70, 2)).toMatchObject({ grade: 3 })
    expect(hold(70, 2)).not.toHaveProperty('rung')
    expect(hold(4)).toBeNull()
    // Put back once, it held its time: as two light corrections.
    const putBack = course({
      kind: 'hold',
      running: { ...RUNNING, firm: 1 },
      seconds: 31,
      hold: { ladder: [5, 30], rung: 2 },
    })
    expect(endedWell(putBack)).toMatchObject({ grade: 2 })
  })

  it('grades a hold by its corrections, and a hold that was left as no answer', () => {
    const running = { ...RUNNING, corrections: 2 }
    expect(endedWell(course({ kind: 'hold', running, seconds: 30.4 }))).toMatchObject({
      grade: 2,
      seconds: 30,
    })
    expect(endedWithout(course({ kind: 'hold', running }))).toMatchObject({
      grade: 4,
      seconds: null,
      aids: null,
    })
  })
})
