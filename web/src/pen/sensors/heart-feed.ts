import { strapBeat, type Beat } from '@still-pine/core/sensors'

/** A beat with the time of the clock that cannot jump, milliseconds. */
interface Heard {
  readonly at: number
  readonly bpm: number
}

/** A strap that has said nothing for so long is off, or out of reach. */
const SILENT_MS = 5_000
/** Rest is looked for this long before an ask. */
const BEFORE_MS = 300_000
/** More than the longest window at two a second. */
const MOST_HEARD = 2_000
/** No heart goes faster; a strap that says so is broken, and its beat would only be dropped later. */
const MOST_BPM = 500

let heard: readonly Heard[] = []
const listeners = new Set<() => void>()

/** Takes one message of a strap; what lies on no skin is no beat. */
export const noteStrap = (bytes: Readonly<ArrayLike<number>>): void => {
  const beat = strapBeat(bytes)
  if (beat === null || beat.contact === false || beat.bpm > MOST_BPM) return
  heard = [...heard.slice(1 - MOST_HEARD), { at: performance.now(), bpm: beat.bpm }]
  for (const listener of listeners) listener()
}

export const forgetBeats = (): void => {
  heard = []
}

export const onBeat = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

export const allBeats = (): readonly Heard[] => heard

/** Beats a minute now; nothing while no strap is heard. */
export const beatNow = (now: number): number | null => {
  const last = heard.at(-1)
  return last && now - last.at <= SILENT_MS ? last.bpm : null
}

/** The beats around an ask in seconds, and when in them the ask began. */
export const beatsAround = (
  all: readonly Heard[],
  startedAt: number,
): { readonly samples: readonly Beat[]; readonly askAt: number } => {
  const from = startedAt - BEFORE_MS
  const within = all.filter(({ at }) => at >= from)
  const first = Math.min(within[0]?.at ?? startedAt, startedAt)
  return {
    samples: within.map(({ at, bpm }) => ({ at: (at - first) / 1000, bpm })),
    askAt: (startedAt - first) / 1000,
  }
}
