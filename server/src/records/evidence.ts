import type { Horse, StepEvidence } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { timelineOf } from '@still-pine/core/evidence'
import { sidesOf, stepOf } from '@still-pine/core/program'
import { trackKey } from '@still-pine/core/readiness'
import { drawnOf } from '../data/answers'
import { daysTold, talliedByCircumstance } from '../data/predictions'
import { circumstancesOfStep } from '../data/sessions'
import { tracksOf } from '../data/tracks'
import { programOf } from './judged'
import { todayIn, type Yard } from './yard'

/** One step of a horse over its whole history; its chances are read as they were kept, and nothing is worked out again. */
export const stepEvidenceOf = async (yard: Yard, horse: Horse, key: string): Promise<StepEvidence> => {
  const { client } = yard
  const on = todayIn(yard)
  const step = stepOf(await programOf(yard, horse), key)
  const days = await daysTold(client, horse.id, key)
  const tracks = await tracksOf(client, horse.id, key)
  const momentsOf = (side: StepEvidence['sides'][number]['side']) => {
    const record = tracks.get(trackKey(key, side))
    const own = days.filter((day) => day.side === side)
    return step && record ? [...timelineOf(STANDARD_MODEL, step, own, record.belief, on)] : []
  }
  return {
    day: on,
    answers: await drawnOf(client, horse.id, key),
    sessions: await circumstancesOfStep(client, horse.id, key),
    sides: (step ? sidesOf(step) : []).map((side) => ({ side, moments: momentsOf(side) })),
    circumstances: await talliedByCircumstance(client, horse.id, key),
  }
}
