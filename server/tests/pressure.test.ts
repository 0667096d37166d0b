import { mkdtempSync, writeFileSync } from 'node:fs'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import type { Me, Problem, ReplyOf } from '@still-pine/contract'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { addHorse, answerItem, sendBatch, sessionItem } from './making'
import { startYard, warm, type Running, type Visitor } from './running'

const now = new Date('2026-05-14T09:00:00Z')
const AT = '2026-05-14T08:00:00Z'

const webFolder = mkdtempSync(join(tmpdir(), 'still-pine-web-'))
writeFileSync(join(webFolder, 'index.html'), '<p>Still Pine</p>')

let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: () => now, webFolder })
})
afterAll(() => yard.stop())

const statuses = (replies: readonly { readonly status: number }[]): number[] => [
  ...new Set(replies.map(({ status }) => status)),
]

describe('many at the same moment', () => {
  it('may send the same horses in any order', async () => {
    const horses = await Promise.all(Array.from({ length: 2 }, () => addHorse(yard.starter)))
    const phone = (order: readonly string[]) => {
      const sessions = order.map((horse) => sessionItem(horse, AT))
      const answers = sessions.flatMap(({ session }) =>
        Array.from({ length: 4 }, () => answerItem(session.horseId, session.id, { at: AT })),
      )
      return sendBatch(yard.starter, [...sessions, ...answers], now.toISOString())
    }
    const rounds = Array.from({ length: 20 }, () => [phone(horses), phone([...horses].reverse())])
    expect(statuses(await Promise.all(rounds.flat()))).toEqual([200])
  })

  it('may read the day while another sends', async () => {
    const horses: string[] = []
    for (let n = 0; n < 6; n++) horses.push(await addHorse(yard.starter))
    const sent = () => {
      const sessions = [...horses].reverse().map((horse) => sessionItem(horse, AT))
      const answers = sessions.map(({ session }) => answerItem(session.horseId, session.id, { at: AT }))
      return sendBatch(yard.starter, [...sessions, ...answers], now.toISOString())
    }
    await warm(yard)
    for (let n = 0; n < 8; n++) {
      const replies = await Promise.all([yard.starter.get('/today'), sent(), yard.starter.get('/today')])
      expect(statuses(replies)).toEqual([200])
    }
    const { body } = await yard.starter.get<ReplyOf<'today'>>('/today')
    const rows = body.rows.filter(({ horse }) => horses.includes(horse.id))
    expect(rows.map(({ answersToday }) => answersToday)).toEqual(Array(6).fill(8))
  })

  it('may ask who they are, more of them than there are connections', async () => {
    await warm(yard)
    expect(
      statuses(await Promise.all(Array.from({ length: 48 }, () => yard.starter.get<Me>('/me')))),
    ).toEqual([200])
  })
})

describe('a batch with one thing in it that cannot be held', () => {
  const LONE = 'a\ud800b'
  const poisoned = (horse: string, session: string): Record<string, unknown> => ({
    'NUL in a text': answerItem(horse, session, { at: AT, change: { fault: 'a\u0000b' } }),
    'half a character in a text': answerItem(horse, session, { at: AT, change: { why: LONE } }),
    'a number too small for its column': answerItem(horse, session, { at: AT, change: { seconds: 1e-60 } }),
    'a pull too small for its column': answerItem(horse, session, { at: AT, change: { peakNewtons: 1e-60 } }),
    'a rung that is on no ladder': answerItem(horse, session, { at: AT, change: { rung: 1.37 } }),
    'a day of seconds at the lightest': answerItem(horse, session, {
      at: AT,
      change: { grade: 0, seconds: 86_400 },
    }),
    'an answer in 1900': answerItem(horse, session, { at: '1900-01-01T00:00:00Z' }),
    'an answer years from its session': answerItem(horse, session, { at: '2024-05-14T08:00:00Z' }),
    'a time of the year 9999': answerItem(horse, session, { at: '9999-05-14T08:00:00Z' }),
    'an incident on a day before any horse': {
      do: 'incident',
      id: uuid(),
      horseId: horse,
      incident: { kind: 'kick', on: '1901-01-01', step: null, side: null, where: '', before: '', after: '' },
    },
    'a note with NUL': { do: 'note', id: uuid(), sessionId: session, note: 'x\u0000', at: AT },
    'a kit of half a character': {
      do: 'circumstances',
      id: uuid(),
      sessionId: session,
      circumstances: { kit: LONE },
      at: AT,
    },
  })

  it('keeps all the rest, and says of that one why not', async () => {
    const horse = await addHorse(yard.starter, { born: null })
    const session = sessionItem(horse, AT)
    await sendBatch(yard.starter, [session], now.toISOString())
    for (const [what, item] of Object.entries(poisoned(horse, session.session.id))) {
      const good = answerItem(horse, session.session.id, { at: AT })
      const { status, body } = await sendBatch(yard.starter, [item, good], now.toISOString())
      expect([what, status]).toEqual([what, 200])
      expect([what, ...body.items.map((one) => one.status)]).toEqual([what, 'refused', 'kept'])
      expect(body.items[0]!.reason!.length).toBeGreaterThan(15)
    }
  })

  it('refuses an answer that corrects itself', async () => {
    const horse = await addHorse(yard.starter)
    const session = sessionItem(horse, AT)
    const id = uuid()
    const own = answerItem(horse, session.session.id, { at: AT, change: { id, replaces: id } })
    const { body } = await sendBatch(yard.starter, [session, own], now.toISOString())
    expect(body.items[1]).toMatchObject({ status: 'refused', reason: 'An answer cannot correct itself.' })
  })

  it('is taken from a phone whose clock stands in the year 9999, at the time it was', async () => {
    const horse = await addHorse(yard.starter)
    const session = sessionItem(horse, '2199-01-01T10:00:00Z')
    const answer = answerItem(horse, session.session.id, { at: '2199-01-01T10:05:00Z' })
    const { status, body } = await sendBatch(yard.starter, [session, answer], '2199-01-01T10:06:00Z')
    expect([status, ...body.items.map((one) => one.status)]).toEqual([200, 'kept', 'kept'])
    const far = await sendBatch(yard.starter, [sessionItem(horse, AT)], '9999-12-31T23:59:59Z')
    expect([far.status, far.body.items[0]!.status]).toEqual([200, 'refused'])
  })
})

