import { describe, expect, it } from 'vitest'
import { FEET_FIRST, stepOf } from '../program'
import { ageOf, coverageOf, handOn, placeHolds, thingsOf, ZONE_KEYS, zoneHolds, type Spot } from '.'

const spot = (over: Partial<Spot>): Spot => ({
  step: 'rope-over',
  side: 'left',
  rung: 1,
  grade: 1,
  calm: 0,
  day: '2026-05-01',
  place: 3,
  zone: 'neck',
  moving: false,
  ...over,
})

const thing = (key: string) => thingsOf(FEET_FIRST).find((one) => one.key === key)!
const rope = (...spots: Spot[]) => zoneHolds(spots, thing('rope'), 'left').get('neck')

describe('how far a thing holds somewhere', () => {
  it('is the hardest rung whose last answer was light and not tight, and the day of that answer', () => {
    expect(
      rope(
        spot({ rung: 1, day: '2026-05-01' }),
        spot({ rung: 3, day: '2026-05-02' }),
        spot({ rung: 4, grade: 3, day: '2026-05-03' }),
      ),
    ).toEqual({ step: 'rope-over', rung: 3, day: '2026-05-02' })
  })

  it('is lost again with a later answer on that rung that is heavy, or tight', () => {
    const before = [spot({ rung: 1 }), spot({ rung: 2, day: '2026-05-02' })]
    const worse = { rung: 2, day: '2026-05-03' }
    expect(rope(...before, spot({ ...worse, grade: 2 }))?.rung).toBe(1)
    expect(rope(...before, spot({ ...worse, calm: 2 }))?.rung).toBe(1)
    expect(rope(...before, spot({ ...worse, calm: 1 }))?.rung).toBe(2)
  })

  it('says when it was tried last where nothing holds', () => {
    expect(rope(spot({ rung: 1, grade: 4 }), spot({ rung: 2, grade: 3, day: '2026-05-04' }))).toEqual({
      step: 'rope-over',
      rung: 0,
      day: '2026-05-04',
    })
  })

  it('is not known where it never was, on the other side, or with another thing', () => {
    expect(rope()).toBeUndefined()
    expect(rope(spot({ side: 'right' }))).toBeUndefined()
    expect(rope(spot({ step: 'flag' }))).toBeUndefined()
    expect(rope(spot({ zone: 'hip' }))).toBeUndefined()
  })

  it('counts an answer without a side for both', () => {
    const muzzle = [spot({ step: 'mouth-open', side: 'none', zone: 'muzzle' })]
    for (const side of ['left', 'right'] as const)
      expect(zoneHolds(muzzle, thing('hand'), side).get('muzzle')?.rung).toBe(1)
  })

  it('lets the step speak that was asked last there', () => {
    const spots = [spot({ rung: 4 }), spot({ step: 'girth-rope', rung: 1, day: '2026-05-02' })]
    expect(rope(...spots)).toEqual({ step: 'girth-rope', rung: 1, day: '2026-05-02' })
  })

  it('is told of the places to stand as of the zones', () => {
    const spots = [spot({ place: 5, rung: 2, zone: null }), spot({ place: null, rung: 4 })]
    const holds = placeHolds(spots, thing('rope'), 'left')
    expect([...holds]).toEqual([[5, { step: 'rope-over', rung: 2, day: '2026-05-01' }]])
  })
})

describe('what was forgotten', () => {
  it('has a row for every side and place, standing apart from moving', () => {
    const rows = coverageOf([spot({ place: 1 }), spot({ place: 1, moving: true, grade: 4 })], 'rope-over', [
      'left',
      'right',
    ])
    expect(rows).toHaveLength(10)
    expect(rows[0]).toEqual({
      side: 'left',
      place: 1,
      still: { rung: 1, day: '2026-05-01' },
      moving: { rung: 0, day: '2026-05-01' },
    })
    expect(rows.slice(1).every(({ still, moving }) => still === null && moving === null)).toBe(true)
  })
})

describe('how old', () => {
  it.each([
    ['2026-05-22', 'fresh'],
    ['2026-05-23', 'old'],
    ['2026-06-30', 'old'],
    ['2026-07-01', 'very-old'],
  ])('on %s what was seen on 1 May is %s', (on, age) => expect(ageOf('2026-05-01', on)).toBe(age))
})

describe('the hand', () => {
  it('has a step and a rung of the path for every zone, among the steps of the hand', () => {
    for (const zone of ZONE_KEYS) {
      const { step, rung } = handOn(FEET_FIRST, zone)!
      expect(thing('hand').steps).toContain(step)
      expect(stepOf(FEET_FIRST, step)!.rungs.length).toBeGreaterThanOrEqual(rung)
    }
  })

  it('is brought by steps of the path, like every thing', () => {
    for (const { steps } of thingsOf(FEET_FIRST))
      for (const step of steps) expect(stepOf(FEET_FIRST, step)).toBeDefined()
  })
})
