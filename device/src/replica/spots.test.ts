import { expect, it } from 'vitest'
import { PLAIN_ANSWER } from '../plain-answer'
import type { AnswerHere } from './horse-here'
import { spotsHere } from './spots'

const given = (minute: number, change: Partial<AnswerHere> = {}): AnswerHere => ({
  ...PLAIN_ANSWER,
  id: `a${minute}`,
  seq: minute,
  sessionId: 's',
  step: 'rope-over',
  side: 'left',
  rung: 2,
  grade: 1,
  calm: 0,
  at: `2026-05-12T07:${String(minute).padStart(2, '0')}:00Z`,
  day: '2026-05-12',
  replaces: null,
  personName: 'Runa Vik',
  ahead: false,
  ...change,
})

it('is the last answer of every place and movement that was told, oldest first, and none that was uncued', () => {
  const spots = spotsHere([
    given(1, { place: 2, grade: 3 }),
    given(2, { place: 4 }),
    given(3),
    given(4, { place: 2, grade: 0 }),
    given(5, { place: 3, uncued: true }),
    given(6, { zone: 'poll' }),
  ])
  expect(spots.map(({ place, zone, grade }) => [place, zone, grade])).toEqual([
    [4, null, 1],
    [2, null, 0],
    [null, 'poll', 1],
  ])
})
