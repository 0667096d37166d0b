import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, ASK, day } from '../../tests/logs'
import type { Calm, Grade } from '../answer'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST } from '../program'
import { gateVerdicts } from './gates'
import { recordsWith, replayHorse, viewsOf, type TrackedAnswer } from './horse'
import { noRecords } from './track-key'
import { judge, STATES } from './judge'
import { recordWith, trackAlone } from './record'

const grade = fc.constantFrom<Grade>(0, 1, 2, 3, 4)
const calm = fc.constantFrom<Calm | null>(null, 0, 1, 2)

/** Any history of one track: gaps of days, rungs, grades, calms. */
const history = fc
  .array(
    fc.record({ gap: fc.integer({ min: 0, max: 90 }), rung: fc.integer({ min: 1, max: 3 }), grade, calm }),
    {
      minLength: 1,
      maxLength: 30,
    },
  )
  .map((list) => {
    let at = 0
    return list.map(({ gap, ...one }) => answer({ ...one, day: day((at += gap)) }))
  })

const last = (log: readonly { day: string }[]): string => log.at(-1)!.day

describe('laws of the judgement', () => {
  it('has one state, an opening rung on the ladder, and misses exactly when it is not Solid', () => {
    fc.assert(
      fc.property(history, (log) => {
        const view = judge(MODEL, ASK, { ...trackAlone(MODEL, ASK, log), on: last(log) })
        expect(STATES).toContain(view.state)
        expect(view.openAt).toBeGreaterThanOrEqual(1)
        expect(view.openAt).toBeLessThanOrEqual(3)
        expect(view.misses.length === 0).toBe(view.state === 'solid')
        expect(view.asksNeeded === 0).toBe(view.state === 'solid')
        expect(view.holdsToRung).toBeLessThanOrEqual(view.workRung === 3 ? 3 : view.workRung)
      }),
      { numRuns: 80 },
    )
  })

  it('wears Solid to Rusty by time alone, and never to anything else', () => {
    fc.assert(
      fc.property(history, fc.integer({ min: 1, max: 900 }), (log, days) => {
        const track = trackAlone(MODEL, ASK, log)
        const before = judge(MODEL, ASK, { ...track, on: last(log) }).state
        const gap = Date.parse(last(log)) + days * 86_400_000
        const after = judge(MODEL, ASK, { ...track, on: new Date(gap).toISOString().slice(0, 10) }).state
        if (before === 'solid') expect(['solid', 'rusty']).toContain(after)
        else expect(after).not.toBe('solid')
      }),
      { numRuns: 60 },
    )
  })

  it('keeps the promise of asks needed: so many light, loose asks today make it Solid', () => {
    fc.assert(
      fc.property(history, (log) => {
        const { record, horse } = trackAlone(MODEL, ASK, log)
        const { asksNeeded } = judge(MODEL, ASK, { record, horse, on: last(log) })
        if (asksNeeded === null) return
        // A new burst, the horse's own numbers as they are.
        const asked = Array.from({ length: asksNeeded }, (_, i) => i + 1).reduce(
          (now, asks) =>
            recordWith(MODEL, ASK, {
              record: now,
              horse: { ...horse, burst: { track: '', asks } },
              answer: answer({ day: last(log) }),
            }).record,
          record,
        )
        expect(judge(MODEL, ASK, { record: asked, horse, on: last(log) }).state).toBe('solid')
      }),
      { numRuns: 60 },
    )
  })

  it('never thinks less of a track for a lighter last answer', () => {
    fc.assert(
      fc.property(history, fc.constantFrom<Grade>(1, 2, 3, 4), (log, worse) => {
        const with_ = (g: Grade) => trackAlone(MODEL, ASK, [...log, answer({ day: last(log), grade: g })])
        const chance = (g: Grade): number => judge(MODEL, ASK, { ...with_(g), on: last(log) }).chance
        expect(chance((worse - 1) as Grade)).toBeGreaterThan(chance(worse))
      }),
      { numRuns: 40 },
    )
  })
})

describe('a whole horse', () => {
  const steps = ['settle-in-pen', 'first-touch', 'foot-front', 'foot-hind'] as const

  const horseLog = fc
    .array(
      fc.record({
        step: fc.constantFrom(...steps),
        side: fc.constantFrom('left' as const, 'right' as const),
        gap: fc.integer({ min: 0, max: 10 }),
        grade,
        calm,
      }),
      { minLength: 1, maxLength: 25 },
    )
    .map((list) => {
      let at = 0
      return list.map(({ gap, step, side, ...one }): TrackedAnswer => ({
        ...answer({ ...one, rung: 2, day: day((at += gap)) }),
        step,
        side: step === 'settle-in-pen' ? 'none' : side,
      }))
    })

  it('comes to the same answer by answer as all at once', () => {
    fc.assert(
      fc.property(horseLog, (log) => {
        const stepwise = noRecords(MODEL)
        for (const one of log) recordsWith(MODEL, FEET_FIRST, { records: stepwise, answer: one })
        expect(stepwise).toEqual(replayHorse(MODEL, FEET_FIRST, log))
      }),
      { numRuns: 25 },
    )
  })

  it('gives every gate one verdict, and no Go while a track it looks at does not hold', () => {
    fc.assert(
      fc.property(horseLog, (log) => {
        const views = viewsOf(MODEL, FEET_FIRST, {
          records: replayHorse(MODEL, FEET_FIRST, log),
          on: last(log),
        })
        const facts = { born: '2020-01-01', checks: [], incidents: [], confirmed: [], handOver: [] }
        for (const verdict of gateVerdicts(FEET_FIRST, views, { facts, on: last(log) })) {
          expect(['go', 'check-first', 'not-yet', 'stop']).toContain(verdict.verdict)
          if (verdict.verdict === 'go') expect(verdict.tracks.every(({ holds }) => holds)).toBe(true)
          expect(verdict.likelyMisses).toBeGreaterThanOrEqual(0)
          expect(verdict.likelyMisses).toBeLessThanOrEqual(verdict.tracks.length)
          expect(verdict.weakest.length).toBe(Math.min(3, verdict.tracks.length))
        }
      }),
      { numRuns: 12 },
    )
  })
})
