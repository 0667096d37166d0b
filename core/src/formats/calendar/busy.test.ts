import { describe, expect, it } from 'vitest'
import { busyIn, busyMinutes, CalendarRefused } from './busy'

const calendar = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//somewhere//else//EN', ...lines, 'END:VCALENDAR', ''].join(
    '\r\n',
  )

const event = (...lines: string[]): readonly string[] => ['BEGIN:VEVENT', 'UID:one', ...lines, 'END:VEVENT']

const NEW_YORK = 'America/New_York'

/** The days of September and October 1997 on which a printed example falls, and when. */
const fallsOn = (...lines: string[]): readonly string[] =>
  busyIn(calendar(...event('DURATION:PT10M', ...lines)), { zone: NEW_YORK, from: '1997-09-01' }).busy.map(
    ({ day, from }) => `${day.slice(5)} ${from}`,
  )

const at = (day: string): string => `DTSTART;TZID=${NEW_YORK}:${day}T090000`
const nine = (...days: string[]): readonly string[] => days.map((day) => `${day} 09:00`)

// The examples of RFC 5545, section 3.8.5.3, as printed there, as far as eight weeks reach (to 26 October 1997).
describe('repetitions as the standard prints them', () => {
  it('daily for 10 occurrences', () => {
    expect(fallsOn(at('19970902'), 'RRULE:FREQ=DAILY;COUNT=10')).toEqual(
      nine(...['02', '03', '04', '05', '06', '07', '08', '09', '10', '11'].map((day) => `09-${day}`)),
    )
  })

  it('every 10 days, 5 occurrences', () => {
    expect(fallsOn(at('19970902'), 'RRULE:FREQ=DAILY;INTERVAL=10;COUNT=5')).toEqual(
      nine('09-02', '09-12', '09-22', '10-02', '10-12'),
    )
  })

  it('weekly for 10 occurrences', () => {
    expect(fallsOn(at('19970902'), 'RRULE:FREQ=WEEKLY;COUNT=10')).toEqual(
      nine('09-02', '09-09', '09-16', '09-23', '09-30', '10-07', '10-14', '10-21'),
    )
  })

  it('weekly on Tuesday and Thursday for five weeks', () => {
    expect(fallsOn(at('19970902'), 'RRULE:FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH')).toEqual(
      nine('09-02', '09-04', '09-09', '09-11', '09-16', '09-18', '09-23', '09-25', '09-30', '10-02'),
    )
  })

  it('every other week on Monday, Wednesday and Friday', () => {
    expect(
      fallsOn(at('19970901'), 'RRULE:FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR'),
    ).toEqual(
      nine(
        '09-01',
        '09-03',
        '09-05',
        '09-15',
        '09-17',
        '09-19',
        '09-29',
        '10-01',
        '10-03',
        '10-13',
        '10-15',
        '10-17',
      ),
    )
  })

  it('monthly on the first Friday, the second-to-last Monday, the third-to-last day', () => {
    expect(fallsOn(at('19970905'), 'RRULE:FREQ=MONTHLY;COUNT=10;BYDAY=1FR')).toEqual(nine('09-05', '10-03'))
    expect(fallsOn(at('19970922'), 'RRULE:FREQ=MONTHLY;COUNT=6;BYDAY=-2MO')).toEqual(nine('09-22', '10-20'))
    expect(fallsOn(at('19970928'), 'RRULE:FREQ=MONTHLY;BYMONTHDAY=-3')).toEqual(nine('09-28'))
  })

  it('the first Saturday that follows the first Sunday of the month', () => {
    expect(fallsOn(at('19970913'), 'RRULE:FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13')).toEqual(
      nine('09-13', '10-11'),
    )
  })

  it('the second-to-last weekday of the month', () => {
    expect(fallsOn(at('19970929'), 'RRULE:FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2')).toEqual(
      nine('09-29'),
    )
  })

  it('every quarter of an hour for 6 occurrences, and every hour and a half for 4', () => {
    const quarters = fallsOn(at('19970902'), 'RRULE:FREQ=MINUTELY;INTERVAL=15;COUNT=6')
    expect(quarters).toEqual(
      ['09:00', '09:15', '09:30', '09:45', '10:00', '10:15'].map((time) => `09-02 ${time}`),
    )
    expect(fallsOn(at('19970902'), 'RRULE:FREQ=MINUTELY;INTERVAL=90;COUNT=4')).toEqual(
      ['09:00', '10:30', '12:00', '13:30'].map((time) => `09-02 ${time}`),
    )
  })

  it('every Friday the 13th, its own first day left out', () => {
    expect(
      busyIn(
        calendar(
          ...event(
            'DURATION:PT10M',
            at('19970902'),
            `EXDATE;TZID=${NEW_YORK}:19970902T090000`,
            'RRULE:FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
          ),
        ),
        { zone: NEW_YORK, from: '1998-02-01' },
      ).busy.map(({ day }) => day),
    ).toEqual(['1998-02-13', '1998-03-13'])
  })
})

