import { horseById, lockHorse, touchHorse } from '../data/horses'
import { inYard } from '../data/pool'
import { followYard } from '../data/fits'
import { horsesToRemake } from '../data/tracks'
import { programOfHorse } from '../parts/programs'
import { inYardOf, nobodyIn, type Workings } from './in-yard'
import { rebuildHorse } from './update-tracks'

/** Told in the log after so many horses. */
const TELL_EVERY = 25

/**
 * Works out anew the horses of a yard that an earlier law left, or other values than are in use: each in a transaction of
 * its own on a thread, so that what was there serves until then. Gives how many it made.
 */
export const remakeYard = async (workings: Workings, yardId: string): Promise<number> => {
  const asker = await nobodyIn(workings, yardId)
  const horses = await inYard(workings.pool, asker, { view: 'one moment', work: horsesToRemake })
  for (const [done, { id }] of horses.entries()) {
    await inYardOf(workings, { asker, view: 'as it goes' }, async (yard) => {
      const { client } = yard
      await lockHorse(client, id)
      // Another server, or a batch from the pen, may have come first.
      if (!(await horsesToRemake(client)).some((one) => one.id === id)) return
      await followYard(client, id)
      const horse = (await horseById(client, id))!
      await rebuildHorse(yard, { id, program: await programOfHorse(client, yardId, horse) })
      await touchHorse(client, id)
    })
    if ((done + 1) % TELL_EVERY === 0)
      workings.logger.info({ done: done + 1, of: horses.length }, 'horses worked out anew')
  }
  return horses.length
}
