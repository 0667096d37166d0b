import type { PlannedVisit } from '@still-pine/contract'
import { describe, expect, it } from 'vitest'
import { conditionsIn } from './days-are'
import { movedBy, movedVisits, pinOf, takenOff, withPin } from './moves'

const VISIT: PlannedVisit = {
  id: 'a',
  horseId: 'sedge',
  day: '2026-05-13',
  start: '09:15',
  minutes: 25,
  part: 'morning',
  use: 'ground',
  load: true,
  due: null,
  leadId: 'arne',
  helperId: 'liv',
  placeId: null,
  reasons: [],
}

describe('a visit moved by hand', () => {
  it('keeps its hour on another day, and its day at another hour', () => {
    expect(movedBy(VISIT, { days: 2 })).toMatchObject({ day: '2026-05-15', start: '09:15' })
    expect(movedBy(VISIT, { minutes: -30 })).toMatchObject({ day: '2026-05-13', start: '08:45' })
    expect(movedBy(VISIT, { minutes: -900 }).start).toBe('00:00')
  })

  it('never has one person twice: a helper who leads it helps no more', () => {
    expect(movedBy(VISIT, { leadId: 'liv' })).toMatchObject({ leadId: 'liv', helperId: null })
  })

  it('is a pin of what was moved, and of no more', () => {
    expect(pinOf(movedBy(VISIT, { days: 1 }), { days: 1 })).toMatchObject({
      id: 'a',
      day: '2026-05-14',
      start: null,
      use: null,
      lead: null,
    })
    expect(pinOf(VISIT, { minutes: 15 })).toMatchObject({ start: '09:15', use: 'ground' })
  })

  it('stands first among the pins, and once', () => {
    const pins = withPin([pinOf(VISIT, {}), { ...pinOf(VISIT, {}), id: 'b' }], pinOf(VISIT, { minutes: 0 }))
    expect(pins.map(({ id }) => id)).toEqual(['a', 'b'])
  })
})

describe('what a change moved', () => {
  it('is what stands elsewhere, what is new and what is gone', () => {
    const other = { ...VISIT, id: 'b' }
    expect(movedVisits([VISIT, other], [VISIT, { ...other, start: '10:00' }])).toEqual(['b'])
    expect(movedVisits([VISIT], [other])).toEqual(['b', 'a'])
    expect(movedVisits([VISIT], [{ ...VISIT, reasons: ['else'] }])).toEqual([])
  })

  it('is kept off a day for that horse alone, and for its use where it is something due', () => {
    expect(takenOff(VISIT, 'w').match).toEqual({ horses: ['sedge'], days: ['2026-05-13'] })
    expect(takenOff({ ...VISIT, due: 'sedge/hooves', use: 'farrier' }, 'w').match.uses).toEqual(['farrier'])
  })
})

describe('what a day is like', () => {
  it('is each word once, and no day without one', () => {
    expect(conditionsIn({ '2026-05-11': 'Wet, wet , market day', '2026-05-12': ' , ' })).toEqual({
      '2026-05-11': ['wet', 'market day'],
    })
  })
})
