import { median, over, under } from '../arithmetic'

export interface Pulled {
  /** Seconds. */
  readonly at: number
  readonly newtons: number
}

/** Newtons of an ounce-force (0.45359237 kg × 9.80665 m/s² ÷ 16). */
const NEWTONS_PER_OUNCE = 0.27801385
const GAP_SECONDS = 0.5
const HANGING_NEWTONS = 2
const DEAD_SECONDS = 3
const OVER_SECONDS = 0.3

/** What a rope gauge says of a pull, against a school's limit. */
export const pull = (samples: readonly Pulled[], limitNewtons: number) => {
  const force = samples.map(({ newtons }) => Math.max(0, newtons))
  const peakNewtons = Math.max(...force.map((_, i) => median(force.slice(Math.max(0, i - 1), i + 2))))
  let [overSeconds, impulseNs, steadySeconds, run] = [0, 0, 0, 0]
  for (let i = 1; i < samples.length; i++) {
    const lasted = samples[i]!.at - samples[i - 1]!.at
    const [before, now] = [force[i - 1]!, force[i]!]
    if (over(lasted, GAP_SECONDS)) {
      run = 0
      continue
    }
    if (over(before, limitNewtons)) overSeconds += lasted
    impulseNs += ((before + now) / 2) * lasted
    run = over(before, HANGING_NEWTONS) ? run + lasted : 0
    steadySeconds = Math.max(steadySeconds, run)
  }
  return {
    peakNewtons,
    peakOunces: peakNewtons / NEWTONS_PER_OUNCE,
    overSeconds,
    impulseNs,
    steadySeconds,
    deadPull: over(steadySeconds, DEAD_SECONDS),
    says: under(overSeconds, OVER_SECONDS) ? ('within' as const) : ('over' as const),
  }
}
