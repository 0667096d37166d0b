import type { z } from 'zod'
import type { Action } from './rights'

/** One route of the API: what it takes, what it gives, and what right it asks for. */
export interface Route<
  P extends z.ZodType = z.ZodType,
  Q extends z.ZodType = z.ZodType,
  B extends z.ZodType = z.ZodType,
  R extends z.ZodType = z.ZodType,
> {
  readonly method: 'get' | 'put' | 'post'
  /** Under `/api/v1`, parameters as `{name}`. */
  readonly path: string
  readonly summary: string
  /** `open` needs no sign-in, `signed-in` no particular right. */
  readonly needs: Action | 'open' | 'signed-in'
  readonly params: P
  readonly query: Q
  readonly body: B
  readonly reply: R
}
