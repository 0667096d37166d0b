import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { calendarOf, type CalendarVisit, type Feed } from './out'
import { instantOf } from './zone'

const VISIT: CalendarVisit = {
  id: '0190c0de-0000-7000-8000-000000000001',
  sequence: 0,
  changedAt: '2026-03-20T09:00:00Z',
  day: '2026-03-30',
  start: '08:15',
  minutes: 30,
  summary: 'Sedge: ground, 25 min',
  place: 'Arena',
  cancelled: false,
}

const feed = (visits: readonly CalendarVisit[], change: Partial<Feed> = {}): string =>
  calendarOf({ name: 'Ylva', zone: 'Europe/Oslo', visits, dues: [], remindMinutes: 30, ...change })

/** What another parser makes of it, its zones taken from the file itself. */
const read = (text: string) => {
  const calendar = new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]])
  for (const block of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(block)
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component)
    return {
      uid: event.uid,
      sequence: event.sequence,
      summary: event.summary,
      location: event.location,
      start: event.startDate.toUnixTime() * 1000,
      end: event.endDate.toUnixTime() * 1000,
      isDate: event.startDate.isDate,
      status: component.getFirstPropertyValue('status'),
      alarms: component.getAllSubcomponents('valarm').length,
    }
  })
}

describe('a calendar of visits', () => {
  it('has the same instants for another parser as for Intl, across both nights of change', () => {
    const days = ['2026-03-28', '2026-03-29', '2026-03-30', '2026-10-24', '2026-10-25', '2026-10-26']
    const visits = days.flatMap((day) =>
      ['00:30', '02:30', '08:15', '23:45'].map((start) => ({ ...VISIT, id: `${day}-${start}`, day, start })),
    )
    for (const [i, event] of read(feed(visits)).entries()) {
      const { day, start, minutes } = visits[i]!
      // Of an hour that is twice the first is meant (RFC 5545, 3.3.5); this parser takes the second.
      if (day === '2026-10-25' && start === '02:30') continue
      const expected = instantOf('Europe/Oslo', day, start)
      expect([day, start, event.start]).toEqual([day, start, expected])
      expect(event.end - event.start).toBe(minutes * 60_000)
    }
  })

  it('keeps what identifies a visit when it moves, and says that it changed', () => {
    const [before] = read(feed([VISIT]))
    const [after] = read(feed([{ ...VISIT, start: '09:00', sequence: 1 }]))
    expect(after!.uid).toBe(before!.uid)
    expect([before!.sequence, after!.sequence]).toEqual([0, 1])
    expect(after!.start - before!.start).toBe(45 * 60_000)
  })

  it('tells a visit that was taken off as cancelled, with nothing to remind of', () => {
    expect(read(feed([{ ...VISIT, cancelled: true, sequence: 2 }]))).toMatchObject([
      { status: 'CANCELLED', sequence: 2, alarms: 0 },
    ])
    expect(read(feed([VISIT]))).toMatchObject([{ status: 'CONFIRMED', alarms: 1 }])
    expect(read(feed([VISIT], { remindMinutes: null }))).toMatchObject([{ alarms: 0 }])
  })

  it('carries any name, in lines of 75 octets at most, each ended by CRLF', () => {
    const summary = `Sedge, “Sed;ge”\\ \u{1F40E}\u{1F40E} ${'ærø '.repeat(30)}\nand more`
    const text = feed([{ ...VISIT, summary, place: 'Arena; the far, far end' }])
    expect(read(text)).toMatchObject([{ summary, location: 'Arena; the far, far end' }])
    for (const line of text.split('\r\n'))
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
  })

  it('says that it is published, and how often to look again', () => {
    const text = feed([VISIT])
    expect(text).toMatch(/\r\nMETHOD:PUBLISH\r\n/)
    expect(text).toMatch(/\r\nREFRESH-INTERVAL;VALUE=DURATION:PT1H\r\n/)
    expect(text).toMatch(/\r\nDTSTART;TZID=Europe\/Oslo:20260330T081500\r\n/)
  })

  it('tells what is due as whole days', () => {
    const due = {
      id: 'hooves-3-sedge',
      sequence: 1,
      changedAt: '2026-03-20T09:00:00Z',
      from: '2026-05-13',
      by: '2026-05-27',
      summary: 'Hooves: Sedge',
    }
    const text = feed([], { dues: [due] })
    expect(text).toMatch(/DTSTART;VALUE=DATE:20260513\r\nDTEND;VALUE=DATE:20260528/)
    expect(read(text)).toMatchObject([{ isDate: true, summary: 'Hooves: Sedge' }])
  })
})
