import connectPgSimple from 'connect-pg-simple'
import type { RequestHandler } from 'express'
import session from 'express-session'
import type { Pool } from '../data/pool'

declare module 'express-session' {
  interface SessionData {
    personId: string
    /** Which browser signed in; not said by programs that only use the API. */
    deviceId?: string
  }
}

const THIRTY_DAYS_MS = 30 * 86_400_000

/** Signed-in browsers are kept in the database, so that any instance knows them. */
export const signInSessions = (pool: Pool, secret: string, secure: boolean): RequestHandler => {
  const Store = connectPgSimple(session)
  return session({
    name: 'still-pine',
    secret,
    resave: false,
    saveUninitialized: false,
    rolling: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure, maxAge: THIRTY_DAYS_MS },
    store: new Store({ pool, tableName: 'sign_in', pruneSessionInterval: false }),
  })
}
