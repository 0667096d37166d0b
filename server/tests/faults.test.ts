import { chmodSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import type { BatchReply, Problem } from '@still-pine/contract'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { removeCluster, startCluster, type Cluster } from '../../tools/postgres.mjs'
import { builtServer, startServer, type ServerProcess } from './built'
import { addHorse, answerItem, sessionItem } from './making'
import { FIRST_RUN, Visitor } from './running'

let folder: string
let cluster: Cluster
let built: string
let server: ServerProcess
let starter: Visitor

const killServer = () => server.end('SIGKILL')

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))

beforeAll(async () => {
  built = await builtServer('for-tests')
  folder = join(mkdtempSync(join(tmpdir(), 'still-pine-faults-')), 'pg')
  chmodSync(dirname(folder), 0o755)
  cluster = await startCluster(folder, { throwaway: true })
  server = await startServer(built, cluster.url)
  starter = new Visitor(`http://127.0.0.1:${server.port}`)
  expect((await starter.post('/first-run', FIRST_RUN)).status).toBe(200)
})
afterAll(async () => {
  await killServer()
  await removeCluster(folder)
})

const storedIds = async (horseId: string): Promise<string[]> => {
  const client = new pg.Client(cluster.url)
  await client.connect()
  const { rows } = await client.query<{ id: string }>('select id from answer where horse_id = $1', [horseId])
  await client.end()
  return rows.map(({ id }) => id)
}

/** A client that writes, as the outbox does, while something is killed again and again. */
const writeThrough = async (kill: () => Promise<void>, kills: number) => {
  const horse = await addHorse(starter)
  const session = sessionItem(horse, new Date().toISOString())
  const acknowledged = new Set<string>()
  const sent: string[] = []
  let writing = true

  const writer = (async () => {
    while (writing) {
      const item = answerItem(horse, session.session.id, { at: new Date().toISOString() })
      sent.push(item.answer.id)
      // The same item again until somebody says what became of it.
      for (;;) {
        const reply = await starter
          .post<BatchReply>('/answers/batch', { sentAt: new Date().toISOString(), items: [session, item] })
          .catch(() => null)
        if (reply?.status === 200 && reply.body.items[1]?.status !== 'refused') {
          acknowledged.add(item.answer.id)
          break
        }
        await pause(30)
      }
    }
  })()

  // By count and not by the clock: a machine may be slow.
  const moreAcknowledged = async (): Promise<void> => {
    const enough = acknowledged.size + 6
    while (acknowledged.size < enough) await pause(10)
  }

  for (let n = 0; n < kills; n++) {
    await moreAcknowledged()
    await kill()
  }
  await moreAcknowledged()
  writing = false
  await writer
  return { horse, acknowledged, sent, stored: await storedIds(horse) }
}

const expectNothingLost = async ({
  horse,
  acknowledged,
  sent,
  stored,
}: Awaited<ReturnType<typeof writeThrough>>): Promise<void> => {
  expect([...acknowledged].filter((id) => !stored.includes(id))).toEqual([])
  expect([...stored].sort()).toEqual([...sent].sort())
  const { body } = await starter.get<{ tracks: { step: string; view: { answers: number } }[] }>(
    `/horses/${horse}/line`,
  )
  expect(body.tracks.find(({ step }) => step === 'settle-in-pen')!.view.answers).toBe(sent.length)
}

describe('killed with -9 while a client writes', () => {
  it('the server loses no acknowledged answer, and what is sent again is kept once', async () => {
    const written = await writeThrough(async () => {
      await killServer()
      server = await startServer(built, cluster.url, server.port)
    }, 4)
    expect(written.acknowledged.size).toBeGreaterThanOrEqual(30)
    await expectNothingLost(written)
  })

  it('the database loses no acknowledged answer either', async () => {
    const written = await writeThrough(async () => {
      process.kill(cluster.pid()!, 'SIGKILL')
      await pause(500)
      await cluster.restart()
    }, 3)
    expect(written.acknowledged.size).toBeGreaterThanOrEqual(24)
    await expectNothingLost(written)
  })
})

describe('a database killed with -9', () => {
  it('is a 503 that says so, and the server recovers by itself', async () => {
    const horse = await addHorse(starter)
    process.kill(cluster.pid()!, 'SIGKILL')
    await pause(500)
    const during = await starter.get<Problem>(`/horses/${horse}`)
    expect(during).toMatchObject({ status: 503, body: { type: 'database-away' } })
    expect(during.headers.get('retry-after')).toBe('2')
    const item = answerItem(horse, crypto.randomUUID(), { at: new Date().toISOString() })
    const write = await starter.post<Problem>('/answers/batch', {
      sentAt: new Date().toISOString(),
      items: [item],
    })
    expect(write.status).toBe(503)
    expect((await starter.ask('GET', '/healthz')).status).toBe(200)
    expect((await starter.ask('GET', '/readyz')).status).toBe(503)
    await cluster.restart()
    expect((await starter.get(`/horses/${horse}`)).status).toBe(200)
    expect((await starter.ask('GET', '/readyz')).status).toBe(200)
  })
})
