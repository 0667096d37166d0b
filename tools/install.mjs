// Installs what a clean machine lacks: npm packages, and Debian packages where we may.
import { spawnSync } from 'node:child_process'
import { existsSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { CannotGoOn, note } from './say.mjs'

export const isRoot = process.getuid?.() === 0

const run = (command, args, options = {}) =>
  spawnSync(command, args, { stdio: ['ignore', process.stderr, 'inherit'], ...options }).status === 0

const isNewer = (file, than) => statSync(file).mtimeMs > statSync(than).mtimeMs + 1000

/** npm packages, as the lock file has them. */
export const ensurePackages = (root) => {
  const installed = join(root, 'node_modules', '.package-lock.json')
  const lock = join(root, 'package-lock.json')
  if (existsSync(installed) && !isNewer(lock, installed)) return
  note('Installing npm packages …')
  const npm = process.env.npm_execpath
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error']
  const done = npm ? run(process.execPath, [npm, ...args], { cwd: root }) : run('npm', args, { cwd: root })
  if (!done) throw new CannotGoOn('The npm packages could not be installed. Is there a network?')
}

let listsAreFresh = false

/** A Debian package, installed by root; anybody else is told its name. */
export const ensureDebian = (name, isThere, purpose) => {
  if (isThere()) return
  if (!isRoot)
    throw new CannotGoOn(
      `${purpose} is missing. Ask somebody with root to run:\n\n  apt-get install --no-install-recommends ${name}\n\nthen start again.`,
    )
  note(`Installing ${name} …`)
  const quiet = {
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    stdio: ['ignore', 'ignore', 'inherit'],
  }
  if (!listsAreFresh) run('apt-get', ['update', '-qq'], quiet)
  listsAreFresh = true
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], quiet)
  if (!isThere()) throw new CannotGoOn(`${name} could not be installed.`)
}

export const CHROMIUM = '/usr/bin/chromium'
export const ensureChromium = () =>
  ensureDebian('chromium', () => existsSync(CHROMIUM), 'A browser for the tests')
