import type { Problem, Received } from '@still-pine/contract'
import { PIECE_BYTES } from '@still-pine/contract/attachment-kinds'
import { withRoom } from './room'
import { device, type Taken } from './store'

/** Room that is left for answers: a picture never takes the last of it. */
const ROOM_FOR_ANSWERS = 20 * 2 ** 20

/** There is no room on this device for a file. */
export class NoRoom extends Error {}

/** Whether so many bytes leave room for answers; where the browser does not say, it is tried. */
const hasRoomFor = async (bytes: number): Promise<boolean> => {
  const { quota, usage } = (await navigator.storage?.estimate?.()) ?? {}
  return quota === undefined || usage === undefined || quota - usage > bytes + ROOM_FOR_ANSWERS
}

/**
 * Keeps a file on this device until the server has it.
 * @throws NoRoom where there is none, or NotSaved where the device keeps nothing.
 */
export const saveTaken = async (
  taken: Pick<Taken, 'id' | 'personId' | 'horseId' | 'thumbnail'> & { readonly file: Blob },
): Promise<void> => {
  if (!(await hasRoomFor(taken.file.size))) throw new NoRoom('This device has no room left.')
  const entry: Taken = { ...taken, keptAt: Date.now(), sent: 0, isThumbnailSent: taken.thumbnail === null }
  await withRoom(() => device.taken.put(entry))
}

const ofPerson = (personId: string): Promise<Taken[]> =>
  device.taken.where('personId').equals(personId).sortBy('keptAt')

const isUnsent = ({ file, refused }: Taken): boolean => file !== null && refused === undefined

export interface TakenState {
  /** Files that are not all with the server yet. */
  readonly files: number
  readonly refused: number
}

export const countTaken = async (personId: string): Promise<TakenState> => {
  const all = await ofPerson(personId)
  return {
    files: all.filter(isUnsent).length,
    refused: all.filter(({ refused }) => refused !== undefined).length,
  }
}

/** Files of a person that the server does not have, oldest first. */
export const takenHere = async (personId: string): Promise<Taken[]> =>
  (await ofPerson(personId)).filter(({ file }) => file !== null)

/** What lies here of an attachment. */
export const fileHere = (id: string): Promise<Taken | undefined> => device.taken.get(id)

export const dropTaken = (id: string): Promise<void> => device.taken.delete(id)

/** A file that was refused is sent once more, from its first byte. */
export const sendTakenAgain = (id: string): Promise<unknown> =>
  device.taken
    .where('id')
    .equals(id)
    .modify((entry, now) => {
      const { refused: _refused, ...rest } = entry
      now.value = { ...rest, sent: 0 }
    })

const put = async (path: string, body: Blob): Promise<Response | null> => {
  try {
    return await fetch(`/api/v1/attachments/${path}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/octet-stream' },
      body,
    })
  } catch {
    return null
  }
}

const titleOf = async (response: Response): Promise<string> =>
  ((await response.json().catch(() => null)) as Problem | null)?.title ?? 'The server refused it.'

/** Nobody is signed in, or the server is away or full: later. */
const isLater = ({ status }: Response): boolean => status >= 500 || [401, 408, 409, 429].includes(status)

const isAnnounced = async (id: string): Promise<boolean> =>
  (await device.waiting.where('id').equals(id).count()) > 0

export type FileSent = 'idle' | 'sent' | 'away'

const sendPiece = async ({ id, sent }: Taken, file: Blob): Promise<FileSent> => {
  const response = await put(`${id}/pieces/${sent}`, file.slice(sent, sent + PIECE_BYTES))
  if (!response || isLater(response)) return 'away'
  // Its record is on its way as long as it waits here; what nobody announces any more is told to a person.
  if (response.status === 404 && (await isAnnounced(id))) return 'away'
  if (!response.ok) {
    await device.taken.update(id, { refused: await titleOf(response) })
    return 'sent'
  }
  const reply = (await response.json().catch(() => null)) as Received | null
  if (!reply) return 'away'
  await device.taken.update(id, reply.isWhole ? { sent: reply.bytes, file: null } : { sent: reply.bytes })
  return 'sent'
}

const sendThumbnail = async ({ id }: Taken, thumbnail: Blob): Promise<FileSent> => {
  const response = await put(`${id}/thumbnail`, thumbnail)
  if (!response || isLater(response) || response.status === 404) return 'away'
  // A small picture that is refused is no loss: the file itself is what matters.
  await device.taken.update(id, { isThumbnailSent: true })
  return 'sent'
}

/** Sends one small picture or one piece of a file, so that an answer given meanwhile waits for no more than that. */
export const sendFilePiece = async (personId: string): Promise<FileSent> => {
  const unsent = (await ofPerson(personId)).filter(isUnsent)
  // One that cannot go now, for its record waits or was refused, does not hold up the others.
  for (const next of unsent) {
    const { thumbnail, isThumbnailSent, file } = next
    const isSmallFirst = thumbnail !== null && !isThumbnailSent
    if (isSmallFirst && (await sendThumbnail(next, thumbnail)) === 'sent') return 'sent'
    if ((await sendPiece(next, file!)) === 'sent') return 'sent'
  }
  return unsent.length === 0 ? 'idle' : 'away'
}

/** Small pictures of what the server has had for long are of no more use here. */
const KEPT_MS = 30 * 86_400_000

export const forgetOldTaken = (now: number): Promise<number> =>
  device.taken.filter(({ file, keptAt }) => file === null && keptAt < now - KEPT_MS).delete()
