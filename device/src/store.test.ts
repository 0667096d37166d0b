import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { describe, expect, it } from 'vitest'
import { Device } from './store'

const AT = '2026-05-14T09:00:00.000Z'
const answer = { id: 'a', horseId: 'sedge', sessionId: 's', at: AT, grade: 1 }

/** The store as an app of version 1 left it. */
const leftByOne = async (name: string): Promise<void> => {
  const one = new Dexie(name)
  one.version(1).stores({ waiting: '++order, id, personId', pens: 'horseId' })
  const entry = { personId: 'me', horseId: 'sedge', readyAt: 0 }
  await one.table('waiting').bulkAdd([
    {
      ...entry,
      id: 's',
      item: { do: 'session', session: { id: 's', horseId: 'sedge', startedAt: AT, place: null } },
    },
    { ...entry, id: 'a', item: { do: 'add', answer } },
    {
      ...entry,
      id: 'v',
      refused: 'no such answer',
      item: { do: 'void', id: 'v', answerId: 'x', reason: 'r', at: AT },
    },
  ])
  await one.table('pens').bulkPut([
    { horseId: 'sedge', state: { day: '2026-05-14', answers: [] } },
    { horseId: 'whin', state: { day: '2026-05-14', answers: [] } },
  ])
  one.close()
}

describe('a store left by version 1', () => {
  it('keeps every entry in its order, with its time and with why it was refused', async () => {
    await leftByOne('from-one')
    const now = new Device('from-one')
    const entries = await now.waiting.orderBy('order').toArray()
    expect(entries.map(({ id, keptAt, refused }) => [id, keptAt, refused])).toEqual([
      ['s', Date.parse(AT), undefined],
      ['a', Date.parse(AT), undefined],
      ['v', Date.parse(AT), { reason: 'no such answer', path: '' }],
    ])
    expect(entries[1]!.item).toEqual({ do: 'add', answer })
    now.close()
  })

  it('gives a pen to whose answers wait for its horse, and drops one that nobody’s do', async () => {
    await leftByOne('pens-of-one')
    const now = new Device('pens-of-one')
    expect(await now.drafts.toArray()).toEqual([
      { personId: 'me', horseId: 'sedge', state: { day: '2026-05-14', answers: [] } },
    ])
    now.close()
  })

  it('goes on taking entries, behind those that were there', async () => {
    await leftByOne('on-from-one')
    const now = new Device('on-from-one')
    const order = await now.waiting.add({
      id: 'b',
      personId: 'me',
      horseId: 'sedge',
      item: { do: 'add', answer } as never,
      readyAt: 0,
      keptAt: 0,
    })
    expect(order).toBe(4)
    now.close()
  })
})

describe('an app that was put back to version 1 after this one', () => {
  it('still finds and sends what waits', async () => {
    const now = new Device('put-back')
    await now.waiting.add({
      id: 'a',
      personId: 'me',
      horseId: 'sedge',
      item: { do: 'add', answer } as never,
      readyAt: 0,
      keptAt: 0,
    })
    now.close()
    const one = new Dexie('put-back')
    one.version(1).stores({ waiting: '++order, id, personId', pens: 'horseId' })
    const waiting = await one.table('waiting').where('personId').equals('me').toArray()
    expect(waiting.map(({ id }) => id)).toEqual(['a'])
    one.close()
    const again = new Device('put-back')
    expect(await again.waiting.count()).toBe(1)
    again.close()
  })
})
