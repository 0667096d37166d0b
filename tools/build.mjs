// Builds what changed since the last build: the interface with Vite, server and demo loader with esbuild.
import { createHash } from 'node:crypto'
import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ROOT } from './folders.mjs'
import { say } from './say.mjs'

const SOURCES = ['core/src', 'contract/src', 'server/src', 'web/src', 'web/public', 'demo/src']
const FILES = ['package-lock.json', 'web/index.html', 'web/vite.config.ts', 'tools/build.mjs']
const STAMP = join(ROOT, 'web/dist/.built-from')

const filesIn = (folder) =>
  existsSync(folder)
    ? readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
        const path = join(folder, entry.name)
        return entry.isDirectory() ? filesIn(path) : [path]
      })
    : []

const fingerprint = () => {
  const hash = createHash('sha256')
  for (const path of [
    ...SOURCES.flatMap((folder) => filesIn(join(ROOT, folder))).sort(),
    ...FILES.map((f) => join(ROOT, f)),
  ])
    hash.update(relative(ROOT, path)).update(readFileSync(path))
  return hash.digest('hex')
}

/** Our own workspaces are bundled, everything from npm stays where it is. */
const bundle = async (entry, outfile) => {
  const { build } = await import(pathToFileURL(join(ROOT, 'node_modules/esbuild/lib/main.js')).href)
  const external = {
    name: 'npm-stays-out',
    setup: (b) =>
      b.onResolve({ filter: /^[^./]/ }, ({ path }) =>
        path.startsWith('@still-pine/') ? undefined : { path, external: true },
      ),
  }
  await build({
    entryPoints: [join(ROOT, entry)],
    outfile: join(ROOT, outfile),
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [external],
  })
}

export const buildAll = async () => {
  const now = fingerprint()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === now) return
  say('Building …')
  execFileSync(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    {
      cwd: join(ROOT, 'web'),
      stdio: 'inherit',
    },
  )
  await bundle('server/src/main.ts', 'server/dist/main.js')
  await bundle('demo/src/load.ts', 'demo/dist/load.js')
  mkdirSync(join(ROOT, 'web/dist'), { recursive: true })
  writeFileSync(STAMP, now)
}

if (process.argv[1] === new URL(import.meta.url).pathname) await buildAll()
