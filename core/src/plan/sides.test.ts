import { describe, expect, it } from 'vitest'
import { answer, day, judged, times } from '../../tests/logs'
import type { Answer, Side } from '../answer'
import type { OpenTrack } from './open-steps'
import { firstSide, shareAsks } from './sides'

const track = (side: Side, answers: readonly Partial<Answer>[], on = day(6)): OpenTrack => {
  const view = judged(
    answers.map((one) => answer(one)),
    on,
  )
  return { side, view, rung: view.openAt }
}

const good = times(5, (i) => ({ day: day(i) }))
const poor = times(5, (i) => ({ day: day(i), grade: 3 as const }))

describe('which side first', () => {
  it('is the stiffer one', () => {
    expect(firstSide([track('left', good), track('right', poor)], day(6)).side).toBe('right')
    expect(firstSide([track('left', poor), track('right', good)], day(6)).side).toBe('left')
  })

  it('is the one asked longer ago where they are even', () => {
    const older = [track('left', good), track('right', good.slice(0, 4).concat([{ day: day(3) }]))]
    expect(firstSide(older, day(6)).side).toBe('right')
  })

  it('is the one not asked yet, and says so', () => {
    const first = firstSide([track('left', good), track('right', [])], day(6))
    expect(first.side).toBe('right')
    expect(first.reason).toMatch(/right first/)
    expect(first.share).toBe(0.6)
  })

  it('gets more of the asks where it is stiffer, and half where both are even', () => {
    expect(firstSide([track('left', good), track('right', poor)], day(6)).share).toBe(0.6)
    expect(firstSide([track('left', good), track('right', good)], day(6)).share).toBe(0.5)
  })

  it('is no side for a step without sides', () => {
    expect(firstSide([track('none', good)], day(6))).toEqual({ side: 'none', reason: '', share: 1 })
  })
})

describe('how many asks a side', () => {
  const two = [track('left', good), track('right', good)]

  it.each([
    [10, 6, 4],
    [6, 4, 2],
    [5, 3, 2],
    [2, 1, 1],
    [1, 1, 1],
  ])('shares %i as %i and %i', (asks, more, fewer) => {
    expect(shareAsks(two, { side: 'right', share: 0.6 }, asks).map((part) => [part.side, part.asks])).toEqual(
      [
        ['right', more],
        ['left', fewer],
      ],
    )
  })

  it('gives all to a step without sides', () => {
    expect(shareAsks([track('none', good)], { side: 'none', share: 1 }, 6)).toEqual([
      { side: 'none', rung: expect.any(Number), asks: 6, places: [] },
    ])
  })
})
