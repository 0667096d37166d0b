import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import { makeApp } from '../../server/src/app'
import { appUrl, makePool } from '../../server/src/data/pool'
import { replaysHere } from '../../server/src/threads'

/** Makes the yard that is measured, the way a person does. */
export const firstRun = async (
  ownerUrl: string,
  signIn: { email: string; password: string },
  now: Date,
): Promise<void> => {
  const pool = makePool(appUrl(ownerUrl))
  const app = makeApp({
    pool,
    replays: replaysHere,
    now: () => now,
    logger: pino({ level: 'silent' }),
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
  const body = { yardName: 'Bench', timeZone: 'Europe/Oslo', personName: 'Nobody', ...signIn }
  const done = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/api/v1/first-run`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (!done.ok) throw new Error(await done.text())
  server.closeAllConnections()
  server.close()
  await pool.end()
}
