import type { BatchItem } from '@still-pine/contract'
import { asLast, device, type Waiting } from './store'
import { withRoom } from './room'

export type { Waiting } from './store'

type Entry = Omit<Waiting, 'order' | 'refused' | 'keptAt'>

/** Puts something in the outbox, all of it or nothing; it is on this device's disk when the promise resolves. */
export const saveWaiting = async (...entries: readonly Entry[]): Promise<void> => {
  const keptAt = Date.now()
  await withRoom(() => device.waiting.bulkAdd(entries.map((entry) => ({ ...entry, keptAt }))))
}

/** Puts how a session is arranged in the outbox, in the stead of what was said of that day and has not been sent yet. */
export const sendArranged = (entry: Entry & { item: Extract<BatchItem, { do: 'arrange' }> }): Promise<void> =>
  withRoom(() =>
    device.transaction('rw', device.waiting, async () => {
      const { personId, horseId, item } = entry
      const all = await device.waiting.where('personId').equals(personId).toArray()
      const before = all.find(
        (one) =>
          one.horseId === horseId &&
          one.item.do === 'arrange' &&
          one.item.day === item.day &&
          one.readyAt !== SENDING &&
          !isRefused(one),
      )
      const keptAt = Date.now()
      if (before) await device.waiting.update(before.order, { id: entry.id, item, keptAt })
      else await device.waiting.add({ ...entry, keptAt })
    }),
  )

/** Changes an answer that has not been sent yet; says whether it still could. */
export const amendWaiting = (
  answerId: string,
  change: Partial<Extract<BatchItem, { do: 'add' }>['answer']>,
): Promise<boolean> =>
  device.transaction('rw', device.waiting, async () => {
    const entry = await device.waiting.where('id').equals(answerId).first()
    if (!entry || entry.item.do !== 'add' || entry.readyAt === SENDING) return false
    const item = { ...entry.item, answer: { ...entry.item.answer, ...change } }
    await device.waiting.update(entry.order, { item })
    return true
  })

/** Takes back an answer that has not been sent yet; says whether it still could. */
export const withdrawWaiting = (answerId: string): Promise<boolean> =>
  device.transaction('rw', device.waiting, async () => {
    const entry = await device.waiting.where('id').equals(answerId).first()
    if (!entry || entry.readyAt === SENDING) return false
    await device.waiting.delete(entry.order)
    return true
  })

/** Marks an entry that is on its way and must not be changed any more. */
const SENDING = -1

const MOST_AT_ONCE = 200

/** No entry is held longer than this; one that seems to be was put in before the phone's clock was set back. */
const LONGEST_HOLD_MS = 10_000

const isHeld = (readyAt: number, now: number): boolean => readyAt > now && readyAt - now <= LONGEST_HOLD_MS

const isRefused = ({ refused }: Waiting): boolean => refused !== undefined

const readyOf = async (personId: string, now: number, most: number): Promise<Waiting[]> => {
  const all = await device.waiting.where('personId').equals(personId).sortBy('order')
  const open = all.filter((entry) => !isRefused(entry))
  const blockedAt = open.findIndex(({ readyAt }) => isHeld(readyAt, now))
  return open.slice(0, blockedAt === -1 ? most : Math.min(blockedAt, most))
}

/** Takes the next entries that are ready, oldest first, and marks them as on their way. */
export const takeReady = async (
  personId: string,
  now: number,
  most = MOST_AT_ONCE,
): Promise<readonly Waiting[]> => {
  // Reading holds up nobody; writing would keep an answer waiting that is given at this moment.
  if ((await readyOf(personId, now, most)).length === 0) return []
  return device.transaction('rw', device.waiting, async () => {
    const ready = await readyOf(personId, now, most)
    await asLast(device.waiting.bulkPut(ready.map((entry) => ({ ...entry, readyAt: SENDING }))))
    return ready
  })
}

type Order = Waiting['order']

/** Changes those of the entries that are still there; the last that its transaction does. */
const changeThese = async (orders: readonly Order[], change: (entry: Waiting) => Waiting): Promise<void> => {
  const there = (await device.waiting.bulkGet([...orders])).filter((entry) => entry !== undefined)
  await asLast(device.waiting.bulkPut(there.map(change)))
}

/** Puts entries back that could not be sent. */
export const putBack = (entries: readonly Waiting[]): Promise<void> =>
  device.transaction('rw', device.waiting, () =>
    changeThese(
      entries.map(({ order }) => order),
      (entry) => ({ ...entry, readyAt: 0 }),
    ),
  )

/** Frees what was on its way when its page or its server died: it is sent again, which does no harm. */
export const freeLeftBehind = (personId: string): Promise<number> =>
  device.waiting
    .where('personId')
    .equals(personId)
    .modify((entry) => {
      if (entry.readyAt === SENDING) entry.readyAt = 0
    })

interface Reply {
  readonly status: string
  readonly reason?: string | undefined
  readonly path?: string | undefined
}

const isThere = (reply: Reply | undefined): boolean => reply?.status === 'kept' || reply?.status === 'already'

const answeredWith = (entry: Waiting, reply: Reply | undefined): Waiting => ({
  ...entry,
  readyAt: 0,
  ...(reply?.status === 'refused' && {
    refused: { reason: reply.reason ?? 'The server refused it.', path: reply.path ?? '' },
  }),
})

/** Lets go of what the server has, and keeps what it refused, with the reason. */
export const settle = (entries: readonly Waiting[], replies: readonly Reply[]): Promise<void> =>
  device.transaction('rw', device.waiting, async () => {
    const replyTo = new Map(entries.map(({ order }, i) => [order, replies[i]]))
    const orders = [...replyTo.keys()]
    const arrived = orders.filter((order) => isThere(replyTo.get(order)))
    if (arrived.length === orders.length) return asLast(device.waiting.bulkDelete(orders))
    await device.waiting.bulkDelete(arrived)
    await changeThese(
      orders.filter((order) => !isThere(replyTo.get(order))),
      (entry) => answeredWith(entry, replyTo.get(entry.order)),
    )
  })

export interface Counts {
  readonly waiting: number
  readonly needYou: number
  /** When the oldest that waits was put in; `null` where nothing waits. */
  readonly oldestAt: number | null
}

export const countWaiting = async (personId: string): Promise<Counts> => {
  const all = await device.waiting.where('personId').equals(personId).toArray()
  const open = all.filter((entry) => !isRefused(entry))
  return {
    waiting: open.length,
    needYou: all.length - open.length,
    oldestAt: open.length === 0 ? null : Math.min(...open.map(({ keptAt }) => keptAt)),
  }
}

/** What a disk or another version left half is no entry: it is shown as what it is, and nothing is worked out from it. */
export const isReadable = ({ item }: Waiting): boolean => {
  const inner = item?.do === 'add' ? item.answer : item?.do === 'session' ? item.session : item
  return typeof item?.do === 'string' && typeof inner?.id === 'string'
}

/** All that one person has in the outbox, oldest first. */
export const entriesOf = (personId: string): Promise<Waiting[]> =>
  device.waiting.where('personId').equals(personId).sortBy('order')

export const refusedEntries = async (personId: string): Promise<Waiting[]> =>
  (await entriesOf(personId)).filter(isRefused)

export const letGo = (order: number): Promise<void> => device.waiting.delete(order)

/** A refused entry as a person mended it: it is sent again in its old place. */
export const sendMended = async (order: number, item: BatchItem, horseId: string): Promise<void> => {
  await device.waiting
    .where('order')
    .equals(order)
    .modify((entry) => {
      delete entry.refused
      Object.assign(entry, { item, horseId, readyAt: 0 })
    })
}
