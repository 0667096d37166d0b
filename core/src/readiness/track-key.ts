import type { Side } from '../answer'
import type { TrackView } from './judge'
import type { TrackRecord } from './record'

/** One horse × step × side. */
export type TrackKey = `${string}/${Side}`

export const trackKey = (step: string, side: Side): TrackKey => `${step}/${side}`

/** The step and the side of a key. */
export const trackOf = (key: TrackKey): { readonly step: string; readonly side: Side } => {
  const [step, side] = key.split('/') as [string, Side]
  return { step, side }
}

export type Records = ReadonlyMap<TrackKey, TrackRecord>
export type Views = ReadonlyMap<TrackKey, TrackView>
