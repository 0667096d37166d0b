import {
  DEFAULT_SETTINGS,
  routes,
  type ListedPerson,
  type Place,
  type PutPerson,
  type PutPlace,
} from '@still-pine/contract'
import type { Router } from 'express'
import { hashPassword } from '../auth/passwords'
import { allPeople, insertPerson, lockYard, personById, updatePerson } from '../data/people'
import { allPlaces, savePlace } from '../data/places'
import { isTaken } from '../data/sql'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { notFound, Refusal, refusedFor } from '@still-pine/use-cases'
import { serve, servePrepared } from './serve'

/** A yard needs somebody who may do everything; two who would each leave it to the other take turns. */
const checkLastStarter = async (yard: Yard, id: string, role: PutPerson['role']): Promise<void> => {
  await lockYard(yard.client, yard.yardId)
  const starters = (await allPeople(yard.client)).filter((person) => person.role === 'starter')
  if (role !== 'starter' && starters.length === 1 && starters[0]!.id === id)
    throw refusedFor('role', 'The yard needs a starter: make somebody else one first.')
}

interface ToWrite extends PutPerson {
  readonly passwordHash: string | null
}

const writePerson = async (yard: Yard, id: string, person: ToWrite): Promise<void> => {
  const { passwordHash } = person
  const known = await personById(yard.client, id)
  if (known) {
    await updatePerson(yard.client, id, person)
    return
  }
  if (person.email !== null && passwordHash === null)
    throw refusedFor('password', 'Who signs in needs a password to begin with.')
  const made = { id, ...person, settings: DEFAULT_SETTINGS }
  await insertPerson(yard.client, yard.yardId, made, yard.now)
}

const putPerson = async (yard: Yard, id: string, person: ToWrite): Promise<ListedPerson> => {
  await checkLastStarter(yard, id, person.role)
  try {
    await writePerson(yard, id, person)
  } catch (error) {
    if (isTaken(error)) throw refusedFor('email', 'This address cannot be used: it signs in already.')
    throw error
  }
  const kept = (await allPeople(yard.client)).find((one) => one.id === id)
  if (!kept) throw notFound('This person')
  return kept
}

const isSamePlace = (a: Place, b: PutPlace): boolean =>
  a.name === b.name && a.home === b.home && a.note === b.note && a.suits.join() === b.suits.join()

const putPlace = async (yard: Yard, id: string, place: PutPlace): Promise<Place> => {
  const all = await allPlaces(yard.client)
  const known = all.find((one) => one.id === id)
  if (known && isSamePlace(known, place)) return known
  if (all.some((one) => one.id !== id && one.name === place.name))
    throw refusedFor('name', `There is a place called ${place.name} already.`)
  const rows = await savePlace(yard.client, yard.yardId, id, place)
  const now = (await allPlaces(yard.client)).find((one) => one.id === id)
  if (!now) throw notFound('This place')
  if (rows === 0)
    throw new Refusal('stale', `${now.name} was changed meanwhile. Look at it again, then change it.`, {
      currentVersion: now.version,
    })
  return now
}

/** The people of the yard with their parts, and its pens and tracks. */
export const yardRoutes = (router: Router, deps: Dependencies): void => {
  servePrepared(router, deps, routes.putPerson, {
    prepare: async ({ body }) => (body.password === null ? null : hashPassword(body.password)),
    work: (yard, { params, body }, passwordHash) =>
      putPerson(yard, params.personId, { ...body, passwordHash }),
  })
  serve(router, deps, routes.putPlace, (yard, { params, body }) => putPlace(yard, params.placeId, body))
}
