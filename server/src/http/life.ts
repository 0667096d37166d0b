import { routes, type Block, type Horse, type PutBlock } from '@still-pine/contract'
import type { Router } from 'express'
import { arrivalsOf, blocksOf, insertArrival, insertBlock, updateBlock } from '../data/blocks'
import { lockHorse } from '../data/horses'
import { dropOwner, ownerOf, saveOwner } from '../data/owners'
import { personById } from '../data/people'
import { frozen, shownOn } from '../records/life'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { dayFault, notFound, Refusal, refusedFor } from '@still-pine/use-cases'
import { serve } from './serve'

const sameBlock = (a: Block, b: PutBlock): boolean =>
  (['kind', 'from', 'until', 'worries', 'reward', 'note'] as const).every((key) => a[key] === b[key])

/** Blocks follow each other: no day lies in two, and only the last may be open. */
const checkOrder = (others: readonly Block[], { from, until }: PutBlock): void => {
  for (const other of others) {
    const apart = (other.until !== null && other.until <= from) || (until !== null && until <= other.from)
    if (!apart)
      throw refusedFor(
        'from',
        `Another block runs from ${other.from}${other.until ? ` to ${other.until}` : ''}: close it first.`,
      )
  }
}

const keepBlock = async (yard: Yard, horse: Horse, id: string, block: PutBlock): Promise<Block> => {
  const today = todayIn(yard)
  if (block.from > today) throw refusedFor('from', 'This day is still to come.')
  const fault = dayFault(today, horse, block.from)
  if (fault) throw refusedFor('from', fault)
  if (block.until !== null && block.until > today) throw refusedFor('until', 'This day is still to come.')
  await lockHorse(yard.client, horse.id)
  const all = await blocksOf(yard.client, horse.id)
  const kept = all.find((one) => one.id === id)
  if (kept && sameBlock(kept, block)) return kept
  checkOrder(
    all.filter((one) => one.id !== id),
    block,
  )
  // What was frozen stays frozen, unless the block is opened again or ends on another day.
  const snapshot =
    kept?.until === block.until && kept.snapshot ? kept.snapshot : await frozen(yard, horse, block)
  const rows = kept
    ? await updateBlock(yard.client, id, block, snapshot)
    : await insertBlock(yard.client, { ...yard, horseId: horse.id }, id, block, snapshot)
  if (rows === 0 && kept)
    throw new Refusal('stale', 'This block was changed meanwhile. Look at it again, then change it.', {
      currentVersion: kept.version,
    })
  const now = (await blocksOf(yard.client, horse.id)).find((one) => one.id === id)
  if (!now) throw notFound('This block')
  return now
}

const setOwner = async (yard: Yard, horse: Horse, personId: string | null): Promise<void> => {
  if (personId === null) {
    await dropOwner(yard.client, horse.id)
    return
  }
  const person = await personById(yard.client, personId)
  if (!person) throw notFound('This person')
  if (person.role !== 'owner')
    throw refusedFor('personId', `${person.name} is here as ${person.role}, not as an owner.`)
  await saveOwner(yard.client, yard.yardId, horse.id, personId)
}

/** The stretches of a horse’s life, how it arrived, and whose it is. */
export const lifeRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.putBlock, async (yard, { params, body }) =>
    keepBlock(yard, await horseOrRefuse(yard, params.horseId), params.blockId, body),
  )
  serve(router, deps, routes.putOwner, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    await setOwner(yard, horse, body.personId)
    return { owner: (await ownerOf(yard.client, horse.id)) ?? null }
  })
  serve(router, deps, routes.putArrival, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    if (body.on > todayIn(yard)) throw refusedFor('on', 'This day is still to come.')
    await lockHorse(yard.client, horse.id)
    const before = (await arrivalsOf(yard.client, horse.id)).find(({ id }) => id === params.arrivalId)
    if (before) return before
    const result = await shownOn(yard, horse, body.on)
    if (!result) throw refusedFor('on', `Nothing was asked of ${horse.name} that day.`)
    await insertArrival(
      yard.client,
      { ...yard, horseId: horse.id },
      { id: params.arrivalId, on: body.on, result },
    )
    const kept = (await arrivalsOf(yard.client, horse.id)).find(({ id }) => id === params.arrivalId)
    if (!kept) throw notFound('This arrival check')
    return kept
  })
}
