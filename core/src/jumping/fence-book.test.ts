import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays } from '../answer'
import { fenceBook, type ToldJumps } from './fence-book'
import { fencesSetOut, polesSetOut } from './set-out'

const FIRST = '2026-03-02'
const HORSE = { withersCm: 150, ageOn: () => 60, ridesBy: () => 40, raisedOrdinary: true }

const jumped = (days: number, change: Partial<ToldJumps> = {}): ToldJumps => ({
  on: addDays(FIRST, days),
  heightCm: 30,
  efforts: 4,
  goodLeft: 0,
  goodRight: 0,
  polesBothReins: true,
  changed: [],
  ...change,
})

const on = (days: number) => ({ ...HORSE, on: addDays(FIRST, days) })

describe('the book of fences', () => {
  it('begins low and with few: a fifth of the height, six efforts, once a week', () => {
    expect(fenceBook([], on(0)).next).toMatchObject({
      number: 1,
      caps: { heightCm: 30, efforts: 6, sessionsAWeek: 1 },
      says: 'go-on',
    })
  })

  it('counts a session by its number and its week', () => {
    const { sessions, next } = fenceBook([jumped(0), jumped(2), jumped(9)], on(10))
    expect(sessions.map(({ judged }) => judged.warns)).toEqual([[], ['week', 'too-soon'], []])
    expect(next).toMatchObject({
      number: 4,
      caps: { heightCm: 45, efforts: 12 },
      warns: ['week', 'too-soon'],
    })
  })

  it('leaves it at a good one each rein, and says a second thing that was changed', () => {
    const [one] = fenceBook(
      [jumped(0, { goodLeft: 1, goodRight: 1, changed: ['height', 'filler'] })],
      on(0),
    ).sessions
    expect(one!.judged).toMatchObject({ end: true, says: 'leave-it', warns: ['one-thing'] })
  })

  it('is no business of a horse under four, or of no known age', () => {
    expect(fenceBook([], { ...on(0), ageOn: () => 47 }).next.says).toBe('stop')
    expect(fenceBook([], { ...on(0), ageOn: () => null }).next.says).toBe('stop')
  })
})

describe('what is set out', () => {
  it('lies as far apart as it is drawn, for any horse', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 180 }), fc.integer({ min: 1, max: 8 }), (withersCm, count) => {
        const { things, told, wholeM } = polesSetOut({ gait: 'trot', withersCm, poles: count, raisedCm: 0 })
        expect(things).toHaveLength(count)
        expect(things.at(-1)!.atM).toBeCloseTo(wholeM, 9)
        for (let i = 1; i < count; i++)
          expect(things[i]!.atM - things[i - 1]!.atM).toBeCloseTo(told.middleM, 9)
      }),
    )
  })

  it('lands half a stride behind a fence, and takes off half a stride before the next', () => {
    const { things, strides, told } = fencesSetOut({
      withersCm: 162.56,
      strides: 1,
      approach: 'canter',
      heightCm: 50,
    })
    // One stride from canter at 50 cm, a horse of 16 hands: 6.6 m.
    expect(told.metres).toBeCloseTo(6.6, 9)
    expect(things.map(({ atM }) => atM)).toEqual([0, 3, 9.6])
    expect(strides).toEqual([expect.closeTo(4.65, 9), expect.closeTo(7.95, 9)])
  })
})
