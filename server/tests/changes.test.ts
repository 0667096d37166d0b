import { randomUUID } from 'node:crypto'
import type { Changed, Me } from '@still-pine/contract'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { addHorse, answerItem, sendBatch, sessionItem } from './making'
import { FIRST_RUN, startApp, startYard, type Running, type Visitor } from './running'

const now = () => new Date('2026-05-14T09:00:00Z')

let yard: Running & { starter: Visitor }
let beside: Running
let elsewhere: Visitor
beforeAll(async () => {
  yard = await startYard({ now })
  // A second server process on the same database.
  beside = await startApp({ now, ownerUrl: yard.ownerUrl })
  elsewhere = beside.visitor()
  await elsewhere.post('/sign-in', FIRST_RUN)
})
afterAll(async () => {
  await beside.stop()
  await yard.stop()
})

/** What a page hears of its yard, and how it stops listening. */
const listen = async ({ address }: Running, visitor: Visitor) => {
  const stop = new AbortController()
  const response = await fetch(`${address}/api/v1/changes`, {
    headers: { Cookie: visitor.signedInAs },
    signal: stop.signal,
  })
  const heard: Changed[] = []
  let text = ''
  const ended = (async () => {
    for await (const chunk of response.body!.pipeThrough(new TextDecoderStream())) {
      text += chunk
      heard.splice(0, heard.length, ...events(text))
    }
  })().catch(() => undefined)
  return { response, heard, ended, stop: () => stop.abort() }
}

const events = (text: string): Changed[] =>
  [...text.matchAll(/^data: (.*)$/gm)].map(([, data]) => JSON.parse(data!) as Changed)

const horsesIn = (heard: readonly Changed[]): ReadonlySet<string> =>
  new Set(heard.flatMap(({ horseIds }) => horseIds ?? []))

describe('the stream of changes', () => {
  it('tells a page on one server what was sent to another', async () => {
    const page = await listen(yard, yard.starter)
    expect(page.response.headers.get('content-type')).toMatch(/^text\/event-stream/)
    const horse = await addHorse(elsewhere)
    await vi.waitFor(() => expect(horsesIn(page.heard)).toContain(horse))
    const before = page.heard.length
    const at = '2026-05-14T08:00:00Z'
    const session = sessionItem(horse, at)
    await sendBatch(elsewhere, [session, answerItem(horse, session.session.id, { at })], at)
    await vi.waitFor(() => expect(horsesIn(page.heard.slice(before))).toContain(horse))
    await elsewhere.put(`/places/${uuid()}`, { name: 'Lane', suits: [], home: false, note: '', version: 0 })
    await vi.waitFor(() => expect(page.heard.at(-1)).toEqual({ horseIds: [] }))
    page.stop()
  })

  it('tells nothing of another yard', async () => {
    const page = await listen(yard, yard.starter)
    const owner = new pg.Client(yard.ownerUrl)
    await owner.connect()
    const other = randomUUID()
    await owner.query(
      `insert into yard (id, name, time_zone, created_at) values ($1, 'Hollow Beck', 'Europe/Oslo', now())`,
      [other],
    )
    await owner.query(
      `insert into place (id, yard_id, name, suits, home, note, version) values ($1, $2, 'Lane', '{}', false, '', 1)`,
      [uuid(), other],
    )
    const theirs = uuid()
    await owner.query(`select pg_notify('yard_changed', $1)`, [
      JSON.stringify({ yardId: other, horseId: theirs }),
    ])
    await owner.end()
    const horse = await addHorse(elsewhere)
    await vi.waitFor(() => expect(horsesIn(page.heard)).toContain(horse))
    expect(horsesIn(page.heard)).not.toContain(theirs)
    page.stop()
  })

  it('tells a page what changed between its reading and its listening', async () => {
    const horse = await addHorse(elsewhere)
    const first = await listen(yard, yard.starter)
    await vi.waitFor(() => expect(horsesIn(first.heard)).toContain(horse))
    const second = await listen(yard, yard.starter)
    await vi.waitFor(() => expect(horsesIn(second.heard)).toContain(horse))
    first.stop()
    second.stop()
  })

  it('is for who may read the yard, and for nobody who is not signed in', async () => {
    const { body: me } = await yard.starter.get<Me>('/me')
    expect(me.person.role).toBe('starter')
    const signIn = { email: 'owner.of.none@example.org', password: 'a long enough word' }
    await yard.starter.put(`/people/${uuid()}`, { name: 'Tove Lund', role: 'owner', ...signIn })
    const owner = yard.visitor()
    await owner.post('/sign-in', signIn)
    expect((await listen(yard, owner)).response.status).toBe(403)
    expect((await listen(yard, yard.visitor())).response.status).toBe(401)
  })

  it('says that anything may have changed once the database is back', async () => {
    const page = await listen(yard, yard.starter)
    const owner = new pg.Client(yard.ownerUrl)
    await owner.connect()
    await owner.query(
      `select pg_terminate_backend(pid) from pg_stat_activity where query ilike 'listen yard_changed'`,
    )
    await owner.end()
    await vi.waitFor(() => expect(page.heard).toContainEqual({ horseIds: null }), { timeout: 10_000 })
    page.stop()
  })

  it('ends when its server is stopped', async () => {
    const third = await startApp({ now, ownerUrl: yard.ownerUrl })
    const page = await listen(third, yard.starter)
    await third.stop()
    await page.ended
  })
})
