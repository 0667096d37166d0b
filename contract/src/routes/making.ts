import { z } from 'zod'
import { Id } from '../primitives'
import type { Route } from '../route'

const none = z.object({})

/** What is replied where nothing is to be told. */
export const nothing = z.object({ ok: z.literal(true) })

/** The parameters of whatever belongs to a horse. */
export const horse = z.object({ horseId: Id })

type Method = Route['method']

type Parts<
  M extends Method,
  P extends z.ZodType,
  Q extends z.ZodType,
  B extends z.ZodType,
  R extends z.ZodType,
> = Pick<Route<P, Q, B, R>, 'path' | 'summary' | 'needs' | 'reply'> & { readonly method: M } & Partial<
    Pick<Route<P, Q, B, R>, 'params' | 'query' | 'body'>
  >

/**
 * A route of which only what differs is said. The cast: that a part left out is the empty one, which its type parameter
 * falls back to, is more than the compiler follows.
 */
export const route = <
  M extends Method,
  R extends z.ZodType,
  P extends z.ZodType = typeof none,
  Q extends z.ZodType = typeof none,
  B extends z.ZodType = typeof none,
>(
  parts: Parts<M, P, Q, B, R>,
): Route<P, Q, B, R> & { readonly method: M } =>
  ({ params: none, query: none, body: none, ...parts }) as unknown as Route<P, Q, B, R> & {
    readonly method: M
  }
