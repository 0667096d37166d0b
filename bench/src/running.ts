import { resolve } from 'node:path'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type pg from 'pg'
import { pino } from 'pino'
import { makeApp } from '../../server/src/app'
import { AttachmentFiles } from '../../server/src/disk/attachment-files'
import { makingDays } from '../../server/src/records/make-days'
import { workOnThreads } from '../../server/src/threads'

/** The application on a pool, as it is served; its address, and how to end it. */
export const runApp = async (pool: pg.Pool, now: Date) => {
  // As it ships: judged on threads, from the built file.
  const threads = workOnThreads(resolve('server/dist/work.js'))
  const workings = makingDays({
    pool,
    threads,
    now: () => now,
    logger: pino({ level: process.env.LOG_LEVEL ?? 'error' }),
    engine: 'bench',
  })
  const app = makeApp({
    ...workings,
    // No page watches a bench.
    changes: { watch: () => () => undefined, end: async () => undefined },
    attachments: new AttachmentFiles(resolve('.still-pine', 'bench-files')),
    version: 'bench',
    demo: false,
    cookieSecret: 'bench',
    secure: false,
    webFolder: null,
    checkReplies: false,
    signInTries: 100,
  })
  const server = await new Promise<Server>((ready) => {
    const listening = app.listen(0, '127.0.0.1', () => ready(listening))
  })
  const end = async (): Promise<void> => {
    server.closeAllConnections()
    server.close()
    await threads.end()
    await pool.end()
  }
  return { address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/v1`, end }
}

/** The cookie of whoever signs in. */
export const cookieOf = async (
  address: string,
  signIn: { email: string; password: string },
): Promise<string> => {
  const signed = await fetch(`${address}/sign-in`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(signIn),
  })
  return signed.headers.getSetCookie()[0]!.split(';')[0]!
}
