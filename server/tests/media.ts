import { createHash } from 'node:crypto'
import { crc32, deflateSync } from 'node:zlib'
import { v7 as uuid } from 'uuid'
import type { AttachmentKind } from '@still-pine/contract'

const chunk = (name: string, data: Uint8Array): Buffer => {
  const body = Buffer.concat([Buffer.from(name, 'latin1'), data])
  const head = Buffer.alloc(4)
  head.writeUInt32BE(data.length)
  const sum = Buffer.alloc(4)
  sum.writeUInt32BE(crc32(body))
  return Buffer.concat([head, body, sum])
}

/** A square picture in the simplest form of PNG (ISO/IEC 15948): grey, eight bits, nothing interlaced. */
export const png = (size: number, noise = 0): Buffer => {
  const header = Buffer.alloc(13)
  header.writeUInt32BE(size, 0)
  header.writeUInt32BE(size, 4)
  header.set([8, 0, 0, 0, 0], 8)
  const lines = Buffer.alloc((size + 1) * size)
  let state = noise
  // A congruential generator, so that it does not pack: the one of ISO C's own example of rand().
  if (noise > 0)
    for (let i = 0; i < lines.length; i++) {
      state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7fffffff
      lines[i] = i % (size + 1) === 0 ? 0 : state >> 16
    }
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(lines)),
    chunk('IEND', Buffer.alloc(0)),
  ])
}

/** A grey JPEG of one pixel. */
export const JPEG = Buffer.from(
  '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////' +
    '////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA=',
  'base64',
)

/** The beginning of a WebM: an EBML header that says so (RFC 8794), and nothing after it. */
export const WEBM = Buffer.concat([
  Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282847765626d42878104428581', 'hex'),
  Buffer.from('02', 'hex'),
])

export const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

export const attachItem = (
  horseId: string,
  {
    bytes,
    kind = 'picture',
    to = 'session',
    recordId,
    change = {},
    id = uuid(),
  }: {
    bytes: Uint8Array
    recordId: string
    kind?: AttachmentKind
    to?: 'session' | 'answer' | 'check' | 'incident'
    change?: object
    id?: string
  },
) => ({
  do: 'attach' as const,
  id,
  horseId,
  attachment: {
    to,
    recordId,
    kind,
    bytes: bytes.length,
    sha256: sha256(bytes),
    at: '2026-05-14T08:00:00.000Z',
    words: '',
    inReport: false,
    takenBack: false,
    ...change,
  },
})
