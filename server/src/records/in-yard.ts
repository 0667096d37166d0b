import type { Logger } from 'pino'
import { yardNow } from '../data/people'
import { inYard, type Asking, type Pool, type View } from '../data/pool'
import type { Client } from '../data/sql'
import type { Threads } from '../threads'
import type { Yard } from './yard'

/** What work in a yard is done with. */
export interface Workings {
  readonly pool: Pool
  readonly threads: Threads
  /** The clock; only demo and tests may set it. */
  readonly now: () => Date
  /** Tells one build of the product from another: what one judged the other does not read. */
  readonly engine: string
  readonly logger: Logger
  /** Has a yard's day worked out when nobody waits for it. */
  readonly wantDay: (yardId: string) => void
}

export type Save = (client: Client) => Promise<unknown>

/** Who asks, in which yard, in which part. */
export type Asker = Asking & Pick<Yard, 'deviceId' | 'role' | 'timeZone'>

/** Saves what is asked for one after another, each in a transaction of its own, once replies are on their way. */
class SavesAfterwards {
  private last: Promise<unknown> = Promise.resolve()

  constructor(private readonly workings: Workings) {}

  add(asker: Asking, saves: readonly Save[]): void {
    const { pool, logger } = this.workings
    for (const save of saves)
      this.last = this.last
        .then(() => inYard(pool, asker, { view: 'as it goes', work: save }))
        .catch((error: unknown) => logger.warn({ err: error }, 'not saved afterwards'))
  }

  /** Until all that was asked for so far is saved. */
  async done(): Promise<void> {
    await this.last
  }
}

const queues = new WeakMap<Pool, SavesAfterwards>()

/** The saves of one server, in their order. */
export const savesOf = (workings: Workings): SavesAfterwards => {
  const queue = queues.get(workings.pool) ?? new SavesAfterwards(workings)
  queues.set(workings.pool, queue)
  return queue
}

/** Runs `work` for an asker in one transaction that sees their yard alone. */
export const inYardOf = async <T>(
  workings: Workings,
  { asker, view }: { asker: Asker; view: View },
  work: (yard: Yard) => Promise<T>,
): Promise<T> => {
  const { pool, now, engine, threads, wantDay } = workings
  const saves: Save[] = []
  const afterwards = (save: Save): void => void saves.push(save)
  let isDayWanted = false
  const value = await inYard(pool, asker, {
    view,
    work: (client) => {
      saves.length = 0
      isDayWanted = false
      return work({
        client,
        ...asker,
        now: now(),
        engine,
        threads,
        afterwards,
        wantDay: () => void (isDayWanted = true),
      })
    },
  })
  // Not before it is committed: the day is made from what others can see by then.
  if (isDayWanted) wantDay(asker.yardId)
  savesOf(workings).add(asker, saves)
  return value
}

/** Work of the server's own is done by nobody. */
const NOBODY = '00000000-0000-0000-0000-000000000000'

/** Who works in a yard where no person asks. */
export const nobodyIn = async ({ pool }: Workings, yardId: string): Promise<Asker> => {
  const asking = { yardId, personId: NOBODY }
  const { timeZone } = (await inYard(pool, asking, { view: 'one moment', work: yardNow }))!
  return { ...asking, deviceId: null, role: 'starter', timeZone }
}
