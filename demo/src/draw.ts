import type { Draw } from '@still-pine/core/herd'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** Draws from [0, 1) with a fixed seed: the same yard every time. */
export const seededDraw = (seed: number): Draw => {
  const generator = xoroshiro128plus(seed)
  return () => (generator.next() >>> 0) / 2 ** 32
}
