import { z } from 'zod'
import { ATTACHED_TO, ATTACHMENT_KINDS, MOST_BYTES, type AttachmentKind } from './attachment-kinds'
import { Day, Id, Instant, words } from './primitives'

/** What a file may be by its own content, and what it is then served as. Nothing here can be run by a browser. */
export const SERVED_AS: Readonly<Record<AttachmentKind, Readonly<Record<string, string>>>> = {
  picture: { 'image/jpeg': 'image/jpeg', 'image/png': 'image/png', 'image/webp': 'image/webp' },
  clip: { 'video/mp4': 'video/mp4', 'video/quicktime': 'video/quicktime', 'video/webm': 'video/webm' },
  voice: {
    'audio/mpeg': 'audio/mpeg',
    'audio/mp4': 'audio/mp4',
    'audio/x-m4a': 'audio/mp4',
    'video/mp4': 'audio/mp4',
    'audio/ogg': 'audio/ogg',
    'audio/wav': 'audio/wav',
    'audio/webm': 'audio/webm',
    // A container that can hold either; a spoken note is one without pictures.
    'video/webm': 'audio/webm',
  },
}

/** All that a file can be served as. */
export const MEDIA_TYPES = [...new Set(Object.values(SERVED_AS).flatMap((types) => Object.values(types)))]

const Sha256 = z.string().regex(/^[0-9a-f]{64}$/, 'This is not a SHA-256 in hexadecimal.')

/** What an attachment says of itself from the first; its file is another matter, and follows in pieces. */
const ATTACHMENT = {
  to: z.enum(ATTACHED_TO),
  /** The id of the session, answer, check or incident. */
  recordId: Id,
  kind: z.enum(ATTACHMENT_KINDS),
  bytes: z.number().int().min(1, 'The file is empty.'),
  sha256: Sha256,
  at: Instant,
  /** What is seen or heard, in a line. */
  words: words(200).trim().default(''),
  /** The yard chose it for the owner's report. */
  inReport: z.boolean().default(false),
} as const

const isSmallEnough = ({ kind, bytes }: { kind: AttachmentKind; bytes: number }): boolean =>
  bytes <= MOST_BYTES[kind]

const TOO_LARGE = {
  message:
    'This file is larger than can be kept: 8 MB of a picture, 64 MB of a clip, 16 MB of a spoken note.',
  path: ['bytes'],
}

/** An attachment as it is put: the first time with its file, later with other words, chosen or taken back. */
export const PutAttachment = z
  .object({ ...ATTACHMENT, takenBack: z.boolean().default(false) })
  .refine(isSmallEnough, TOO_LARGE)

/** Of its file: on its way, here, or refused when it was looked into. */
export const FILE_STATES = ['coming', 'here', 'refused'] as const

export const Attachment = z.object({
  ...ATTACHMENT,
  id: Id,
  /** The yard's day it was taken on. */
  day: Day,
  personId: Id,
  byName: z.string(),
  takenBack: z.boolean(),
  file: z.enum(FILE_STATES),
  /** Why its file was refused. */
  refused: z.string().nullable(),
})

/** How far a file has come; the next piece begins there. */
export const Received = z.object({ bytes: z.number().int(), isWhole: z.boolean() })

export type PutAttachment = z.infer<typeof PutAttachment>
export type Attachment = z.infer<typeof Attachment>
export type Received = z.infer<typeof Received>
