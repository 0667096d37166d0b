import pLimit from 'p-limit'
import { tellYard, unjudgedHorses } from '../data/days'
import { inYard } from '../data/pool'
import { readOf } from '../parts'
import { remakeYard } from './remake'
import { inYardOf, nobodyIn, savesOf, type Workings } from './in-yard'
import { todayIn } from './yard'

/** Yards whose day is being made by this server: nobody need ask twice. */
const making = new WeakMap<Workings['pool'], Set<string>>()

/** Pages are told as often as this while a long day is being made. */
const TELL_EVERY_MS = 3_000

/**
 * Judges today for every horse of a yard that is not judged for it yet by this version of the product, as many side by
 * side as there are threads, and tells the yard's pages. Gives how many it judged.
 */
export const makeDay = async (workings: Workings, yardId: string): Promise<number> => {
  const yards = making.get(workings.pool) ?? new Set()
  making.set(workings.pool, yards)
  if (yards.has(yardId)) return 0
  yards.add(yardId)
  try {
    const asker = await nobodyIn(workings, yardId)
    const alone = { asker, view: 'one moment' } as const
    const horses = await inYardOf(workings, alone, (yard) =>
      unjudgedHorses(yard.client, { day: todayIn(yard), engine: yard.engine }),
    )
    const tell = async (): Promise<void> => {
      await savesOf(workings).done()
      await inYard(workings.pool, asker, { view: 'as it goes', work: (client) => tellYard(client, yardId) })
    }
    const atOnce = pLimit(workings.threads.atOnce)
    let toldAt = performance.now()
    const judge = async (horseId: string): Promise<void> => {
      await inYardOf(workings, alone, (yard) => readOf(yard, { horseId })('judged'))
      if (performance.now() - toldAt < TELL_EVERY_MS) return
      toldAt = performance.now()
      await tell()
    }
    await Promise.all(horses.map((id) => atOnce(() => judge(id))))
    if (horses.length > 0) await tell()
    return horses.length
  } finally {
    yards.delete(yardId)
  }
}

/** Workings that make a day in the background where a question could not wait for all of it. */
export const makingDays = (base: Omit<Workings, 'wantDay'>): Workings => {
  const workings: Workings = {
    ...base,
    wantDay: (yardId) => {
      const prepare = async (): Promise<void> => {
        await remakeYard(workings, yardId)
        await makeDay(workings, yardId)
      }
      prepare().catch((error: unknown) => base.logger.warn({ err: error }, 'a day was not judged'))
    },
  }
  return workings
}
