// Runs a command's work on the yard's database: its own cluster, started if it does not run, or DATABASE_URL.
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from './folders.mjs'
import { CannotGoOn } from './say.mjs'
import { runningCluster, startCluster } from './postgres.mjs'

/** `work` gets the owner's address; a cluster that we started is stopped again. */
export const withDatabase = async (name, { mayMake = false }, work) => {
  if (process.env.DATABASE_URL !== undefined) return work(process.env.DATABASE_URL)
  const folder = dataFolder(name)
  if (!mayMake && !existsSync(join(folder, 'data', 'PG_VERSION')))
    throw new CannotGoOn(
      `There is no ${name === 'demo' ? 'demo' : 'yard'} here yet: start it once, or set DATABASE_URL.`,
    )
  const wasRunning = runningCluster(folder)
  const cluster = await startCluster(folder)
  try {
    return await work(cluster.url)
  } finally {
    if (!wasRunning) await cluster.stop()
  }
}
