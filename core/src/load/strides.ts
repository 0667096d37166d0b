import { over } from '../arithmetic'
import type { Going } from './presses'

/** Seconds of a stride of a horse of 16 hands (common practice, from memory); it grows with the root of the height. */
const STRIDE_SECONDS: Readonly<Record<Going, number>> = { stand: 1.1, walk: 1.1, trot: 0.75, canter: 0.55 }
const WITHERS_CM = 162.56

interface Answered {
  readonly seconds: number
  readonly gait: Going
  /** The person's own, between seeing and pressing. */
  readonly lagSeconds: number
  readonly withersCm: number
}

/** How many strides an answer took: one measure at every gait. */
export const strides = ({ seconds, gait, lagSeconds, withersCm }: Answered) => {
  const strideSeconds = STRIDE_SECONDS[gait] * Math.sqrt(withersCm / WITHERS_CM)
  const taken = Math.max(0, seconds - lagSeconds) / strideSeconds
  const says = !over(taken, 2)
    ? ('prompt' as const)
    : !over(taken, 3)
      ? ('in-time' as const)
      : ('late' as const)
  return { strideSeconds, strides: taken, says }
}

type Judged = ReturnType<typeof strides>

const SAYS: Readonly<Record<Judged['says'], string>> = {
  prompt: 'prompt',
  'in-time': 'in time',
  late: 'late',
}

/** "2.8 strides of trot: in time", of the seconds that an answer took without the person's lag. */
export const strideWords = (seconds: number, gait: Going, withersCm: number | null): string => {
  const judged = strides({ seconds, gait, lagSeconds: 0, withersCm: withersCm ?? WITHERS_CM })
  return `${judged.strides.toFixed(1)} strides of ${gait}: ${SAYS[judged.says]}`
}