describe('a horse that nobody ever started', () => {
  it.each([
    [{ born: '1000-01-01' }, 'born'],
    [{ born: '1950-01-01' }, 'born'],
    [{ name: '\u200b\u200d\u2060' }, 'name'],
    [{ name: 'a\ud800' }, 'name'],
    [{ heightCm: 1e-50 }, 'heightCm'],
    [{ version: 3_000_000_000 }, 'version'],
  ])('is refused: %j', async (change, field) => {
    const { horseForm } = await import('./making')
    const { status, body } = await yard.starter.put<Problem>(`/horses/${uuid()}`, horseForm(change))
    expect(status).toBe(400)
    expect(body.fields?.map(({ path }) => path)).toContain(field)
  })
})

describe('files that nobody takes to the end', () => {
  it('let go of what they hold', async () => {
    const horse = await addHorse(yard.starter)
    const session = sessionItem(horse, AT)
    await sendBatch(
      yard.starter,
      [session, answerItem(horse, session.session.id, { at: AT })],
      now.toISOString(),
    )
    const owner = new pg.Client(yard.ownerUrl)
    await owner.connect()
    // A long history, so that a file is far larger than any buffer on its way.
    await owner.query(
      `insert into answer (id, yard_id, horse_id, session_id, person_id, step, side, rung, grade, at, day, phone_at,
                           ahead, by_chance, recalled, uncued, moving, fault)
       select gen_random_uuid(), yard_id, horse_id, session_id, person_id, step, side, rung, grade, at, day, phone_at,
              ahead, by_chance, recalled, uncued, moving, encode(sha256(n::text::bytea), 'hex')
       from answer, generate_series(1, 40000) n where session_id = $1`,
      [session.session.id],
    )
    await owner.end()
    const { hostname, port } = new URL(yard.address)
    const cookie = yard.starter.signedInAs
    const cutOff = () =>
      new Promise<void>((resolve) => {
        const socket = connect(Number(port), hostname)
        socket.once('data', () => {
          socket.pause()
          setTimeout(() => resolve(void socket.destroy()), 300)
        })
        socket.on('error', () => undefined)
        socket.write(`GET /api/v1/out/yard.json HTTP/1.1\r\nHost: x\r\nCookie: ${cookie}\r\n\r\n`)
      })
    await Promise.all(Array.from({ length: 4 }, cutOff))
    await Promise.all(Array.from({ length: 8 }, cutOff))
    const replies = await Promise.all(Array.from({ length: 12 }, () => yard.starter.get('/me')))
    expect(statuses(replies)).toEqual([200])
    await vi.waitFor(() => expect(yard.pool.totalCount - yard.pool.idleCount).toBe(0))
  })
})

describe('a broken header', () => {
  const asked = (headers: Record<string, string>, init: RequestInit = {}) =>
    fetch(`${yard.address}/`, { headers, ...init })

  it.each([
    ['Range', 'bytes=999999-'],
    ['Range', 'nonsense'],
    ['If-Match', '"no such"'],
    ['If-None-Match', '\\'],
    ['Accept-Encoding', 'x'.repeat(200)],
  ])('%s: %s is nobody’s fault here', async (name, value) => {
    expect((await asked({ [name]: value })).status).toBeLessThan(500)
  })

  it('that promises more gzip than comes is a bad request', async () => {
    const whole = gzipSync(JSON.stringify({ sentAt: AT, items: [{}] }))
    const reply = await fetch(`${yard.address}/api/v1/answers/batch`, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/json',
        'Content-Encoding': 'gzip',
        Cookie: yard.starter.signedInAs,
      },
      body: whole.subarray(0, whole.length - 6),
    })
    expect(reply.status).toBe(400)
    expect(((await reply.json()) as Problem).title).toMatch(/Nothing was changed/)
  })
})
