import { fileRemoved, filesTakenBack } from '../data/attachments'
import type { AttachmentFiles } from '../disk/attachment-files'
import { inYardOf, nobodyIn, type Workings } from './in-yard'

/** So long what was taken back can be had again. */
const KEPT_MS = 7 * 86_400_000

interface Sweeping extends Workings {
  readonly attachments: AttachmentFiles
}

/** Removes the files of what was taken back a week ago; what is said of them stays. Gives how many. */
export const sweepYard = async (workings: Sweeping, yardId: string): Promise<number> => {
  const asker = await nobodyIn(workings, yardId)
  const before = new Date(workings.now().getTime() - KEPT_MS)
  const gone = await inYardOf(workings, { asker, view: 'as it goes' }, async ({ client }) => {
    const ids = await filesTakenBack(client, before)
    for (const id of ids) await fileRemoved(client, id)
    return ids
  })
  for (const id of gone) await workings.attachments.remove(yardId, id)
  return gone.length
}
