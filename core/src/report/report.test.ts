import { describe, expect, it } from 'vitest'
import { inOrder, viewsFrom } from '../../tests/held'
import { answer, FIRST_DAY, times } from '../../tests/logs'
import { workedHorse } from '../../tests/worked-horse'
import { FEET_FIRST } from '../program'
import { reportFrom, reportOf } from '.'

const worked = workedHorse(21, { upTo: 'lead-up' })
const day = worked.lastDay

const row = (step: string, side: 'left' | 'right' | 'none', more: object = {}) => ({
  session: 's',
  place: null,
  day,
  step,
  side,
  answers: 3,
  clean: 2,
  hardestRung: 1,
  from: 0,
  to: 1,
  ...more,
})

const PARTS = {
  program: FEET_FIRST,
  views: worked.viewsOn(),
  facts: inOrder(day),
  day,
  from: '2026-01-01',
  worked: [],
  incidents: [],
  against: [],
  forecast: null,
  pictures: [],
}

describe('a report to the owner', () => {
  it('tells of the open block, and of four weeks at the most', () => {
    expect(reportFrom('2026-05-14', '2026-05-01')).toBe('2026-05-01')
    expect(reportFrom('2026-05-14', '2026-01-01')).toBe('2026-04-16')
    expect(reportFrom('2026-05-14', null)).toBe('2026-04-16')
  })

  it('tells what was done in the order in which it was asked, both sides in one line, newest day first', () => {
    const { done } = reportOf({
      ...PARTS,
      worked: [
        row('head-rub', 'right', { from: 30, place: 'Round pen' }),
        row('face-up', 'none', { from: 10, answers: 1, clean: 1 }),
        row('head-rub', 'left', { from: 20 }),
        row('face-up', 'none', { day: '2026-01-02' }),
        row('face-up', 'none', { day: '2025-12-31' }),
      ],
    })
    expect(done.map((one) => one.day)).toEqual([day, '2026-01-02'])
    expect(done[0]).toMatchObject({
      place: 'Round pen',
      steps: [
        { name: 'Face up', asked: 1, light: 1 },
        { name: 'Head rub', asked: 6, light: 4 },
      ],
    })
  })

  it('tells what holds and what does not, once each, and what the next gate waits for', () => {
    const { holds, underWay, next } = reportOf(PARTS)
    const asked = [...PARTS.views].filter(([, { answers }]) => answers > 0)
    const sidesTold = [...holds, ...underWay].reduce((sum, { name, side }) => {
      const step = FEET_FIRST.steps.find((one) => one.name === name)!
      return sum + (step.sided && side === 'none' ? 2 : 1)
    }, 0)
    expect(sidesTold).toBe(asked.length)
    expect(holds.every(({ state }) => state === 'solid' || state === 'rusty')).toBe(true)
    expect(underWay.some(({ state }) => state === 'solid')).toBe(false)
    expect(next!.waitsFor.length).toBeGreaterThan(0)
  })

  it('tells incidents plainly, and only those of its days', () => {
    const kick = { kind: 'kick', on: day, step: 'foot-hind', hurt: 'person', fell: false, after: '' } as const
    const { incidents } = reportOf({ ...PARTS, incidents: [kick, { ...kick, on: '2025-12-31' }] })
    expect(incidents).toEqual([`A kick on ${day} at hind foot: a person was hurt.`])
  })

  it('shows the pictures the yard chose of these days, the newest first', () => {
    const taken = (id: string, on: string) => ({ id, day: on, words: '' })
    const { pictures } = reportOf({
      ...PARTS,
      pictures: [taken('a', '2026-01-01'), taken('b', day), taken('c', '2025-12-31')],
    })
    expect(pictures.map(({ id }) => id)).toEqual(['b', 'a'])
  })

  it('never calls a gate shut for what is confirmed on the morning itself', () => {
    const unconfirmed = { ...inOrder(day), confirmed: [] }
    const { next } = reportOf({ ...PARTS, facts: unconfirmed })
    expect(next).toEqual(reportOf(PARTS).next)
    expect(next!.sentence).not.toMatch(/confirm/i)
  })

  it('says tight only where tight was noted', () => {
    const noted = (calm: 0 | 2 | null): readonly string[] => {
      const log = times(6, () => ({
        ...answer({ grade: 0, calm, rung: 4, day: FIRST_DAY }),
        step: 'face-up',
        side: 'none' as const,
      }))
      return reportOf({ ...PARTS, views: viewsFrom(log, FIRST_DAY), day: FIRST_DAY }).tight
    }
    expect(noted(null)).toEqual([])
    expect(noted(2)).toHaveLength(1)
  })
})
