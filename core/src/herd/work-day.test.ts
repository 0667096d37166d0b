import { describe, expect, it } from 'vitest'
import { day, seeded } from '../../tests/logs'
import { STANDARD_LAW } from '../learning'
import type { Burst, SessionPlan } from '../plan'
import { FEET_FIRST } from '../program'
import { newcomer, type Nature } from './simulated'
import { workThrough } from './work-day'

const burst = (change: Partial<Burst>): Burst => ({
  step: 'loose-direction',
  name: 'Go off loose',
  purpose: 'work',
  sides: [
    { side: 'right', rung: 2, asks: 4, places: [] },
    { side: 'left', rung: 2, asks: 2, places: [] },
  ],
  firstSide: 'right',
  minutes: 2,
  again: false,
  reasons: [],
  rule: null,
  pinned: false,
  kit: [],
  cautions: [],
  provided: [],
  lightAsk: null,
  ...change,
})

const plan = (...bursts: Burst[]): SessionPlan => ({
  day: day(0),
  rests: false,
  reason: '',
  minutes: 6,
  bursts,
  kit: [],
  closed: [],
  left: [],
  remarks: [],
  worth: 0,
})

const horse = (change: Partial<Nature>) =>
  newcomer(FEET_FIRST, {
    law: STANDARD_LAW,
    ability: 0,
    calm: 0,
    stiffer: { side: 'none', by: 0 },
    ...change,
  })

/** Every answer the likeliest one: draws from the middle. */
const middling = (): number => 0.5

const run = (nature: Partial<Nature>, ...bursts: Burst[]) =>
  workThrough(horse(nature), plan(...bursts), middling).answers

describe('a made-up day’s work', () => {
  it('asks the first side first and no more often than planned', () => {
    const sides = run({ ability: 1, calm: -9 }, burst({})).map(({ side }) => side)
    expect(sides).toEqual(['right', 'right', 'right', 'right', 'left', 'left'])
  })

  it('is left on three light and loose in a row', () => {
    expect(
      run({ ability: 9, calm: 9 }, burst({ sides: [{ side: 'right', rung: 1, asks: 9, places: [] }] })),
    ).toHaveLength(3)
  })

  it('makes it a rung smaller after two hard answers, never below the first', () => {
    const rungs = run(
      { ability: -9 },
      burst({ sides: [{ side: 'left', rung: 3, asks: 6, places: [] }] }),
    ).map(({ rung }) => rung)
    expect(rungs).toEqual([3, 3, 2, 1, 1, 1])
  })

  it('makes it a rung bigger after one on the thought, never above the required one', () => {
    const answers = run(
      { ability: 9, calm: -9 },
      burst({ sides: [{ side: 'left', rung: 3, asks: 4, places: [] }] }),
    )
    expect(Math.max(...answers.map(({ rung }) => rung))).toBeLessThanOrEqual(4)
  })

  it('goes on where the burst before left the horse', () => {
    const one = workThrough(horse({ ability: 1.5, calm: 1 }), plan(burst({})), seeded(8))
    const track = (of: typeof one.horse) => of.tracks.get('loose-direction/right')!
    const two = workThrough(one.horse, plan(burst({ again: true })), seeded(9))
    expect(track(two.horse).ability).toBeGreaterThan(track(one.horse).ability)
    expect(track(two.horse).daysWorked).toBe(1)
    expect(track(one.horse).gainToday).toBeGreaterThan(0)
  })
})
