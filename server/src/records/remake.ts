import { horseById, lockHorse, touchHorse } from '../data/horses'
import { inYard } from '../data/pool'
import { horsesOfEarlierLaw, recordsOf } from '../data/tracks'
import { programNamed } from '../parts/programs'
import { inYardOf, nobodyIn, type Workings } from './in-yard'
import { rebuildHorse } from './update-tracks'

/** Told in the log after so many horses. */
const TELL_EVERY = 25

/**
 * Works out anew the horses of a yard whose tracks an earlier law left, which knew nothing of the horse: each in a
 * transaction of its own on a thread, so that the old ones serve until then. Gives how many it made.
 */
export const remakeYard = async (workings: Workings, yardId: string): Promise<number> => {
  const asker = await nobodyIn(workings, yardId)
  const horses = await inYard(workings.pool, asker, { view: 'one moment', work: horsesOfEarlierLaw })
  for (const [done, { id }] of horses.entries()) {
    await inYardOf(workings, { asker, view: 'as it goes' }, async (yard) => {
      const { client } = yard
      await lockHorse(client, id)
      // Another server, or a batch from the pen, may have come first.
      const horse = await horseById(client, id)
      if (!horse || !(await recordsOf(client, id)).isOfEarlierLaw) return
      await rebuildHorse(yard, { id, program: await programNamed(client, yardId, horse.programId) })
      await touchHorse(client, id)
    })
    if ((done + 1) % TELL_EVERY === 0)
      workings.logger.info({ done: done + 1, of: horses.length }, 'horses worked out by the new law')
  }
  return horses.length
}
