import { describe, expect, it } from 'vitest'
import { viewsFrom } from '../../tests/held'
import { answer, FIRST_DAY, times } from '../../tests/logs'
import { workedHorse } from '../../tests/worked-horse'
import { FEET_FIRST } from '../program'
import { againstOpening, blockNotice, offWork, snapshotOf } from '.'

// Common practice, no source: a weanling or yearling is handled in one short block and then left to grow.
describe('the rules of blocks', () => {
  it('warn before a yearling is started, and not before it is handled or left to grow', () => {
    expect(againstOpening('start', '2025-05-01', '2026-05-14')).toMatch(
      /handled only: about 10 sessions of 15 minutes/,
    )
    expect(againstOpening('handling', '2025-05-01', '2026-05-14')).toBeNull()
    expect(againstOpening('grow', '2025-05-01', '2026-05-14')).toBeNull()
    expect(againstOpening('start', '2023-05-01', '2026-05-14')).toBeNull()
    expect(againstOpening('start', null, '2026-05-14')).toBeNull()
  })

  it('count a youngster’s handling, and say when it is enough', () => {
    const block = { kind: 'handling', from: '2026-05-01' } as const
    expect(blockNotice(block, '2025-05-01', { sessions: 3, on: '2026-05-10' })).toBe(
      'Session 4 of about 10, by 2026-05-22; 15 minutes at the most.',
    )
    expect(blockNotice(block, '2025-05-01', { sessions: 10, on: '2026-05-15' })).toMatch(
      /10 sessions in 14 calendar days: enough/,
    )
    expect(blockNotice(block, '2025-05-01', { sessions: 4, on: '2026-05-30' })).toMatch(/enough/)
    expect(blockNotice(block, '2020-05-01', { sessions: 4, on: '2026-05-30' })).toBeNull()
  })

  it('keep a horse off work while it rests or grows', () => {
    expect(offWork({ kind: 'grow', from: '2026-01-01' })).toMatch(/left to grow since 2026-01-01/)
    expect(offWork({ kind: 'rest', from: '2026-01-01' })).toMatch(/off work/)
    expect(offWork({ kind: 'start', from: '2026-01-01' })).toBeNull()
    expect(offWork(null)).toBeNull()
  })
})

describe('a snapshot', () => {
  const worked = workedHorse(21, { upTo: 'lead-up' })
  const parts = {
    program: FEET_FIRST,
    views: worked.viewsOn(),
    incidents: [{ kind: 'kick' as const, on: '2026-05-03', step: 'foot-hind' }],
    day: worked.lastDay,
    workDays: 12,
    calendarDays: 30,
  }

  it('holds every track that was asked, and no other', () => {
    const { tracks } = snapshotOf(parts)
    const asked = [...parts.views].filter(([, { answers }]) => answers > 0).map(([key]) => key)
    expect(tracks.map(({ step, side }) => `${step}/${side}`)).toEqual(asked)
  })

  it('tells what worries it, and what holds by the least, weakest first', () => {
    const { worries, keepChecking, tracks } = snapshotOf(parts)
    expect(worries.at(-1)).toBe('a kick on 2026-05-03, at hind foot')
    const holding = tracks.filter(({ state }) => state === 'solid' || state === 'rusty')
    const weakest = Math.min(...holding.map(({ chance, calmChance }) => chance * calmChance))
    const first = holding.find(({ chance, calmChance }) => chance * calmChance === weakest)!
    expect(keepChecking[0]).toContain(first.name)
    expect(keepChecking.length).toBeLessThanOrEqual(8)
  })

  it('says tight only where tight was noted: six answers on the thought with no calm noted are none', () => {
    const noted = (calm: 0 | 2 | null): readonly string[] => {
      const log = times(6, () => ({
        ...answer({ grade: 0, calm, rung: 4, day: FIRST_DAY }),
        step: 'face-up',
        side: 'none' as const,
      }))
      return snapshotOf({ ...parts, incidents: [], views: viewsFrom(log, FIRST_DAY) }).worries
    }
    expect(noted(null)).toEqual([])
    expect(noted(0)).toEqual([])
    expect(noted(2)).toEqual(['Face up: 6 of the last 6 noted were tight'])
  })

  it('of a horse that was never asked is empty, and no fault', () => {
    const untouched = snapshotOf({ ...parts, views: new Map(), incidents: [] })
    expect(untouched).toMatchObject({ tracks: [], worries: [], keepChecking: [] })
  })
})
