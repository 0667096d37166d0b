import { median, over, under } from '../arithmetic'
import type { Calm } from '../answer'

export interface Beat {
  /** Seconds. */
  readonly at: number
  readonly bpm: number
}

const LEAST_BPM = 20
const MOST_BPM = 250
const JUMP_BPM = 15
const JUMP_SHARE = 0.25
const BESIDE = 2
const ENOUGH_KEPT = 30
const ENOUGH_SHARE = 0.6
const REST = { seconds: 30, samples: 15 } as const
const PEAK = { seconds: 5, samples: 3 } as const
const BACK = { seconds: 10, samples: 5, above: 10 } as const
const CALM_SECONDS = 20
const WATCHFUL_SECONDS = 60

/** Drops what no heart does, and single readings far from their neighbours: a doubled rate is a wave counted twice. */
const keptOf = (samples: readonly Beat[]): readonly Beat[] => {
  const possible = samples.filter(({ bpm }) => !under(bpm, LEAST_BPM) && !over(bpm, MOST_BPM))
  return possible.filter(({ bpm }, i) => {
    const beside = possible.slice(Math.max(0, i - BESIDE), i + BESIDE + 1)
    const middle = median(beside.map((beat) => beat.bpm))
    return !over(Math.abs(bpm - middle), Math.max(JUMP_BPM, JUMP_SHARE * middle))
  })
}

interface Window {
  readonly at: number
  readonly mean: number
}

/** Means of windows that begin at each sample and hold enough of them; the end of a window is not in it. */
const windowsOf = (kept: readonly Beat[], of: { seconds: number; samples: number }): readonly Window[] => {
  const sums = [0]
  for (const { bpm } of kept) sums.push(sums.at(-1)! + bpm)
  let end = 0
  return kept.flatMap(({ at }, i) => {
    while (end < kept.length && under(kept[end]!.at, at + of.seconds)) end += 1
    const count = end - i
    return count >= of.samples ? [{ at, mean: (sums[end]! - sums[i]!) / count }] : []
  })
}

const leastOf = (windows: readonly Window[]): Window | undefined =>
  windows.reduce<Window | undefined>((best, one) => (best && best.mean <= one.mean ? best : one), undefined)

const greatestOf = (windows: readonly Window[]): Window | undefined =>
  windows.reduce<Window | undefined>((best, one) => (best && best.mean >= one.mean ? best : one), undefined)

/** Seconds from the peak until ten seconds stay near rest; nothing where the record ends before. */
const recoveryFrom = (kept: readonly Beat[], peak: Window, restBpm: number): number | null => {
  const near = restBpm + BACK.above
  if (!over(peak.mean, near)) return 0
  const last = kept.at(-1)!.at
  for (const { at } of kept) {
    if (under(at, peak.at) || under(last, at + BACK.seconds)) continue
    const within = kept.filter((beat) => !under(beat.at, at) && !over(beat.at, at + BACK.seconds))
    if (within.length >= BACK.samples && within.every(({ bpm }) => !over(bpm, near))) return at - peak.at
  }
  return null
}

const byHeartOf = (recovery: number | null): Calm => {
  if (recovery === null) return 2
  return !over(recovery, CALM_SECONDS) ? 0 : !over(recovery, WATCHFUL_SECONDS) ? 1 : 2
}

/** What the heart says beside the person's own mark: it agrees, or which way it differs. */
export const agreement = (byHeart: Calm, calm: Calm | null) => {
  if (calm === null) return { agrees: null, says: 'person-did-not-say' as const }
  if (byHeart === calm) return { agrees: true, says: 'agrees' as const }
  const says = byHeart > calm ? ('heart-says-tighter' as const) : ('heart-says-looser' as const)
  return { agrees: false, says }
}

/** What a heart strap says beside the person's own mark of a horse that stands: a second witness, and no more. */
export const heart = (samples: readonly Beat[], askAt: number | null, calm: Calm | null) => {
  const kept = keptOf(samples)
  const keptShare = kept.length / samples.length
  const told = { kept: kept.length, keptShare, calm }
  const nothing = {
    ...told,
    restBpm: null,
    peakBpm: null,
    recoverySeconds: null,
    byHeart: null,
    agrees: null,
    says: 'no-reading' as const,
  }
  if (kept.length < ENOUGH_KEPT || under(keptShare, ENOUGH_SHARE)) return nothing
  const restUntil = askAt ?? kept.at(-1)!.at
  const rest = leastOf(windowsOf(kept, REST).filter(({ at }) => !over(at + REST.seconds, restUntil)))
  const peak = greatestOf(windowsOf(kept, PEAK).filter(({ at }) => askAt === null || !under(at, askAt)))
  if (!rest || !peak) return nothing
  const recoverySeconds = recoveryFrom(kept, peak, rest.mean)
  const byHeart = byHeartOf(recoverySeconds)
  return {
    ...told,
    restBpm: rest.mean,
    peakBpm: peak.mean,
    recoverySeconds,
    byHeart,
    ...agreement(byHeart, calm),
  }
}
