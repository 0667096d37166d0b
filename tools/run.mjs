// `npm run demo` and `npm start`: one command from a clean clone to a running Still Pine.
import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder, filesFolder, ROOT } from './folders.mjs'
import { ensurePackages } from './install.mjs'
import { CannotGoOn, runMain, say } from './say.mjs'

const DEFAULT_PORT = { demo: 4181, yard: 4180 }

const cookieSecret = (name) => {
  const folder = join(ROOT, '.still-pine')
  const file = join(folder, `${name}-cookie`)
  if (!existsSync(file)) {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 })
  }
  return readFileSync(file, 'utf8')
}

/** Starts the server as a child and waits until it listens; gives its port. */
const startServer = (env) =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--enable-source-maps', 'server/dist/main.js'], {
      cwd: ROOT,
      env: { LOG_LEVEL: 'warn', ...process.env, ...env },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
      // Ctrl-C goes to the whole group; we pass it on ourselves, in order.
      detached: true,
    })
    child.once('message', ({ listening }) => resolve({ child, port: listening }))
    child.once('exit', (code) =>
      reject(new CannotGoOn(`The server ended with code ${code} before it listened.`)),
    )
  })

const ended = (child) => new Promise((resolve) => child.once('exit', resolve))

const loadDemo = async (address) => {
  const { loadDemo: load } = await import(join(ROOT, 'demo/dist/load.js'))
  await load(address, say)
}

const portFor = (name) => Number(process.env.PORT ?? DEFAULT_PORT[name])

await runMain(async () => {
  const [name = 'yard', ...flags] = process.argv.slice(2)
  const demo = name === 'demo'
  const started = Date.now()
  ensurePackages(ROOT)
  const { removeCluster, startCluster } = await import('./postgres.mjs')
  const { buildAll } = await import('./build.mjs')
  const own = process.env.DATABASE_URL === undefined
  if (flags.includes('--fresh')) {
    if (!demo) throw new CannotGoOn('Only the demo starts over: npm run demo -- --fresh')
    if (!own)
      throw new CannotGoOn('--fresh takes away the demo’s own database only; DATABASE_URL points elsewhere.')
    await removeCluster(dataFolder(name))
    rmSync(filesFolder(name), { recursive: true, force: true })
  }
  await buildAll()
  const cluster = own ? await startCluster(dataFolder(name)) : null
  const { child, port } = await startServer({
    DATABASE_URL: cluster?.url ?? process.env.DATABASE_URL,
    STILL_PINE_MIGRATIONS: join(ROOT, 'server/migrations'),
    STILL_PINE_WEB: join(ROOT, 'web/dist'),
    STILL_PINE_FILES: filesFolder(name),
    COOKIE_SECRET: cookieSecret(name),
    PORT: String(portFor(name)),
    ...(demo ? { STILL_PINE_DEMO: '1' } : {}),
  }).catch(async (error) => {
    await cluster?.stop()
    throw error
  })
  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    child.kill('SIGTERM')
    if (child.exitCode === null) await ended(child)
    await cluster?.stop()
    process.exit(0)
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
  child.once('exit', () => void stop())
  const scheme = process.env.TLS_CERT ? 'https' : 'http'
  const address = `${scheme}://127.0.0.1:${port}`
  if (demo) await loadDemo(address)
  const seconds = ((Date.now() - started) / 1000).toFixed(1)
  say(`Still Pine${demo ? ' (demo)' : ''} is at ${address} after ${seconds} s. Ctrl-C stops it.`)
})
