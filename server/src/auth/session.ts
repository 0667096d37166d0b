import connectPgSimple from 'connect-pg-simple'
import type { RequestHandler } from 'express'
import session, { type SessionData } from 'express-session'
import type { Pool } from '../data/pool'

declare module 'express-session' {
  interface SessionData {
    personId: string
    /** Which browser signed in; not said by programs that only use the API. */
    deviceId?: string
    /** The person's epoch at sign-in; of a later one it has ended. */
    epoch?: number
    /** When somebody signed in, and when the cookie was last renewed, in milliseconds. */
    begunAt?: number
    renewedAt?: number
    /** Who somebody is in their own yard, while they look at a made-up one. */
    own?: { personId: string; epoch: number; deviceId: string | null }
  }
}

const DAY_MS = 86_400_000
const IDLE_END_MS = 30 * DAY_MS
const END_MS = 90 * DAY_MS

/** Whether a sign-in is over, however much it is used. */
export const isOver = ({ begunAt }: Partial<SessionData>, now: number): boolean =>
  begunAt !== undefined && now - begunAt > END_MS

/** Once a day the cookie and its row are given their full time again. */
const renewed: RequestHandler = ({ session: signIn }, _reply, next) => {
  const now = Date.now()
  if (signIn.personId !== undefined && now - (signIn.renewedAt ?? 0) > DAY_MS) signIn.renewedAt = now
  next()
}

/** Signed-in browsers are kept in the database, so that any instance knows them. */
export const signInSessions = (pool: Pool, secret: string, secure: boolean): readonly RequestHandler[] => {
  const Store = connectPgSimple(session)
  return [
    session({
      name: 'still-pine',
      secret,
      resave: false,
      saveUninitialized: false,
      rolling: false,
      cookie: { httpOnly: true, sameSite: 'lax', secure, maxAge: IDLE_END_MS },
      store: new Store({ pool, tableName: 'sign_in', pruneSessionInterval: false, disableTouch: true }),
    }),
    renewed,
  ]
}
