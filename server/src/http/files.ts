import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import {
  files,
  Passport,
  SchoolDocument,
  YardDocument,
  type StreamedRoute,
  type Progress,
} from '@still-pine/contract'
import type { Request, Response, Router } from 'express'
import pLimit, { type LimitFunction } from 'p-limit'
import { z } from 'zod'
import { importLog } from '../records/import-log'
import { importYard } from '../records/import-yard'
import { NotImported, type Bring } from '../records/importing'
import { writeLog, writeYard, type Outlet } from '../records/take-out'
import { writeYardZip } from '../records/yard-zip'
import { takeTime } from '../data/pool'
import { readOf } from '../parts'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { Refusal } from '@still-pine/use-cases'
import { horseAsked } from './horse-asked'
import { askerOf, inYardSeen } from './serve'

/** The published shape of a yard's document. */
export const yardSchema = (): object => z.toJSONSchema(YardDocument, { io: 'input', unrepresentable: 'any' })

/** The published shape of a school's document. */
export const schoolSchema = (): object =>
  z.toJSONSchema(SchoolDocument, { io: 'input', unrepresentable: 'any' })

/** The published shape of a horse's passport. */
export const passportSchema = (): object => z.toJSONSchema(Passport, { io: 'input', unrepresentable: 'any' })

/** Files that are read or written at the same moment, each of which holds a connection to the database; others wait. */
const MOST_AT_ONCE = 4

/** A yard with its pictures and clips is large; what else comes is text. */
const LARGEST_GIGABYTES = 16
const GIGABYTE = 2 ** 30

/** What is sent lies on the disk before anything is done with it, so that nobody waits for a slow sender. */
const spooled = async <T>(request: Request, work: (file: string) => Promise<T>): Promise<T> => {
  const folder = await mkdtemp(join(tmpdir(), 'still-pine-'))
  try {
    const file = join(folder, 'file')
    let bytes = 0
    const counted = async function* (chunks: AsyncIterable<Buffer>): AsyncGenerator<Buffer> {
      for await (const chunk of chunks) {
        bytes += chunk.length
        if (bytes > LARGEST_GIGABYTES * GIGABYTE)
          throw new Refusal(
            'too-large',
            `This file is larger than ${LARGEST_GIGABYTES} GB. Nothing was brought in.`,
          )
        yield chunk
      }
    }
    // The stream must outlive a refusal, or the answer could not be sent.
    await pipeline(request.iterator({ destroyOnReturn: false }), counted, createWriteStream(file))
    return await work(file)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

interface Streaming {
  readonly deps: Dependencies
  readonly inTurn: LimitFunction
}

/** Tells how far a long bringing-in has come, one JSON object a line; the last line says how it ended. */
const bringing =
  ({ deps, inTurn }: Streaming, needs: 'bring-in', bring: Bring) =>
  async (request: Request, response: Response): Promise<void> => {
    const tell = (progress: Progress): void => void response.write(`${JSON.stringify(progress)}\n`)
    let end: Progress | null = null
    try {
      const asker = await askerOf(deps, request, needs)
      await spooled(request, (file) =>
        inTurn(() =>
          inYardSeen(deps, { asker, view: 'as it goes' }, async (yard) => {
            await takeTime(yard.client)
            response.type('application/x-ndjson')
            // What is told as done is told only when it is kept for good.
            await bring(yard, file, (progress) => {
              if (progress.step === 'done') end = progress
              else tell(progress)
            })
          }),
        ),
      )
    } catch (error) {
      if (!(error instanceof NotImported)) {
        request.resume()
        if (!response.headersSent) throw error
        deps.logger.error({ requestId: response.locals.requestId as string, err: error }, 'bringing in')
        end = { step: 'problem', title: 'Something went wrong here. Nothing was brought in.', reasons: [] }
      } else end = { step: 'problem', title: error.title, reasons: error.reasons }
    }
    // The rest of a refused file is read and let go, so that the answer arrives.
    request.resume()
    if (end) tell(end)
    response.end()
  }

/** Writes a file as it is read, for as long as somebody takes it. */
const takingOut =
  (
    { deps, inTurn }: Streaming,
    { needs, type, path }: StreamedRoute,
    write: (yard: Yard, request: Request, begin: () => Outlet) => Promise<void | (() => Promise<void>)>,
  ) =>
  async (request: Request, response: Response): Promise<void> => {
    const gone = new AbortController()
    response.on('close', () => gone.abort())
    const begin = (): Outlet => {
      response.type(type)
      response.setHeader('Content-Disposition', `attachment; filename="${basename(path)}"`)
      return { out: response, gone: gone.signal }
    }
    const asker = await askerOf(deps, request, needs)
    try {
      await inTurn(async () => {
        const rest = await inYardSeen(deps, { asker, view: 'one moment' }, async (yard) => {
          gone.signal.throwIfAborted()
          await takeTime(yard.client)
          return write(yard, request, begin)
        })
        // What needs nothing of the database holds none of its connections.
        await rest?.()
      })
      response.end()
    } catch (error) {
      // A file that ends early must not look whole.
      if (!response.headersSent) throw error
      response.destroy()
    }
  }

/** Files that go out and come in whole; streamed both ways. */
export const fileRoutes = (router: Router, deps: Dependencies): void => {
  const schemas = { yard: yardSchema(), school: schoolSchema(), passport: passportSchema() }
  router.get('/formats/yard.schema.json', (_request, response) => void response.json(schemas.yard))
  router.get('/formats/school.schema.json', (_request, response) => void response.json(schemas.school))
  router.get('/formats/passport.schema.json', (_request, response) => void response.json(schemas.passport))

  const streaming = { deps, inTurn: pLimit(MOST_AT_ONCE) }
  router.get(
    files.answersOut.path,
    takingOut(streaming, files.answersOut, async (yard, request, begin) => {
      const horseId = horseAsked(request)
      if (horseId !== null) await readOf(yard, { horseId })('horse')
      await writeLog(yard, horseId, begin())
    }),
  )
  router.get(
    files.yardOut.path,
    takingOut(streaming, files.yardOut, (yard, _request, begin) => writeYard(yard, begin())),
  )
  router.get(
    files.yardZipOut.path,
    takingOut(streaming, files.yardZipOut, (yard, _request, begin) =>
      writeYardZip(yard, deps.attachments, begin()),
    ),
  )
  router.post(files.yardIn.path, bringing(streaming, files.yardIn.needs, importYard(deps.attachments)))
  router.post(files.answersIn.path, bringing(streaming, files.answersIn.needs, importLog))
}
