import { describe, expect, it } from 'vitest'
import { plannedDays, type Standing, type WorkPlan } from './planned-days'

// A Monday.
const FROM = '2026-05-18'
const GROWN: Standing = {
  born: '2019-04-08',
  block: 'start',
  heldWithoutEnd: false,
  needsAge: true,
  loadDays: [],
}
const PLAN: WorkPlan = { weekdays: [1, 3, 5], minutes: 25, helperWeekdays: null, off: [] }

const planned = (standing: Partial<Standing> = {}, plan: Partial<WorkPlan> = {}, horizonDays = 27) => {
  const made = plannedDays({ ...GROWN, ...standing }, { ...PLAN, ...plan }, { from: FROM, horizonDays })
  return made.refused === null ? made.days : made.refused
}

const daysOf = (made: ReturnType<typeof planned>): readonly string[] =>
  typeof made === 'string' ? [made] : made.map(({ day }) => day.slice(5))

const loadsOf = (made: ReturnType<typeof planned>): readonly string[] =>
  typeof made === 'string' ? [made] : made.filter(({ load }) => load).map(({ day }) => day.slice(5))

describe('the days of a forecast', () => {
  it('are the planned days of the week, without those off', () => {
    expect(daysOf(planned({}, {}, 13))).toEqual(['05-18', '05-20', '05-22', '05-25', '05-27', '05-29'])
    expect(daysOf(planned({}, { off: [{ from: '2026-05-20', until: '2026-05-26' }] }, 13))).toEqual([
      '05-18',
      '05-27',
      '05-29',
    ])
  })

  it('may all be load days of a grown horse, and two in seven of a two-year-old, never running', () => {
    expect(loadsOf(planned({}, { weekdays: [1, 2, 3, 4, 5] }, 6))).toHaveLength(5)
    const two = planned({ born: '2024-04-08' }, { weekdays: [1, 2, 3, 4, 5] }, 13)
    expect(loadsOf(two)).toEqual(['05-18', '05-20', '05-25', '05-27'])
  })

  it('begin with what was done before', () => {
    const two = planned({ born: '2024-04-08', loadDays: ['2026-05-15', '2026-05-17'] }, {}, 6)
    expect(loadsOf(two)).toEqual(['05-22'])
  })

  it('open more load days as birthdays come', () => {
    // Two until 25 May, two years and eleven months; three from then on.
    const turning = planned({ born: '2023-05-26' }, { weekdays: [1, 3, 5] }, 20)
    expect(loadsOf(turning)).toEqual(['05-18', '05-20', '05-25', '05-27', '05-29', '06-01', '06-03', '06-05'])
  })

  it('know who helps on which', () => {
    const made = planned({}, { helperWeekdays: [5] }, 6)
    expect(typeof made === 'string' ? [] : made.map(({ helper }) => helper)).toEqual([false, false, true])
  })
})

describe('a forecast is refused', () => {
  it('for what stands in the way, each with its reason', () => {
    expect(planned({ block: 'grow' })).toMatch(/^It is left to grow/)
    expect(planned({ block: 'rest' })).toMatch(/^It rests/)
    expect(planned({ heldWithoutEnd: true })).toMatch(/hold that has no end/)
    expect(planned({ born: null })).toMatch(/^Its age is not known/)
    expect(planned({}, { weekdays: [] })).toBe('No day of the week is planned.')
    expect(planned({}, { off: [{ from: FROM, until: '2027-01-01' }] })).toBe(
      'No day of the next 27 days is planned.',
    )
  })

  it('where the plan asks more than its age leaves', () => {
    expect(planned({ born: '2023-04-08' }, { loadDaysAWeek: 4 })).toBe(
      'A horse of three has three load days a week; four are not forecast.',
    )
    expect(planned({ born: null, needsAge: false }, { loadDaysAWeek: 3 })).toBe(
      'A horse of unknown age has two load days a week; three are not forecast.',
    )
  })
})