const OSLO = { zone: 'Europe/Oslo', from: '2026-05-18' }
const busy = (...lines: string[]) => busyIn(calendar(...lines), OSLO)

describe('busy times from a file', () => {
  it('are start and end alone, by the yard’s clocks, over midnight as two', () => {
    expect(
      busy(...event('SUMMARY:Dentist', 'DTSTART:20260518T200000Z', 'DTEND:20260518T233000Z')).busy,
    ).toEqual([
      { day: '2026-05-18', from: '22:00', to: '24:00' },
      { day: '2026-05-19', from: '00:00', to: '01:30' },
    ])
  })

  it('take whole days and times without a zone as the yard’s', () => {
    expect(busy(...event('DTSTART;VALUE=DATE:20260520', 'DTEND;VALUE=DATE:20260521')).busy).toEqual([
      { day: '2026-05-20', from: '00:00', to: '24:00' },
    ])
    expect(busy(...event('DTSTART:20260520T090000', 'DTEND:20260520T100000')).busy).toEqual([
      { day: '2026-05-20', from: '09:00', to: '10:00' },
    ])
  })

  it('leave out what is cancelled or takes no time, and what a repetition was moved from', () => {
    const one = ['DTSTART:20260520T090000Z', 'DTEND:20260520T100000Z']
    expect(busy(...event(...one, 'STATUS:CANCELLED')).busy).toEqual([])
    expect(busy(...event(...one, 'TRANSP:TRANSPARENT')).busy).toEqual([])
    const series = event(
      'DTSTART;TZID=Europe/Oslo:20260518T090000',
      'DTEND;TZID=Europe/Oslo:20260518T100000',
      'RRULE:FREQ=DAILY;COUNT=3',
    )
    const moved = event(
      'RECURRENCE-ID;TZID=Europe/Oslo:20260519T090000',
      'DTSTART;TZID=Europe/Oslo:20260519T150000',
      'DTEND;TZID=Europe/Oslo:20260519T160000',
    )
    expect(busy(...series, ...moved).busy).toEqual([
      { day: '2026-05-18', from: '09:00', to: '10:00' },
      { day: '2026-05-19', from: '15:00', to: '16:00' },
      { day: '2026-05-20', from: '09:00', to: '10:00' },
    ])
  })

  it('take FREEBUSY other than FREE, and join what overlaps', () => {
    expect(
      busy(
        'BEGIN:VFREEBUSY',
        'UID:fb',
        'FREEBUSY;FBTYPE=BUSY:20260520T070000Z/PT1H,20260520T073000Z/20260520T083000Z',
        'FREEBUSY;FBTYPE=FREE:20260520T100000Z/PT1H',
        'END:VFREEBUSY',
      ).busy,
    ).toEqual([{ day: '2026-05-20', from: '09:00', to: '10:30' }])
  })

  it('go on without an event whose zone nobody knows, and say so', () => {
    const lost = event('SUMMARY:Far away', 'DTSTART;TZID=Mars/Olympus:20260520T090000', 'DURATION:PT1H')
    expect(busy(...lost)).toEqual({ busy: [], leftOut: ['“Far away”: its time zone is not known here.'] })
  })

  it('reach eight weeks ahead, of a repetition without end too', () => {
    const { busy: all } = busy(
      ...event('DTSTART:19900101T080000Z', 'DTEND:19900101T083000Z', 'RRULE:FREQ=DAILY'),
    )
    expect(all.length).toBe(56)
    expect(all.every((one) => busyMinutes('Europe/Oslo', one) === 30)).toBe(true)
  })

  it('keep nothing of a file that is too big, too busy, or none, and say which', () => {
    const secondly = event('DTSTART:20260518T000000Z', 'DURATION:PT1S', 'RRULE:FREQ=SECONDLY')
    expect(() => busy(...secondly)).toThrow('More than 10000 times are in it: nothing of it was kept.')
    expect(() => busyIn('x'.repeat(5_000_001), OSLO)).toThrow('It is over 5 MB: nothing of it was kept.')
    for (const text of ['', 'hello', 'BEGIN:VCALENDAR'])
      expect(() => busyIn(text, OSLO)).toThrow(CalendarRefused)
  })
})
