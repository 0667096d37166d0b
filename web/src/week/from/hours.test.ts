import { describe, expect, it } from 'vitest'
import { hoursWords, stretchesIn, typedOf } from './hours'

describe('hours of a week', () => {
  it('are read as they are typed', () => {
    expect(stretchesIn('8-12, 13:30–17')).toEqual([
      { from: '08:00', to: '12:00' },
      { from: '13:30', to: '17:00' },
    ])
    expect(stretchesIn('')).toEqual([])
    expect(stretchesIn('20 to 24')).toEqual([{ from: '20:00', to: '24:00' }])
  })

  it('that overlap are one, whatever their order', () => {
    expect(stretchesIn('10-13, 8-11, 13-14')).toEqual([{ from: '08:00', to: '14:00' }])
  })

  it('that end before they begin, or are none, are not read', () => {
    for (const text of ['12-8', '8', '8-25', 'all day', '8-12, x']) expect(stretchesIn(text), text).toBeNull()
  })

  it('are told day by day, and runs of the same days together', () => {
    const hours = [1, 2, 3].flatMap((weekday) => [{ weekday, from: '08:00', to: '12:30' }])
    expect(hoursWords([...hours, { weekday: 6, from: '09:00', to: '10:00' }])).toBe(
      'Monday to Wednesday 8-12:30; Saturday 9-10',
    )
    expect(typedOf(hours, 2)).toBe('8-12:30')
  })
})
