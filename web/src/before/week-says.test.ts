import type { ReplyOf, VisitTold } from '@still-pine/contract'
import { describe, expect, it } from 'vitest'
import { weekSays } from './week-says'

const DAY = '2026-05-14'
const VISIT: VisitTold = {
  id: 'a',
  horseId: 'sedge',
  day: DAY,
  start: '09:15',
  minutes: 25,
  part: 'morning',
  use: 'ground',
  load: true,
  due: null,
  leadId: 'runa',
  helperId: null,
  placeId: 'pen',
  horseName: 'Sedge',
  leadName: 'Runa',
  helperName: null,
  placeName: 'Round pen',
}

const says = (change: Partial<ReplyOf<'visits'>>, now = '08:00') =>
  weekSays({ told: { visits: [], days: [DAY], worked: [], ...change }, horseId: 'sedge', day: DAY }, now)

describe('what the week says of a day', () => {
  it('is when, with whom, where and what', () => {
    expect(says({ visits: [VISIT] })).toEqual([
      'The week has it at 9:15 with Runa, in Round pen: ground, 25 minutes.',
    ])
  })

  it('is that it is left alone, or went otherwise', () => {
    expect(says({})).toEqual(['The week leaves it alone today.'])
    expect(says({ worked: [{ horseId: 'sedge', day: DAY }] })[0]).toMatch(/went otherwise/)
  })

  it('is that its hour has begun where nothing is logged, and no more once something is', () => {
    expect(says({ visits: [VISIT] }, '09:30')).toContain('That hour has begun, and nothing is logged yet.')
    expect(says({ visits: [VISIT], worked: [{ horseId: 'sedge', day: DAY }] }, '09:30')).toHaveLength(1)
  })

  it('is nothing where no week was planned', () => {
    expect(says({ days: [] })).toEqual([])
  })
})
