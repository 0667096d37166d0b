import type { Side } from '../answer'
import type { TrackView } from './judge'
import { unknownHorse, type HorseStanding, type Model } from '../judgement'
import type { TrackRecord } from './record'

/** One horse × step × side. */
export type TrackKey = `${string}/${Side}`

export const trackKey = (step: string, side: Side): TrackKey => `${step}/${side}`

/** The step and the side of a key. */
export const trackOf = (key: TrackKey): { readonly step: string; readonly side: Side } => {
  const [step, side] = key.split('/') as [string, Side]
  return { step, side }
}

/** A horse and all its tracks that were ever asked. */
export interface Records {
  readonly horse: HorseStanding
  readonly tracks: ReadonlyMap<TrackKey, TrackRecord>
}

/** The same, to be added to. */
export interface GrowingRecords extends Records {
  horse: HorseStanding
  readonly tracks: Map<TrackKey, TrackRecord>
}

/** A horse that was never asked anything. */
export const noRecords = (model: Model): GrowingRecords => ({ horse: unknownHorse(model), tracks: new Map() })

export type Views = ReadonlyMap<TrackKey, TrackView>
