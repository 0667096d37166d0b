import { device, type SavedReply } from './store'
import { earlyReply, forgetEarly } from './early'
import { personHere, rememberPerson } from './who'

/** Asked before anybody is known. */
const FOR_ALL = 'about'
const EVERYBODY = ''

/** Copies older than this are of no more use, days. */
const KEEP_DAYS = 30
const DAY_MS = 86_400_000

const whose = async (key: string): Promise<string | null> => (key === FOR_ALL ? EVERYBODY : personHere())

interface MeLike {
  readonly person?: { readonly id?: unknown; readonly name?: unknown }
}

/** Keeps what the server said; a device without room goes without. */
export const saveReply = async (key: string, body: unknown, now: number): Promise<void> => {
  try {
    if (key === 'me') {
      const { id, name } = (body as MeLike).person ?? {}
      if (typeof id === 'string') await rememberPerson(id, String(name))
    }
    const personId = await whose(key)
    forgetEarly()
    if (personId !== null) await device.replies.put({ personId, key, at: now, body })
  } catch {
    // Only a copy.
  }
}

/** What the server said the last time, or nothing. */
export const savedReply = async (key: string): Promise<SavedReply | undefined> => {
  try {
    const known = await earlyReply(key)
    if (known) return known
    const personId = await whose(key)
    return personId === null ? undefined : await device.replies.get([personId, key])
  } catch {
    return undefined
  }
}

export const forgetOldReplies = (now: number): Promise<number> =>
  device.replies
    .where('at')
    .below(now - KEEP_DAYS * DAY_MS)
    .delete()
