import { describe, expect, it } from 'vitest'
import { answer } from '../../tests/logs'
import { workedHorse } from '../../tests/worked-horse'
import { addDays, type Calm, type Grade } from '../answer'
import { FEET_FIRST, stepOf } from '../program'
import { coldBursts } from './bursts'
import { outcomeOf } from './outcome'
import { recheckSheet } from './sheet'

const LATER = ['target', 'food-manners', 'over-from-fence', 'turn-front', 'side-strings']
const worked = workedHorse(21, { upTo: 'weight-in-stirrup', without: LATER })
const before = worked.viewsOn()
const after = (days: number) => {
  const on = addDays(worked.lastDay, days)
  return recheckSheet(FEET_FIRST, before, worked.viewsOn(on), on)
}

describe('a re-check sheet', () => {
  it('grows with the break, and is empty after a short one', () => {
    const lengths = [1, 3, 60, 180, 720].map((days) => after(days).asks.length)
    expect(lengths[0]).toBe(0)
    expect([...lengths].sort((a, b) => a - b)).toEqual(lengths)
    expect(lengths.at(-1)).toBeGreaterThan(8)
  })

  it('leaves little untold, or says how much where one session is not enough', () => {
    for (const days of [30, 60, 180, 720]) {
      const { asks, leftOver } = after(days)
      expect(asks.length).toBeLessThanOrEqual(20)
      if (asks.length < 20) expect(leftOver).toBeLessThan(0.5)
    }
  })

  it('asks fewer than it knows to have held, for one step tells of those it stands on', () => {
    const { asks, held } = after(180)
    expect(asks.length).toBeLessThan(held / 2)
    expect(asks.some(({ reason }) => /^Tells of/.test(reason))).toBe(true)
  })

  it('goes up the path, and never asks harder than it held', () => {
    const { asks } = after(720)
    const places = asks.map(({ step }) => FEET_FIRST.steps.findIndex(({ key }) => key === step))
    expect(places).toEqual([...places].sort((a, b) => a - b))
    for (const { step, rung, was } of asks) {
      expect(rung).toBeLessThanOrEqual(stepOf(FEET_FIRST, step)!.requiredRung)
      expect(was.chance).toBeGreaterThan(0.5)
    }
  })

  it('is empty for a horse without answers', () => {
    const untouched = workedHorse(1, { upTo: 'settle-in-pen', without: ['settle-in-pen'] }).viewsOn()
    expect(recheckSheet(FEET_FIRST, untouched, untouched, '2026-09-01')).toEqual({
      lastDay: null,
      gapDays: 0,
      asks: [],
      held: 0,
      leftOver: 0,
    })
  })

  it('runs in the pen as bursts, both sides of a step together', () => {
    const { asks } = after(720)
    const bursts = coldBursts(asks)
    expect(bursts.flatMap(({ step, sides }) => sides.map(({ side }) => `${step}/${side}`)).sort()).toEqual(
      asks.map(({ step, side }) => `${step}/${side}`).sort(),
    )
    expect(new Set(bursts.map(({ step }) => step)).size).toBe(bursts.length)
  })
})

describe('how it went', () => {
  const ask = { step: 'bend', side: 'left', rung: 3 } as const
  const given = (grade: Grade, calm: Calm, change: object = {}) => ({
    ...answer({ grade, calm, rung: 3, day: '2026-09-01' }),
    step: 'bend',
    side: 'left' as const,
    ...change,
  })
  const outcome = (...answers: ReturnType<typeof given>[]) => outcomeOf(ask, answers, '2026-09-01')

  it('is told by the first ask of the day alone', () => {
    expect(outcome()).toBe('not-asked')
    expect(outcome(given(1, 0))).toBe('as-before')
    expect(outcome(given(3, 0), given(0, 0))).toBe('less')
    expect(outcome(given(1, 2))).toBe('tight')
    expect(outcome(given(0, 0, { rung: 2 }))).toBe('less')
    expect(outcome(given(0, 0, { side: 'right' }), given(0, 0, { day: '2026-08-31' }))).toBe('not-asked')
    expect(outcome(given(3, 0, { uncued: true }), given(0, 0))).toBe('as-before')
  })
})
