/** A heart that is startled and comes back to rest. */
export interface Heart {
  readonly restBpm: number
  readonly bpm: number
}

const STARTLED_BPM = 95

export const atRest = (restBpm: number): Heart => ({ restBpm, bpm: restBpm })

export const startled = ({ restBpm, bpm }: Heart): Heart => ({ restBpm, bpm: Math.max(bpm, STARTLED_BPM) })

/** A second later: it goes back towards rest, by `slowSeconds` to a third of what it was above. */
export const aSecondOn = ({ restBpm, bpm }: Heart, slowSeconds: number): Heart => ({
  restBpm,
  bpm: restBpm + (bpm - restBpm) * Math.exp(-1 / slowSeconds),
})

const TWO_BYTES = 1

/** A rate as a strap sends it: one byte where it fits, and two, the low one first, where it does not. */
export const messageOf = (bpm: number): number[] => {
  const whole = Math.round(bpm)
  return whole <= 255 ? [0, whole] : [TWO_BYTES, whole & 255, whole >> 8]
}
