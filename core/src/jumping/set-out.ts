import { fenceDistance, poles } from './poles'
import type { Gait } from '../load'

/** Something that lies or stands across the way, seen from above. */
export interface SetDown {
  readonly what: 'pole' | 'raised' | 'placing' | 'fence'
  /** Metres from the first thing. */
  readonly atM: number
}

/** What is set out, and where the feet come, in metres from the first thing. */
export interface SetOut {
  readonly things: readonly SetDown[]
  /** Where a stride begins or ends. */
  readonly strides: readonly number[]
  readonly wholeM: number
}

interface PolesAsked {
  readonly gait: Gait
  readonly withersCm: number
  readonly poles: number
  readonly raisedCm: number
}

/** Poles on a line, each a step from the last at walk and trot, a stride at canter. */
export const polesSetOut = (asked: PolesAsked): SetOut & { readonly told: ReturnType<typeof poles> } => {
  const told = poles(asked)
  const what = asked.raisedCm > 0 ? ('raised' as const) : ('pole' as const)
  const things = Array.from({ length: asked.poles }, (_, i) => ({ what, atM: i * told.middleM }))
  const strides = Array.from({ length: asked.poles + 1 }, (_, i) => (i - 0.5) * told.middleM)
  return { things, strides, wholeM: told.wholeM, told }
}

interface FencesAsked {
  readonly withersCm: number
  readonly strides: number
  readonly approach: 'trot' | 'canter'
  readonly heightCm: number
}

/** A placing pole, a fence, and a second one so many strides on. */
export const fencesSetOut = (
  asked: FencesAsked,
): SetOut & { readonly told: ReturnType<typeof fenceDistance> } => {
  const told = fenceDistance(asked)
  const first = told.placingPoleM
  const stride = told.metres / (asked.strides + 1)
  return {
    things: [
      { what: 'placing', atM: 0 },
      { what: 'fence', atM: first },
      { what: 'fence', atM: first + told.metres },
    ],
    // Landing and take-off are half a stride each.
    strides: Array.from({ length: asked.strides + 1 }, (_, i) => first + (i + 0.5) * stride),
    wholeM: first + told.metres,
    told,
  }
}
