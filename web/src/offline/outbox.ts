import type { BatchItem } from '@still-pine/contract'
import Dexie, { type EntityTable } from 'dexie'

/** Something to keep that the server has not acknowledged yet. */
export interface Waiting {
  readonly order: number
  /** The id of the session, answer or voiding. */
  readonly id: string
  readonly personId: string
  readonly horseId: string
  item: BatchItem
  /** Not before this time: an answer can still get its calm for three seconds. */
  readyAt: number
  /** Why the server refused it; it then waits for a person. */
  refused?: string
}

interface PenDraft {
  readonly horseId: string
  readonly state: unknown
}

/** What this device keeps: what waits to be sent, and where each pen stood. */
class Device extends Dexie {
  waiting!: EntityTable<Waiting, 'order'>
  pens!: EntityTable<PenDraft, 'horseId'>

  constructor() {
    super('still-pine')
    this.version(1).stores({ waiting: '++order, id, personId', pens: 'horseId' })
  }
}

export const device = new Device()

type Entry = Omit<Waiting, 'order' | 'refused'>

/** Puts something in the outbox; it is on this device's disk when the promise resolves. */
export const keepWaiting = async (entry: Entry): Promise<void> => {
  await device.waiting.add(entry)
}

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

/** Takes the next entries that are ready, oldest first, and marks them as on their way. */
export const takeReady = (personId: string, now: number): Promise<Waiting[]> =>
  device.transaction('rw', device.waiting, async () => {
    const all = await device.waiting.where('personId').equals(personId).sortBy('order')
    const open = all.filter(({ refused }) => refused === undefined)
    const blockedAt = open.findIndex(({ readyAt }) => readyAt > now)
    const ready = open.slice(0, blockedAt === -1 ? MOST_AT_ONCE : Math.min(blockedAt, MOST_AT_ONCE))
    for (const { order } of ready) await device.waiting.update(order, { readyAt: SENDING })
    return ready
  })

/** Puts entries back that could not be sent. */
export const putBack = (entries: readonly Waiting[]): Promise<void> =>
  device.transaction('rw', device.waiting, async () => {
    for (const { order } of entries) await device.waiting.update(order, { readyAt: 0 })
  })

export const settle = (
  entries: readonly Waiting[],
  replies: readonly { status: string; reason?: string | undefined }[],
): Promise<void> =>
  device.transaction('rw', device.waiting, async () => {
    for (const [i, { order }] of entries.entries()) {
      const reply = replies[i]
      if (reply?.status === 'refused')
        await device.waiting.update(order, { readyAt: 0, refused: reply.reason ?? 'The server refused it.' })
      else await device.waiting.delete(order)
    }
  })

export interface Counts {
  readonly waiting: number
  readonly needYou: number
}

export const countWaiting = async (personId: string): Promise<Counts> => {
  const all = await device.waiting.where('personId').equals(personId).toArray()
  const needYou = all.filter(({ refused }) => refused !== undefined).length
  return { waiting: all.length - needYou, needYou }
}

export const refusedEntries = async (personId: string): Promise<Waiting[]> =>
  (await device.waiting.where('personId').equals(personId).sortBy('order')).filter(
    ({ refused }) => refused !== undefined,
  )

export const letGo = (order: number): Promise<void> => device.waiting.delete(order)
