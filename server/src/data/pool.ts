import { createHmac } from 'node:crypto'
import { runner } from 'node-pg-migrate'
import pg from 'pg'
import type { Client } from './sql'

const DATE = 1082
const INT8 = 20

// A day is a day, not a midnight somewhere; counters fit in a number.
pg.types.setTypeParser(DATE, (text) => text)
pg.types.setTypeParser(INT8, Number)

const APP_ROLE = 'still_pine_app'

/**
 * The application's password follows from the owner's, so that several instances agree on it without asking. An
 * owner without one (a throwaway cluster on loopback that trusts) gives a role without one.
 */
const appPassword = (owner: URL): string =>
  owner.password === ''
    ? ''
    : createHmac('sha256', decodeURIComponent(owner.password)).update(APP_ROLE).digest('hex')

/** The address the server connects with: the same database, as a role that owns nothing. */
export const appUrl = (ownerUrl: string): string => {
  const url = new URL(ownerUrl)
  url.password = appPassword(url)
  url.username = APP_ROLE
  return url.href
}

/** Brings the database to the newest shape, as its owner and under an advisory lock. */
export const migrate = async (ownerUrl: string, folder: string): Promise<void> => {
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  try {
    await runner({
      dbClient: client,
      dir: folder,
      direction: 'up',
      migrationsTable: 'migration',
      log: () => undefined,
    })
    const password = appPassword(new URL(ownerUrl))
    if (password !== '')
      await client.query(`alter role ${APP_ROLE} password ${client.escapeLiteral(password)}`)
  } finally {
    await client.end()
  }
}

/** Forgets what is kept for a day of all yards; it is made again when it is asked for. */
export const forgetDays = async (ownerUrl: string): Promise<void> => {
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  try {
    await client.query('truncate track_day, horse_day')
  } finally {
    await client.end()
  }
}

export type Pool = pg.Pool

export const makePool = (url: string): Pool => {
  const pool = new pg.Pool({ connectionString: url, max: 12, connectionTimeoutMillis: 5_000 })
  // An idle client that loses its server is replaced on next use; it must not end the process.
  pool.on('error', () => undefined)
  // One that is at work when the server goes rejects its query, which is told; its own event must not end us either.
  pool.on('connect', (client) => client.on('error', () => undefined))
  return pool
}

/** Who asks, set for the transaction; row-level security reads it. */
export interface Asking {
  readonly yardId: string
  readonly personId: string
}

/** What a transaction sees: what is committed as it goes, or all of it at one moment and nothing written. */
export type View = 'as it goes' | 'one moment'

const BEGIN: Record<View, string> = {
  'as it goes': 'begin',
  'one moment': 'begin isolation level repeatable read read only',
}

/** Runs `work` in one transaction that sees one yard and no other. */
export const inYard = async <T>(
  pool: Pool,
  asking: Asking,
  view: View,
  work: (client: Client) => Promise<T>,
): Promise<T> => {
  const client = await pool.connect()
  let broken: Error | undefined
  try {
    await client.query(BEGIN[view])
    await client.query("select set_config('app.yard_id', $1, true), set_config('app.person_id', $2, true)", [
      asking.yardId,
      asking.personId,
    ])
    const result = await work(client)
    await client.query('commit')
    return result
  } catch (error) {
    await client.query('rollback').catch((lost: Error) => {
      broken = lost
    })
    throw error
  } finally {
    client.release(broken)
  }
}
