import { describe, expect, it } from 'vitest'
import { FEET_FIRST, stepOf } from '../program'
import type { TrackView, Views } from '../readiness'
import { aidOf, type RiddenAsk } from './tracer'
import { traceRidden, traceWords } from './trace'

const ON = '2026-05-14'

const view = (told: Partial<TrackView>): TrackView =>
  ({
    chance: 0.9,
    low: 0.8,
    lastCold: { day: '2026-05-12', passed: true },
    lastDay: '2026-05-12',
    lastStood: null,
    recent: [],
    ...told,
  }) as TrackView

const BADLY: readonly RiddenAsk[] = [
  { grade: 1, calm: 0 },
  { grade: 3, calm: 1 },
]

const traced = (views: Readonly<Record<string, TrackView>>, key = 'ride-go-stop', side = 'none' as const) => {
  const found = traceRidden(FEET_FIRST, new Map(Object.entries(views)) as unknown as Views, {
    step: stepOf(FEET_FIRST, key)!,
    side,
    asks: BADLY,
    on: ON,
  })
  return found && [found.says, traceWords(found)]
}

describe('a ridden ask that fails', () => {
  it('was not understood where the ground holds, not learnt where it does not', () => {
    expect(traced({ 'send/left': view({}), 'send/right': view({}) })).toEqual([
      'not-understood',
      '“Send” on the ground holds: the aid from above is new to it. Give both cues together, a rung smaller.',
    ])
    const weaker = traced({ 'send/left': view({}), 'send/right': view({ chance: 0.6 }) })
    expect(weaker?.[0]).toBe('not-learnt')
    expect(traced({ 'send/left': view({ lastDay: '2026-04-20' }) })?.[0]).toBe('not-known')
    expect(traced({})?.[0]).toBe('no-twin')
  })

  it('is pain first where it was Solid and the ground holds', () => {
    const stood = { lastStood: { state: 'solid' } as TrackView['lastStood'] }
    expect(traced({ 'send/left': view({}), 'ride-go-stop/none': view(stood) })?.[0]).toBe('look-for-pain')
  })

  it('is traced for what is ridden, and for nothing on the ground', () => {
    expect(traced({ 'send/left': view({}) }, 'send')).toBeNull()
  })
})

describe('an extra aid', () => {
  const ride = (asks: number, tapped: number, mostTaps = 1) => ({ asks, tapped, mostTaps })

  it('goes away after five asks in a row without it, or when it is seldom used by the third ride', () => {
    expect(aidOf([null, null])).toBeNull()
    expect(aidOf([ride(10, 4)])?.says).toBe('keep')
    expect(aidOf([ride(10, 4), ride(5, 0)])?.says).toBe('put-away')
    expect(aidOf([ride(10, 4), null, ride(10, 3), ride(10, 2)])?.says).toBe('put-away')
    expect(aidOf([ride(10, 4), ride(10, 4), ride(10, 4, 3)])).toMatchObject({
      says: 'back-to-the-ground',
      tooManyTaps: true,
    })
  })
})
