// Where a yard's own data lies.
import { createHash } from 'node:crypto'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { isRoot } from './install.mjs'

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..')

const placeName = createHash('sha256').update(ROOT).digest('hex').slice(0, 10)

/**
 * The folder of a cluster. Root must keep it where the user `postgres` can reach it, outside home folders; anybody
 * else keeps it beside the code.
 */
export const dataFolder = (name) =>
  process.env.STILL_PINE_DATA
    ? join(resolve(process.env.STILL_PINE_DATA), name)
    : isRoot
      ? `/var/lib/still-pine-${placeName}-${name}`
      : join(ROOT, '.still-pine', name)

/** The folder of a yard's pictures, clips and spoken notes: where it is set, or beside its database. */
export const filesFolder = (name) =>
  process.env.STILL_PINE_FILES ? resolve(process.env.STILL_PINE_FILES) : `${dataFolder(name)}-files`
