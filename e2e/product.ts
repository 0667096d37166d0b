import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { removeCluster, startCluster, type Cluster } from '../tools/postgres.mjs'

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')

/** The whole product as it ships: its own PostgreSQL, its built server and interface. */
export interface Product {
  readonly url: string
  kill(): Promise<void>
  /** Starts it again, at another time where one is said. */
  start(now?: string): Promise<void>
  stop(): Promise<void>
  /** Its database, to be taken away and given back. */
  readonly database: { stop(): Promise<void>; start(): Promise<void> }
}

interface Options {
  readonly demo: boolean
  /** What time the server takes it to be; for pictures. */
  readonly now?: string
  /** Another build of the interface than the one that ships. */
  readonly web?: string
  /** Files of a certificate and its key: it is then served over HTTPS. */
  readonly tls?: { readonly cert: string; readonly key: string }
}

const serve = (
  { cluster, folder }: { cluster: Cluster; folder: string },
  { demo, now, web, tls }: Options,
  port: number,
) =>
  new Promise<{ child: ChildProcess; port: number }>((resolve, reject) => {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: ROOT,
      env: {
        ...process.env,
        DATABASE_URL: cluster.url,
        STILL_PINE_MIGRATIONS: join(ROOT, 'server/migrations'),
        STILL_PINE_WEB: web ?? join(ROOT, 'web/dist'),
        STILL_PINE_FILES: join(dirname(folder), 'files'),
        COOKIE_SECRET: 'test',
        LOG_LEVEL: 'fatal',
        PORT: String(port),
        ...(demo ? { STILL_PINE_DEMO: '1' } : {}),
        ...(now ? { STILL_PINE_NOW: now } : {}),
        ...(tls ? { TLS_CERT: tls.cert, TLS_KEY: tls.key } : {}),
      },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    })
    child.once('message', (said) => resolve({ child, port: (said as { listening: number }).listening }))
    child.once('exit', (code) => reject(new Error(`The server ended with ${code}.`)))
  })

const newFolder = (): string => {
  const folder = join(mkdtempSync(join(tmpdir(), 'still-pine-e2e-')), 'pg')
  chmodSync(dirname(folder), 0o755)
  return folder
}

/** Where the database of the demo lies as it was loaded, once for all who start from it. */
const MADE = 'STILL_PINE_DEMO_MADE'

const loadDemo = async (url: string): Promise<void> => {
  const { loadDemo: load } = (await import(pathToFileURL(join(ROOT, 'demo/dist/load.js')).href)) as {
    loadDemo: (address: string, say: (text: string) => void) => Promise<void>
  }
  await load(url, () => undefined)
}

/** Loads the demo once; every product of it that is started later begins with a copy. Gives what takes it away. */
export const makeDemo = async (): Promise<() => Promise<void>> => {
  const folder = newFolder()
  const cluster = await startCluster(folder, { throwaway: true })
  const { child, port } = await serve({ cluster, folder }, { demo: true }, 0)
  await loadDemo(`http://127.0.0.1:${port}`)
  const gone = new Promise((resolve) => child.once('exit', resolve))
  child.kill('SIGTERM')
  await gone
  await cluster.stop()
  process.env[MADE] = folder
  return async () => rmSync(dirname(folder), { recursive: true, force: true })
}

export const startProduct = async (options: Options): Promise<Product> => {
  const folder = newFolder()
  const made = options.demo && options.now === undefined ? process.env[MADE] : undefined
  if (made !== undefined) execFileSync('cp', ['-a', made, folder])
  const cluster = await startCluster(folder, { throwaway: true })
  let running = await serve({ cluster, folder }, options, 0)
  const { port } = running
  const url = `${options.tls ? 'https' : 'http'}://127.0.0.1:${port}`
  if (options.demo && made === undefined) await loadDemo(url)
  const kill = async (): Promise<void> => {
    const gone = new Promise((resolve) => running.child.once('exit', resolve))
    running.child.kill('SIGKILL')
    await gone
  }
  return {
    url,
    kill,
    database: { stop: () => cluster.stop(), start: () => cluster.restart() },
    start: async (now) => {
      running = await serve({ cluster, folder }, now === undefined ? options : { ...options, now }, port)
    },
    stop: async () => {
      await kill()
      await removeCluster(folder)
    },
  }
}
