import { expect, it } from 'vitest'
import type { Summary } from './summary'
import { byWords, differenceWords, forecastWords, keptWords } from './words'

const TODAY = '2026-05-18'
const said = (change: Partial<Summary>, horizonDays = 180): string =>
  forecastWords(
    {
      p10: '2026-07-03',
      p50: '2026-07-30',
      p90: '2026-08-29',
      workDays: { p10: 41, p50: 48, p90: 58 },
      share: { inHorizon: 0.97, by: null },
      ...change,
    },
    { today: TODAY, horizonDays },
  )

it('is a range, to the week where it is far', () => {
  expect(said({})).toBe(
    'Between the week of 2026-06-29 and the week of 2026-08-24, most likely about the week of 2026-07-27 (8 of 10 such horses); 41 to 58 work days.',
  )
  expect(said({ p10: '2026-06-01', p50: '2026-06-05', p90: '2026-06-18' })).toMatch(
    /^Between 2026-06-01 and 2026-06-18, most likely about 2026-06-05 /,
  )
})

it('has an open end where one in ten comes later than is looked ahead', () => {
  expect(said({ p90: null })).toMatch(/and later than 2026-11-14, .*; 41 work days or more\.$/)
})

it('of one that is all but there is still no day alone', () => {
  const near = {
    p10: '2026-05-20',
    p50: '2026-05-20',
    p90: '2026-05-20',
    workDays: { p10: 2, p50: 2, p90: 2 },
  }
  expect(said(near)).toBe('All but surely 2026-05-20 (8 of 10 such horses); 2 work days.')
})

it('says when it does not come there at all', () => {
  const none = { p10: null, p50: null, p90: null, workDays: null, share: { inHorizon: 0.02, by: null } }
  expect(said(none)).toBe('Not within half a year as planned.')
  expect(said(none, 90)).toBe('Not within 90 days as planned.')
})

it('tells an owner’s date as a share, and a what-if as its own range', () => {
  expect(byWords(0.58, '2026-08-01')).toBe('6 of 10 by 2026-08-01.')
  expect(differenceWords({ p10: -21, p50: -14, p90: -9, mean: -14 })).toBe('9 to 21 days sooner')
  expect(differenceWords({ p10: 3, p50: 8, p90: 14, mean: 8 })).toBe('3 to 14 days later')
  expect(differenceWords({ p10: -4, p50: 0, p90: 1, mean: -1 })).toBe('from 4 days sooner to 1 day later')
  expect(differenceWords({ p10: 0, p50: 0, p90: 0, mean: 0 })).toBe('no difference')
})

it('tells a kept forecast with the day it was made, and never without its range', () => {
  const days = Array.from({ length: 19 }, (_, i) => 10 + 2 * i)
  const kept = { on: TODAY, horizonDays: 180, days }
  expect(keptWords('First time up', kept)).toBe(
    'First time up, as reckoned on 2026-05-18: between 2026-05-30 and the week of 2026-06-29, most likely about 2026-06-15 (8 of 10 such horses).',
  )
  expect(keptWords('First time up', { ...kept, days: days.map(() => null) })).toBe(
    'First time up, as reckoned on 2026-05-18: not within half a year as planned.',
  )
})
