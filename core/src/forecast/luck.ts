import type { TrackKey } from '../readiness'
import { standardNormal, uniform, type Purpose } from './random'

/** The luck of one draw: numbers by what they are for, the same in every what-if. */
export interface Luck {
  readonly between: (track: number, n: number, purpose: Purpose) => number
  readonly normal: (track: number, n: number, purpose: Purpose) => number
}

export const luckOf = (seed: number, draw: number): Luck => ({
  between: (track, n, purpose) => uniform({ seed, draw, track, n, purpose }),
  normal: (track, n, purpose) => standardNormal({ seed, draw, track, n, purpose }),
})

/** A number for the name of a track that another path has as well (FNV-1a: Fowler, Noll and Vo). */
export const numberOf = (key: TrackKey): number => {
  let hash = 0x81_1c_9d_c5
  for (const letter of key) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01_00_01_93)
  return hash >>> 0
}
