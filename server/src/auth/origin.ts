import type { RequestHandler } from 'express'
import { Refusal } from '@still-pine/use-cases'

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS'])

const hostOf = (origin: string): string | null => (URL.canParse(origin) ? new URL(origin).host : null)

/** Writes come from our own pages only: a browser always says where a write comes from. */
export const sameOrigin: RequestHandler = (request, _reply, next) => {
  const { origin } = request.headers
  if (SAFE.has(request.method) || origin === undefined || hostOf(origin) === request.headers.host)
    return next()
  next(new Refusal('other-origin', 'This came from another page. Open Still Pine itself and try again.'))
}
