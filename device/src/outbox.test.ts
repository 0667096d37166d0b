import 'fake-indexeddb/auto'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { v7 as uuid } from 'uuid'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  amendWaiting,
  countWaiting,
  entriesOf,
  sendArranged,
  saveWaiting,
  letGo,
  putBack,
  refusedEntries,
  settle,
  takeReady,
  withdrawWaiting,
} from './outbox'
import { device } from './store'
import { PLAIN_ANSWER } from './plain-answer'

const ME = 'me'
const NOW = 1_000_000

const answerEntry = (id = uuid(), readyAt = 0, personId = ME) => ({
  id,
  personId,
  horseId: 'h',
  readyAt,
  item: {
    do: 'add' as const,
    answer: {
      id,
      horseId: 'h',
      sessionId: 's',
      step: 'face-up',
      side: 'none' as const,
      rung: 1,
      grade: 2 as const,
      calm: null,
      at: '2026-05-14T09:00:00Z',
      ...PLAIN_ANSWER,
      seconds: 5,
      replaces: null,
    },
  },
})

beforeEach(async () => {
  await device.waiting.clear()
})

const arrangedEntry = (minutes: number, day = '2026-05-14') => {
  const id = uuid()
  const wishes = { pinned: [], without: [] }
  const arrangement = { programId: 'p', minutes, said: NOTHING_NOTED, wishes, bursts: null }
  const item = { do: 'arrange' as const, id, horseId: 'h', day, arrangement, at: '2026-05-14T08:00:00Z' }
  return { id, personId: ME, horseId: 'h', readyAt: 0, item }
}

describe('how a session is arranged', () => {
  const minutes = async (): Promise<unknown[]> =>
    (await entriesOf(ME)).map(({ item }) => item.do === 'arrange' && item.arrangement.minutes)

  it('takes the place of what was said of that day before, until that is on its way', async () => {
    await sendArranged(arrangedEntry(10))
    await sendArranged(arrangedEntry(15))
    await sendArranged(arrangedEntry(20, '2026-05-15'))
    expect(await minutes()).toEqual([15, 20])
    await takeReady(ME, NOW, 1)
    await sendArranged(arrangedEntry(25))
    expect(await minutes()).toEqual([15, 20, 25])
  })
})

describe('the outbox', () => {
  it('gives what is ready in the order it was put in, and stops at what is not', async () => {
    await saveWaiting(answerEntry('a'))
    await saveWaiting(answerEntry('b'))
    await saveWaiting(answerEntry('c', NOW + 3000))
    await saveWaiting(answerEntry('d'))
    const first = await takeReady(ME, NOW)
    expect(first.map(({ id }) => id)).toEqual(['a', 'b'])
    await settle(
      first,
      first.map(() => ({ status: 'kept' })),
    )
    expect((await takeReady(ME, NOW + 3001)).map(({ id }) => id)).toEqual(['c', 'd'])
  })

  it('changes an answer that waits, and not one that is on its way', async () => {
    await saveWaiting(answerEntry('a', NOW + 3000))
    expect(await amendWaiting('a', { calm: 0, grade: 1 })).toBe(true)
    const [taken] = await takeReady(ME, NOW + 3001)
    expect(taken!.item).toMatchObject({ answer: { calm: 0, grade: 1 } })
    expect(await amendWaiting('a', { calm: 2 })).toBe(false)
    expect(await withdrawWaiting('a')).toBe(false)
  })

  it('keeps everything when a batch does not arrive', async () => {
    await saveWaiting(answerEntry('a'))
    const taken = await takeReady(ME, NOW)
    await putBack(taken)
    expect((await takeReady(ME, NOW)).map(({ id }) => id)).toEqual(['a'])
  })

  it('keeps what was refused with its reason, out of the way of the rest', async () => {
    await saveWaiting(answerEntry('a'))
    await saveWaiting(answerEntry('b'))
    const taken = await takeReady(ME, NOW)
    await settle(taken, [{ status: 'refused', reason: 'no such rung' }, { status: 'already' }])
    expect(await countWaiting(ME)).toMatchObject({ waiting: 0, needYou: 1 })
    const [refused] = await refusedEntries(ME)
    expect(refused!.refused).toEqual({ reason: 'no such rung', path: '' })
    expect(await takeReady(ME, NOW)).toEqual([])
    await letGo(refused!.order)
    expect(await countWaiting(ME)).toMatchObject({ waiting: 0, needYou: 0 })
  })

  it('puts back, or keeps with its reason, only what is still there', async () => {
    for (const id of ['a', 'b', 'c', 'd']) await saveWaiting(answerEntry(id))
    const taken = await takeReady(ME, NOW)
    await letGo(taken[1]!.order)
    await settle(taken.slice(0, 3), [{ status: 'kept' }, { status: 'refused' }, { status: 'unheard of' }])
    expect((await entriesOf(ME)).map(({ id }) => id)).toEqual(['c', 'd'])
    await letGo(taken[2]!.order)
    await putBack(taken)
    expect((await takeReady(ME, NOW)).map(({ id }) => id)).toEqual(['d'])
    expect(await countWaiting(ME)).toMatchObject({ waiting: 1, needYou: 0 })
  })

  it('takes, puts back and settles two hundred at once', async () => {
    await saveWaiting(...Array.from({ length: 201 }, (_, i) => answerEntry(String(i))))
    expect(await takeReady(ME, NOW)).toHaveLength(200)
    await putBack(await entriesOf(ME))
    const taken = await takeReady(ME, NOW)
    await settle(
      taken,
      taken.map(() => ({ status: 'kept' })),
    )
    expect((await entriesOf(ME)).map(({ id }) => id)).toEqual(['200'])
  })

  it('waits for its own person', async () => {
    await saveWaiting(answerEntry('a', 0, 'somebody else'))
    expect(await takeReady(ME, NOW)).toEqual([])
    expect(await countWaiting(ME)).toMatchObject({ waiting: 0, needYou: 0 })
    expect(await countWaiting('somebody else')).toMatchObject({ waiting: 1, needYou: 0 })
  })

  it('takes an answer back that was never sent', async () => {
    await saveWaiting(answerEntry('a', NOW + 3000))
    expect(await withdrawWaiting('a')).toBe(true)
    expect(await countWaiting(ME)).toMatchObject({ waiting: 0, needYou: 0 })
  })
})
