// Builds what changed since the last build: the interface with Vite, server and demo loader with esbuild.
import { createHash } from 'node:crypto'
import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { pathToFileURL } from 'node:url'
import { writeLicences } from './licences.mjs'
import { ROOT } from './folders.mjs'
import { say } from './say.mjs'

const PRODUCT = {
  sources: [
    'core/src',
    'contract/src',
    'use-cases/src',
    'device/src',
    'server/src',
    'web/src',
    'web/public',
    'stand-ins/src',
    'stand-ins/public',
    'demo/src',
  ],
  files: [
    'package-lock.json',
    'web/index.html',
    'web/vite.config.ts',
    'stand-ins/remote.html',
    'stand-ins/gauge.html',
    'stand-ins/vite.config.ts',
    'tools/build.mjs',
  ],
  stamp: 'web/dist/.built-from',
}
const SERVER = {
  sources: ['core/src', 'contract/src', 'use-cases/src', 'server/src'],
  files: ['package-lock.json', 'tools/build.mjs'],
  stamp: 'server/dist/.built-from',
}
const JUDGE = {
  sources: ['core/src'],
  files: ['package-lock.json', 'tools/build.mjs'],
  stamp: 'core/dist/.built-from',
}

const RECKON = {
  sources: ['core/src', 'contract/src'],
  files: ['package-lock.json', 'tools/build.mjs'],
  stamp: 'contract/dist/.built-from',
}

const RULES = {
  sources: ['core/src'],
  files: ['package-lock.json', 'tools/build.mjs'],
  stamp: 'core/dist/.rules-built-from',
}

const filesIn = (folder) =>
  existsSync(folder)
    ? readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
        const path = join(folder, entry.name)
        return entry.isDirectory() ? filesIn(path) : [path]
      })
    : []

const fingerprint = (sources, files) => {
  const hash = createHash('sha256')
  for (const path of [
    ...sources.flatMap((folder) => filesIn(join(ROOT, folder))).sort(),
    ...files.map((file) => join(ROOT, file)),
  ])
    hash.update(relative(ROOT, path)).update(readFileSync(path))
  return hash.digest('hex')
}

const esbuild = () => import(pathToFileURL(join(ROOT, 'node_modules/esbuild/lib/main.js')).href)

/** Our own workspaces are bundled, everything from npm stays where it is. */
const bundling = (entry, outfile) => {
  const external = {
    name: 'npm-stays-out',
    setup: (b) =>
      b.onResolve({ filter: /^[^./]/ }, ({ path }) =>
        path.startsWith('@still-pine/') ? undefined : { path, external: true },
      ),
  }
  return {
    entryPoints: [join(ROOT, entry)],
    outfile: join(ROOT, outfile),
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [external],
  }
}

const bundle = async (entry, outfile) => (await esbuild()).build(bundling(entry, outfile))

/** Runs `build` unless nothing changed since it last ran. */
const buildOnce = async ({ sources, files, stamp }, build) => {
  const now = fingerprint(sources, files)
  const file = join(ROOT, stamp)
  if (existsSync(file) && readFileSync(file, 'utf8') === now) return
  await build()
  mkdirSync(dirname(file), { recursive: true })
  writeFileSync(file, now)
}

/** The judge of the command line as one file; gives its path. */
export const buildJudge = async () => {
  const outfile = 'core/dist/judge.js'
  await buildOnce(JUDGE, () => bundle('core/src/formats/judge-file.ts', outfile))
  return outfile
}

/** What the command line reckons from files, as one file; gives its path. */
export const buildReckon = async () => {
  const outfile = 'contract/dist/reckon.js'
  await buildOnce(RECKON, () => bundle('contract/src/reckon-files.ts', outfile))
  return outfile
}

/** The rules of the command line as one file; gives its path. */
export const buildRules = async () => {
  const outfile = 'core/dist/rules.js'
  await buildOnce(RULES, () => bundle('core/src/reckon/index.ts', outfile))
  return outfile
}

const bundleServer = async () => {
  await bundle('server/src/main.ts', 'server/dist/main.js')
  await bundle('server/src/rebuild-main.ts', 'server/dist/rebuild.js')
  await bundle('server/src/fit-main.ts', 'server/dist/fit.js')
  await bundle('server/src/threads/work.ts', 'server/dist/work.js')
}

/** The server alone, for commands that show nothing. */
export const buildServer = () => buildOnce(SERVER, bundleServer)

export const buildDemo = () => bundle('demo/src/load.ts', 'demo/dist/load.js')

/** The made-up yard as one file that a browser fetches when somebody wants to look at it. */
const bundleMadeUpYard = async () =>
  (await esbuild()).build({
    entryPoints: [join(ROOT, 'demo/src/in-browser.ts')],
    outfile: join(ROOT, 'web/dist/made-up-yard.js'),
    bundle: true,
    minify: true,
    platform: 'browser',
    target: 'es2022',
    format: 'esm',
    logLevel: 'warning',
  })

/** Builds the server now and whenever its code changes; tells when it was built. */
export const watchServer = async (onBuilt) => {
  await bundle('server/src/threads/work.ts', 'server/dist/work.js')
  const options = bundling('server/src/main.ts', 'server/dist/main.js')
  const told = {
    name: 'told',
    setup: (b) => b.onEnd(({ errors }) => void (errors.length === 0 && onBuilt())),
  }
  const context = await (await esbuild()).context({ ...options, plugins: [...options.plugins, told] })
  // Builds at once, and then at every change.
  await context.watch()
  return context
}

export const buildBench = async () => {
  await bundle('bench/src/work.ts', 'bench/dist/work.js')
  await bundle('bench/src/main.ts', 'bench/dist/main.js')
}

const bundlePages = (folder) =>
  execFileSync(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    {
      cwd: join(ROOT, folder),
      stdio: 'inherit',
    },
  )

const buildProduct = async () => {
  say('Building …')
  bundlePages('web')
  // After the interface, for its build empties the folder.
  bundlePages('stand-ins')
  await bundleMadeUpYard()
  writeLicences(join(ROOT, 'web/dist/licences.txt'))
  await bundleServer()
  await buildDemo()
}

export const buildAll = () => buildOnce(PRODUCT, buildProduct)

if (process.argv[1] === new URL(import.meta.url).pathname) await buildAll()
