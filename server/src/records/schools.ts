import type { Horse, School } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { SCHOOLS, type Program } from '@still-pine/core/program'
import { replayHorse, viewsOf } from '@still-pine/core/readiness'
import { movedOver, type MovedStep } from '@still-pine/core/school-edit'
import { v7 as uuid } from 'uuid'
import { evidence } from '../data/answers'
import { allHorses, lockHorse, updateProgram } from '../data/horses'
import { allPrograms, insertProgram, newestProgram } from '../data/programs'
import { replacePredictions } from '../data/predictions'
import { judgedTracks, programOf } from './judged'
import { rebuildTracks } from './keep-tracks'
import { todayIn, type Yard } from './yard'

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

const keysOf = (program: Program): readonly string[] => program.steps.map(({ key }) => key)

/** What would become of a horse’s tracks under another program, judged today. */
export const movedTo = async (yard: Yard, horse: Horse, document: Program): Promise<readonly MovedStep[]> => {
  const today = todayIn(yard)
  const from = await programOf(yard, horse)
  const answers = await evidence(yard.client, horse.id, keysOf(document), today)
  const after = viewsOf(STANDARD_MODEL, document, replayHorse(STANDARD_MODEL, document, answers), today)
  return movedOver(from, document, await judgedTracks(yard, horse.id, from, today), after)
}

/** The schools that ship and the yard’s own, with their versions and who is worked by each. */
export const schoolsOf = async ({ client }: Yard): Promise<readonly School[]> => {
  const programs = await allPrograms(client)
  const horses = await allHorses(client)
  const versionsOf = (school: string): School['versions'] =>
    programs
      .filter((one) => one.school === school)
      .map(({ programId, version, madeAt, madeBy }) => ({
        programId,
        version,
        madeAt: madeAt?.toISOString() ?? null,
        madeBy,
        horses: horses
          .filter((horse) => horse.programId === programId)
          .map(({ id, name, version }) => ({ id, name, version })),
      }))
  const shipped = SCHOOLS.map(({ school, name }) => ({ school, name, ships: true, copyOf: null }))
  const newestFirst = new Map<string, Omit<School, 'versions'>>()
  for (const { school, name, copyOf } of programs)
    if (!newestFirst.has(school)) newestFirst.set(school, { school, name, ships: false, copyOf })
  const own = [...newestFirst.values()].filter(({ school }) => !shipped.some((one) => one.school === school))
  return [...shipped, ...own].map((one) => ({ ...one, versions: versionsOf(one.school) }))
}
