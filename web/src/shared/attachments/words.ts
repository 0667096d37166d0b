import { handOver, type Taken } from '@still-pine/device'
import type { AttachmentKind } from '@still-pine/contract'

export const KIND_WORDS: Readonly<Record<AttachmentKind, string>> = {
  picture: 'Picture',
  clip: 'Clip',
  voice: 'Spoken note',
}

/** "a picture: “hind foot”": one attachment in a sentence. */
export const attachmentWords = ({
  kind,
  words,
}: {
  readonly kind: AttachmentKind
  readonly words: string
}): string => `a ${KIND_WORDS[kind].toLowerCase()}${words ? `: “${words}”` : ''}`

const ENDINGS: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'audio/webm': 'weba',
  'audio/mp4': 'm4a',
  'video/quicktime': 'mov',
}

/** Hands a file that lies here to the person, as a download of its own. */
export const saveToDevice = ({ id, file }: Pick<Taken, 'id' | 'file'>): void => {
  if (!file) return
  const type = file.type.split(';')[0]!
  handOver(file, `${id}.${ENDINGS[type] ?? type.split('/')[1] ?? 'bin'}`)
}
