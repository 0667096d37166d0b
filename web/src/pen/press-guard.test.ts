import { describe, expect, it } from 'vitest'
import { pressGuard } from './press-guard'

const swallowed = (...presses: readonly (readonly [string, number])[]): readonly boolean[] => {
  const isSame = pressGuard()
  return presses.map(([button, at]) => isSame(button, at))
}

describe('the second touch of a glove', () => {
  it('is the same press up to a quarter of a second', () => {
    for (const apart of [60, 120, 240, 249])
      expect(swallowed(['forward', 1000], ['forward', 1000 + apart])).toEqual([false, true])
    expect(swallowed(['forward', 1000], ['forward', 1250])).toEqual([false, false])
  })

  it('is so from the last touch, however many there are', () => {
    expect(swallowed(['forward', 0], ['forward', 200], ['forward', 400], ['forward', 700])).toEqual([
      false,
      true,
      true,
      false,
    ])
  })

  it('is told of each button apart', () => {
    expect(swallowed(['forward', 0], ['back', 100], ['forward', 300])).toEqual([false, false, false])
  })
})
