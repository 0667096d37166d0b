// `npm run dev`: the demo yard with a server that restarts, and pages that reload, as their code changes.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { dataFolder, filesFolder, ROOT } from './folders.mjs'
import { ensurePackages } from './install.mjs'
import { runMain, say } from './say.mjs'

const SERVER_PORT = 4181
const PAGES_PORT = 5173

/** Starts the built server and waits until it listens. */
const startServer = (databaseUrl) =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--enable-source-maps', 'server/dist/main.js'], {
      cwd: ROOT,
      env: {
        LOG_LEVEL: 'warn',
        ...process.env,
        DATABASE_URL: databaseUrl,
        STILL_PINE_MIGRATIONS: join(ROOT, 'server/migrations'),
        STILL_PINE_FILES: filesFolder('dev'),
        STILL_PINE_DEMO: '1',
        PORT: String(SERVER_PORT),
      },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    })
    child.once('message', () => resolve(child))
    child.once('exit', (code) => reject(new Error(`The server ended with code ${code}.`)))
  })

const ended = (child) =>
  new Promise((resolve) => {
    if (!child || child.exitCode !== null || child.signalCode !== null) return resolve()
    child.once('exit', resolve)
    child.kill('SIGTERM')
  })

await runMain(async () => {
  ensurePackages(ROOT)
  const { startCluster } = await import('./postgres.mjs')
  const { buildDemo, watchServer } = await import('./build.mjs')
  const cluster = await startCluster(dataFolder('dev'))
  let server = null
  let turn = Promise.resolve()
  /** One after the other, however fast somebody types; a version that does not start is told, and the next one is tried. */
  const restart = () => {
    turn = turn.then(async () => {
      await ended(server)
      server = await startServer(cluster.url).catch((error) => {
        say(error.message)
        return null
      })
      if (server) say('The server is up.')
    })
    return turn
  }
  let isUp
  const first = new Promise((resolve) => (isUp = resolve))
  const watching = await watchServer(() => void restart().then(isUp))
  await first
  await buildDemo()
  const { loadDemo } = await import(join(ROOT, 'demo/dist/load.js'))
  await loadDemo(`http://127.0.0.1:${SERVER_PORT}`, say)
  const pages = spawn(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), '--host', '127.0.0.1', '--port', String(PAGES_PORT)],
    { cwd: join(ROOT, 'web'), stdio: ['ignore', 'inherit', 'inherit'] },
  )
  say(`Still Pine, for its developers, is at http://127.0.0.1:${PAGES_PORT}. Ctrl-C stops it.`)
  const stop = async () => {
    await Promise.all([ended(pages), ended(server), watching.dispose()])
    await cluster.stop()
    process.exit(0)
  }
  process.once('SIGINT', () => void stop())
  process.once('SIGTERM', () => void stop())
})
