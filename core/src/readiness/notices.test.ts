import { describe, expect, it } from 'vitest'
import { viewsFrom } from '../../tests/held'
import { NO_FACTS, type Check, type Facts } from '../facts'
import { FEET_FIRST } from '../program'
import { noticesOf } from './notices'

const ON = '2026-05-14'
const check = (kind: Check['kind'], on: string, change: Partial<Check> = {}): Check => ({
  kind,
  on,
  until: null,
  passed: true,
  ...change,
})
const told = (facts: Partial<Facts>): string[] =>
  noticesOf({
    program: FEET_FIRST,
    views: viewsFrom([], ON),
    facts: { ...NO_FACTS, ...facts },
    on: ON,
  }).map((notice) => `${notice.tone}: ${notice.words}`)
const words = (...checks: Check[]): string[] => told({ checks })

describe('what is due', () => {
  it('is hooves six to eight weeks after the last time (common practice, no source)', () => {
    const born = '2021-05-01'
    const feet = (on: string) => told({ born, checks: [check('feet', on)] })
    expect(feet('2026-04-15')).toEqual([])
    expect(feet('2026-04-08')).toEqual(['soon: The hooves are due in 6 calendar days.'])
    expect(feet('2026-04-02')).toEqual(['due: The hooves are due, by 2026-05-28.'])
    expect(feet('2026-03-19')).toEqual(['due: The hooves are due today.'])
    expect(feet('2026-03-16')).toEqual(['due: The hooves are due, 3 calendar days late.'])
  })

  it('is care that was told beside the checks, by the newest word on it', () => {
    const born = '2021-05-01'
    const shot = { care: 'vaccination' as const, on: '2026-04-14', minDays: 28, maxDays: 35 }
    expect(told({ born, care: [shot] })).toEqual(['due: The vaccination is due, by 2026-05-19.'])
    expect(told({ born, care: [{ ...shot, minDays: null, maxDays: null }] })).toEqual([])
    const trimmed = { care: 'hooves' as const, on: '2026-05-10', minDays: null, maxDays: null }
    expect(told({ born, checks: [check('feet', '2026-03-16')], care: [trimmed] })).toEqual([])
    expect(told({ unmeasuredDays: 41 })).toEqual([
      'due: It is due to be measured: last 41 calendar days ago.',
    ])
  })

  it('goes by the date that was set, and by the newest look', () => {
    expect(words(check('worming', '2026-01-01', { until: '2026-05-01' }))).toEqual([
      'due: Worming is due, 13 calendar days late.',
    ])
    expect(
      words(check('worming', '2026-01-01', { until: '2026-05-01' }), check('worming', '2026-05-02')),
    ).toEqual([])
  })

  it('is a saddle 60 days after it was checked', () => {
    expect(words(check('saddle', '2026-03-15'))).toEqual(['due: The saddle is to be checked today.'])
  })

  it('names who must come where something was not right', () => {
    expect(words(check('mouth', '2026-05-10', { passed: false }))).toEqual([
      'due: Not right on 2026-05-10 (mouth): the vet first.',
    ])
  })
})

describe('what stops', () => {
  it('is the vet’s hold, to its day', () => {
    const hold = check('veterinary-hold', '2026-05-10', { until: '2026-05-14', passed: false })
    expect(words(hold)).toEqual(['stop: The vet holds this horse to 2026-05-14.'])
    expect(words({ ...hold, until: '2026-05-13' })).toEqual([])
  })

  it('is an incident while it keeps anything shut; any other is told for three days, a kick for thirty', () => {
    const buck = (on: string, mounted: boolean) =>
      told({ incidents: [{ kind: 'buck', on, step: null, mounted }] })
    expect(buck('2026-05-12', true)).toEqual([
      'stop: A buck on 2026-05-12 with a person up: shut to 2026-05-15, and until bend, hind yield and stand have passed a first ask again.',
    ])
    expect(buck('2026-05-02', true)[0]).toMatch(
      /^stop: A buck on 2026-05-02 with a person up: shut until bend/,
    )
    expect(buck('2026-05-13', false)).toEqual(['due: A buck on 2026-05-13.'])
    expect(buck('2026-05-11', false)).toEqual([])
    expect(told({ incidents: [{ kind: 'kick', on: '2026-04-20', step: null }] })[0]).toMatch(
      /^due: A kick on .*keep clear/,
    )
    expect(told({ incidents: [{ kind: 'kick', on: '2026-04-10', step: null }] })).toEqual([])
  })
})
