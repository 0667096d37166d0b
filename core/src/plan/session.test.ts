import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import type { Answer, Side } from '../answer'
import { STANDARD_MODEL as MODEL } from '../belief'
import { FEET_FIRST, stepOf } from '../program'
import { replayHorse, viewsOf, type Facts, type TrackedAnswer } from '../readiness'
import { planSession } from './session'

const FACTS: Facts = { born: '2022-04-01', checks: [], incidents: [], confirmed: [], handOver: [] }

const log = (
  key: string,
  sides: readonly Side[],
  days: number,
  change: Partial<Answer> = {},
): TrackedAnswer[] =>
  times(days, (i) =>
    sides.flatMap((side) =>
      times(5, () => ({
        ...answer({ day: day(2 * i), rung: stepOf(FEET_FIRST, key)!.requiredRung, ...change }),
        step: key,
        side,
      })),
    ),
  ).flat()

const byTime = (...logs: TrackedAnswer[][]): TrackedAnswer[] =>
  logs.flat().sort((a, b) => a.day.localeCompare(b.day))

const planOf = (answers: readonly TrackedAnswer[], on: string, facts: Partial<Facts> = {}) =>
  planSession(
    FEET_FIRST,
    viewsOf(MODEL, FEET_FIRST, replayHorse(MODEL, FEET_FIRST, answers), on),
    { ...FACTS, ...facts },
    on,
  )

describe('today’s plan', () => {
  it('begins a new horse with settling, at the first rung, and says why', () => {
    const plan = planOf([], day(0))
    expect(plan.bursts[0]).toMatchObject({ step: 'settle-in-pen', purpose: 'begin', firstSide: 'none' })
    expect(plan.bursts[0]!.sides).toEqual([{ side: 'none', rung: 1, asks: 6, places: [] }])
    expect(plan.bursts[0]!.reasons).toEqual([
      'New, and all it needs is met',
      'Opens at rung 1, “person at the gate”: the first time starts at the bottom',
    ])
    expect(plan.closed.find(({ step }) => step === 'halter-on')?.words).toMatch(/head rub.*not asked yet/)
  })

  it('asks the stiffer side first and more, about 60 to 40, both always', () => {
    const answers = byTime(
      log('settle-in-pen', ['none'], 4),
      log('loose-direction', ['left'], 4),
      log('loose-direction', ['right'], 4, { grade: 2 }),
    )
    const burst = planOf(answers, day(8)).bursts.find(({ step }) => step === 'loose-direction')!
    expect(burst.sides.map(({ side, asks }) => [side, asks])).toEqual([
      ['right', 4],
      ['left', 2],
    ])
    expect(burst.reasons.at(-1)).toMatch(/^Right first: \d+ points behind the left$/)
  })

  it('never works one step twice running, comes back to it instead, and fits its minutes', () => {
    const plan = planOf(byTime(log('settle-in-pen', ['none'], 2), log('face-up', ['none'], 1)), day(4))
    plan.bursts.forEach((burst, i) => expect(burst.step).not.toBe(plan.bursts[i - 1]?.step))
    expect(plan.minutes).toBeLessThanOrEqual(25)
    expect(plan.bursts.some(({ again }) => again)).toBe(true)
  })

  it('stays below a rung that a gate shuts', () => {
    const answers = byTime(
      log('settle-in-pen', ['none'], 4),
      log('face-up', ['none'], 4),
      log('draw', ['none'], 4),
      // Met at the rung halter-on needs, but the gate wants both sides of first touch as well.
      log('head-rub', ['left', 'right'], 4),
      log('halter-on', ['left', 'right'], 2, { rung: 3 }),
    )
    const burst = planOf(answers, day(8)).bursts.find(({ step }) => step === 'halter-on')
    expect(burst?.sides.every(({ rung }) => rung <= 3)).toBe(true)
  })

  it('rests a horse on veterinary hold and says since when', () => {
    const hold = { kind: 'veterinary-hold', on: day(0), until: day(9), passed: false } as const
    const plan = planOf([], day(3), { checks: [hold] })
    expect(plan).toMatchObject({ rests: true, bursts: [] })
    expect(plan.reason).toContain(day(0))
  })

  it('keeps a yearling to a quarter of an hour', () => {
    const answers = byTime(log('settle-in-pen', ['none'], 4), log('face-up', ['none'], 2, { grade: 2 }))
    expect(planOf(answers, day(8), { born: day(-400) }).minutes).toBeLessThanOrEqual(15)
  })

  it('looks again at what is Solid and was not asked for a week', () => {
    const plan = planOf(log('settle-in-pen', ['none'], 4), day(6 + 7))
    expect(plan.bursts[0]).toMatchObject({ step: 'settle-in-pen', purpose: 'check' })
    expect(plan.bursts[0]!.sides[0]!.asks).toBe(1)
  })

  it('is the same for the same input', () => {
    const answers = log('settle-in-pen', ['none'], 3)
    expect(planOf(answers, day(6))).toEqual(planOf(answers, day(6)))
  })
})
