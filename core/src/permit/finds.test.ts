import { describe, expect, it } from 'vitest'
import { ALL_CONFIRMED, heldLog, inOrder, viewsFrom } from '../../tests/held'
import { addDays, PLAIN, type Side } from '../answer'
import { arrivalCheck, type ArrivalAnswer } from '../arrival'
import type { Facts } from '../facts'
import { planSession, ORDINARY } from '../plan'
import { exposuresAt, FEET_FIRST, stepOf } from '../program'
import { gateVerdict, type TrackedAnswer } from '../readiness'
import { recheckSheet } from '../recheck'
import { permit } from './permit'

/**
 * What the product let through when it was tried as a starter would: each of these was proposed once, or stood at Go,
 * and none of them can be any more.
 */

const ON = '2026-06-20'
const ago = (days: number): string => addDays(ON, -days)
const program = FEET_FIRST
const HELD = heldLog({ lastDay: ago(1), days: 6 })

const answerOf = (
  log: readonly TrackedAnswer[],
  facts: Facts,
  { step, rung = 1 }: { step: string; rung?: number },
): string => permit({ program, views: viewsFrom(log, ON), facts }, { step, rung }, ON).answer

/** Everything asked in plans over a month of days, whatever the outlook. */
const plannedExposures = (log: readonly TrackedAnswer[], facts: Facts): ReadonlySet<string> =>
  new Set(
    Array.from({ length: 30 }, (_, i) => addDays(ON, i)).flatMap((day) =>
      planSession(program, viewsFrom(log, day), {
        facts,
        on: day,
        asked: { outlook: ORDINARY },
      }).bursts.flatMap(({ step, sides }) =>
        sides.flatMap(({ rung }) => exposuresAt(stepOf(program, step)!, rung)),
      ),
    ),
  )

const passed = (keys: readonly string[], day: string): readonly TrackedAnswer[] =>
  keys.flatMap((key) => {
    const step = stepOf(program, key)!
    const sides: readonly Side[] = step.sided ? ['left', 'right'] : ['none']
    return sides.map((side) => ({
      ...PLAIN,
      step: key,
      side,
      day,
      rung: step.requiredRung,
      grade: 1,
      calm: 0,
    }))
  })

const DUE = ['bend', 'yield-hind', 'stand', 'weight-in-stirrup']

describe('found by trying it', () => {
  it('a 20-month-old was planned for weight in the stirrup and a person over its back', () => {
    const young = inOrder(ON, { born: ago(20 * 30 + 20), confirmed: ALL_CONFIRMED })
    expect(answerOf(HELD, young, { step: 'weight-in-stirrup', rung: 3 })).toBe('no')
    expect(answerOf(HELD, young, { step: 'over-from-fence' })).toBe('no')
    const planned = plannedExposures(HELD, young)
    for (const one of ['weight', 'mounted', 'girth', 'bit', 'canter']) expect(planned.has(one)).toBe(false)
  })

  it('stand-to-mount “while mounted” was planned for horses that were never saddled', () => {
    const log = heldLog({
      lastDay: ago(1),
      without: program.steps.filter(({ stage }) => stage >= 6).map(({ key }) => key),
    })
    const facts = inOrder(ON, { confirmed: ALL_CONFIRMED })
    expect(answerOf(log, facts, { step: 'stand-to-mount', rung: 1 })).toBe('yes')
    expect(answerOf(log, facts, { step: 'stand-to-mount', rung: 2 })).toBe('no')
    expect(plannedExposures(log, facts).has('mounted')).toBe(false)
  })

  it('an arrival check asked an untouched mare for ridden poles', () => {
    const horse = { program, views: viewsFrom([], ON), facts: inOrder(ON), handled: false }
    expect(arrivalCheck(horse, [], ON).next).toBeNull()
    const answers: ArrivalAnswer[] = []
    for (;;) {
      const { next } = arrivalCheck({ ...horse, handled: true }, answers, ON)
      if (!next) break
      expect(exposuresAt(stepOf(program, next.step)!, next.rung)).not.toContain('mounted')
      answers.push({ ...next, grade: 0, calm: 0 })
    }
  })

  it('a re-check sheet had a small fence on it while First time up said Stop', () => {
    const views = viewsFrom(heldLog({ lastDay: ago(730), days: 6, grade: 1 }), ON)
    const horse = { program, views, facts: inOrder(ON) }
    const gate = program.gates.find(({ key }) => key === 'first-time-up')!
    expect(gateVerdict(program, gate, { views, facts: horse.facts, on: ON }).verdict).toBe('stop')
    const { asks, waits } = recheckSheet(horse, views, ON)
    expect(asks.length).toBeGreaterThan(0)
    for (const { step, rung } of asks)
      for (const one of ['jump', 'mounted', 'weight'])
        expect(exposuresAt(stepOf(program, step)!, rung)).not.toContain(one)
    expect(waits.length).toBeGreaterThan(0)
  })

  it('a serious bolt yesterday left Ride out on Go', () => {
    const incidents = [{ kind: 'bolt', on: ago(1), step: 'ride-perimeter', rung: 2, mounted: true }] as const
    const facts = inOrder(ON, { confirmed: ALL_CONFIRMED, incidents })
    const log = [...HELD, ...passed(DUE, ON)]
    const gate = program.gates.find(({ key }) => key === 'ride-out')!
    expect(
      gateVerdict(program, gate, { views: viewsFrom(log, ON), facts: { ...facts, incidents: [] }, on: ON })
        .verdict,
    ).toBe('go')
    expect(gateVerdict(program, gate, { views: viewsFrom(log, ON), facts, on: ON }).verdict).toBe('stop')
    expect(answerOf(log, facts, { step: 'ride-out' })).toBe('no')
  })

  it('a failed saddle check left Off the lead on Go', () => {
    const facts = inOrder(ON, { confirmed: ALL_CONFIRMED })
    const failed = {
      ...facts,
      checks: [...facts.checks, { kind: 'saddle', on: ago(1), until: null, passed: false } as const],
    }
    const views = viewsFrom([...HELD, ...passed(DUE, ON)], ON)
    const gate = program.gates.find(({ key }) => key === 'off-the-lead')!
    expect(gateVerdict(program, gate, { views, facts, on: ON }).verdict).toBe('go')
    expect(gateVerdict(program, gate, { views, facts: failed, on: ON }).stops).toMatchObject([
      { rule: 'saddle-check' },
    ])
  })

  it('a bit was carried without a look in the mouth', () => {
    const facts = inOrder(ON, { checks: [] })
    expect(answerOf(HELD, facts, { step: 'carry-bit' })).toBe('no')
    expect(plannedExposures(HELD, facts).has('bit')).toBe(false)
  })

  it('First canter stood at Go for a horse that never cantered under a saddle', () => {
    const log = [...heldLog({ lastDay: ago(1), days: 6, notBeyond: ['saddle-move'] }), ...passed(DUE, ON)]
    const facts = inOrder(ON, { confirmed: ALL_CONFIRMED })
    const gate = program.gates.find(({ key }) => key === 'first-canter')!
    expect(gateVerdict(program, gate, { views: viewsFrom(log, ON), facts, on: ON }).verdict).toBe('not-yet')
    expect(answerOf(log, facts, { step: 'ride-canter' })).toBe('no')
  })
})
