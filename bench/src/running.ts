import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type pg from 'pg'
import { pino } from 'pino'
import { makeApp } from '../../server/src/app'
import { makingDays } from '../../server/src/records/make-days'
import { workHere } from '../../server/src/threads'

/** The application on a pool, as it is served; its address, and how to end it. */
export const runApp = async (pool: pg.Pool, now: Date) => {
  const workings = makingDays({
    pool,
    threads: workHere,
    now: () => now,
    logger: pino({ level: 'silent' }),
    engine: 'bench',
  })
  const app = makeApp({
    ...workings,
    // No page watches a bench.
    changes: { watch: () => () => undefined, end: async () => undefined },
    version: 'bench',
    demo: false,
    cookieSecret: 'bench',
    secure: false,
    webFolder: null,
    checkReplies: false,
    signInTries: 100,
  })
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening))
  })
  const end = async (): Promise<void> => {
    server.closeAllConnections()
    server.close()
    await pool.end()
  }
  return { address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/v1`, end }
}
