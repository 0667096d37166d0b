import { MOST_BYTES, type AttachedTo, type AttachmentKind } from '@still-pine/contract/attachment-kinds'
import { dropTaken, NoRoom, saveTaken } from '@still-pine/device'
import { v7 as uuid } from 'uuid'
import { saveHere, sayNotSaved, sayWhileSlow } from '../../offline/save'
import { picturesOf, sha256Of } from '../../threads/files'
import { toast } from '../../ui/toast'
import { clipFrame } from './clip-frame'
import { sizeWords } from './sizes'

/** Whose record something is attached to. */
export interface AttachedRecord {
  readonly to: AttachedTo
  readonly recordId: string
  readonly horseId: string
}

/** What is wrong with a file, in words, and what to do. */
class CannotTake extends Error {}

const MADE_SMALLER: Readonly<Record<AttachmentKind, string>> = {
  picture: 'Choose a smaller picture.',
  clip: 'That is about a minute: film it again shorter, or choose a smaller size in the camera.',
  voice: 'Say it in two.',
}

const checkSize = (kind: AttachmentKind, { size }: Blob): void => {
  if (size === 0) throw new CannotTake('This file is empty. Nothing was kept.')
  if (size > MOST_BYTES[kind])
    throw new CannotTake(
      `This has ${sizeWords(size)}, and at most ${sizeWords(MOST_BYTES[kind])} can be kept. ${MADE_SMALLER[kind]}`,
    )
}

const made = async (
  kind: AttachmentKind,
  file: Blob,
): Promise<{ readonly file: Blob; readonly thumbnail: Blob | null }> => {
  if (kind !== 'picture') {
    checkSize(kind, file)
    return { file, thumbnail: kind === 'clip' ? await clipFrame(file) : null }
  }
  try {
    const { picture, thumbnail } = await picturesOf(file)
    checkSize(kind, picture)
    return { file: picture, thumbnail }
  } catch (error) {
    if (error instanceof CannotTake) throw error
    throw new CannotTake('This is not a picture that can be read. Nothing was kept.', { cause: error })
  }
}

const keep = async (
  kind: AttachmentKind,
  taken: Blob,
  of: AttachedRecord & { personId: string },
): Promise<void> => {
  const { file, thumbnail } = await made(kind, taken)
  const { personId, horseId, to, recordId } = of
  const id = uuid()
  const attachment = {
    to,
    recordId,
    kind,
    bytes: file.size,
    sha256: await sha256Of(file),
    at: new Date().toISOString(),
    words: '',
    inReport: false,
    takenBack: false,
  }
  await saveTaken({ id, personId, horseId, thumbnail, file })
  if (!(await saveHere(personId, horseId, { do: 'attach', id, horseId, attachment }))) await dropTaken(id)
}

/** Keeps what was taken on this device, from where it is sent; what is wrong with it is said, and nothing half is kept. */
export const take = async (
  kind: AttachmentKind,
  file: Blob,
  of: AttachedRecord & { personId: string },
): Promise<void> => {
  try {
    await sayWhileSlow(keep(kind, file, of))
  } catch (error) {
    if (error instanceof CannotTake) toast.error(error.message, { duration: 15_000 })
    else if (error instanceof NoRoom)
      toast.error(
        'Not kept: this device has too little room for it beside the answers. Free some, then do it again.',
        { duration: 15_000 },
      )
    else sayNotSaved()
  }
}
