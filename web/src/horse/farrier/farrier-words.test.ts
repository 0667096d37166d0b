import type { Line } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import { describe, expect, it } from 'vitest'
import { avoidWords, FEET, footWords, helpWords } from './farrier-words'

const line = (views: Record<string, object>): Line =>
  ({
    day: '2026-05-14',
    tracks: Object.entries(views).map(([key, view]) => ({
      step: key.split('/')[0],
      side: key.split('/')[1],
      view,
    })),
  }) as unknown as Line

const held = (rung: number, chance = 0.9) => ({
  answers: 12,
  holdsToRung: rung,
  lastDay: '2026-05-12',
  chance,
})

describe('the sheet for the farrier', () => {
  it('says of each foot how far it may be taken, and never more', () => {
    const day = line({ 'foot-front/left': held(7), 'foot-front/right': held(4), 'foot-hind/left': held(0) })
    expect(FEET.map((foot) => footWords(day, FEET_FIRST, foot).to)).toEqual([
      'all of it: hammer taps, apron',
      'cannot be relied on yet',
      'up to: lifted and set down',
      'not handled yet: leave it',
    ])
    expect(footWords(day, FEET_FIRST, FEET[0]!).known).toBe('12 answers, last 2 calendar days ago')
  })

  it('names what to avoid: incidents first, then what went wrong most', () => {
    const answer = (over: object) => ({ voided: null, fault: null, ending: 'held', ...over })
    const words = avoidWords(
      [
        answer({ fault: 'Snatches' }),
        answer({ fault: 'Leans on you' }),
        answer({ fault: 'Snatches', ending: 'left-moving' }),
        answer({ fault: 'Snatches', voided: {} }),
      ] as never,
      [
        { kind: 'kick', on: '2026-05-13', before: 'hind foot' },
        { kind: 'bolt', on: '2026-05-13', before: '' },
      ] as never,
      '2026-05-14',
    )
    expect(words).toEqual([
      'kick yesterday (hind foot)',
      'Snatches (2 times lately)',
      'Leans on you',
      'letting go while the foot pulls: it was let go so 1 time lately',
    ])
  })

  it('begins on the better side only where one is', () => {
    const uneven = line({ 'foot-front/left': held(7, 0.6), 'foot-front/right': held(7, 0.9) })
    expect(helpWords(uneven, FEET_FIRST)[0]).toBe('Begin on its right: it is the better side.')
    const even = line({ 'foot-front/left': held(7, 0.9), 'foot-front/right': held(7, 0.9) })
    expect(helpWords(even, FEET_FIRST)[0]).not.toMatch(/better side/)
  })
})
