import { over } from '../arithmetic'
import type { Gait } from '../load'

/** Sixteen hands in centimetres: distances grow with the height at the withers from here. */
export const SIXTEEN_HANDS_CM = 162.56

/** Short, middle and long between poles, metres at sixteen hands (common practice, no source). */
const APART: Readonly<Record<Gait, readonly [number, number, number]>> = {
  walk: [0.8, 0.85, 0.9],
  trot: [1.2, 1.3, 1.4],
  canter: [2.7, 2.85, 3],
}

/** A pole is raised by so much of the height at most. */
const RAISED_SHARE = 0.1

interface Poles {
  readonly gait: Gait
  readonly withersCm: number
  readonly poles: number
  readonly raisedCm: number
}

/** How far apart poles lie for this horse. */
export const poles = ({ gait, withersCm, poles: count, raisedCm }: Poles) => {
  const k = withersCm / SIXTEEN_HANDS_CM
  const [shortM, middleM, longM] = APART[gait].map((metres) => metres * k) as [number, number, number]
  const raisedMostCm = RAISED_SHARE * withersCm
  const invites = count === 2 && gait !== 'walk'
  return {
    shortM,
    middleM,
    longM,
    wholeM: (count - 1) * middleM,
    raisedMostCm,
    says: over(raisedCm, raisedMostCm)
      ? ('too-high' as const)
      : invites
        ? ('two-invite-a-jump' as const)
        : ('ok' as const),
  }
}

/** A canter stride at sixteen hands, metres: at small fences, and what a metre and more adds (from memory). */
const STRIDE_M = 3.3
const STRIDE_GROWS_M = 0.35
const [GROWS_FROM_CM, GROWS_OVER_CM] = [70, 40]
const BOUNCE_TROT_LESS = 0.4
const SPREAD_M = 0.3
const PLACING_M = { trot: 2.5, canter: 3 } as const

interface FenceAhead {
  readonly withersCm: number
  readonly strides: number
  readonly approach: 'trot' | 'canter'
  readonly heightCm: number
}

/** How far the next fence stands for so many strides, and where a placing pole lies. */
export const fenceDistance = ({ withersCm, strides, approach, heightCm }: FenceAhead) => {
  const k = withersCm / SIXTEEN_HANDS_CM
  const grown = Math.min(1, Math.max(0, (heightCm - GROWS_FROM_CM) / GROWS_OVER_CM))
  const strideM = (STRIDE_M + STRIDE_GROWS_M * grown) * k
  const less = approach === 'canter' ? 0 : strides === 0 ? BOUNCE_TROT_LESS * k : k
  const metres = (strides + 1) * strideM - less
  return {
    metres,
    lowM: metres - SPREAD_M * k,
    highM: metres + SPREAD_M * k,
    placingPoleM: PLACING_M[approach] * k,
    strideM,
  }
}
