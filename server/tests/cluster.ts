import { chmodSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import pg from 'pg'
import type { TestProject } from 'vitest/node'
import { removeCluster, startCluster } from '../../tools/postgres.mjs'
import { migrate } from '../src/data/pool'

declare module 'vitest' {
  interface ProvidedContext {
    clusterUrl: string
  }
}

/** One throwaway cluster a run, with a template database that each test file copies. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const folder = join(mkdtempSync(join(tmpdir(), 'still-pine-test-')), 'pg')
  // The user `postgres` must be able to pass through the folder above.
  chmodSync(dirname(folder), 0o755)
  const cluster = await startCluster(folder, { throwaway: true })
  await migrate(cluster.url, new URL('../migrations', import.meta.url).pathname)
  const client = new pg.Client(cluster.address('postgres'))
  await client.connect()
  await client.query('alter database still_pine is_template true')
  await client.end()
  project.provide('clusterUrl', cluster.address('postgres'))
  return () => removeCluster(folder)
}
