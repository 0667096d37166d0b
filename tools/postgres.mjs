// Starts a PostgreSQL of our own on loopback, from Debian's packages.
import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { ensureDebian, isRoot } from './install.mjs'
import { CannotGoOn } from './say.mjs'

const LIB = '/usr/lib/postgresql'
const OWNER = 'still_pine_owner'
const DATABASE = 'still_pine'

const newestVersion = () =>
  existsSync(LIB)
    ? readdirSync(LIB)
        .filter((version) => existsSync(join(LIB, version, 'bin', 'initdb')))
        .sort((a, b) => Number(b) - Number(a))[0]
    : undefined

const binFolder = () => {
  ensureDebian('postgresql', () => newestVersion() !== undefined, 'PostgreSQL')
  return join(LIB, newestVersion(), 'bin')
}

// PostgreSQL refuses to run as root, so root hands it to the user the package made.
const asPostgres = (command, args) =>
  isRoot ? ['runuser', ['-u', 'postgres', '--', command, ...args]] : [command, args]

const runQuietly = (command, args) => {
  const done = spawnSync(...asPostgres(command, args), { encoding: 'utf8', cwd: '/' })
  if (done.status !== 0) throw new CannotGoOn(`${command} failed:\n${done.stderr || done.error?.message}`)
}

const makeFolder = (folder) => {
  if (!isRoot) return mkdirSync(folder, { recursive: true, mode: 0o700 })
  spawnSync('install', ['-d', '-o', 'postgres', '-g', 'postgres', '-m', '700', folder])
}

const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })

const isAlive = (pid) => {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}

/** The pid and port of a server that still runs on this folder; a stale file is not one. */
const running = (data) => {
  const file = join(data, 'postmaster.pid')
  if (!existsSync(file)) return null
  const [pid, , , port] = readFileSync(file, 'utf8').split('\n')
  const isPostgres = isAlive(Number(pid)) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(data)
  return isPostgres ? { pid: Number(pid), port: Number(port) } : null
}

const passwordOf = (folder) => readFileSync(join(folder, 'password'), 'utf8').trim()

const initialise = (bin, { folder, data, throwaway }) => {
  const args = ['-D', data, '-U', OWNER, '-E', 'UTF8', '--locale=C.UTF-8']
  if (throwaway) return runQuietly(join(bin, 'initdb'), [...args, '-A', 'trust', '-N'])
  const file = join(folder, 'password')
  writeFileSync(file, randomBytes(24).toString('hex'), { mode: 0o600 })
  if (isRoot) spawnSync('chown', ['postgres:postgres', file])
  runQuietly(join(bin, 'initdb'), [...args, '-A', 'scram-sha-256', `--pwfile=${file}`])
}

const launch = (bin, { data, port, throwaway }) => {
  const options = ['-c', 'unix_socket_directories=', '-c', 'listen_addresses=127.0.0.1', '-p', String(port)]
  // Without waiting for the disk a killed process still loses nothing; only a machine that dies would.
  const fast = ['-c', 'fsync=off', '-c', 'full_page_writes=off']
  const args = ['-D', data, ...options, ...(throwaway ? fast : [])]
  // Its own process group: Ctrl-C reaches us first, and we stop it when the server is done.
  const child = spawn(...asPostgres(join(bin, 'postgres'), args), {
    stdio: 'ignore',
    cwd: '/',
    detached: true,
  })
  child.unref()
  return child
}

const waitUntil = async (isTrue, seconds, failure) => {
  const end = Date.now() + seconds * 1000
  while (Date.now() < end) {
    if (isTrue()) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new CannotGoOn(failure)
}

const accepts = (bin, port) =>
  spawnSync(join(bin, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(port)]).status === 0

/** SIGINT is PostgreSQL's fast shutdown: it ends clients' sessions and closes cleanly. */
const stopRunning = async (data) => {
  const server = running(data)
  if (!server) return
  process.kill(server.pid, 'SIGINT')
  await waitUntil(() => running(data) === null, 30, 'PostgreSQL did not stop within 30 seconds.')
}

/**
 * Starts the cluster in `folder`, made if it is not there; `throwaway` trusts everybody on loopback and does not
 * wait for the disk, for tests only. Gives the owner's address and how to stop it.
 */
export const startCluster = async (folder, { throwaway = false } = {}) => {
  const bin = binFolder()
  const data = join(folder, 'data')
  makeFolder(folder)
  const isNew = !existsSync(join(data, 'PG_VERSION'))
  if (isNew) initialise(bin, { folder, data, throwaway })
  const before = running(data)
  const port = before?.port ?? (await freePort())
  if (!before) launch(bin, { data, port, throwaway })
  await waitUntil(() => accepts(bin, port), 30, 'PostgreSQL did not start within 30 seconds.')
  const password = throwaway ? '' : `:${passwordOf(folder)}`
  const address = (database) => `postgres://${OWNER}${password}@127.0.0.1:${port}/${database}`
  if (isNew)
    runQuietly('env', [
      ...(throwaway ? [] : [`PGPASSWORD=${passwordOf(folder)}`]),
      join(bin, 'createdb'),
      ...['-h', '127.0.0.1', '-p', String(port), '-U', OWNER, DATABASE],
    ])
  const pid = () => running(data)?.pid
  const restart = async () => {
    await stopRunning(data)
    launch(bin, { data, port, throwaway })
    await waitUntil(() => accepts(bin, port), 30, 'PostgreSQL did not start again within 30 seconds.')
  }
  return { url: address(DATABASE), address, port, pid, restart, stop: () => stopRunning(data) }
}

/** Whether a server runs on this folder. */
export const runningCluster = (folder) => running(join(folder, 'data')) !== null

/** Runs one of PostgreSQL's own programs as whoever we are, and gives what it prints. */
export const client = (program, args) => {
  const done = spawnSync(join(binFolder(), program), args, { encoding: 'utf8', maxBuffer: 1 << 26 })
  if (done.status === 0) return done.stdout
  // An address holds a password, and is not repeated.
  throw new CannotGoOn(`${program}: ${(done.stderr || done.error?.message || 'failed').trim()}`)
}

/** Stops a cluster and takes its folder away. */
export const removeCluster = async (folder) => {
  await stopRunning(join(folder, 'data'))
  rmSync(folder, { recursive: true, force: true })
}
