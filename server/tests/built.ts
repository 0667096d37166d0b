import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from 'esbuild'

const ROOT = new URL('../..', import.meta.url).pathname

/** The server as it ships, in a folder of its own; another `mark` makes another version of the product of it. */
export const builtServer = async (name: string, mark = ''): Promise<string> => {
  const folder = join(ROOT, 'server/dist', name)
  await build({
    entryPoints: [join(ROOT, 'server/src/main.ts'), join(ROOT, 'server/src/threads/work.ts')],
    entryNames: '[name]',
    outdir: folder,
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'silent',
    footer: { js: `// ${mark}` },
    plugins: [
      {
        name: 'npm-stays-out',
        setup: (b) =>
          b.onResolve({ filter: /^[^./]/ }, ({ path }) =>
            path.startsWith('@still-pine/') ? undefined : { path, external: true },
          ),
      },
    ],
  })
  return folder
}

export interface ServerProcess {
  readonly child: ChildProcess
  readonly port: number
  /** Ends it, and waits until it is gone; gives its exit code. */
  readonly end: (signal: 'SIGKILL' | 'SIGTERM') => Promise<number | null>
}

/** Starts a built server on a database, and waits until it listens. */
export const startServer = (folder: string, databaseUrl: string, port = 0): Promise<ServerProcess> =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [join(folder, 'main.js')], {
      cwd: ROOT,
      env: {
        ...process.env,
        DATABASE_URL: databaseUrl,
        STILL_PINE_MIGRATIONS: join(ROOT, 'server/migrations'),
        STILL_PINE_FILES: mkdtempSync(join(tmpdir(), 'still-pine-files-')),
        COOKIE_SECRET: 'test',
        LOG_LEVEL: 'silent',
        PORT: String(port),
      },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    })
    const end = (signal: 'SIGKILL' | 'SIGTERM'): Promise<number | null> =>
      new Promise((gone) => {
        if (child.exitCode !== null || child.signalCode !== null) return gone(child.exitCode)
        child.once('exit', gone)
        child.kill(signal)
      })
    child.once('message', (message) =>
      resolve({ child, end, port: (message as { listening: number }).listening }),
    )
    child.once('exit', (code) => reject(new Error(`ended with ${code}`)))
  })
