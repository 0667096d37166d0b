import { isDeepStrictEqual } from 'node:util'
import { routes, type BodyOf, type Horse, type ParamsOf, type PutProgram } from '@still-pine/contract'
import { flawsOf, SCHOOLS, type Program } from '@still-pine/core/program'
import type { Router } from 'express'
import { lockHorse, moveHorse } from '../data/horses'
import { insertProgram, newestProgram, programById } from '../data/programs'
import { lockYard } from '../data/people'
import { judgeAnew } from '../records/schools'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { changed, horseOrRefuse } from './horses'
import { notFound, Refusal, refusedFor } from '@still-pine/use-cases'
import { serve } from './serve'

const programOrRefuse = async ({ client }: Yard, id: string): Promise<{ id: string; document: Program }> => {
  const found = await programById(client, id)
  if (!found) throw notFound('This program')
  return found
}

const checkSchool = (program: Program): void => {
  if (SCHOOLS.some(({ school }) => school === program.school))
    throw refusedFor(
      'program.school',
      `${program.name} ships with the product: copy it, then change the copy.`,
    )
  const flaws = flawsOf(program)
  if (flaws.length > 0) throw refusedFor('program', ...flaws.map(({ words }) => words))
}

/** A version never changes once it is kept: the same again is fine, anything else under its id is not. */
const sameOrRefuse = (kept: Program, sent: Program): void => {
  if (!isDeepStrictEqual(kept, JSON.parse(JSON.stringify(sent))))
    throw new Refusal('already-there', 'This version is kept already, and says something else.')
}

const keepVersion = async (
  yard: Yard,
  { programId }: ParamsOf<'putProgram'>,
  { basedOn, program }: PutProgram,
): Promise<{ id: string; program: Program }> => {
  checkSchool(program)
  await lockYard(yard.client, yard.yardId)
  const kept = await programById(yard.client, programId)
  if (kept) {
    sameOrRefuse(kept.document, program)
    return { id: programId, program: kept.document }
  }
  const newest = (await newestProgram(yard.client, program.school))?.document.version ?? 0
  if (newest !== basedOn)
    throw new Refusal('stale', `${program.name} has a newer version. Look at both, then choose.`, {
      currentVersion: newest,
    })
  if (program.version !== basedOn + 1)
    throw refusedFor('program.version', `The next version is ${basedOn + 1}.`)
  await insertProgram(yard.client, yard.yardId, programId, program, { by: yard.personId, at: yard.now })
  return { id: programId, program: (await programOrRefuse(yard, programId)).document }
}

const moveOver = async (
  yard: Yard,
  horse: Horse,
  { programId, version }: BodyOf<'putHorseProgram'>,
): Promise<Horse> => {
  const { document } = await programOrRefuse(yard, programId)
  if (horse.programId === programId) return horse
  await lockHorse(yard.client, horse.id)
  const rows = await moveHorse(yard.client, horse.id, programId, version)
  if (rows > 0) await judgeAnew(yard, horse, document)
  return changed(yard, horse.id, rows)
}

export const schoolRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.putProgram, (yard, { params, body }) => keepVersion(yard, params, body))
  serve(router, deps, routes.putHorseProgram, async (yard, { params, body }) =>
    moveOver(yard, await horseOrRefuse(yard, params.horseId), body),
  )
}
