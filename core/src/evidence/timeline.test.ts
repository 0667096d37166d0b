import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import { addDays, daysBetween } from '../answer'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import { replayHorse, viewsOf, type TrackedAnswer } from '../readiness'
import { replayPredicting } from './predictions'
import { AHEAD_DAYS, timelineOf } from './timeline'

const LEAD_UP = stepOf(FEET_FIRST, 'lead-up')!

const ask = (change: Partial<TrackedAnswer> = {}): TrackedAnswer => ({
  ...answer({ rung: LEAD_UP.requiredRung }),
  step: LEAD_UP.key,
  side: 'none',
  ...change,
})

describe('the chance over days', () => {
  const answers = [0, 2, 30].flatMap((n) => times(5, () => ask({ day: day(n) })))
  const { records, predictions } = replayPredicting(MODEL, FEET_FIRST, answers)
  const moments = timelineOf(MODEL, LEAD_UP, {
    days: predictions,
    now: records.tracks.get('lead-up/none')!.belief,
    on: day(40),
  })
  const judgedOn = (on: string, upTo: string) =>
    viewsOf(MODEL, FEET_FIRST, {
      records: replayHorse(
        MODEL,
        FEET_FIRST,
        answers.filter((one) => one.day <= upTo),
      ),
      on,
    }).get('lead-up/none')!.chance

  it('is what the judgement of each day says', () => {
    for (const on of [day(2), day(30), day(40), addDays(day(40), AHEAD_DAYS)]) {
      const moment = moments.find((one) => one.day === on)!
      expect(moment.chance).toBeCloseTo(judgedOn(on, addDays(on, -1)), 12)
    }
    for (const on of [day(0), day(2), day(30)])
      expect(moments.findLast((one) => one.day === on)!.chance).toBeCloseTo(judgedOn(on, on), 12)
  })

  it('runs on from day to day, worn by rest, and four weeks ahead', () => {
    const days = moments.map((moment) => moment.day)
    expect(days).toEqual([...days].sort())
    expect(daysBetween(day(40), days.at(-1)!)).toBe(AHEAD_DAYS)
    const worn = moments.filter((one) => one.day > day(2) && one.day < day(30))
    expect(worn.map(({ chance }) => chance)).toEqual(
      [...worn].map(({ chance }) => chance).sort((a, b) => b - a),
    )
  })

  it('is nothing before the first day worked, and knows no day after today', () => {
    const { belief } = records.tracks.get('lead-up/none')!
    expect(timelineOf(MODEL, LEAD_UP, { days: predictions, now: belief, on: day(-1) })).toEqual([])
    const told = timelineOf(MODEL, LEAD_UP, { days: predictions, now: belief, on: day(29) })
    expect(told.map((one) => one.day)).not.toContain(day(30))
    expect(told.findLast((one) => one.day <= day(29))!.day).toBe(day(29))
  })

  it('is on days of rest within two points of what would have been judged', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            gap: fc.integer({ min: 1, max: 90 }),
            grades: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 12 }),
          }),
          { minLength: 2, maxLength: 12 },
        ),
        (spells) => {
          let n = 0
          const log = spells.flatMap(({ gap, grades }) => {
            n += gap
            return grades.map((grade) => ask({ day: day(n), grade: grade as 0 }))
          })
          const { records, predictions } = replayPredicting(MODEL, FEET_FIRST, log)
          const told = timelineOf(MODEL, LEAD_UP, {
            days: predictions,
            now: records.tracks.get('lead-up/none')!.belief,
            on: day(n),
          })
          for (const { day: on, chance } of told) {
            const upTo = log.filter((one) => one.day < on)
            if (upTo.length === 0 || log.some((one) => one.day === on)) continue
            const view = viewsOf(MODEL, FEET_FIRST, {
              records: replayHorse(MODEL, FEET_FIRST, upTo),
              on,
            }).get('lead-up/none')!
            expect(Math.abs(chance - view.chance)).toBeLessThan(0.02)
          }
        },
      ),
      { numRuns: 30 },
    )
  })
})
