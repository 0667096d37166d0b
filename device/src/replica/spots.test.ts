import { expect, it } from 'vitest'
import { given } from './given'
import { spotsHere } from './spots'

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
