import type { Day, Side } from '../answer'
import { gatesAhead } from '../plan'
import type { Program } from '../program'
import {
  gateVerdict,
  trackKey,
  type Facts,
  type GateTrack,
  type State,
  type Tally,
  type TrackKey,
  type Verdict,
  type Views,
} from '../readiness'
import { stateSince } from './since'

/** A track that keeps a gate shut. */
export interface HeldBy {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly state: State
  readonly daysWorked: number
  /** Since when it has been so; `null` where it was never asked. */
  readonly since: Day | null
}

/** The nearest gate before a horse, and what holds it. */
export interface NearestGate {
  readonly gate: string
  readonly name: string
  readonly verdict: Verdict
  readonly sentence: string
  /** Of the tracks it looks at, how many hold. */
  readonly holding: number
  readonly tracks: number
  /** The tracks that do not, the one that is furthest from it first. */
  readonly heldBy: readonly HeldBy[]
}

/** What was counted of each track, and the first day it was asked. */
export type Counted = ReadonlyMap<TrackKey, { readonly tally: Tally; readonly firstDay: Day }>

const furthestFirst = (a: GateTrack, b: GateTrack): number =>
  a.chance * a.calmChance - b.chance * b.calmChance

/** The nearest gate that is still before a horse; `null` where all are behind it. */
export const nearestGate = (
  program: Program,
  views: Views,
  { facts, counted, on }: { facts: Facts; counted: Counted; on: Day },
): NearestGate | null => {
  const [gate] = gatesAhead(program, views)
  if (!gate) return null
  const { verdict, sentence, tracks } = gateVerdict(program, gate, { views, facts, on })
  const missing = tracks.filter(({ holds }) => !holds)
  return {
    gate: gate.key,
    name: gate.name,
    verdict,
    sentence,
    holding: tracks.length - missing.length,
    tracks: tracks.length,
    heldBy: [...missing].sort(furthestFirst).map(({ step, name, side, state }) => {
      const key = trackKey(step, side)
      const known = counted.get(key)
      return {
        step,
        name,
        side,
        state,
        daysWorked: views.get(key)!.daysWorked,
        since: stateSince(state, known?.tally, known?.firstDay ?? null),
      }
    }),
  }
}
