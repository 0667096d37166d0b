import { createHmac } from 'node:crypto'
import { runner } from 'node-pg-migrate'
import pg from 'pg'
import { prepareJobs } from './jobs'
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

/** Any number, the same in every version. */
const MIGRATION_LOCK = 7_416_203

/** The application takes and ends jobs, and makes no tables for them. */
const ALLOW_JOBS = `
  grant usage on schema job to ${APP_ROLE};
  grant select, insert, update, delete on all tables in schema job to ${APP_ROLE}`

/** Brings the database to the newest shape, as its owner and under an advisory lock. */
export const migrate = async (ownerUrl: string, folder: string): Promise<void> => {
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  try {
    // Servers that start at the same moment wait for each other here.
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK])
    await runner({
      dbClient: client,
      dir: folder,
      direction: 'up',
      migrationsTable: 'migration',
      log: () => undefined,
      // Its own lock gives up at once where another holds it.
      noLock: true,
    })
    await prepareJobs(ownerUrl)
    await client.query(ALLOW_JOBS)
    const password = appPassword(new URL(ownerUrl))
    if (password !== '')
      await client.query(`alter role ${APP_ROLE} password ${client.escapeLiteral(password)}`)
    const [{ name }] = (await client.query<{ name: string }>('select current_database() as name')).rows as [
      { name: string },
    ]
    // A table of one's own could stand in for one that a function with more rights reads.
    await client.query(`revoke temporary on database ${client.escapeIdentifier(name)} from public`)
  } finally {
    await client.end()
  }
}

export type Pool = pg.Pool

/** Nothing of ours takes long; what does is stopped, so that it holds nobody else up. Files lift the first for themselves. */
const LIMITS = {
  statement_timeout: '30s',
  lock_timeout: '10s',
  idle_in_transaction_session_timeout: '60s',
} as const

/** For work that is watched by whoever started it. */
export const NO_LIMITS: Limits = {}

type Limits = Readonly<Partial<Record<keyof typeof LIMITS, string>>>

/** Lets this transaction take its time: for files, which are as long as a yard has years. */
export const takeTime = (client: Client): Promise<unknown> =>
  client.query(
    "select set_config('statement_timeout', '0', true), set_config('idle_in_transaction_session_timeout', '10min', true)",
  )

export const makePool = (url: string, limits: Limits = LIMITS): Pool => {
  const pool = new pg.Pool({
    connectionString: url,
    max: 12,
    connectionTimeoutMillis: 5_000,
    options: Object.entries(limits)
      .map(([name, value]) => `-c ${name}=${value}`)
      .join(' '),
  })
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

/** What PostgreSQL says when two transactions were in each other's way: one of them is to try again (appendix A). */
const IN_THE_WAY = new Set(['40P01', '40001'])

const isInTheWay = (error: unknown): boolean =>
  IN_THE_WAY.has(String((error as { code?: unknown } | null)?.code))

const once = async <T>(
  pool: Pool,
  asking: Asking,
  { view, work }: { view: View; work: (client: Client) => Promise<T> },
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

/**
 * Runs `work` in one transaction that sees one yard and no other; once more where another was in its way, so it must
 * do nothing outside the database.
 */
export const inYard = async <T>(
  pool: Pool,
  asking: Asking,
  { view, work }: { view: View; work: (client: Client) => Promise<T> },
): Promise<T> => {
  try {
    return await once(pool, asking, { view, work })
  } catch (error) {
    if (!isInTheWay(error)) throw error
    return once(pool, asking, { view, work })
  }
}
