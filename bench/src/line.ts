import { Agent, get } from 'node:http'
import pg from 'pg'
import { appUrl, makePool } from '../../server/src/data/pool'
import { percentile, timedAsync } from './measure'
import { runApp } from './running'

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

export interface LineTimes {
  readonly first: number
  readonly later: number
  readonly firstSql: number
  readonly laterSql: number
  readonly ratios: { readonly first: number; readonly later: number }
}

const P95 = 0.95

/** The 95th percentile of reading a horse's Line, first of the day and later, against its own bare statements. */
export const lineTimes = async (
  ownerUrl: string,
  signIn: { email: string; password: string },
  now: Date,
  reads: number,
): Promise<LineTimes> => {
  const pool = makePool(appUrl(ownerUrl))
  const recorder = recording(pool)
  const { address, end } = await runApp(pool, now)
  const signed = await fetch(`${address}/sign-in`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(signIn),
  })
  const cookie = signed.headers.getSetCookie()[0]!.split(';')[0]!
  const owner = new pg.Client(ownerUrl)
  await owner.connect()
  const { rows } = await owner.query<{ id: string }>(
    `select h.id from horse h join person p on p.yard_id = h.yard_id where lower(p.email) = $1
     order by h.created_at limit $2`,
    [signIn.email, reads],
  )
  const agent = new Agent({ keepAlive: true })
  /** Until the last byte is here; a phone unpacks it on its own time, so it is not unpacked here. */
  const read = (id: string) => (): Promise<unknown> =>
    new Promise((resolve, reject) => {
      const headers = { Cookie: cookie, 'Accept-Encoding': 'gzip' }
      get(`${address}/horses/${id}/line`, { agent, headers }, (reply) => {
        reply.resume()
        reply.once('end', resolve)
      }).once('error', reject)
    })
  const bare = async (statements: readonly Statement[]): Promise<number> => {
    const client = await pool.connect()
    const ms = await timedAsync(async () => {
      for (const { text, values } of statements) await client.query(text, [...values])
    })
    client.release()
    return ms
  }
  const times = {
    first: [] as number[],
    later: [] as number[],
    firstSql: [] as number[],
    laterSql: [] as number[],
  }
  await read(rows[0]!.id)()
  for (const { id } of rows) {
    let statements: readonly Statement[] = []
    let ms = 0
    const once = async (): Promise<void> => {
      statements = await recorder.during(async () => {
        ms = await timedAsync(read(id))
      })
    }
    await owner.query('delete from track_day where horse_id = $1', [id])
    await once()
    times.first.push(ms)
    // Its own writing is done again on rows that are there by now: the same statements, a little less to write.
    await owner.query('delete from track_day where horse_id = $1', [id])
    times.firstSql.push(await bare(statements))
    await once()
    times.later.push(ms)
    times.laterSql.push(await bare(statements))
  }
  agent.destroy()
  await owner.end()
  await end()
  const p95 = (values: readonly number[]): number => percentile(values, P95)
  return {
    first: p95(times.first),
    later: p95(times.later),
    firstSql: p95(times.firstSql),
    laterSql: p95(times.laterSql),
    ratios: {
      first: p95(times.first) / p95(times.firstSql),
      later: p95(times.later) / p95(times.laterSql),
    },
  }
}
