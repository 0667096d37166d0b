// `npm test`: installs what is missing, then every check there is; `npm test -- --only core|server|e2e|…` one part of it.
// The last line counts them.
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { availableParallelism, tmpdir } from 'node:os'
import { join } from 'node:path'
import { ROOT } from './folders.mjs'
import { ensureChromium, ensurePackages } from './install.mjs'
import { CannotGoOn, runMain, say } from './say.mjs'

const bin = (name) => join(ROOT, 'node_modules/.bin', name)

const run = (title, [command, ...args], env = {}) =>
  new Promise((resolve) => {
    say(`\n— ${title}`)
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, FORCE_COLOR: '0', ...env },
    })
    child.once('exit', (code) => resolve(code === 0))
    child.once('error', () => resolve(false))
  })

/** What a check has to say comes in one piece when it is done, for several run side by side. */
const check = (title, [command, ...args]) =>
  new Promise((resolve) => {
    const said = []
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, FORCE_COLOR: '0' },
    })
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => said.push(text))
    const done = (passed) => {
      say(`\n— ${title}${passed ? ': passed' : ''}\n${said.join('').trimEnd()}`.trimEnd())
      resolve({ passed: passed ? 1 : 0, failed: passed ? 0 : 1, skipped: 0 })
    }
    child.once('close', (code) => done(code === 0))
    child.once('error', () => done(false))
  })

/** The checks of the code itself, as many side by side as there are processors. */
const checks = async () => {
  const left = [
    ['lint', [bin('eslint'), '.']],
    ['types', [process.execPath, 'tools/types.mjs']],
    ['format', [bin('prettier'), '--check', '--log-level', 'warn', '.']],
    ['arrows', [bin('depcruise'), '--config', '.dependency-cruiser.cjs', ...FOLDERS]],
  ]
  const results = []
  const work = async () => {
    for (let next = left.shift(); next; next = left.shift()) results.push(await check(...next))
  }
  await Promise.all(Array.from({ length: Math.max(1, availableParallelism()) }, work))
  return results.reduce(add)
}

const readJson = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

const unit = async (report, projects = []) => {
  const ok = await run('unit, property and API tests', [
    bin('vitest'),
    'run',
    ...projects.flatMap((name) => ['--project', name]),
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ])
  const result = readJson(report)
  if (!result) return { passed: 0, failed: 1, skipped: 0 }
  const { numPassedTests: passed, numFailedTests: failed, numPendingTests: skipped } = result
  // A run that failed outside its tests (a suite that could not start) has failed all the same.
  return { passed, failed: ok ? failed : Math.max(1, failed), skipped }
}

/** The tests of a suite that passed only when they were tried again. */
const flakyIn = ({ specs = [], suites = [], file }) => [
  ...specs
    .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
    .map(({ title }) => `${file}: ${title}`),
  ...suites.flatMap(flakyIn),
]

const browser = async (report) => {
  const ok = await run(
    'the product in a browser',
    [bin('playwright'), 'test', '--config', 'e2e/playwright.config.ts', '--reporter=list,json'],
    { PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  )
  const result = readJson(report)
  const stats = result?.stats
  if (!stats) return { passed: 0, failed: 1, skipped: 0 }
  return {
    flaky: result.suites.flatMap(flakyIn),
    passed: stats.expected + stats.flaky,
    failed: ok ? stats.unexpected : Math.max(1, stats.unexpected),
    skipped: stats.skipped,
  }
}

const add = (a, b) => ({
  passed: a.passed + b.passed,
  failed: a.failed + b.failed,
  skipped: a.skipped + b.skipped,
  flaky: [...(a.flaky ?? []), ...(b.flaky ?? [])],
})

const FOLDERS = ['core', 'contract', 'use-cases', 'device', 'server', 'web', 'stand-ins', 'demo', 'bench']

const WITH_TESTS = FOLDERS.filter((folder) => folder !== 'bench')

/** The parts that can be asked for by name, beside each project of the unit tests. */
const PARTS = {
  lint: [checks],
  unit: [(folder) => unit(join(folder, 'unit.json'))],
  e2e: [(folder) => browser(join(folder, 'browser.json'))],
}

const partsFor = (only) => {
  if (only === undefined) return Object.values(PARTS).flat()
  if (only in PARTS) return PARTS[only]
  if (WITH_TESTS.includes(only)) return [(folder) => unit(join(folder, 'unit.json'), [only])]
  const known = [...Object.keys(PARTS), ...WITH_TESTS].join(', ')
  throw new CannotGoOn(`There is no part called “${only ?? ''}”: ${known}.`)
}

await runMain(async () => {
  const [flag, only, ...more] = process.argv.slice(2)
  if (flag !== undefined && (flag !== '--only' || only === undefined || more.length > 0))
    throw new CannotGoOn('npm test takes nothing, or one part: npm test -- --only core')
  const parts = partsFor(only)
  ensurePackages(ROOT)
  ensureChromium()
  const folder = mkdtempSync(join(tmpdir(), 'still-pine-report-'))
  const results = []
  for (const part of parts) results.push(await part(folder))
  const total = results.reduce(add)
  const flaky = total.flaky ?? []
  if (flaky.length > 0) say(`\n${flaky.length} flaky, passed on a second try:\n  ${flaky.join('\n  ')}`)
  say(`\n${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`)
  process.exitCode = total.failed === 0 ? 0 : 1
})
