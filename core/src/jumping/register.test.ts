import { describe, expect, it } from 'vitest'
import { thingsRegister, type Showing } from './register'

const ON = '2026-05-14'
const shown = (thing: string, on: string, change: Partial<Showing> = {}): Showing => ({
  thing,
  on,
  side: 'left',
  where: 'round pen',
  good: true,
  ...change,
})

describe('the register of things', () => {
  it('says of each when it was shown last, from which side, and when it is to be shown again', () => {
    const { things } = thingsRegister(
      [
        shown('Tarp', '2026-05-10'),
        shown(' tarp ', '2026-03-20', { side: 'right', where: 'long track' }),
        shown('Tractor', '2026-04-10', { side: 'both' }),
        shown('Water tray', '2026-05-13', { good: false }),
        shown('Poultry', '2026-01-02'),
        shown('Bicycle', '2026-05-15'),
      ],
      ON,
    )
    expect(things).toMatchObject([
      { thing: 'Poultry', says: 'as-new' },
      {
        thing: 'Tarp',
        times: 2,
        sides: ['left', 'right'],
        where: ['long track', 'round pen'],
        says: 'fresh',
      },
      { thing: 'Tractor', sides: ['left', 'right'], says: 'show-again', days: 34 },
      { thing: 'Water tray', says: 'unfinished' },
    ])
  })

  it('reckons the next new thing from first showings of different ones (Laplace 1814)', () => {
    const ten = Array.from({ length: 10 }, (_, i) => shown(`thing ${i}`, '2026-05-01'))
    const again = shown('thing 3', '2026-05-02', { good: false })
    const { next, shown: first, good } = thingsRegister([...ten, again], ON)
    expect({ first, good, chance: next.chance }).toEqual({ first: 10, good: 10, chance: 11 / 12 })
  })
})
