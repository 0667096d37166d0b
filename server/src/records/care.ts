import type { Check, Incident } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import {
  checksOf,
  incidentsOf,
  insertCheck,
  insertCorrection,
  insertIncident,
  updateCheck,
  updateIncident,
  type NewCheck,
  type NewIncident,
} from '../data/care'
import type { Yard } from './yard'

/** What a record says, without who changed it and why. */
const wordingOf = <T extends object>(record: T): Omit<T, 'id' | 'withdrawn' | 'earlier' | 'because'> => {
  const {
    id: _id,
    withdrawn: _w,
    earlier: _e,
    because: _b,
    ...wording
  } = record as T & Record<string, unknown>
  return wording as Omit<T, 'id' | 'withdrawn' | 'earlier' | 'because'>
}

const isSameWording = (a: object, b: object): boolean => {
  const [one, other] = [wordingOf(a), wordingOf(b)] as [Record<string, unknown>, Record<string, unknown>]
  return Object.keys(one).every((key) => one[key] === other[key])
}

interface Known {
  readonly withdrawn: Check['withdrawn']
}

/** Who takes a record back now, or who took it back before; `null` where it counts. */
const withdrawalFor = (yard: Yard, known: Known, because: string | null) => {
  if (because === null) return null
  return {
    at: yard.now.toISOString(),
    person: yard.personId,
    because: because || (known.withdrawn?.because ?? ''),
  }
}

const isSameStanding = ({ withdrawn }: Known, because: string | null): boolean =>
  (withdrawn?.because ?? null) === because

interface Put<Body, Kept> {
  readonly of: 'check' | 'incident'
  readonly find: () => Promise<Kept | undefined>
  readonly insert: (body: Body) => Promise<number>
  readonly update: (body: Body, withdrawn: ReturnType<typeof withdrawalFor>) => Promise<unknown>
}

/** Writes a record, or changes one: what it said before stays to be read. `undefined` where its id is somebody else's. */
const put = async <
  Body extends { readonly because: string; readonly withdrawn: string | null },
  Kept extends Known & object,
>(
  yard: Yard,
  id: string,
  { body, put: { of, find, insert, update } }: { body: Body; put: Put<Body, Kept> },
): Promise<Kept | undefined> => {
  const known = await find()
  if (!known) {
    if ((await insert(body)) === 0) return undefined
    if (body.withdrawn !== null) await update(body, withdrawalFor(yard, { withdrawn: null }, body.withdrawn))
    return find()
  }
  if (isSameWording(known, body) && isSameStanding(known, body.withdrawn)) return known
  if (!isSameWording(known, body))
    await insertCorrection(yard.client, yard.yardId, {
      id: uuid(),
      of,
      record: id,
      personId: yard.personId,
      at: yard.now,
      because: body.because,
      was: wordingOf(known),
    })
  await update(body, withdrawalFor(yard, known, body.withdrawn))
  return find()
}

export const putCheck = (
  yard: Yard,
  horseId: string,
  { id, body }: { id: string; body: NewCheck },
): Promise<Check | undefined> =>
  put(yard, id, {
    body,
    put: {
      of: 'check',
      find: async () => (await checksOf(yard.client, horseId)).find((one) => one.id === id),
      insert: (check) => insertCheck(yard.client, { ...yard, horseId }, { id, c: check }),
      update: (check, withdrawn) => updateCheck(yard.client, id, { c: check, withdrawn }),
    },
  })

export const putIncident = (
  yard: Yard,
  horseId: string,
  { id, body }: { id: string; body: NewIncident },
): Promise<Incident | undefined> =>
  put(yard, id, {
    body,
    put: {
      of: 'incident',
      find: async () => (await incidentsOf(yard.client, horseId)).find((one) => one.id === id),
      insert: (incident) => insertIncident(yard.client, { ...yard, horseId }, { id, i: incident }),
      update: (incident, withdrawn) => updateIncident(yard.client, id, { i: incident, withdrawn }),
    },
  })
