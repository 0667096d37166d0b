import type { EvidenceSession } from '@still-pine/contract'
import type { Side } from '@still-pine/core/answer'
import { modelFor, type Belief } from '@still-pine/core/judgement'
import { byCircumstance, replayPredicting, type CircumstanceGroup } from '@still-pine/core/evidence'
import { trackOf } from '@still-pine/core/readiness'
import type { Parts } from '@still-pine/use-cases'
import type { HorseHere } from './horse-here'

/** What the days of one step were predicted to be and came to, worked out with all that the horse was asked. */
export interface StepHere {
  readonly days: Parts['stepDays']
  readonly beliefs: ReadonlyMap<Side, Belief>
  readonly circumstances: readonly CircumstanceGroup[]
}

export const stepHere = (
  { program, history }: HorseHere,
  {
    step,
    on,
    sessions,
  }: { readonly step: string; readonly on: string; readonly sessions: readonly EvidenceSession[] },
): StepHere => {
  // Every step of a horse tells of the horse, and so of every other.
  const upToNow = history.filter((answer) => answer.day <= on)
  const { records, predictions } = replayPredicting(modelFor(program), program, upToNow)
  const own = predictions.filter((prediction) => prediction.step === step)
  return {
    days: own,
    beliefs: new Map(
      [...records.tracks]
        .map(([key, { belief }]) => [trackOf(key), belief] as const)
        .filter(([track]) => track.step === step)
        .map(([track, belief]) => [track.side, belief]),
    ),
    circumstances: byCircumstance(own, sessions),
  }
}
