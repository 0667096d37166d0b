import { PutEntry } from '@still-pine/contract'
import { describe, expect, it } from 'vitest'
import { shareByDay } from './fan-option'
import { forecastEntry, quantilesOf } from './kept'

const drawn = (days: readonly (number | null)[]) => days.map((one) => ({ days: one }))

describe('a forecast that is kept', () => {
  it('has its days at every twentieth, and none beyond the horizon', () => {
    // One to a hundred, of which the last ten never came.
    const days = quantilesOf(drawn(Array.from({ length: 100 }, (_, i) => (i < 90 ? i + 1 : null))))
    expect(days.slice(0, 3)).toEqual([5, 10, 15])
    expect(days[9]).toBe(50)
    expect(days.slice(-2)).toEqual([90, null])
  })

  it('is an entry as the contract has it', () => {
    const plan = { weekdays: [1, 3], minutes: 25, helperWeekdays: null, off: [] }
    const made = forecastEntry({ gate: 'first-saddle', by: '2026-08-01', plan }, drawn([3, 4]) as never, {
      on: '2026-05-14',
      name: 'First saddle',
      horizonDays: 180,
      byShare: 0.5,
    })
    expect(PutEntry.parse(made)).toEqual(made)
  })
})

describe('the fan', () => {
  it('goes up with the days, to the share that comes at all', () => {
    const shares = shareByDay(drawn([0, 3, 4, null]), 9)
    expect(shares).toEqual([
      [0, 0.25],
      [3, 0.5],
      [6, 0.75],
      [9, 0.75],
    ])
  })
})
