import { describe, expect, it } from 'vitest'
import { answer, day, seeded, times } from '../../tests/logs'
import type { Calm, Grade } from '../answer'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST, sidesOf } from '../program'
import { gateVerdict } from './gates'
import { replayHorse, viewsOf, type TrackedAnswer } from './horse'

const TRACKS = FEET_FIRST.steps.flatMap((step) => sidesOf(step).map((side) => ({ step: step.key, side })))

const NOTHING_KNOWN = { born: null, checks: [], incidents: [], confirmed: [], handOver: [] }

/** Whether every number that is told of a horse after this log is one that can be told. */
const expectSound = (answers: readonly TrackedAnswer[], on: string): void => {
  const records = replayHorse(MODEL, FEET_FIRST, answers)
  const { talent, ease, speed } = records.horse
  const { least, most, leastSd } = MODEL.speedBounds
  expect(speed.mean).toBeGreaterThanOrEqual(least)
  expect(speed.mean).toBeLessThanOrEqual(most)
  expect(speed.variance).toBeGreaterThanOrEqual(leastSd ** 2)
  expect(Math.abs(talent.mean)).toBeLessThan(14)
  expect(Math.abs(ease.mean)).toBeLessThan(14)
  for (const { variance } of [talent, ease]) {
    expect(variance).toBeGreaterThanOrEqual(0.001)
    expect(variance).toBeLessThanOrEqual(2.25)
  }
  for (const { belief } of records.tracks.values()) {
    for (const density of [belief.ability, belief.calm]) {
      expect(density.every((mass) => mass >= 0)).toBe(true)
      expect(density.reduce((sum, mass) => sum + mass, 0)).toBeCloseTo(1, 6)
    }
    expect(Number.isFinite(belief.logLikelihood)).toBe(true)
  }
  const views = viewsOf(MODEL, FEET_FIRST, { records, on })
  for (const { chance, low, high, calmChance } of views.values()) {
    for (const share of [chance, low, high, calmChance]) {
      expect(share).toBeGreaterThanOrEqual(0)
      expect(share).toBeLessThanOrEqual(1)
    }
    expect(low).toBeLessThanOrEqual(high)
  }
  for (const gate of FEET_FIRST.gates)
    expect(gateVerdict(FEET_FIRST, gate, { views, facts: NOTHING_KNOWN, on }).verdict).not.toBe('go')
}

const asked = (i: number, change: Partial<TrackedAnswer> = {}): TrackedAnswer => ({
  ...answer({ day: day(2 * Math.floor(i / 40)), rung: 1 + (i % 4) }),
  ...TRACKS[Math.floor(i / 4) % TRACKS.length]!,
  ...change,
})

describe('a log that no horse gave', () => {
  it('of 20 000 answers is judged like any other', () => {
    const draw = seeded(11)
    const drawn = (i: number) =>
      asked(i, { grade: Math.floor(5 * draw()) as Grade, calm: Math.floor(3 * draw()) as Calm })
    expectSound(times(20_000, drawn), day(1200))
  })

  it('of which every answer was tight, and none light', () => {
    expectSound(
      times(800, (i) => asked(i, { grade: 4, calm: 2 })),
      day(60),
    )
  })

  it('of which every answer was on the thought, and loose', () => {
    const log = times(800, (i) => asked(i, { grade: 0, calm: 0, rung: 1 }))
    expectSound(log, day(60))
  })

  it('of which every answer was recalled', () => {
    expectSound(
      times(800, (i) => asked(i, { recalled: true })),
      day(60),
    )
  })

  it('of one track only', () => {
    expectSound(
      times(800, (i) => ({ ...asked(i), ...TRACKS[5]! })),
      day(60),
    )
  })

  it('whose days run backwards', () => {
    expectSound(
      times(800, (i) => asked(i, { day: day(60 - Math.floor(i / 40)) })),
      day(61),
    )
  })

  it('is silent for ten years, and then for a hundred', () => {
    expectSound([...times(400, (i) => asked(i)), asked(0, { day: day(3650) })], day(40_000))
  })
})
