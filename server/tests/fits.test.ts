import type { Me, ReplyOf } from '@still-pine/contract'
import type { Fit } from '@still-pine/core/fit'
import { STANDARD_MODEL, valuesOf } from '@still-pine/core/judgement'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { inYardOf, nobodyIn } from '../src/records/in-yard'
import { fitYard } from '../src/records/fit-yard'
import { rebuildAll } from '../src/records/rebuild'
import { remakeYard } from '../src/records/remake'
import { workHere } from '../src/threads'
import { addHorse, answerItem, sendBatch, sessionItem } from './making'
import { startYard, type Running, type Visitor } from './running'

const now = new Date('2026-05-14T09:00:00Z')
const VALUES = { ...valuesOf(STANDARD_MODEL), startMean: -0.8 }

/** What a search would have found; that it finds it is the business of the search's own tests. */
let found: Fit | null = null
let yard: Running & { starter: Visitor }
let yardId: string
let horse: string
beforeAll(async () => {
  yard = await startYard({ now: () => now, threads: { ...workHere, fit: async () => found } })
  yardId = (await yard.starter.get<Me>('/me')).body.yard.id
  horse = await addHorse(yard.starter)
  const at = '2026-05-13T08:00:00Z'
  const session = sessionItem(horse, at)
  await sendBatch(yard.starter, [session, answerItem(horse, session.session.id, { at })], at)
})
afterAll(() => yard.stop())

const fit = () => fitYard(yard.workings, yardId, { evenIfNotGrown: true })
const judging = async () => (await yard.starter.get<ReplyOf<'judging'>>('/judging')).body
const line = async () => (await yard.starter.get<ReplyOf<'line'>>(`/horses/${horse}/line`)).body
const chance = async (): Promise<number> =>
  (await line()).tracks.find(({ step }) => step === 'draw')!.view.chance
const differences = async () => {
  const asker = await nobodyIn(yard.workings, yardId)
  const work = (own: Parameters<typeof rebuildAll>[0]) => rebuildAll(own, () => undefined)
  return (await inYardOf(yard.workings, { asker, view: 'as it goes' }, work)).differences
}

describe('the values of a yard', () => {
  it('are not asked of a short log, and nothing is kept of it', async () => {
    expect(await fitYard(yard.workings, yardId)).toBeNull()
    expect(await fit()).toBeNull()
    expect((await judging()).fits).toEqual([])
  })

  it('are kept as a version with their scores, and not taken up where they hardly help', async () => {
    found = { values: VALUES, heldOut: -1.001, inUse: -1.002, isWorthIt: false, answers: 2100 }
    expect(await fit()).toMatchObject({ version: 1 })
    expect((await judging()).fits).toMatchObject([
      { version: 1, isInUse: false, answers: 2100, heldOut: -1.001, inUse: -1.002, values: VALUES },
    ])
    expect(await remakeYard(yard.workings, yardId)).toBe(0)
    expect((await line()).horse.judgedBy).toBeNull()
  })

  it('serve when the horses are worked out anew; until then they stand as they did', async () => {
    const before = await chance()
    found = { values: VALUES, heldOut: -0.98, inUse: -1.002, isWorthIt: true, answers: 2400 }
    expect(await fit()).toMatchObject({ version: 2 })
    expect(await chance()).toBe(before)
    expect((await judging()).toRemake).toBe(1)
    expect(await remakeYard(yard.workings, yardId)).toBe(1)
    expect(await remakeYard(yard.workings, yardId)).toBe(0)
    expect((await judging()).toRemake).toBe(0)
    expect((await line()).horse.judgedBy).toEqual({ version: 2, values: VALUES })
    expect(await chance()).toBeGreaterThan(before + 0.05)
    expect(await differences()).toEqual([])
  })

  it('judge what is logged from then on as well', async () => {
    const at = '2026-05-14T08:00:00Z'
    const session = sessionItem(horse, at)
    await sendBatch(yard.starter, [session, answerItem(horse, session.session.id, { at })], at)
    expect(await differences()).toEqual([])
  })

  it('can be gone back from and to, by whoever may change a school, and only to one that is there', async () => {
    const back = await yard.starter.put<ReplyOf<'putFit'>>('/judging/fit', { version: 1 })
    expect(back.body.fits.map(({ version, isInUse }) => [version, isInUse])).toEqual([
      [2, false],
      [1, true],
    ])
    await vi.waitFor(async () => expect((await line()).horse.judgedBy?.version).toBe(1), { timeout: 20_000 })
    expect((await yard.starter.put('/judging/fit', { version: 7 })).status).toBe(400)
    expect((await yard.starter.put('/judging/fit', { version: null })).status).toBe(200)
    await vi.waitFor(async () => expect((await line()).horse.judgedBy).toBeNull(), { timeout: 20_000 })
    expect(await differences()).toEqual([])
  })
})
