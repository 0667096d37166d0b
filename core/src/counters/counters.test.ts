import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, type Side } from '../answer'
import { FEET_FIRST } from '../program'
import { countersOf, timesInWords, type Worked } from './counters'

const ARRIVED = '2026-03-01'
const MINUTE = 60_000

const row = (day: string, change: Partial<Worked> = {}): Worked => ({
  session: `s-${day}`,
  day,
  step: 'step-back',
  side: 'none',
  answers: 1,
  hardestRung: 1,
  from: 0,
  to: 10 * MINUTE,
  ...change,
})

const counted = (rows: readonly Worked[], on = '2026-03-31') =>
  countersOf(FEET_FIRST, rows, { arrived: ARRIVED, on })

describe('days', () => {
  it('are four different counters', () => {
    const rows = [
      row('2026-03-02'),
      row('2026-03-04', { step: 'send', side: 'left', hardestRung: 5 }),
      row('2026-03-10', { step: 'saddle-move', side: 'left', hardestRung: 2 }),
    ]
    expect(counted(rows)).toMatchObject({ calendarDays: 30, workDays: 3, loadDays: 2, handlingDays: 1 })
  })

  it('count walking in hand as handling and trotting on the line as load', () => {
    const send = (hardestRung: number) => counted([row('2026-03-02', { step: 'send', hardestRung })])
    expect(send(3).loadDays).toBe(0)
    expect(send(4).loadDays).toBe(1)
  })

  it('count a day of more than twenty minutes of handling as load, two short sessions of one day together', () => {
    const twice = (minutes: number) =>
      counted([
        row('2026-03-02', { session: 'a', to: minutes * MINUTE }),
        row('2026-03-02', { session: 'b', from: 60 * MINUTE, to: (60 + minutes) * MINUTE }),
      ])
    expect(twice(10)).toMatchObject({ sessions: 2, workDays: 1, loadDays: 0 })
    expect(twice(11)).toMatchObject({ sessions: 2, workDays: 1, loadDays: 1 })
  })

  it('of the week are the last seven, today among them', () => {
    const laps = (day: string) => row(day, { step: 'laps', side: 'left' })
    expect(counted(['2026-03-24', '2026-03-25', '2026-03-31'].map(laps)).loadDaysThisWeek).toBe(2)
  })

  it('off are those between, not those from one to the next', () => {
    expect(counted([row('2026-03-02'), row('2026-03-03')], '2026-03-03')).toMatchObject({
      longestGap: 0,
      daysOff: 0,
    })
    expect(counted([row('2026-03-02'), row('2026-03-10')], '2026-03-12')).toMatchObject({
      longestGap: 7,
      daysOff: 1,
    })
    expect(counted([])).toMatchObject({ longestGap: 0, daysOff: null, workDays: 0 })
  })
})

describe('times', () => {
  it('are answers for ties and things, sessions for rides', () => {
    const rows = [
      row('2026-03-02', { step: 'tie', answers: 3 }),
      row('2026-03-04', { step: 'led-ride', answers: 9 }),
      row('2026-03-04', { step: 'sit', answers: 2 }),
      row('2026-03-06', { step: 'ride-steer', side: 'left', answers: 4 }),
      row('2026-03-05', { step: 'flag', side: 'left', answers: 6 }),
      row('2026-03-06', { step: 'flag', side: 'right', answers: 2 }),
      row('2026-03-07', { step: 'lie-over', side: 'left', answers: 2 }),
    ]
    const counters = counted(rows)
    expect(counters.ties).toEqual({ times: 3, lastDay: '2026-03-02' })
    expect(counters.rides).toEqual({ times: 2, lastDay: '2026-03-06' })
    expect(counters.things.find(({ thing }) => thing === 'Flag')).toMatchObject({
      times: 8,
      lastDay: '2026-03-06',
    })
    expect(counters.things.find(({ thing }) => thing === 'Stick')).toMatchObject({ times: 0, lastDay: null })
  })

  it('are told with their kind', () => {
    expect(timesInWords({ times: 8, lastDay: '2026-03-06' }, '2026-03-09')).toBe(
      '8 times, last 3 calendar days ago',
    )
    expect(timesInWords({ times: 1, lastDay: '2026-03-09' }, '2026-03-09')).toBe('1 time, last today')
    expect(timesInWords({ times: 0, lastDay: null }, '2026-03-09')).toBe('never')
  })
})

describe('any log', () => {
  const rows = fc.array(
    fc.record({
      session: fc.constantFrom('a', 'b', 'c'),
      day: fc.nat(40).map((n) => addDays(ARRIVED, n)),
      step: fc.constantFrom('tie', 'send', 'step-back', 'flag', 'ride-steer'),
      side: fc.constantFrom<Side>('left', 'right'),
      answers: fc.integer({ min: 1, max: 9 }),
      hardestRung: fc.integer({ min: 1, max: 5 }),
      from: fc.nat(1000),
      to: fc.integer({ min: 1000, max: 3_000_000 }),
    }),
  )

  it('is parted into load and handling days, and every ask belongs to one track', () => {
    fc.assert(
      fc.property(rows, (all) => {
        const c = counted(all, '2026-05-01')
        expect(c.loadDays + c.handlingDays).toBe(c.workDays)
        expect(c.tracks.reduce((sum, { times }) => sum + times, 0)).toBe(c.answers)
        expect(c.tracks.every(({ days, times }) => days >= 1 && days <= times)).toBe(true)
        expect(c.workDays).toBeLessThanOrEqual(41)
      }),
    )
  })

  it('counts nothing of days to come', () => {
    fc.assert(
      fc.property(rows, (all) => {
        const on = addDays(ARRIVED, 20)
        expect(counted(all, on)).toEqual(
          counted(
            all.filter(({ day }) => day <= on),
            on,
          ),
        )
      }),
    )
  })
})
