import { mayDo, type Route } from '@still-pine/contract'
import type { Request, Response, Router } from 'express'
import type { z } from 'zod'
import { isOver } from '../auth/session'
import { deviceSeen, findSignIn } from '../data/devices'
import type { View } from '../data/pool'
import { inYardOf, savesOf, type Asker } from '../records/in-yard'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { Refusal } from '@still-pine/use-cases'

/** The parsed parts of a request. */
interface Parsed<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType> {
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

const reply = (
  deps: Dependencies,
  route: Route,
  { response, value }: { response: Response; value: unknown },
): void => {
  // Tests hold every reply against its schema; a running server trusts its own types.
  response.json(deps.checkReplies ? route.reply.parse(value) : value)
}

/** Registers a route that needs no sign-in. */
export const serveOpen = <P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  router: Router,
  deps: Dependencies,
  {
    route,
    work,
  }: { route: Route<P, Q, B, R>; work: (input: Parsed<P, Q, B>, request: Request) => Promise<z.input<R>> },
): void => {
  router[route.method](expressPath(route.path), async (request, response) => {
    reply(deps, route, { response, value: await work(parse(route, request), request) })
  })
}

export const CUT_OFF =
  'This device was cut off from the yard. What was logged on it still waits here; a starter can let it back.'

const SIGNED_OUT = 'Your sign-in has ended. Sign in again; nothing you logged is lost.'

export const askerOf = async (
  { pool, now }: Dependencies,
  { session }: Request,
  needs: Route['needs'],
): Promise<Asker> => {
  const { personId, deviceId = null, epoch = 0 } = session
  if (personId === undefined || isOver(session, now().getTime())) throw new Refusal('signed-out', SIGNED_OUT)
  const found = await findSignIn(pool, personId, deviceId)
  if (found?.cutOff) throw new Refusal('cut-off', CUT_OFF)
  if (found?.epoch !== epoch) throw new Refusal('signed-out', SIGNED_OUT)
  const { yardId, role, timeZone } = found
  if (needs !== 'open' && needs !== 'signed-in' && !mayDo(role, needs))
    throw new Refusal('not-allowed', `Somebody whose role is ${role} may not do this.`)
  return { yardId, personId, deviceId, role, timeZone }
}

/** A device is said to be seen once a minute at most. */
const SEEN_EVERY_MS = 60_000
const MOST_SEEN = 10_000
const seenAt = new Map<string, number>()

const isSeenAnew = ({ personId, deviceId }: Asker, now: Date): boolean => {
  const key = `${personId}/${deviceId}`
  if (Math.abs(now.getTime() - (seenAt.get(key) ?? 0)) < SEEN_EVERY_MS) return false
  // The one that was seen longest ago goes first.
  seenAt.delete(key)
  seenAt.set(key, now.getTime())
  const [oldest] = seenAt.keys()
  if (seenAt.size > MOST_SEEN) seenAt.delete(oldest!)
  return true
}

/** Runs `work` for an asker, and says now and then that their device was seen. */
export const inYardSeen = async <T>(
  deps: Dependencies,
  { asker, view }: { asker: Asker; view: View },
  work: (yard: Yard) => Promise<T>,
): Promise<T> => {
  const { now } = deps
  const value = await inYardOf(deps, { asker, view }, work)
  const { deviceId, personId } = asker
  if (deviceId !== null && isSeenAnew(asker, now()))
    savesOf(deps).add(asker, [(later) => deviceSeen(later, personId, { deviceId, at: now() })])
  return value
}

/** Registers a route whose work needs something that takes long and no database, done before a connection is taken. */
export const servePrepared = <
  P extends z.ZodType,
  Q extends z.ZodType,
  B extends z.ZodType,
  R extends z.ZodType,
  Ready,
>(
  router: Router,
  deps: Dependencies,
  {
    route,
    prepared: { prepare, work },
  }: { route: Route<P, Q, B, R>; prepared: Prepared<Parsed<P, Q, B>, Ready, z.input<R>> },
): void => {
  // What is read is read at one moment, locks nothing and writes nothing.
  const view = route.method === 'get' ? 'one moment' : 'as it goes'
  router[route.method](expressPath(route.path), async (request, response) => {
    const asker = await askerOf(deps, request, route.needs)
    const input = parse(route, request)
    const ready = await prepare(input)
    reply(deps, route, {
      response,
      value: await inYardSeen(deps, { asker, view }, (yard) => work(yard, input, ready)),
    })
  })
}

interface Prepared<Input, Ready, Reply> {
  readonly prepare: (input: Input) => Promise<Ready>
  readonly work: (yard: Yard, input: Input, ready: Ready) => Promise<Reply>
}

/** Registers a route for signed-in people: one transaction that sees their yard alone. */
export const serve = <P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  router: Router,
  deps: Dependencies,
  {
    route,
    work,
  }: { route: Route<P, Q, B, R>; work: (yard: Yard, input: Parsed<P, Q, B>) => Promise<z.input<R>> },
): void => servePrepared(router, deps, { route, prepared: { prepare: async () => undefined, work } })
