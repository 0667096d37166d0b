import { describe, expect, it } from 'vitest'
import { clockAt, clockChanges, instantOf, zoneBlock } from './zone'

const at = (zone: string, day: string, time: string): string =>
  new Date(instantOf(zone, day, time)).toISOString()

// Changes of 2026 by the law of the European Union (directive 2000/84/EC): the last Sundays of March and October, 1:00 UTC.
describe('the clocks of a zone', () => {
  it('are told as instants, on both sides of a change', () => {
    expect(at('Europe/Oslo', '2026-03-28', '08:00')).toBe('2026-03-28T07:00:00.000Z')
    expect(at('Europe/Oslo', '2026-03-29', '08:00')).toBe('2026-03-29T06:00:00.000Z')
    expect(at('Europe/Oslo', '2026-10-25', '08:00')).toBe('2026-10-25T07:00:00.000Z')
  })

  it('move a time that does not exist forward by the gap, and take the first of one that is twice', () => {
    expect(at('Europe/Oslo', '2026-03-29', '02:30')).toBe('2026-03-29T01:30:00.000Z')
    expect(clockAt('Europe/Oslo', Date.parse('2026-03-29T01:30:00Z'))).toEqual({
      day: '2026-03-29',
      time: '03:30',
    })
    expect(at('Europe/Oslo', '2026-10-25', '02:30')).toBe('2026-10-25T00:30:00.000Z')
  })

  it('are told back as they were, every quarter of an hour over both nights', () => {
    for (const night of ['2026-03-29', '2026-10-25'])
      for (let i = 0; i < 32; i++) {
        const instant = Date.parse(`${night}T00:00:00Z`) + (i - 8) * 900_000
        const { day, time } = clockAt('Europe/Oslo', instant)
        const back = instantOf('Europe/Oslo', day, time)
        // The second of a double hour is told as the first.
        expect([0, 3_600_000]).toContain(instant - back)
      }
  })

  it('change when Intl says they do', () => {
    expect(
      clockChanges('Europe/Oslo', '2026-01-01', '2027-01-01').map(({ at: when, from, to }) => [
        new Date(when).toISOString(),
        from,
        to,
      ]),
    ).toEqual([
      ['2026-03-29T01:00:00.000Z', 60, 120],
      ['2026-10-25T01:00:00.000Z', 120, 60],
    ])
    expect(clockChanges('Africa/Nairobi', '2026-01-01', '2027-01-01')).toEqual([])
  })

  it('are written as a zone of a calendar', () => {
    const lines = zoneBlock('Europe/Oslo', '2026-01-01', '2027-01-01').split('\r\n')
    expect(lines[0]).toBe('BEGIN:VTIMEZONE')
    expect(lines).toContain('DTSTART:20260329T020000')
    expect(lines).toContain('DTSTART:20261025T030000')
    expect(lines.filter((line) => line === 'TZOFFSETTO:+0200').length).toBe(1)
    expect(lines.at(-1)).toBe('END:VTIMEZONE')
  })
})
