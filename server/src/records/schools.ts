import { lockHorse } from '../data/horses'
import { replacePredictions } from '../data/predictions'
import { programNamed } from '../parts/programs'
import { rebuildTracks } from './keep-tracks'
import type { Yard } from './yard'

/** Every track of a horse worked out again by a program it has just come under; its history stays. */
export const judgeAnew = async (yard: Yard, horseId: string, programId: string): Promise<void> => {
  await lockHorse(yard.client, horseId)
  const program = await programNamed(yard.client, yard.yardId, programId)
  // What was predicted of steps that left the program is gone with them.
  await replacePredictions(yard.client, yard.yardId, { horseId, predictions: [] })
  await rebuildTracks(yard, { id: horseId, program }, new Set(program.steps.map(({ key }) => key)))
}
