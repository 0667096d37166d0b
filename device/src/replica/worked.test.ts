import { describe, expect, it } from 'vitest'
import { given } from './given'
import { workedHere } from './worked'

describe('what a horse was worked, from what lies here', () => {
  it('is counted by track and session, without what was uncued', () => {
    const rows = workedHere(
      [
        given(1),
        given(2, { rung: 3, calm: 2 }),
        given(3, { recalled: true }),
        given(4, { uncued: true, rung: 4 }),
        given(5, { side: 'right' }),
        given(6, { sessionId: 't' }),
      ],
      new Map([['s', { place: 'Round pen' }]]),
    )
    expect(
      rows.map(({ session, side, place, answers, clean, hardestRung }) => [
        session,
        side,
        place,
        answers,
        clean,
        hardestRung,
      ]),
    ).toEqual([
      ['s', 'left', 'Round pen', 3, 1, 3],
      ['s', 'right', 'Round pen', 1, 1, 2],
      ['t', 'left', null, 1, 1, 2],
    ])
    expect(rows[0]).toMatchObject({
      from: Date.parse('2026-05-12T07:01:00Z'),
      to: Date.parse('2026-05-12T07:03:00Z'),
      day: '2026-05-12',
    })
  })
})
