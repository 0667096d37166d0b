import { createHash, createHmac } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { createServer as createHttps } from 'node:https'
import { createServer } from 'node:http'
import { resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { makeApp } from './app'
import { listenForChanges } from './data/changes'
import { appUrl, makePool, migrate } from './data/pool'
import { AttachmentFiles } from './disk/attachment-files'
import { startJobs } from './jobs'
import { makingDays } from './records/make-days'
import { workOnThreads } from './threads'

const { env } = process

const needed = (name: string): string => {
  const value = env[name]
  if (value) return value
  console.error(`${name} is not set. Start Still Pine with "npm start" or "npm run demo".`)
  process.exit(1)
}

const ownerUrl = needed('DATABASE_URL')
const demo = env.STILL_PINE_DEMO === '1'
const logger = pino({ level: env.LOG_LEVEL ?? 'info' })

/** Milliseconds from the real clock to the injected one; a demo or a test may say what time it is. */
const clockOffset = (): number => {
  const now = env.STILL_PINE_NOW
  return demo && now ? Date.parse(now) - Date.now() : 0
}
const offset = clockOffset()

await migrate(ownerUrl, needed('STILL_PINE_MIGRATIONS'))
const databaseUrl = env.APP_DATABASE_URL ?? appUrl(ownerUrl)
const pool = makePool(databaseUrl)
const changes = listenForChanges(databaseUrl)

const tls =
  env.TLS_CERT && env.TLS_KEY ? { cert: readFileSync(env.TLS_CERT), key: readFileSync(env.TLS_KEY) } : null

const threads = workOnThreads(fileURLToPath(new URL('./work.js', import.meta.url)))

const workings = makingDays({
  pool,
  threads,
  logger,
  now: () => new Date(Date.now() + offset),
  engine: createHash('sha256')
    .update(readFileSync(fileURLToPath(import.meta.url)))
    .digest('hex')
    .slice(0, 16),
})
const attachments = new AttachmentFiles(resolve(needed('STILL_PINE_FILES')))
const jobs = await startJobs(databaseUrl, { ...workings, attachments })

const app = makeApp({
  ...workings,
  changes,
  demo,
  attachments,
  version: env.npm_package_version ?? '0.1.0',
  cookieSecret: env.COOKIE_SECRET ?? createHmac('sha256', ownerUrl).update('cookie').digest('hex'),
  secure: tls !== null || env.BEHIND_HTTPS_PROXY === '1',
  webFolder: env.STILL_PINE_WEB ?? null,
  checkReplies: false,
  signInTries: 20,
})
if (env.BEHIND_HTTPS_PROXY === '1') app.set('trust proxy', 1)

// Without HTTPS nothing but this machine may connect.
const host = tls !== null || env.BEHIND_HTTPS_PROXY === '1' ? (env.HOST ?? '0.0.0.0') : '127.0.0.1'
const server = tls ? createHttps(tls, app) : createServer(app)
// A whole yard that is brought in may take its time; what is small is refused by its size.
server.requestTimeout = 1_800_000
// Longer than any proxy keeps a connection it may use again: who closes first must not be us, in the middle of a request.
server.keepAliveTimeout = 75_000
server.listen(Number(env.PORT ?? 4180), host, () => {
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : 0
  logger.info({ host, port }, 'listening')
  process.send?.({ listening: port })
})

const stop = (): void => {
  void changes.end()
  server.close(() => {
    void jobs
      .end()
      .then(() => Promise.all([pool.end(), threads.end()]))
      .then(() => process.exit(0))
  })
  server.closeIdleConnections()
}
process.on('SIGTERM', stop)
process.on('SIGINT', stop)
