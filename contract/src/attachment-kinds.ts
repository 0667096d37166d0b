// What a device needs to know of attachments without loading their schemas.

/** A picture, a clip, or a few spoken words. */
export const ATTACHMENT_KINDS = ['picture', 'clip', 'voice'] as const
export type AttachmentKind = (typeof ATTACHMENT_KINDS)[number]

/** What of a horse's record it can belong to. */
export const ATTACHED_TO = ['session', 'answer', 'check', 'incident'] as const
export type AttachedTo = (typeof ATTACHED_TO)[number]

const MEGABYTE = 1 << 20

/** The most bytes of each: a picture is made smaller before it is kept, a clip is about a minute, a spoken note about ten. */
export const MOST_BYTES: Readonly<Record<AttachmentKind, number>> = {
  picture: 8 * MEGABYTE,
  clip: 64 * MEGABYTE,
  voice: 16 * MEGABYTE,
}

/** Bytes sent at once, and of the small picture that stands for the whole in a list. */
export const PIECE_BYTES = 256 * 1024
export const THUMBNAIL_BYTES = 128 * 1024
