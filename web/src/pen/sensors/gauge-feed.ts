import type { Sample } from '@still-pine/core/feel'

/** One reading with the time of the clock that cannot jump, milliseconds. */
interface Reading {
  readonly at: number
  readonly newtons: number
}

/** A gauge that has said nothing for so long is gone. */
const SILENT_MS = 1_000

/** More than the longest ask at ten readings a second. */
const MOST_READINGS = 2_000

export type GaugeState = 'none' | 'reading' | 'gone'

let readings: readonly Reading[] = []
const listeners = new Set<() => void>()

export const noteReading = (newtons: number): void => {
  readings = [...readings.slice(1 - MOST_READINGS), { at: performance.now(), newtons }]
  for (const listener of listeners) listener()
}

/** What was heard before is of another horse or another hour. */
export const forgetReadings = (): void => {
  readings = []
}

export const onReading = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

export const allReadings = (): readonly Reading[] => readings

/** Whether a gauge is on the rope, or was. */
export const gaugeState = (now: number): GaugeState => {
  const last = readings.at(-1)
  if (!last) return 'none'
  return now - last.at > SILENT_MS ? 'gone' : 'reading'
}

/** The readings of an ask, in seconds since it began. */
export const samplesSince = (all: readonly Reading[], startedAt: number): readonly Sample[] =>
  all.filter(({ at }) => at >= startedAt).map(({ at, newtons }) => ({ at: (at - startedAt) / 1000, newtons }))
