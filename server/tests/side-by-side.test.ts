import type { BatchReply, ReplyOf } from '@still-pine/contract'
import pg from 'pg'
import { inject } from 'vitest'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { builtServer, startServer, type ServerProcess } from './built'
import { addHorse, answerItem, sessionItem } from './making'
import { FIRST_RUN, Visitor } from './running'

// Several servers on one PostgreSQL, as they run behind a balancer and are replaced one by one.

let old: string
let next: string
let databaseUrl: string
let servers: ServerProcess[] = []
let starters: Visitor[]

const asOwner = async <T extends pg.QueryResultRow>(query: string): Promise<T[]> => {
  const client = new pg.Client(databaseUrl)
  await client.connect()
  try {
    return (await client.query<T>(query)).rows
  } finally {
    await client.end()
  }
}

const visitorOf = ({ port }: ServerProcess): Visitor => new Visitor(`http://127.0.0.1:${port}`)

/** A database with nothing in it: not even its tables. */
const emptyDatabase = async (): Promise<string> => {
  const url = new URL(inject('clusterUrl'))
  const client = new pg.Client(url.href)
  await client.connect()
  const name = `e_${uuid().replaceAll('-', '')}`
  await client.query(`create database ${name}`)
  await client.end()
  url.pathname = `/${name}`
  return url.href
}

beforeAll(async () => {
  ;[old, next] = await Promise.all([builtServer('side-by-side'), builtServer('side-by-side-next', 'next')])
  databaseUrl = await emptyDatabase()
})
afterAll(() => Promise.all(servers.map(({ end }) => end('SIGKILL'))))

describe('three servers on one database', () => {
  it('start at the same moment, and make the yard once', async () => {
    servers = await Promise.all([1, 2, 3].map(() => startServer(old, databaseUrl)))
    const visitors = servers.map(visitorOf)
    const made = await Promise.all(visitors.map((visitor) => visitor.post('/first-run', FIRST_RUN)))
    expect(made.map(({ status }) => status).sort()).toEqual([200, 409, 409])
    expect(await asOwner('select 1 from yard')).toHaveLength(1)
    const [{ n, of } = { n: 0, of: 1 }] = await asOwner<{ n: number; of: number }>(
      'select count(distinct name)::int as n, count(*)::int as of from migration',
    )
    expect(n).toBe(of)
    starters = visitors
    for (const starter of starters) expect((await starter.post('/sign-in', FIRST_RUN)).status).toBe(200)
  })

  it('keep what is sent to all of them at once, once', async () => {
    const horse = await addHorse(starters[0]!)
    const at = new Date().toISOString()
    const session = sessionItem(horse, at)
    const items = [
      session,
      ...Array.from({ length: 20 }, () => answerItem(horse, session.session.id, { at })),
    ]
    const replies = await Promise.all(
      [...starters, ...starters].map((starter) =>
        starter.post<BatchReply>('/answers/batch', { sentAt: at, items }),
      ),
    )
    for (const { status, body } of replies) {
      expect(status).toBe(200)
      expect(body.items.filter(({ status: one }) => one === 'refused')).toEqual([])
    }
    const kept = await asOwner<{ id: string }>(`select id from answer where horse_id = '${horse}'`)
    expect(kept).toHaveLength(20)
    const [reading] = await Promise.all(
      starters.map((starter) => starter.get<ReplyOf<'worked'>>(`/horses/${horse}/worked`)),
    )
    expect(reading!.body.rows.reduce((sum, { answers }) => sum + answers, 0)).toBe(20)
  })

  it('lose nothing that was acknowledged when one of them is killed', async () => {
    const horse = await addHorse(starters[0]!)
    const at = new Date().toISOString()
    const session = sessionItem(horse, at)
    const acknowledged = new Set<string>()
    let sent = 0
    const writer = async (starter: Visitor): Promise<void> => {
      for (let n = 0; n < 25; n++) {
        const item = answerItem(horse, session.session.id, { at })
        sent++
        const reply = await starter
          .post<BatchReply>('/answers/batch', { sentAt: at, items: [session, item] })
          .catch(() => null)
        if (reply?.status === 200) acknowledged.add(item.answer.id)
      }
    }
    const writing = Promise.all(starters.map(writer))
    await vi.waitFor(() => expect(acknowledged.size).toBeGreaterThan(10), { timeout: 20_000 })
    await servers[2]!.end('SIGKILL')
    await writing
    const kept = await asOwner<{ id: string }>(`select id from answer where horse_id = '${horse}'`)
    expect(acknowledged.size).toBeLessThan(sent)
    expect(kept.map(({ id }) => id)).toEqual(expect.arrayContaining([...acknowledged]))
    const left = await starters[1]!.get<ReplyOf<'worked'>>(`/horses/${horse}/worked`)
    expect(left.body.rows.reduce((sum, { answers }) => sum + answers, 0)).toBe(kept.length)
  })

  it('are replaced one by one by another version, each judging by itself, and nobody waits for it', async () => {
    const failed: number[] = []
    let asking = true
    const newer = await startServer(next, databaseUrl)
    servers.push(newer)
    const fresh = visitorOf(newer)
    expect((await fresh.post('/sign-in', FIRST_RUN)).status).toBe(200)
    const reader = (async () => {
      while (asking) {
        const { status } = await fresh.get('/today')
        if (status !== 200) failed.push(status)
      }
    })()
    const before = await starters[0]!.get<ReplyOf<'today'>>('/today')
    expect(await servers[0]!.end('SIGTERM')).toBe(0)
    expect((await starters[1]!.get('/today')).status).toBe(200)
    expect(await servers[1]!.end('SIGTERM')).toBe(0)
    asking = false
    await reader
    expect(failed).toEqual([])
    const after = await fresh.get<ReplyOf<'today'>>('/today')
    expect(after.body.rows).toEqual(before.body.rows)
    await vi.waitFor(async () => {
      const engines = await asOwner<{ engine: string; n: number }>(
        'select engine, count(*)::int as n from horse_day group by engine',
      )
      expect(engines.map(({ n }) => n)).toEqual([before.body.rows.length, before.body.rows.length])
    })
  })
})
