import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST } from '../program'
import { noRecords, type TrackedAnswer } from '../readiness'
import { dayEndsSince, dayEndsToSave } from './day-ends'
import { predictingOn } from './predictions'

const STEPS = ['settle-in-pen', 'face-up', 'draw', 'lead-up'] as const

const log: readonly TrackedAnswer[] = times(40, (n) =>
  times(4, (k): TrackedAnswer => ({
    ...answer({
      day: day(2 * n),
      rung: 1,
      grade: ((n + 2 * k) % 4) as 0 | 1 | 2 | 3,
      calm: k % 2 === 0 ? 0 : 1,
    }),
    step: STEPS[(n + Math.floor(k / 2)) % 4]!,
    side: 'none',
  })),
).flat()

const whole = predictingOn(MODEL, FEET_FIRST, { before: noRecords(MODEL), answers: log })

describe('the ends of days', () => {
  it('are one for each day worked but the last, with the tracks of that day', () => {
    expect(whole.dayEnds.map(({ day }) => day)).toEqual(times(39, (n) => day(2 * n)))
    expect(whole.dayEnds.every(({ tracks }) => tracks.size === 2)).toBe(true)
  })

  it('suffice to make any day since two months again, as it came of the whole history', () => {
    const since = dayEndsSince(day(78))
    const { horses, tracks } = dayEndsToSave(whole.dayEnds, since)
    for (const end of horses) {
      const before = {
        horse: end.horse,
        tracks: new Map(
          tracks
            .filter(({ record }) => record.belief.lastDay! <= end.day)
            .map(({ key, record }) => [key, record]),
        ),
      }
      const answers = log.filter(({ day }) => day > end.day)
      const again = predictingOn(MODEL, FEET_FIRST, { before, answers })
      expect(again.records).toEqual(whole.records)
      expect(again.predictions).toEqual(whole.predictions.filter(({ day }) => day > end.day))
    }
    expect(horses.filter(({ day }) => day < since)).toHaveLength(1)
    expect(horses.length).toBe(31)
  })

  it('are the same however the answers came', () => {
    const half = predictingOn(MODEL, FEET_FIRST, { before: noRecords(MODEL), answers: log.slice(0, 82) })
    const rest = predictingOn(MODEL, FEET_FIRST, { before: half.records, answers: log.slice(82) })
    expect([...half.dayEnds, ...rest.dayEnds]).toEqual(whole.dayEnds)
  })

  it('are none where nothing was asked', () => {
    expect(dayEndsToSave([], dayEndsSince(null))).toEqual({ horses: [], tracks: [] })
  })
})
