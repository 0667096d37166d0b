import { chmodSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { removeCluster, startCluster, type Cluster } from '../../tools/postgres.mjs'
import { appUrl, migrate } from '../src/data/pool'

const MIGRATIONS = new URL('../migrations', import.meta.url).pathname

let folder: string
let cluster: Cluster
beforeAll(async () => {
  folder = join(mkdtempSync(join(tmpdir(), 'still-pine-own-')), 'pg')
  chmodSync(dirname(folder), 0o755)
  cluster = await startCluster(folder)
})
afterAll(() => removeCluster(folder))

const count = async (url: string, query: string): Promise<unknown> => {
  const client = new pg.Client(url)
  await client.connect()
  try {
    return (await client.query(query)).rows[0]
  } finally {
    await client.end()
  }
}

describe('a real yard’s own PostgreSQL', () => {
  it('lets nobody in without its password, which only its owner may read', async () => {
    const bare = new URL(cluster.url)
    bare.password = ''
    await expect(count(bare.href, 'select 1')).rejects.toThrow()
    expect(statSync(join(folder, 'password')).mode & 0o077).toBe(0)
  })

  it('listens on loopback only, with no socket file', async () => {
    const { address } = (await count(
      cluster.url,
      `select current_setting('listen_addresses') as address`,
    )) as { address: string }
    const { socket } = (await count(
      cluster.url,
      `select current_setting('unix_socket_directories') as socket`,
    )) as { socket: string }
    expect([address, socket]).toEqual(['127.0.0.1', ''])
  })

  it('migrates twice to the same shape, and lets the application in as a role that owns nothing', async () => {
    await migrate(cluster.url, MIGRATIONS)
    await migrate(cluster.url, MIGRATIONS)
    const owned = `select count(*)::int as n from pg_class where relowner = 'still_pine_app'::regrole`
    expect(await count(cluster.url, owned)).toEqual({ n: 0 })
    expect(await count(appUrl(cluster.url), 'select count(*)::int as n from horse')).toEqual({ n: 0 })
    await expect(count(appUrl(cluster.url), 'create table mine (id int)')).rejects.toThrow(
      /permission denied/,
    )
    const powers = `select rolsuper, rolbypassrls, rolcreaterole from pg_roles where rolname = 'still_pine_app'`
    expect(await count(cluster.url, powers)).toEqual({
      rolsuper: false,
      rolbypassrls: false,
      rolcreaterole: false,
    })
  })

  it('is found running by a second start, and started again after a kill that left its pid file', async () => {
    const before = cluster.pid()
    const second = await startCluster(folder)
    expect([second.pid(), second.port]).toEqual([before, cluster.port])
    await cluster.stop()
    // A file left behind by a server that is gone, with the pid of some other process.
    const file = join(folder, 'data', 'postmaster.pid')
    writeFileSync(file, `${process.pid}\n${folder}/data\n0\n5432\n`)
    expect(readFileSync(file, 'utf8')).toContain(String(process.pid))
    const third = await startCluster(folder).catch((error: Error) => error)
    expect(third).not.toBeInstanceOf(Error)
    cluster = third as Cluster
    expect(await count(cluster.url, 'select count(*)::int as n from horse')).toEqual({ n: 0 })
  })
})
