import { once } from 'node:events'
import { PassThrough, type Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { promisify } from 'node:util'
import { crc32 } from 'node:zlib'
import { THUMBNAIL_BYTES } from '@still-pine/contract'
import { open, type Entry, type Options, type ZipFile } from 'yauzl'
import { ZipFile as ZipWriter } from 'yazl'
import { filesHere } from '../data/attachments'
import type { AttachmentFiles, Expected } from '../disk/attachment-files'
import { NotImported } from './importing'
import { writeYard, type Outlet } from './take-out'
import type { Yard } from './yard'

/** What the ZIP of a yard holds: its document first, then the files it speaks of, each under its id. */
const DOCUMENT = 'yard.json'
const fileName = (id: string): string => `files/${id}`
const thumbnailName = (id: string): string => `thumbnails/${id}.jpg`

/** Pictures and clips are packed already. */
const AS_IT_IS = { compress: false } as const

/**
 * Writes the document while the yard is held at one moment; gives what is still to be done then, in its own time: a file
 * never changes under its id, so nothing needs to be held for it.
 */
export const writeYardZip = async (
  yard: Yard,
  files: AttachmentFiles,
  { out, gone }: Outlet,
): Promise<() => Promise<void>> => {
  const zip = new ZipWriter()
  const document = new PassThrough()
  zip.addReadStream(document, DOCUMENT)
  const sending = pipeline(zip.outputStream, out, { signal: gone, end: false })
  sending.catch((error: unknown) => document.destroy(error as Error))
  await writeYard(yard, { out: document, gone })
  document.end()
  const here = await filesHere(yard.client)
  return async () => {
    for (const { id } of here) {
      if (await files.hasFile(yard.yardId, id))
        zip.addFile(files.file(yard.yardId, id), fileName(id), AS_IT_IS)
      if (await files.hasThumbnail(yard.yardId, id))
        zip.addFile(files.thumbnail(yard.yardId, id), thumbnailName(id), AS_IT_IS)
    }
    zip.end()
    await sending
  }
}

/** A ZIP begins with a local file header, or is empty (APPNOTE.TXT 6.3.10, 4.3.7 and 4.3.16). */
const LOCAL_HEADER = Buffer.from('PK\x03\x04', 'latin1')

export const isZip = (start: Uint8Array): boolean => LOCAL_HEADER.equals(start.subarray(0, 4))

const MOST_ENTRIES = 1_000_000

const openZip = promisify<string, Options, ZipFile>(open)

const broken = (reason: string): NotImported => new NotImported('This ZIP cannot be read.', [reason])

/** The bytes of an entry; what unpacking says of damaged ones is told as what it is. */
const readable = async function* (stream: Readable): AsyncGenerator<Buffer> {
  try {
    for await (const chunk of stream) yield chunk as Buffer
  } catch (error) {
    throw broken((error as Error).message)
  }
}

/** The ZIP of a yard, opened for reading. */
export class YardZip {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /** @throws NotImported where it is not a ZIP that can be read. */
  static async open(path: string): Promise<YardZip> {
    const zip = await openZip(path, { lazyEntries: true, autoClose: false }).catch((error: unknown) => {
      throw broken((error as Error).message)
    })
    if (zip.entryCount > MOST_ENTRIES) throw broken(`It holds more than ${MOST_ENTRIES} files.`)
    const entries = new Map<string, Entry>()
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry)
      zip.readEntry()
    })
    const ended = once(zip, 'end')
    zip.readEntry()
    await ended.catch((error: unknown) => {
      zip.close()
      throw broken((error as Error).message)
    })
    return new YardZip(zip, entries)
  }

  /** The document, with its checksum looked at as it ends. */
  async *document(): AsyncGenerator<Buffer> {
    const entry = this.entries.get(DOCUMENT)
    if (!entry) throw broken(`It holds no ${DOCUMENT}.`)
    let sum = 0
    for await (const chunk of readable(await this.stream(entry))) {
      sum = crc32(chunk, sum)
      yield chunk
    }
    if (sum !== entry.crc32) throw broken(`${DOCUMENT} is damaged.`)
  }

  /** Keeps the file of an attachment, and its small picture; says whether it was there, and was what it must be. */
  async keep(
    files: AttachmentFiles,
    yardId: string,
    { id, ...expected }: Expected & { id: string },
  ): Promise<{ readonly type: string } | null> {
    const entry = this.entries.get(fileName(id))
    if (entry?.uncompressedSize !== expected.bytes) return null
    const found = await files.take(yardId, id, { bytes: readable(await this.stream(entry)), expected })
    if (!('type' in found)) return null
    const small = this.entries.get(thumbnailName(id))
    if (small && small.uncompressedSize <= THUMBNAIL_BYTES) {
      const chunks: Buffer[] = []
      for await (const chunk of readable(await this.stream(small))) chunks.push(chunk)
      await files.saveThumbnail(yardId, id, Buffer.concat(chunks))
    }
    return found
  }

  close(): void {
    this.zip.close()
  }

  private stream(entry: Entry): Promise<Readable> {
    return new Promise((resolve, reject) => {
      this.zip.openReadStream(entry, (error, stream) => {
        if (error) reject(broken(error.message))
        else resolve(stream)
      })
    })
  }
}
