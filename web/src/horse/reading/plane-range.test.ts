import { describe, expect, it } from 'vitest'
import { outside, whereMostLie, WHOLE_PLANE } from './plane-range'

const mark = (chance: number, calmChance: number) => ({ chance, calmChance })
const times = (n: number, chance: number, calmChance: number) =>
  Array.from({ length: n }, () => mark(chance, calmChance))

describe('the part of the plane that is shown', () => {
  it('is where nine of ten lie, down to a whole tenth', () => {
    const marks = [...times(19, 0.93, 0.88), mark(0.02, 0.1)]
    expect(whereMostLie(marks)).toEqual({ light: 0.9, calm: 0.8 })
    expect(outside(marks, whereMostLie(marks))).toBe(1)
  })

  it('never leaves a mark on its edge out', () => {
    const marks = times(20, 0.9, 0.9)
    expect(whereMostLie(marks)).toEqual({ light: 0.8, calm: 0.8 })
    expect(outside(marks, whereMostLie(marks))).toBe(0)
  })

  it('is the whole where they lie all over, and for few', () => {
    const allOver = Array.from({ length: 20 }, (_, i) => mark(i / 20, i / 20))
    expect(whereMostLie(allOver)).toEqual({ light: 0, calm: 0 })
    expect(whereMostLie(times(9, 0.95, 0.95))).toEqual(WHOLE_PLANE)
    expect(whereMostLie([])).toEqual(WHOLE_PLANE)
  })
})
