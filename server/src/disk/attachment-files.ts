import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { mkdir, open, readFile, rename, rm, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { SERVED_AS, type PutAttachment } from '@still-pine/contract'
import { fileTypeFromBuffer, fileTypeFromFile } from 'file-type'

/** What a file must be, said before it came. */
export type Expected = Pick<PutAttachment, 'kind' | 'bytes' | 'sha256'>

/** What a file is: what it is served as, or why it is not kept. */
export type LookedInto = { readonly type: string } | { readonly refused: string }

const KIND_WORDS = { picture: 'a picture', clip: 'a clip', voice: 'a spoken note' } as const

const sizeOf = async (path: string): Promise<number | null> =>
  stat(path).then(
    ({ size }) => size,
    () => null,
  )

const sha256Of = async (path: string): Promise<string> => {
  const hash = createHash('sha256')
  await pipeline(createReadStream(path), hash)
  return hash.digest('hex')
}

/** The files of attachments, in a folder of one's own choosing: a folder a yard, a file an id. */
export class AttachmentFiles {
  constructor(private readonly folder: string) {}

  file(yardId: string, id: string): string {
    return join(this.folder, yardId, id)
  }

  thumbnail(yardId: string, id: string): string {
    return `${this.file(yardId, id)}.thumbnail`
  }

  private part(yardId: string, id: string): string {
    return `${this.file(yardId, id)}.part`
  }

  async hasFile(yardId: string, id: string): Promise<boolean> {
    return (await sizeOf(this.file(yardId, id))) !== null
  }

  async hasThumbnail(yardId: string, id: string): Promise<boolean> {
    return (await sizeOf(this.thumbnail(yardId, id))) !== null
  }

  /** How much of a file has come. */
  async received(yardId: string, id: string): Promise<number> {
    return (await sizeOf(this.part(yardId, id))) ?? 0
  }

  /** Adds bytes where those that came end; on the disk when the promise resolves. */
  async append(yardId: string, id: string, bytes: Uint8Array): Promise<void> {
    await mkdir(join(this.folder, yardId), { recursive: true, mode: 0o700 })
    const before = await this.received(yardId, id)
    const file = await open(this.part(yardId, id), 'a', 0o600)
    try {
      await file.writeFile(bytes)
      await file.datasync()
    } catch (error) {
      // Half a piece on a full disk is taken away again, so that the next one begins where this one did.
      await file.truncate(before).catch(() => undefined)
      throw error
    } finally {
      await file.close()
    }
  }

  /** Looks into a file that has come whole, and gives it its name; what it must not be is taken away. */
  async finish(yardId: string, id: string, expected: Expected): Promise<LookedInto> {
    const part = this.part(yardId, id)
    const found = await this.lookInto(part, expected)
    if ('type' in found) await rename(part, this.file(yardId, id))
    else await rm(part, { force: true })
    return found
  }

  /** Takes a whole file from elsewhere. */
  async take(yardId: string, id: string, from: { bytes: AsyncIterable<Uint8Array>; expected: Expected }) {
    await mkdir(join(this.folder, yardId), { recursive: true, mode: 0o700 })
    await pipeline(from.bytes, createWriteStream(this.part(yardId, id), { mode: 0o600 }))
    return this.finish(yardId, id, from.expected)
  }

  /** Keeps the small picture of a file; says whether it is one. */
  async saveThumbnail(yardId: string, id: string, bytes: Uint8Array): Promise<boolean> {
    if ((await fileTypeFromBuffer(bytes))?.mime !== 'image/jpeg') return false
    await mkdir(join(this.folder, yardId), { recursive: true, mode: 0o700 })
    const part = `${this.thumbnail(yardId, id)}.part`
    await writeFile(part, bytes, { mode: 0o600 })
    await rename(part, this.thumbnail(yardId, id))
    return true
  }

  /** The small picture of a file; nothing where there is none. */
  async readThumbnail(yardId: string, id: string): Promise<Buffer | null> {
    return readFile(this.thumbnail(yardId, id)).catch(() => null)
  }

  /** Takes away all that is kept under an id. */
  async remove(yardId: string, id: string): Promise<void> {
    for (const path of [this.file(yardId, id), this.thumbnail(yardId, id), this.part(yardId, id)])
      await rm(path, { force: true })
  }

  private async lookInto(path: string, { kind, bytes, sha256 }: Expected): Promise<LookedInto> {
    if ((await sizeOf(path)) !== bytes || (await sha256Of(path)) !== sha256)
      return { refused: 'What arrived is not the file that was announced. Add it anew.' }
    // By its content alone: a name and what a browser calls it prove nothing.
    const mime = (await fileTypeFromFile(path))?.mime
    const type = mime === undefined ? undefined : SERVED_AS[kind][mime]
    return type === undefined
      ? { refused: `This is not ${KIND_WORDS[kind]} that can be shown${mime ? ` (${mime})` : ''}.` }
      : { type }
  }
}
