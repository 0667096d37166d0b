import { describe, expect, it } from 'vitest'
import { ALL_CONFIRMED, heldLog, inOrder, viewsFrom } from '../../tests/held'
import { answer } from '../../tests/logs'
import { workedHorse } from '../../tests/worked-horse'
import { addDays, type Calm, type Grade } from '../answer'
import type { Facts } from '../facts'
import { FEET_FIRST, stepOf } from '../program'
import { coldBursts } from './bursts'
import { outcomeOf } from './outcome'
import { recheckSheet } from './sheet'

const LATER = ['target', 'food-manners', 'over-from-fence', 'turn-front', 'side-strings']
const worked = workedHorse(21, { upTo: 'weight-in-stirrup', without: LATER })
const after = (days: number, change: Partial<Facts> = {}) => {
  const on = addDays(worked.lastDay, days)
  const views = worked.viewsOn(on)
  // A first ask of the day opens gates; what is looked at here is the break.
  const overruled = FEET_FIRST.gates.map(({ key }) => ({ gate: key, byName: 'Ylva Tarn' }))
  const facts = inOrder(on, { overruled, confirmed: ALL_CONFIRMED, ...change })
  return recheckSheet({ program: FEET_FIRST, views, facts }, views, on)
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

  it('looks at the break of each skill, not of the horse: one worked yesterday was off for two years on the others', () => {
    const on = addDays(worked.lastDay, 720)
    const yesterday = ['lead-up', 'stand'].flatMap((key) =>
      heldLog({
        lastDay: addDays(on, -1),
        days: 1,
        without: FEET_FIRST.steps.map((s) => s.key).filter((s) => s !== key),
      }),
    )
    const old = heldLog({ lastDay: addDays(on, -720), days: 6, grade: 1 })
    const horse = { program: FEET_FIRST, views: viewsFrom([...old, ...yesterday], on), facts: inOrder(on) }
    const { asks, lastDay } = recheckSheet(horse, horse.views, on)
    expect(lastDay).toBe(addDays(on, -1))
    expect(asks.length).toBeGreaterThan(8)
    expect(asks.some(({ step }) => step === 'lead-up' || step === 'stand')).toBe(false)
  })

  it('lists nothing behind a gate that is shut, and says what it waits for; the vet’s hold empties it', () => {
    const shut = after(720, { overruled: [] })
    expect(shut.asks.some(({ step }) => ['surcingle', 'saddle-on', 'saddle-move'].includes(step))).toBe(false)
    expect(shut.waits.map(({ words }) => words).join()).toMatch(/First saddle first/)
    const hold = { kind: 'veterinary-hold', on: worked.lastDay, until: null, passed: false } as const
    const held = after(720, { checks: [hold] })
    expect(held.asks).toEqual([])
    expect(held.waits).toMatchObject([{ words: 'The vet holds this horse until further word.' }])
  })

  it('is empty for a horse without answers', () => {
    const untouched = workedHorse(1, { upTo: 'settle-in-pen', without: ['settle-in-pen'] }).viewsOn()
    const horse = { program: FEET_FIRST, views: untouched, facts: inOrder('2026-09-01') }
    expect(recheckSheet(horse, untouched, '2026-09-01')).toEqual({
      lastDay: null,
      gapDays: 0,
      asks: [],
      held: 0,
      leftOver: 0,
      waits: [],
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
