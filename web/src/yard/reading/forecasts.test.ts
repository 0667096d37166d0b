import { describe, expect, it } from 'vitest'
import { scoredOf } from './forecasts'

const KEPT = {
  horseId: 'sedge',
  horseName: 'Sedge',
  name: 'First saddle',
  on: '2026-05-14',
  horizonDays: 30,
  days: [...Array.from({ length: 18 }, (_, i) => i + 1), null],
  cameOn: null,
}

describe('a forecast against what came', () => {
  it('is open until its horse has come or its horizon is over', () => {
    expect(scoredOf(KEPT, '2026-06-01')).toBeNull()
    expect(scoredOf(KEPT, '2026-06-13')).toBeNull()
  })

  it('counts the day it came, and a horizon that is over as the horizon, for draws too', () => {
    expect(scoredOf({ ...KEPT, cameOn: '2026-05-20' }, '2026-05-21')?.came).toBe(6)
    const over = scoredOf(KEPT, '2026-06-14')!
    expect([over.came, over.draws.at(-1)]).toEqual([30, 30])
  })
})
