import { routes, type Horse, type PutHorse } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import type { Router } from 'express'
import { horseById, insertHorse, newestProgram, programById, updateHorse } from '../data/horses'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { notFound, Refusal } from './refusal'
import { serve } from './serve'

const field = (path: string, message: string): Refusal =>
  new Refusal('bad-input', message, { fields: [{ path, message }] })

const checkDays = (yard: Yard, { born, arrived }: PutHorse): void => {
  const today = todayIn(yard)
  if (born !== null && born > today) throw field('born', 'It cannot be born after today.')
  if (born !== null && arrived < born) throw field('arrived', 'It cannot have come before it was born.')
  if (arrived > today) throw field('arrived', 'It cannot have come after today.')
}

const isSame = (horse: Horse, form: PutHorse): boolean =>
  (['name', 'born', 'sex', 'kind', 'marks', 'origin', 'handled', 'arrived'] as const).every(
    (key) => horse[key] === form[key],
  )

/** Finds a horse of this yard or refuses. */
export const horseOrRefuse = async ({ client }: Yard, id: string): Promise<Horse> => {
  const horse = await horseById(client, id)
  if (!horse) throw notFound('This horse')
  return horse
}

const addHorse = async (yard: Yard, id: string, form: PutHorse): Promise<Horse> => {
  const program = (await newestProgram(yard.client, FEET_FIRST.school))!
  await insertHorse(yard.client, yard.yardId, program.id, id, form, yard.now)
  return horseOrRefuse(yard, id)
}

const changeHorse = async (yard: Yard, horse: Horse, form: PutHorse): Promise<Horse> => {
  if (isSame(horse, form)) return horse
  const changed = await updateHorse(yard.client, horse.id, form)
  const now = await horseOrRefuse(yard, horse.id)
  if (changed === 0)
    throw new Refusal('stale', `${now.name} was changed meanwhile. Look at it again, then change it.`, {
      currentVersion: now.version,
    })
  return now
}

export const horseRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.horse, (yard, { params }) => horseOrRefuse(yard, params.horseId))
  serve(router, deps, routes.putHorse, async (yard, { params, body }) => {
    checkDays(yard, body)
    const horse = await horseById(yard.client, params.horseId)
    return horse ? changeHorse(yard, horse, body) : addHorse(yard, params.horseId, body)
  })
  serve(router, deps, routes.program, async ({ client }, { params }) => {
    const found = await programById(client, params.programId)
    if (!found) throw notFound('This program')
    return { id: found.id, program: found.document }
  })
}
