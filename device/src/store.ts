import type { BatchItem, CarriedAnswer, Carry } from '@still-pine/contract'
import Dexie, { type DBCore, type EntityTable, type Table } from 'dexie'

/** Something to keep that the server has not acknowledged yet. */
export interface Waiting {
  readonly order: number
  /** The id of the session, answer, voiding or whatever it is. */
  readonly id: string
  readonly personId: string
  readonly horseId: string
  item: BatchItem
  /** Not before this time: an answer can still get its calm for three seconds. */
  readyAt: number
  /** When it was put in, by this device's clock. */
  readonly keptAt: number
  /** Why the server refused it, and what of it; it then waits for a person. */
  refused?: { readonly reason: string; readonly path: string }
}

/** Where the pen of a horse stood. */
export interface Draft {
  readonly personId: string
  readonly horseId: string
  readonly state: unknown
}

/** The file of an attachment that this device took, until the server has it; its small picture stays a while. */
export interface Taken {
  /** The attachment's own id. */
  readonly id: string
  readonly personId: string
  readonly horseId: string
  readonly keptAt: number
  readonly thumbnail: Blob | null
  /** Nothing once the server has it. */
  readonly file: Blob | null
  /** How many bytes of it the server has, as far as is known here. */
  readonly sent: number
  readonly isThumbnailSent: boolean
  /** Why the server refused it; it then waits for a person. */
  readonly refused?: string
}

/** What the server said to a question, for when it cannot be asked. */
export interface SavedReply {
  readonly personId: string
  /** The path and query under `/api/v1`. */
  readonly key: string
  readonly at: number
  readonly body: unknown
}

/** All that this device knows of a horse. */
export interface Carried extends Omit<
  Carry,
  | 'answers'
  | 'voided'
  | 'more'
  | 'block'
  | 'known'
  | 'rides'
  | 'arranged'
  | 'attachments'
  | 'measurements'
  | 'entries'
> {
  readonly arranged?: Carry['arranged']
  readonly attachments?: Carry['attachments']
  readonly measurements?: Carry['measurements']
  readonly entries?: Carry['entries']
  readonly block?: Carry['block']
  readonly known?: Carry['known']
  readonly rides?: number
  readonly personId: string
  readonly horseId: string
  /** When the server was last asked. */
  readonly at: number
  readonly answers: readonly CarriedAnswer[]
}

/** Keys of what this device remembers for itself: who signed in last on it and did not sign out, what it is called. */
export const PERSON = 'person'
export const DEVICE = 'device'
/** Somebody signed out without signal: the server is told before anything else is asked of it. */
export const OWED = 'sign-out-owed'

/** One thing this device remembers for itself. */
export interface Fact {
  readonly key: string
  readonly value: unknown
}

/** Shapes of version 1, for those who have not opened the app since. */
interface WaitingOne extends Omit<Waiting, 'keptAt' | 'refused'> {
  readonly refused?: string
}
interface PenOne {
  readonly horseId: string
  readonly state: unknown
}

const timeOf = (item: BatchItem): number => {
  if (item.do === 'add') return Date.parse(item.answer.at)
  if (item.do === 'session') return Date.parse(item.session.startedAt)
  return item.do === 'void' ? Date.parse(item.at) : Number.NaN
}

/** An entry of version 1 as it is kept now. */
const upgraded = ({ refused, ...entry }: WaitingOne, now: number): Waiting => {
  const keptAt = timeOf(entry.item)
  return {
    ...entry,
    keptAt: Number.isNaN(keptAt) ? now : keptAt,
    ...(refused === undefined ? {} : { refused: { reason: refused, path: '' } }),
  }
}

/**
 * Tells the disk that nothing follows in this transaction, so that it does not wait until the page, which may be busy
 * drawing an answer, has heard of the last thing asked for. The next answer waits for the transaction before it.
 */
export const asLast = <T>(work: PromiseLike<T>): PromiseLike<T> => {
  Dexie.currentTransaction.idbtrans.commit()
  return work
}

/** What is added to the outbox, or read from it only to look, is all that its transaction does. */
const doneAtOnce = (core: DBCore): DBCore => ({
  ...core,
  table: (name) => {
    const table = core.table(name)
    if (name !== 'waiting') return table
    // Dexie's own type leaves out that this is the browser's transaction.
    const ofBrowser = (trans: unknown): IDBTransaction => trans as IDBTransaction
    return {
      ...table,
      mutate: (request) => {
        const done = table.mutate(request)
        if (request.type === 'add') ofBrowser(request.trans).commit()
        return done
      },
      query: (request) => {
        const found = table.query(request)
        const trans = ofBrowser(request.trans)
        if (trans.mode === 'readonly') trans.commit()
        return found
      },
    }
  },
})

/** What lies on this device: what waits to be sent, where each pen stood, and what it needs without signal. */
export class Device extends Dexie {
  waiting!: EntityTable<Waiting, 'order'>
  drafts!: Table<Draft, [string, string]>
  replies!: Table<SavedReply, [string, string]>
  carried!: Table<Carried, [string, string]>
  facts!: EntityTable<Fact, 'key'>
  taken!: EntityTable<Taken, 'id'>

  constructor(name = 'still-pine') {
    super(name)
    this.version(1).stores({ waiting: '++order, id, personId', pens: 'horseId' })
    this.version(2)
      .stores({
        drafts: '[personId+horseId], personId',
        replies: '[personId+key], personId, at',
        carried: '[personId+horseId], personId',
        facts: 'key',
      })
      .upgrade(async (change) => {
        const old = await change.table<WaitingOne>('waiting').toArray()
        const entries = old.map((entry) => upgraded(entry, Date.now()))
        await change.table('waiting').bulkPut(entries)
        // A pen of version 1 did not say whose it was; what waits for that horse does.
        for (const { horseId, state } of await change.table<PenOne>('pens').toArray()) {
          const whose = entries.find((entry) => entry.horseId === horseId)?.personId
          if (whose !== undefined) await change.table('drafts').put({ personId: whose, horseId, state })
        }
      })
    this.version(3).stores({ pens: null })
    this.version(4).stores({ taken: 'id, personId' })
    this.use({ stack: 'dbcore', name: 'done at once', create: doneAtOnce })
  }
}

export const device = new Device()
