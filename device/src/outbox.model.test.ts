import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import {
  amendWaiting,
  countWaiting,
  saveWaiting,
  putBack,
  settle,
  takeReady,
  withdrawWaiting,
} from './outbox'
import { device } from './store'

const ME = 'me'

type Step =
  | { readonly kind: 'put'; readonly calmWindow: boolean }
  | { readonly kind: 'amend' | 'withdraw'; readonly which: number }
  | { readonly kind: 'send'; readonly arrives: boolean; readonly refuse: number }
  | { readonly kind: 'wait' }

const steps = fc.array(
  fc.oneof(
    fc.record({ kind: fc.constant('put' as const), calmWindow: fc.boolean() }),
    fc.record({ kind: fc.constantFrom('amend' as const, 'withdraw' as const), which: fc.nat(20) }),
    fc.record({
      kind: fc.constant('send' as const),
      arrives: fc.boolean(),
      refuse: fc.integer({ min: 0, max: 9 }),
    }),
    fc.record({ kind: fc.constant('wait' as const) }),
  ),
  { maxLength: 40 },
)

/** What must be true: every answer put in is waiting, refused, withdrawn or with the server, and only one of these. */
interface Model {
  now: number
  readonly waiting: { id: string; grade: number; readyAt: number }[]
  readonly server: string[]
  readonly refused: string[]
}

const entry = (id: string, readyAt: number) => ({
  id,
  personId: ME,
  horseId: 'h',
  readyAt,
  item: { do: 'add' as const, answer: { id, grade: 2 } as never },
})

const play = async (model: Model, step: Step, i: number): Promise<void> => {
  switch (step.kind) {
    case 'put': {
      const readyAt = step.calmWindow ? model.now + 3000 : 0
      await saveWaiting(entry(`a${i}`, readyAt))
      model.waiting.push({ id: `a${i}`, grade: 2, readyAt })
      return
    }
    case 'amend': {
      const id = `a${step.which}`
      const mine = model.waiting.find((one) => one.id === id)
      // What was refused still lies here and can be mended.
      const isHere = mine !== undefined || model.refused.includes(id)
      expect(await amendWaiting(id, { grade: 1 })).toBe(isHere)
      if (mine) mine.grade = 1
      return
    }
    case 'withdraw': {
      const id = `a${step.which}`
      const at = model.waiting.findIndex((one) => one.id === id)
      const refusedAt = model.refused.indexOf(id)
      expect(await withdrawWaiting(id)).toBe(at >= 0 || refusedAt >= 0)
      if (at >= 0) model.waiting.splice(at, 1)
      if (refusedAt >= 0) model.refused.splice(refusedAt, 1)
      return
    }
    case 'wait':
      model.now += 4000
      return
    case 'send': {
      const blocked = model.waiting.findIndex(({ readyAt }) => readyAt > model.now)
      const ready = blocked === -1 ? model.waiting.length : blocked
      const taken = await takeReady(ME, model.now)
      expect(taken.map(({ id }) => id)).toEqual(model.waiting.slice(0, ready).map(({ id }) => id))
      if (!step.arrives) {
        await putBack(taken)
        for (const one of model.waiting.slice(0, ready)) one.readyAt = 0
        return
      }
      const replies = taken.map((_, n) =>
        n === step.refuse ? { status: 'refused', reason: 'no' } : { status: 'kept' },
      )
      await settle(taken, replies)
      for (const [n, { id }] of model.waiting.splice(0, ready).entries())
        if (n === step.refuse) model.refused.push(id)
        else model.server.push(id)
    }
  }
}

it('loses nothing, doubles nothing and keeps the order, whatever happens', async () => {
  await fc.assert(
    fc.asyncProperty(steps, async (list) => {
      await device.waiting.clear()
      const model: Model = { now: 1_000_000, waiting: [], server: [], refused: [] }
      for (const [i, step] of list.entries()) await play(model, step, i)
      expect(await countWaiting(ME)).toMatchObject({
        waiting: model.waiting.length,
        needYou: model.refused.length,
      })
      expect(new Set(model.server).size).toBe(model.server.length)
      const kept = (await device.waiting.orderBy('order').toArray()).filter(
        ({ refused }) => refused === undefined,
      )
      expect(kept.map(({ id }) => id)).toEqual(model.waiting.map(({ id }) => id))
      expect(kept.map(({ item }) => (item as unknown as { answer: { grade: number } }).answer.grade)).toEqual(
        model.waiting.map(({ grade }) => grade),
      )
    }),
    { numRuns: 60 },
  )
})
