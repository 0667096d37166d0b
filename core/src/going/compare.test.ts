import { describe, expect, it } from 'vitest'
import { addDays } from '../answer'
import { goingOf, minutesBeforeTired, tiredIn, type GoingSession } from './compare'

const ON = '2026-05-14'

const session = (ago: number, change: Partial<GoingSession> = {}): GoingSession => ({
  on: addDays(ON, -ago),
  going: [
    { minute: 2, rein: 'left', stretch: 3, swing: 2 },
    { minute: 8, rein: 'right', stretch: 1, swing: 2 },
  ],
  stretchSeconds: { left: null, right: null },
  signs: [],
  ...change,
})

describe('way of going', () => {
  it('is compared rein by rein and fortnight by fortnight, of what was looked at alone', () => {
    const before = Array.from({ length: 6 }, (_, i) => session(40 - 3 * i))
    const now = Array.from({ length: 4 }, (_, i) =>
      session(9 - 2 * i, { going: [{ minute: 2, rein: 'left', swing: 3 }] }),
    )
    const found = goingOf([...before, ...now], ON)
    expect(found.map(({ feature }) => feature)).toEqual(['stretch', 'swing'])
    // Six of six better to the left: one chance in thirty-two.
    expect(found[0]!.reins).toMatchObject({ n: 6, says: 'left-better', p: expect.closeTo(2 / 64, 9) })
    expect(found[1]!.weeks).toMatchObject({ beforeMiddle: 2, nowMiddle: 3, says: 'better' })
  })

  it('takes a stretch that was never seen for the longest of all, and one nobody looked for for nothing', () => {
    const seen = Array.from({ length: 6 }, (_, i) =>
      session(20 - i, { going: [], stretchSeconds: { left: 60 + i, right: null } }),
    )
    const [first] = goingOf([session(30, { going: [] }), ...seen], ON)
    expect(first).toMatchObject({
      feature: 'secondsToStretch',
      reins: { n: 6, says: 'left-better', rightMiddle: null },
    })
  })

  it('says when it tires and what that leaves for the next time', () => {
    const tired = session(3, {
      going: [3, 6, 9, 12].map((minute) => ({ minute, rein: 'left', swing: minute < 9 ? 3 : 2 })),
    })
    expect(tiredIn(tired)).toMatchObject({ minute: 9, says: 'swing' })
    expect(minutesBeforeTired([session(8), tired], ON)).toBeCloseTo(7.2, 9)
    expect(minutesBeforeTired([tired, session(1, { going: [] })], ON)).toBeNull()
    expect(minutesBeforeTired([{ ...tired, on: '2026-03-01' }], ON)).toBeNull()
  })
})
