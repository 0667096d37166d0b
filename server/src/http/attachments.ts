import { files, Id, PIECE_BYTES, SERVED_AS, THUMBNAIL_BYTES, type Received } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { notFound, Refusal } from '@still-pine/use-cases'
import { raw, type Request, type RequestHandler, type Response, type Router } from 'express'
import { z } from 'zod'
import {
  expectedFile,
  fileCame,
  fileRefused,
  holdExpectedFile,
  isChosenFor,
  type ExpectedFile,
} from '../data/attachments'
import type { Dependencies } from './dependencies'
import { askerOf, inYardSeen } from './serve'

const OCTETS = { type: () => true, limit: PIECE_BYTES }
const NOT_HERE = 'This picture, clip or spoken note'

const pathOf = ({ path }: { path: string }): string => path.replace(/\{(\w+)\}/g, ':$1')

const idIn = ({ params }: Request): string => {
  const id = Id.safeParse(params.attachmentId)
  if (!id.success) throw notFound(NOT_HERE)
  return id.data
}

const FromByte = z.coerce.number().int().min(0).max(Number.MAX_SAFE_INTEGER)

const bytesIn = ({ body }: Request): Uint8Array => {
  if (!Buffer.isBuffer(body) || body.length === 0)
    throw new Refusal('bad-input', 'Nothing came with this request.')
  return body
}

const whole = ({ bytes }: ExpectedFile): Received => ({ bytes, isWhole: true })

/**
 * Takes one piece. What was sent before is known already, and a piece that lies ahead is not taken: the reply says where
 * to go on, so that a sender that was cut off, or sends twice, needs to know nothing.
 */
const takePiece = async (
  deps: Dependencies,
  request: Request,
): Promise<Received | { readonly refused: string }> => {
  const asker = await askerOf(deps, request, files.attachmentPiece.needs)
  const id = idIn(request)
  const from = FromByte.safeParse(request.params.from)
  if (!from.success) throw new Refusal('bad-input', 'Where this piece begins cannot be read.')
  const piece = bytesIn(request)
  const { yardId } = asker
  return inYardSeen(deps, { asker, view: 'as it goes' }, async ({ client }) => {
    const expected = await holdExpectedFile(client, id)
    if (!expected) throw notFound(NOT_HERE)
    if (expected.type !== null) return whole(expected)
    const before = await deps.attachments.received(yardId, id)
    if (from.data === before) {
      if (before + piece.length > expected.bytes)
        throw new Refusal('bad-input', 'This is more than was announced. Add the file anew.')
      await deps.attachments.append(yardId, id, piece)
    }
    const received = await deps.attachments.received(yardId, id)
    if (received < expected.bytes) return { bytes: received, isWhole: false }
    const found = await deps.attachments.finish(yardId, id, expected)
    if ('type' in found) {
      await fileCame(client, id, found.type)
      return whole(expected)
    }
    await fileRefused(client, id, found.refused)
    return found
  })
}

const takeThumbnail =
  (deps: Dependencies): RequestHandler =>
  async (request, response) => {
    const asker = await askerOf(deps, request, files.attachmentThumbnailIn.needs)
    const id = idIn(request)
    const bytes = bytesIn(request)
    const expected = await inYardSeen(deps, { asker, view: 'one moment' }, ({ client }) =>
      expectedFile(client, id),
    )
    if (!expected) throw notFound(NOT_HERE)
    if (!(await deps.attachments.saveThumbnail(asker.yardId, id, bytes)))
      throw new Refusal('bad-input', 'A small picture must be a JPEG.')
    response.json({})
  }

/** Whatever it is, a browser shows it as what it was found to be, runs nothing in it and takes nothing from it elsewhere. */
const HARMLESS = {
  'X-Content-Type-Options': 'nosniff',
  'Content-Security-Policy': "default-src 'none'; sandbox",
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Cache-Control': 'private, max-age=31536000, immutable',
} as const

const sendFile = async (response: Response, path: string, type: string): Promise<void> => {
  response.set({ ...HARMLESS, 'Content-Type': type })
  await new Promise<void>((resolve, reject) => {
    response.sendFile(path, { dotfiles: 'allow', cacheControl: false, etag: false }, (error?: Error) => {
      // Somebody who has seen enough of a clip goes away; that is no fault.
      if (!error || response.headersSent) resolve()
      else reject(notFound(NOT_HERE))
    })
  })
}

const EXTENSIONS: Readonly<Record<string, string>> = { 'audio/mp4': 'm4a', 'video/quicktime': 'mov' }

const nameFor = (id: string, type: string): string =>
  `${id}.${EXTENSIONS[type] ?? type.slice(type.indexOf('/') + 1)}`

const giveFile =
  (deps: Dependencies, which: 'file' | 'thumbnail'): RequestHandler =>
  async (request, response) => {
    const asker = await askerOf(
      deps,
      request,
      files[which === 'file' ? 'attachmentFile' : 'attachmentThumbnail'].needs,
    )
    const id = idIn(request)
    const found = await inYardSeen(deps, { asker, view: 'one moment' }, async ({ client }) => {
      // An owner sees of their own horses what was chosen for the report, small.
      const may = mayDo(asker.role, 'read-yard') || (await isChosenFor(client, asker.personId, id))
      return may ? expectedFile(client, id) : undefined
    })
    if (!found || (which === 'file' && found.type === null)) throw notFound(NOT_HERE)
    if (which === 'thumbnail')
      return sendFile(response, deps.attachments.thumbnail(asker.yardId, id), 'image/jpeg')
    const served = Object.values(SERVED_AS[found.kind]).includes(found.type!) ? found.type! : null
    if (served === null) throw notFound(NOT_HERE)
    response.setHeader('Content-Disposition', `inline; filename="${nameFor(id, served)}"`)
    await sendFile(response, deps.attachments.file(asker.yardId, id), served)
  }

/** The files of pictures, clips and spoken notes: in by pieces, out whole or by ranges. */
export const attachmentRoutes = (router: Router, deps: Dependencies): void => {
  router.put(pathOf(files.attachmentPiece), raw(OCTETS), async (request, response) => {
    const received = await takePiece(deps, request)
    if ('refused' in received) throw new Refusal('not-kept', received.refused)
    response.json(received)
  })
  router.put(
    pathOf(files.attachmentThumbnailIn),
    raw({ ...OCTETS, limit: THUMBNAIL_BYTES }),
    takeThumbnail(deps),
  )
  router.get(pathOf(files.attachmentThumbnail), giveFile(deps, 'thumbnail'))
  router.get(pathOf(files.attachmentFile), giveFile(deps, 'file'))
}
