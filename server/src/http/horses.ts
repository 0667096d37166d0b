import { routes, type BodyOf, type Horse, type PutHorse } from '@still-pine/contract'
import { FEET_FIRST, stepOf } from '@still-pine/core/program'
import type { Router } from 'express'
import { horseById, insertHorse, updateArchived, updateHandOver, updateHorse } from '../data/horses'
import { readOf } from '../parts'
import { moveToProgram, programOfSchool } from '../records/schools'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { isLongAgo, LONGEST_LIFE_YEARS, notFound, Refusal, refusedFor } from '@still-pine/use-cases'
import { serve } from './serve'

type HandOver = BodyOf<'putHandOver'>

const checkDays = (yard: Yard, { born, arrived, estimate }: PutHorse): void => {
  const today = todayIn(yard)
  const far = (day: string | null): boolean => day !== null && isLongAgo(today, day)
  if (far(born))
    throw refusedFor('born', `A horse born more than ${LONGEST_LIFE_YEARS} years back is not started.`)
  if (far(arrived)) throw refusedFor('arrived', `This lies more than ${LONGEST_LIFE_YEARS} years back.`)
  if (far(estimate?.on ?? null))
    throw refusedFor('estimate.on', `This lies more than ${LONGEST_LIFE_YEARS} years back.`)
  if (estimate !== null && estimate.on > today)
    throw refusedFor('estimate.on', 'An age cannot be said of a day that is still to come.')
  if (born !== null && born > today) throw refusedFor('born', 'It cannot be born after today.')
  if (born !== null && arrived < born) throw refusedFor('arrived', 'It cannot have come before it was born.')
  if (arrived > today) throw refusedFor('arrived', 'It cannot have come after today.')
}

const isSame = (horse: Horse, form: PutHorse): boolean =>
  (
    [
      'name',
      'born',
      'sex',
      'kind',
      'marks',
      'origin',
      'handled',
      'arrived',
      'feral',
      'bitted',
      'heightCm',
    ] as const
  ).every((key) => horse[key] === form[key]) &&
  JSON.stringify(horse.estimate) === JSON.stringify(form.estimate)

/** Finds a horse of this yard or refuses. */
export const horseOrRefuse = async ({ client }: Yard, id: string): Promise<Horse> => {
  const horse = await horseById(client, id)
  if (!horse) throw notFound('This horse')
  return horse
}

const wantedSchool = async (yard: Yard, school: string) => {
  const program = await programOfSchool(yard, school)
  if (!program) throw refusedFor('school', `“${school}” is not a school of this yard.`)
  return program
}

const addHorse = async (yard: Yard, id: string, form: PutHorse): Promise<Horse> => {
  const program = await wantedSchool(yard, form.school ?? FEET_FIRST.school)
  await insertHorse(yard.client, yard.yardId, program.id, id, form, yard.now)
  return horseOrRefuse(yard, id)
}

/** The horse after a change, unless somebody else changed it first. */
export const changed = async (yard: Yard, id: string, rows: number): Promise<Horse> => {
  const now = await horseOrRefuse(yard, id)
  if (rows === 0)
    throw new Refusal('stale', `${now.name} was changed meanwhile. Look at it again, then change it.`, {
      currentVersion: now.version,
    })
  return now
}

const changeHorse = async (yard: Yard, horse: Horse, form: PutHorse): Promise<Horse> => {
  const school = form.school ?? horse.school
  if (isSame(horse, form) && school === horse.school) return horse
  const rows = await updateHorse(yard.client, horse.id, form)
  if (rows > 0 && school !== horse.school) await moveToProgram(yard, horse, await wantedSchool(yard, school))
  return changed(yard, horse.id, rows)
}

const archive = async (
  yard: Yard,
  horse: Horse,
  { archived, version }: BodyOf<'putArchived'>,
): Promise<Horse> => {
  if (archived !== null && archived.on > todayIn(yard))
    throw refusedFor('archived.on', 'This day is still to come.')
  if (archived !== null && archived.on < horse.arrived)
    throw refusedFor('archived.on', `${horse.name} had not come yet on this day (${horse.arrived}).`)
  if (JSON.stringify(archived) === JSON.stringify(horse.archived)) return horse
  return changed(yard, horse.id, await updateArchived(yard.client, horse.id, archived, version))
}

const tickHandOver = async (yard: Yard, horse: Horse, { steps, version }: HandOver): Promise<Horse> => {
  const program = await readOf(yard, { horseId: horse.id })('program')
  const unknown = steps.find((key) => !stepOf(program, key))
  if (unknown) throw refusedFor('steps', `“${unknown}” is not a step of this horse’s program.`)
  if (steps.join() === horse.handOver.join()) return horse
  return changed(yard, horse.id, await updateHandOver(yard.client, horse.id, steps, version))
}

export const horseRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.putHorse, async (yard, { params, body }) => {
    checkDays(yard, body)
    const horse = await horseById(yard.client, params.horseId)
    return horse ? changeHorse(yard, horse, body) : addHorse(yard, params.horseId, body)
  })
  serve(router, deps, routes.putArchived, async (yard, { params, body }) =>
    archive(yard, await horseOrRefuse(yard, params.horseId), body),
  )
  serve(router, deps, routes.putHandOver, async (yard, { params, body }) =>
    tickHandOver(yard, await horseOrRefuse(yard, params.horseId), body),
  )
}
