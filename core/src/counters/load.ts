import type { Program } from '../program'
import { stepOf } from '../program'

/**
 * From which rung a step loads the legs or the back: lunge, long lines, saddle, rider. Everything else at walk and in
 * twenty minutes is handling (common practice, no source).
 */
const LOADS_FROM: Readonly<Record<string, number>> = {
  'loose-direction': 4,
  'loose-turn-in': 3,
  flag: 5,
  send: 4,
  'stop-on-circle': 3,
  'turn-on-line': 3,
  'hind-in-motion': 2,
  poles: 3,
  laps: 1,
  'stretch-lunge': 1,
  drive: 4,
  'drive-on-bit': 3,
  surcingle: 4,
  'side-strings': 2,
  'saddle-wear': 2,
  'saddle-move': 2,
}

/** From the first weight of a person on, every step is load. */
const FIRST_TIME_UP = 7

/** Somebody sits on the horse. */
const RIDDEN: ReadonlySet<string> = new Set(['sit', 'led-ride', 'ride-perimeter-led'])
const FIRST_RIDES = 8

export const isLoad = (program: Program, step: string, hardestRung: number): boolean => {
  const stage = stepOf(program, step)?.stage ?? 0
  return stage >= FIRST_TIME_UP || hardestRung >= (LOADS_FROM[step] ?? Infinity)
}

export const isRidden = (program: Program, step: string): boolean =>
  RIDDEN.has(step) || (stepOf(program, step)?.stage ?? 0) >= FIRST_RIDES

/** Handling longer than this in a day counts as load (common practice, no source). */
export const HANDLING_MINUTES = 20
