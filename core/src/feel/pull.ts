/** One reading of a rope gauge. */
export interface Sample {
  /** Seconds since the ask began. */
  readonly at: number
  readonly newtons: number
}

/** What a gauge says of one ask. */
export interface Pull {
  /** The most that was on the rope from the cue to the end of the recording, newtons. */
  readonly peakNewtons: number
  /** Seconds from the try to a slack rope; `null` where it was not let go while it was recorded. */
  readonly releaseSeconds: number | null
}

/** How often a rope gauge is read. */
export const PULL_SAMPLES_PER_SECOND = 10

/** A rope's own weight in the hand, and the share of what was held that still is a feel (our judgement). */
const ROPE_NEWTONS = 2
const STILL_A_FEEL = 0.2

/** Newtons below which the rope is slack, when so much was held at the try. */
export const slackBelow = (heldNewtons: number): number => Math.max(ROPE_NEWTONS, STILL_A_FEEL * heldNewtons)

/** Newtons at a time, on the straight line between the readings beside it. */
const newtonsAt = (samples: readonly Sample[], at: number): number => {
  const next = samples.findIndex((sample) => sample.at >= at)
  if (next === -1) return samples.at(-1)!.newtons
  const after = samples[next]!
  const before = samples[next - 1]
  if (!before || after.at === before.at) return after.newtons
  return before.newtons + ((at - before.at) / (after.at - before.at)) * (after.newtons - before.newtons)
}

/** When the line between two readings falls to a level. */
const crossing = (before: Sample, after: Sample, level: number): number =>
  before.newtons <= level
    ? before.at
    : before.at + ((before.newtons - level) / (before.newtons - after.newtons)) * (after.at - before.at)

/**
 * Peak and release of one ask. `samples` are in the order of time; `tryAt` is when the horse tried, in the same seconds.
 * `null` where there is nothing to read.
 */
export const pullOf = (samples: readonly Sample[], tryAt: number): Pull | null => {
  if (samples.length === 0) return null
  const peakNewtons = Math.max(...samples.map(({ newtons }) => newtons))
  const held = newtonsAt(samples, tryAt)
  const level = slackBelow(held)
  if (held <= level) return { peakNewtons, releaseSeconds: 0 }
  const later = [{ at: tryAt, newtons: held }, ...samples.filter(({ at }) => at > tryAt)]
  const slack = later.findIndex(({ newtons }) => newtons <= level)
  return {
    peakNewtons,
    releaseSeconds: slack === -1 ? null : crossing(later[slack - 1]!, later[slack]!, level) - tryAt,
  }
}
