import { files, Id, SchoolDocument, YardDocument, type Progress } from '@still-pine/contract'
import type { Request, Response, Router } from 'express'
import { z } from 'zod'
import { bringLog } from '../records/bring-log'
import { bringYard } from '../records/bring-yard'
import { NotBrought, type Bring } from '../records/bringing'
import { writeLog, writeYard } from '../records/take-out'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { Refusal } from './refusal'
import { forSignedIn } from './serve'

/** The published shape of a yard's document. */
export const yardSchema = (): object => z.toJSONSchema(YardDocument, { io: 'input', unrepresentable: 'any' })

/** The published shape of a school's document. */
export const schoolSchema = (): object =>
  z.toJSONSchema(SchoolDocument, { io: 'input', unrepresentable: 'any' })

const beginFile = (response: Response, type: string, name: string): void => {
  response.type(type)
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`)
}

const horseAsked = ({ query }: Request): string | null => {
  const asked = z.object({ horseId: Id.optional() }).safeParse(query)
  if (!asked.success) throw new Refusal('bad-input', 'horseId: this is not an id.')
  return asked.data.horseId ?? null
}

/** Tells how far a long bringing-in has come, one JSON object a line; the last line says how it ended. */
const bringing =
  (deps: Dependencies, needs: 'bring-in', bring: Bring) =>
  async (request: Request, response: Response): Promise<void> => {
    const tell = (progress: Progress): void => void response.write(`${JSON.stringify(progress)}\n`)
    // The stream must outlive a refusal, or the answer could not be sent.
    const body = request.iterator({ destroyOnReturn: false }) as AsyncIterable<Uint8Array>
    let end: Progress | null = null
    try {
      await forSignedIn(deps, request, needs, 'as it goes', async (yard) => {
        response.type('application/x-ndjson')
        // What is told as done is told only when it is kept for good.
        await bring(yard, deps.replays, body, (progress) => {
          if (progress.step === 'done') end = progress
          else tell(progress)
        })
      })
    } catch (error) {
      if (!(error instanceof NotBrought)) {
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

/** Files that go out and come in whole; streamed both ways. */
export const fileRoutes = (router: Router, deps: Dependencies): void => {
  const schemas = { yard: yardSchema(), school: schoolSchema() }
  router.get('/formats/yard.schema.json', (_request, response) => void response.json(schemas.yard))
  router.get('/formats/school.schema.json', (_request, response) => void response.json(schemas.school))

  router.get(files.answersOut.path, async (request, response) => {
    const horseId = horseAsked(request)
    await forSignedIn(deps, request, files.answersOut.needs, 'one moment', async (yard) => {
      const horse = horseId === null ? null : await horseOrRefuse(yard, horseId)
      beginFile(response, files.answersOut.type, 'answers.csv')
      await writeLog(yard, horse?.id ?? null, response)
    })
    response.end()
  })

  router.get(files.yardOut.path, async (request, response) => {
    await forSignedIn(deps, request, files.yardOut.needs, 'one moment', async (yard) => {
      beginFile(response, files.yardOut.type, 'yard.json')
      await writeYard(yard, response)
    })
    response.end()
  })

  router.post(files.yardIn.path, bringing(deps, files.yardIn.needs, bringYard))
  router.post(files.answersIn.path, bringing(deps, files.answersIn.needs, bringLog))
}
