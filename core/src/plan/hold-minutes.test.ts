import { describe, expect, it } from 'vitest'
import { amountIn, FEET_FIRST, stepOf, type RungAmount } from '../program'
import { minutesOf } from './ways'

const step = (key: string) => stepOf(FEET_FIRST, key)!
const amounts = (key: string): (number | null)[] =>
  step(key).does!.map((data) => amountIn(data)?.amount ?? null)
const side = (at: 'left' | 'right' | 'none', rung: number, asks: number) => ({
  side: at,
  rung,
  asks,
  places: [],
})

describe('how much of a rung is asked for', () => {
  // Our own ladders: seconds, laps and repetitions as they are taught (common practice, no source).
  it.each([
    ['stand', [5, 30, 30, 120, 60]],
    ['tie', [10, 60, 300, 120, 1800]],
    ['carry-bit', [10, 300, 1200, 600]],
    ['saddle-wear', [300, 1800]],
    ['side-strings', [180, 180, null]],
    ['stand-to-mount', [10, 10, 30]],
    ['ride-out', [600, 900, 900, 1200]],
    ['load', [10, 20, 30, 300, 4]],
    ['stretch-lunge', [10, 60, 180, 600]],
    ['laps', [3, 3, 6, 600]],
    ['poles', [2, 3, 3, 3, 2]],
    ['ride-poles', [2, 3, 2, 2]],
  ])('%s: %j', (key, wanted) => expect(amounts(key)).toEqual(wanted))

  it('names its measure', () => {
    const told = (key: string, rung: number): RungAmount | null => amountIn(step(key).does?.[rung - 1])
    expect(told('laps', 1)).toEqual({ measure: 'laps', amount: 3 })
    expect(told('laps', 4)).toEqual({ measure: 'seconds', amount: 600 })
    expect(told('load', 5)).toEqual({ measure: 'steps', amount: 4 })
    expect(told('poles', 1)).toEqual({ measure: 'repetitions', amount: 2 })
    expect(told('bend', 1)).toBeNull()
  })
})

describe('the minutes of a hold', () => {
  it('are two of ten minutes for ten minutes a rein, never forty', () => {
    expect(minutesOf(step('laps'), [side('left', 4, 1), side('right', 4, 1)])).toBeCloseTo(20 + 40 / 60, 9)
  })

  it('are those of its laps at their gait', () => {
    const lap = (Math.PI * 18) / 3.5
    expect(minutesOf(step('laps'), [side('left', 2, 1)])).toBeCloseTo((20 + 3 * lap) / 60, 9)
  })

  it('run beside the rest where the horse is tied or wears something', () => {
    expect(minutesOf(step('carry-bit'), [side('none', 3, 1)])).toBeCloseTo(110 / 60, 9)
    expect(minutesOf(step('stand'), [side('none', 4, 1)])).toBeCloseTo(140 / 60, 9)
  })
})
