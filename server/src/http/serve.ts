import { mayDo, type Route } from '@still-pine/contract'
import type { Request, Response, Router } from 'express'
import type { z } from 'zod'
import { inYard, type View } from '../data/pool'
import { findYardOfSignIn } from '../data/devices'
import { personById, yardNow } from '../data/people'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { Refusal } from './refusal'

/** The parsed parts of a request. */
export interface Parsed<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType> {
  readonly params: z.output<P>
  readonly query: z.output<Q>
  readonly body: z.output<B>
}

const parsed = <S extends z.ZodType>(schema: S, value: unknown, part: string): z.output<S> => {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  const fields = result.error.issues.map(({ path, message }) => ({
    path: [...(part === 'body' ? [] : [part]), ...path].map(String).join('.'),
    message,
  }))
  const [first] = fields
  throw new Refusal(
    'bad-input',
    first ? `${first.path || 'The request'}: ${first.message}` : 'This cannot be read.',
    {
      fields,
    },
  )
}

const expressPath = (path: string): string => path.replace(/\{(\w+)\}/g, ':$1')

const parse = <P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType>(
  route: Route<P, Q, B>,
  request: Request,
): Parsed<P, Q, B> => ({
  params: parsed(route.params, request.params, 'params'),
  query: parsed(route.query, request.query, 'query'),
  body: parsed(route.body, request.body ?? {}, 'body'),
})

const reply = (deps: Dependencies, route: Route, response: Response, value: unknown): void => {
  // Tests hold every reply against its schema; a running server trusts its own types.
  response.json(deps.checkReplies ? route.reply.parse(value) : value)
}

/** Registers a route that needs no sign-in. */
export const serveOpen = <P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  router: Router,
  deps: Dependencies,
  route: Route<P, Q, B, R>,
  work: (input: Parsed<P, Q, B>, request: Request) => Promise<z.input<R>>,
): void => {
  router[route.method](expressPath(route.path), async (request, response) => {
    reply(deps, route, response, await work(parse(route, request), request))
  })
}

export const CUT_OFF =
  'This device was cut off from the yard. What was logged on it still waits here; a starter can let it back.'

const SIGNED_OUT = 'Your sign-in has ended. Sign in again; nothing you logged is lost.'

/** Runs `work` for whoever asks, if they may: in one transaction that sees their yard alone. */
export const forSignedIn = async <T>(
  deps: Dependencies,
  request: Request,
  needs: Route['needs'],
  view: View,
  work: (yard: Yard) => Promise<T>,
): Promise<T> => {
  const { personId, deviceId = null } = request.session
  if (personId === undefined) throw new Refusal('signed-out', SIGNED_OUT)
  const { yardId, cutOff } = await findYardOfSignIn(deps.pool, personId, deviceId)
  if (cutOff) throw new Refusal('cut-off', CUT_OFF)
  if (yardId === null) throw new Refusal('signed-out', SIGNED_OUT)
  return inYard(deps.pool, { yardId, personId }, view, async (client) => {
    const person = (await personById(client, personId))!
    if (needs !== 'open' && needs !== 'signed-in' && !mayDo(person.role, needs))
      throw new Refusal('not-allowed', `A person in the part of ${person.role} may not do this.`)
    const { timeZone } = (await yardNow(client))!
    return work({ client, yardId, personId, deviceId, role: person.role, timeZone, now: deps.now() })
  })
}

/** Registers a route for signed-in people: one transaction that sees their yard alone. */
export const serve = <P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  router: Router,
  deps: Dependencies,
  route: Route<P, Q, B, R>,
  work: (yard: Yard, input: Parsed<P, Q, B>) => Promise<z.input<R>>,
): void => {
  router[route.method](expressPath(route.path), async (request, response) => {
    const value = await forSignedIn(deps, request, route.needs, 'as it goes', (yard) =>
      work(yard, parse(route, request)),
    )
    reply(deps, route, response, value)
  })
}
