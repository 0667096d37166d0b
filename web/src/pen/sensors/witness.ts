import type { EntryOf } from '@still-pine/contract/entries-of'
import { heart, pull, type Beat } from '@still-pine/core/sensors'
import { allReadings, samplesSince } from './gauge-feed'
import { allBeats, beatsAround } from './heart-feed'

/** A release is looked for this long after the try. */
export const RELEASE_WITHIN_MS = 2_000
/** A heart has jumped by then, if it will; one that is not back by the other says so. */
const HEART_AFTER_MS = 10_000
const HEART_WITHIN_MS = 90_000
const LOOK_EVERY_MS = 1_000
/** Two readings are the fewest that a pull is reckoned from. */
const FEWEST_READINGS = 2

export type Said = Pick<EntryOf<'sensed'>, 'heart' | 'pull'>

/** One ask whose heart and pull are listened to, on the clock that cannot jump. */
export interface Watched {
  readonly startedAt: number
  readonly endedAt: number
  readonly limitNewtons: number
  /** Gets what was said, once: where nothing was, it is not called. */
  readonly tell: (said: Said) => void
}

const heartOf = (samples: readonly Beat[], askAt: number): Said['heart'] => {
  const told = samples.length === 0 ? null : heart(samples, askAt, null)
  if (told === null || told.says === 'no-reading') return null
  const { keptShare, restBpm, peakBpm, recoverySeconds, byHeart } = told
  return { keptShare, restBpm, peakBpm, recoverySeconds, byHeart }
}

const pullSaid = ({ startedAt, endedAt, limitNewtons }: Watched): Said['pull'] => {
  const readings = allReadings().filter(({ at }) => at <= endedAt + RELEASE_WITHIN_MS)
  const samples = samplesSince(readings, startedAt)
  if (samples.length < FEWEST_READINGS) return null
  const { peakNewtons, overSeconds, impulseNs, deadPull } = pull(samples, limitNewtons)
  return { limitNewtons, peakNewtons, overSeconds, impulseNs, deadPull }
}

let watched: Watched | null = null
let timer = 0

const end = (): void => {
  window.clearInterval(timer)
  watched = null
}

/** Ends the listening: another ask begins, or the pen is left. What was heard so far is told. */
export const settleWatch = (): void => {
  const ask = watched
  if (ask === null) return
  end()
  const { samples, askAt } = beatsAround(allBeats(), ask.startedAt)
  const said: Said = { heart: heartOf(samples, askAt), pull: pullSaid(ask) }
  if (said.heart !== null || said.pull !== null) ask.tell(said)
}

/** Listens on after an ask: until the heart is back at rest, at most a minute and a half. */
export const watch = (ask: Watched): void => {
  settleWatch()
  watched = ask
  timer = window.setInterval(() => {
    const { samples, askAt } = beatsAround(allBeats(), ask.startedAt)
    const now = performance.now()
    const heardPull = now > ask.endedAt + RELEASE_WITHIN_MS
    const isBack = (heartOf(samples, askAt)?.recoverySeconds ?? null) !== null
    const heardHeart = samples.length === 0 || (isBack && now > ask.endedAt + HEART_AFTER_MS)
    if ((heardPull && heardHeart) || now > ask.endedAt + HEART_WITHIN_MS) settleWatch()
  }, LOOK_EVERY_MS)
}
