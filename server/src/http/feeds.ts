import { createHash, randomBytes } from 'node:crypto'
import { mayDo, routes } from '@still-pine/contract'
import { notFound, Refusal } from '@still-pine/use-cases'
import type { Express, Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { dropFeed, findFeed, saveFeed } from '../data/weeks'
import { personById } from '../data/people'
import { calendarOfPerson } from '../records/calendar'
import { inYardOf, nobodyIn } from '../records/in-yard'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { serve } from './serve'

const TOKEN_BYTES = 32
const CACHED_SECONDS = 300

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest()

/** One's own, or as a starter anybody's. */
const allowed = async ({ client, personId: asker, role }: Yard, personId: string): Promise<void> => {
  const person = await personById(client, personId)
  if (!person || person.standing === 'removed') throw notFound('This person')
  if (personId !== asker && !mayDo(role, 'plan-week'))
    throw new Refusal('not-allowed', 'A starter of the yard does this for others.')
}

/** Addresses by which calendars read a person's visits: made, replaced and ended. */
export const feedRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, {
    route: routes.makeFeed,
    work: async (yard, { params: { personId } }) => {
      await allowed(yard, personId)
      const token = randomBytes(TOKEN_BYTES).toString('base64url')
      await saveFeed(yard.client, yard.yardId, { personId, hash: hashOf(token), since: yard.now })
      return { token }
    },
  })

  serve(router, deps, {
    route: routes.endFeed,
    work: async (yard, { params: { personId } }) => {
      await allowed(yard, personId)
      await dropFeed(yard.client, personId)
      return { ok: true as const }
    },
  })
}

const TOKEN = /^[\w-]{43}$/
const MINUTE_MS = 60_000
const READS_A_MINUTE = 60

/** The calendars themselves: no sign-in, for who has the address; one that ended was never there. */
export const serveFeeds = (app: Express, deps: Dependencies): void => {
  const limit = rateLimit({
    windowMs: MINUTE_MS,
    limit: READS_A_MINUTE,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, _reply, next) =>
      next(new Refusal('too-many-tries', 'Too many readings of this calendar. Wait a minute.')),
  })
  app.get('/feeds/:name', limit, async (request, response) => {
    const [, token] = /^(.+)\.ics$/.exec(String(request.params.name)) ?? []
    const gone = new Refusal('not-found', 'There is no calendar at this address.')
    const found = token !== undefined && TOKEN.test(token) ? await findFeed(deps.pool, hashOf(token)) : null
    if (!found) throw gone
    const asker = await nobodyIn(deps, found.yardId)
    const calendar = await inYardOf(deps, { asker, view: 'one moment' }, (yard) =>
      calendarOfPerson(yard, found.personId),
    )
    if (calendar === null) throw gone
    const etag = `"${createHash('sha256').update(calendar).digest('base64url')}"`
    response.setHeader('Cache-Control', `private, max-age=${CACHED_SECONDS}`)
    response.setHeader('ETag', etag)
    if (request.headers['if-none-match'] === etag) return void response.status(304).end()
    response.type('text/calendar; charset=utf-8').send(calendar)
  })
}
