import type { Horse } from '@still-pine/contract'
import { SCHOOLS, type Program } from '@still-pine/core/program'
import { v7 as uuid } from 'uuid'
import { lockHorse, updateProgram } from '../data/horses'
import { insertProgram, newestProgram } from '../data/programs'
import { replacePredictions } from '../data/predictions'
import { rebuildTracks } from './keep-tracks'
import type { Yard } from './yard'

/** The newest version of a school in this yard; one that ships with the product comes in when it is first wanted. */
export const programOfSchool = async (
  { client, yardId }: Yard,
  school: string,
): Promise<{ id: string; document: Program } | undefined> => {
  const own = await newestProgram(client, school)
  const shipped = SCHOOLS.find((one) => one.school === school)
  if (own || !shipped) return own
  await insertProgram(client, yardId, uuid(), shipped)
  return newestProgram(client, school)
}

/** Puts a horse under another program; its history stays, and every track is judged again by the new ladder. */
export const moveToProgram = async (
  yard: Yard,
  horse: Horse,
  { id, document }: { id: string; document: Program },
): Promise<void> => {
  await lockHorse(yard.client, horse.id)
  await updateProgram(yard.client, horse.id, id)
  await judgeAnew(yard, horse, document)
}

/** Every track of a horse worked out again by a program it has just come under. */
export const judgeAnew = async (yard: Yard, horse: Horse, document: Program): Promise<void> => {
  // What was predicted of steps that left the program is gone with them.
  await replacePredictions(yard.client, yard.yardId, horse.id, [])
  await rebuildTracks(yard, horse.id, document, new Set(document.steps.map(({ key }) => key)))
}
