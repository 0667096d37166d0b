import { horseById, lockHorse } from '../data/horses'
import { programOfHorse } from '../parts/programs'
import { rebuildHorse } from './update-tracks'
import type { Yard } from './yard'

/** Every track of a horse worked out again by a program it has just come under; its history stays. */
export const judgeAnew = async (yard: Yard, horseId: string, programId: string): Promise<void> => {
  await lockHorse(yard.client, horseId)
  const horse = (await horseById(yard.client, horseId))!
  await rebuildHorse(yard, {
    id: horseId,
    program: await programOfHorse(yard.client, yard.yardId, { ...horse, programId }),
  })
}
