// What a backup is: one tar of the database as pg_dump wrote it, the files of pictures, clips and spoken notes, and the
// SHA-256 of each, as sha256sum writes and checks them.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  closeSync,
  createReadStream,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  readSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { CannotGoOn } from './say.mjs'

export const DUMP = 'database.dump'
export const FILES = 'files'
const SUMS = 'sha256sums'

const tar = (...args) => {
  const done = spawnSync('tar', args, { encoding: 'utf8' })
  if (done.status !== 0) throw new CannotGoOn(`tar failed:\n${done.stderr || done.error?.message}`)
}

const sha256Of = async (path) => {
  const hash = createHash('sha256')
  await pipeline(createReadStream(path), hash)
  return hash.digest('hex')
}

/** The files under a folder, by their paths from it; what is still on its way is none. */
export const filesUnder = (folder) =>
  existsSync(folder)
    ? readdirSync(folder, { recursive: true, withFileTypes: true })
        .filter((entry) => entry.isFile() && !entry.name.endsWith('.part'))
        .map(({ parentPath, name }) => relative(folder, join(parentPath, name)))
    : []

/** Packs a folder that holds the dump, and the files of another, into `target`. */
export const pack = async (folder, filesFolder, target) => {
  const names = [DUMP, ...filesUnder(filesFolder).map((name) => join(FILES, name))]
  mkdirSync(filesFolder, { recursive: true, mode: 0o700 })
  symlinkSync(filesFolder, join(folder, FILES))
  const sums = []
  for (const name of names) sums.push(`${await sha256Of(join(folder, name))}  ${name}\n`)
  writeFileSync(join(folder, SUMS), sums.join(''))
  writeFileSync(join(folder, 'names'), [...names, SUMS].join('\n'))
  tar('-chf', target, '-C', folder, '-T', join(folder, 'names'))
}

const BEFORE_THERE_WERE_FILES = 'PGDMP'

const startOf = (file) => {
  const start = Buffer.alloc(BEFORE_THERE_WERE_FILES.length)
  const opened = openSync(file, 'r')
  readSync(opened, start)
  closeSync(opened)
  return start.toString('latin1')
}

/** Unpacks a backup into a folder, and looks at every sum; gives where the dump lies and which files came with it. */
export const unpack = async (file, folder) => {
  if (startOf(file) === BEFORE_THERE_WERE_FILES) return { dump: file, files: null }
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const notWhole = (why) => {
    rmSync(folder, { recursive: true, force: true })
    return new CannotGoOn(`${file} is not a whole backup; nothing was changed.\n${why}`)
  }
  try {
    tar('-xf', file, '-C', folder)
  } catch (error) {
    throw notWhole(error.message)
  }
  if (!existsSync(join(folder, SUMS))) throw notWhole(`It holds no ${SUMS}.`)
  const lines = readFileSync(join(folder, SUMS), 'utf8').split('\n').filter(Boolean)
  for (const line of lines) {
    const [, sum, name] = /^([0-9a-f]{64}) {2}(.+)$/.exec(line) ?? []
    const path = join(folder, name ?? '')
    if (!sum || !existsSync(path) || (await sha256Of(path)) !== sum)
      throw notWhole(`${name ?? SUMS} is damaged.`)
  }
  return { dump: join(folder, DUMP), files: filesUnder(join(folder, FILES)) }
}

/** The folder a file lies in, made if it is not there. */
export const roomFor = (path) => {
  mkdirSync(dirname(path), { recursive: true, mode: 0o700 })
  return path
}
