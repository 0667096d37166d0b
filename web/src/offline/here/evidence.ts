import type { EvidenceSession, StepEvidence } from '@still-pine/contract'
import type { Side } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { byCircumstance, replayPredicting, timelineOf } from '@still-pine/core/evidence'
import { feeding, sidesOf, stepOf } from '@still-pine/core/program'
import { trackKey } from '@still-pine/core/readiness'
import type { HorseHere } from './judged'

/** One step over its whole history from what lies on this device, worked out with all that carries over to it. */
export const stepEvidenceHere = (
  { program, history }: HorseHere,
  key: string,
  sessions: readonly EvidenceSession[],
  on: string,
): StepEvidence => {
  const step = stepOf(program, key)
  const needed = feeding(program, new Set([key]))
  const upToNow = history.filter((answer) => needed.has(answer.step) && answer.day <= on)
  const { records, predictions } = replayPredicting(STANDARD_MODEL, program, upToNow)
  const own = predictions.filter((prediction) => prediction.step === key)
  const answers = history.filter((answer) => answer.step === key && !answer.uncued)
  const asked = new Set(answers.map(({ sessionId }) => sessionId))
  const momentsOf = (side: Side) => {
    const record = records.get(trackKey(key, side))
    const days = own.filter((prediction) => prediction.side === side)
    return step && record ? [...timelineOf(STANDARD_MODEL, step, days, record.belief, on)] : []
  }
  return {
    day: on,
    answers,
    sessions: sessions.filter(({ id }) => asked.has(id)),
    sides: (step ? sidesOf(step) : []).map((side) => ({ side, moments: momentsOf(side) })),
    circumstances: [...byCircumstance(own, sessions)],
  }
}
