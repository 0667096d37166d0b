import { Agent, get } from 'node:http'
import pg from 'pg'
import { appUrl, makePool } from '../../server/src/data/pool'
import { timedAsync } from './measure'
import { cookieOf, runApp } from './running'

interface Statement {
  readonly text: string
  readonly values: readonly unknown[]
}

/** What one request asked the database, in its order. */
const recording = (pool: pg.Pool) => {
  let statements: Statement[] = []
  const keep = (text: string | pg.QueryConfig, values: readonly unknown[] = []): void => {
    statements.push(
      typeof text === 'string' ? { text, values } : { text: text.text, values: text.values ?? [] },
    )
  }
  const wrap = (client: { query: (...args: never[]) => unknown }): void => {
    const asked = client.query.bind(client) as (...args: unknown[]) => unknown
    client.query = ((...args: unknown[]) => {
      keep(args[0] as string, args[1] as unknown[])
      return asked(...args)
    }) as never
  }
  pool.on('connect', (client) => wrap(client as never))
  return {
    during: async (work: () => Promise<unknown>): Promise<readonly Statement[]> => {
      statements = []
      await work()
      return [...statements]
    },
  }
}

/** One reading of a path: its milliseconds, and those of the statements it asked of the database, bare. */
export interface Timed {
  readonly ms: number
  readonly sql: number
}

export interface Served {
  readonly owner: pg.Client
  /** Reads a path once; `between` comes before its statements are asked again. */
  readonly timed: (path: string, between?: () => Promise<unknown>) => Promise<Timed>
}

/** The app in this process with one person signed in, for as long as the work takes. */
export const served = async <T>(
  ownerUrl: string,
  signIn: { email: string; password: string },
  { now, work }: { now: Date; work: (served: Served) => Promise<T> },
): Promise<T> => {
  const pool = makePool(appUrl(ownerUrl))
  const recorder = recording(pool)
  const { address, end } = await runApp(pool, now)
  const cookie = await cookieOf(address, signIn)
  const owner = new pg.Client(ownerUrl)
  await owner.connect()
  const agent = new Agent({ keepAlive: true })
  /** Until the last byte is here; a phone unpacks it on its own time, so it is not unpacked here. */
  const read = (path: string): Promise<unknown> =>
    new Promise((resolve, reject) => {
      const headers = { Cookie: cookie, 'Accept-Encoding': 'gzip' }
      get(`${address}${path}`, { agent, headers }, (reply) => {
        if (reply.statusCode !== 200) reject(new Error(`${path}: ${reply.statusCode}`))
        reply.resume()
        reply.once('end', resolve)
      }).once('error', reject)
    })
  const bare = async (statements: readonly Statement[]): Promise<number> => {
    const client = await pool.connect()
    const ms = await timedAsync(async () => {
      for (const { text, values } of statements) await client.query(text, [...values])
    })
    // What is saved after a reply may have begun while the request was recorded, and not ended.
    await client.query('rollback')
    client.release()
    return ms
  }
  const timed: Served['timed'] = async (path, between) => {
    let ms = 0
    const statements = await recorder.during(async () => {
      ms = await timedAsync(() => read(path))
    })
    await between?.()
    return { ms, sql: await bare(statements) }
  }
  try {
    return await work({ owner, timed })
  } finally {
    agent.destroy()
    await owner.end()
    await end()
  }
}

/** The first horses of the yard of whoever signs in. */
export const horsesOf = async (owner: pg.Client, email: string, most: number): Promise<readonly string[]> =>
  (
    await owner.query<{ id: string }>(
      `select h.id from horse h join person p on p.yard_id = h.yard_id where lower(p.email) = $1
       order by h.created_at limit $2`,
      [email, most],
    )
  ).rows.map(({ id }) => id)
