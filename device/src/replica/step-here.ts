import type { EvidenceSession } from '@still-pine/contract'
import type { Side } from '@still-pine/core/answer'
import { STANDARD_MODEL, type Belief } from '@still-pine/core/belief'
import { byCircumstance, replayPredicting, type CircumstanceGroup } from '@still-pine/core/evidence'
import { feeding } from '@still-pine/core/program'
import { trackOf } from '@still-pine/core/readiness'
import type { Parts } from '@still-pine/use-cases'
import type { HorseHere } from './horse-here'

/** What the days of one step were predicted to be and came to, worked out with all that carries over to it. */
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
  const needed = feeding(program, new Set([step]))
  const upToNow = history.filter((answer) => needed.has(answer.step) && answer.day <= on)
  const { records, predictions } = replayPredicting(STANDARD_MODEL, program, upToNow)
  const own = predictions.filter((prediction) => prediction.step === step)
  return {
    days: own,
    beliefs: new Map(
      [...records]
        .map(([key, { belief }]) => [trackOf(key), belief] as const)
        .filter(([track]) => track.step === step)
        .map(([track, belief]) => [track.side, belief]),
    ),
    circumstances: byCircumstance(own, sessions),
  }
}
