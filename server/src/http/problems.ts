import type { Problem } from '@still-pine/contract'
import type { ErrorRequestHandler, Response } from 'express'
import type { Logger } from 'pino'
import { Refusal } from '@still-pine/use-cases'
import { statusOf } from './refusal'

/** Classes and codes PostgreSQL and the network use when the database is away or going (PostgreSQL, appendix A). */
const AWAY_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  '57P01',
  '57P02',
  '57P03',
  '53300',
])
const AWAY_WORDS =
  /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/

/** The disk is full: of the files' folder, or the database's own. */
const NO_ROOM = new Set(['ENOSPC', 'EDQUOT', '53100'])

const isDatabaseAway = (error: { code?: unknown; message?: unknown }): boolean => {
  const code = typeof error.code === 'string' ? error.code : ''
  return AWAY_CODES.has(code) || code.startsWith('08') || AWAY_WORDS.test(String(error.message))
}

interface BodyError {
  readonly type?: string
}

const asRefusal = (error: unknown): Refusal | null => {
  if (error instanceof Refusal) return error
  const { type } = (error ?? {}) as BodyError
  if (type === 'entity.too.large')
    return new Refusal('too-large', 'This is too much at once. Send it in smaller parts; nothing was kept.')
  if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || type === 'charset.unsupported')
    return new Refusal('broken-json', 'This is not JSON that can be read. Nothing was kept.')
  if (error instanceof URIError) return new Refusal('bad-input', 'This address cannot be read.')
  const { status } = (error ?? {}) as { status?: unknown }
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Refusal('bad-input', 'This request cannot be read as it was sent. Nothing was changed.', {
      status,
    })
  // Writing to a row that row-level security hides: somebody else's id.
  if ((error as { code?: unknown } | null)?.code === '42501')
    return new Refusal('not-found', 'This is not in your yard.')
  if (NO_ROOM.has(String((error as { code?: unknown } | null)?.code)))
    return new Refusal(
      'no-room',
      'The yard’s computer has no room left. What you sent waits on your device; free some room there.',
    )
  if (isDatabaseAway((error ?? {}) as { code?: unknown }))
    return new Refusal(
      'database-away',
      'The database is away for the moment. Nothing was lost; try again shortly.',
    )
  return null
}

const send = (reply: Response, refusal: Refusal): void => {
  const status = statusOf(refusal)
  const body: Problem = {
    type: refusal.type,
    status,
    title: refusal.title,
    ...(refusal.extras.fields ? { fields: [...refusal.extras.fields] } : {}),
    ...(refusal.extras.currentVersion === undefined ? {} : { currentVersion: refusal.extras.currentVersion }),
    requestId: String(reply.locals.requestId ?? ''),
  }
  if (status === 503) reply.setHeader('Retry-After', '2')
  reply.status(status).type('application/problem+json').send(JSON.stringify(body))
}

/** Turns whatever went wrong into problem details; what nobody foresaw is logged with its request id. */
export const problems =
  (logger: Logger): ErrorRequestHandler =>
  (error, _request, reply, next) => {
    if (reply.headersSent) return next(error)
    const known = asRefusal(error)
    if (!known) logger.error({ requestId: reply.locals.requestId, err: error }, 'unexpected')
    send(
      reply,
      known ?? new Refusal('unexpected', 'Something went wrong here. It was noted; please try again.'),
    )
  }
