import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  ACTIONS,
  files,
  mayDo,
  pathTo,
  RIGHTS,
  ROLES,
  routes,
  YARD_FORMAT_VERSION,
  YARD_PART_NAMES,
  type Horse,
  type Problem,
  type Route,
} from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import { copyOfSchool } from '@still-pine/core/school-edit'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { hashPassword } from '../src/auth/passwords'
import { appUrl } from '../src/data/pool'
import { addHorse, answerItem, horseForm, sendBatch, sessionItem, voidItem } from './making'
import { attachItem, JPEG, png } from './media'
import type { Visitor } from './running'
import { FIRST_RUN, startYard, type Running } from './running'

let yard: Running & { starter: Visitor }
let owner: pg.Client
const now = new Date('2026-05-14T09:00:00Z')

/** Ids of a second yard, made by the owner of the tables, and people of every role in both. */
const other = {
  yardId: uuid(),
  horse: uuid(),
  program: uuid(),
  session: uuid(),
  answer: uuid(),
  device: uuid(),
  attachment: uuid(),
  person: '',
}
const PASSWORD = 'a long enough one'

const addPerson = async (yardId: string, role: string, email: string): Promise<string> => {
  const id = uuid()
  await owner.query(
    `insert into person (id, yard_id, name, email, role, password_hash, settings, created_at)
     values ($1, $2, $3, $4, $5, $6, '{}', now())`,
    [id, yardId, role, email, role, await hashPassword(PASSWORD)],
  )
  return id
}

const signIn = async (email: string): Promise<Visitor> => {
  const visitor = yard.visitor()
  const reply = await visitor.post('/sign-in', { email, password: PASSWORD })
  expect(reply.status).toBe(200)
  return visitor
}

beforeAll(async () => {
  yard = await startYard({ now: () => now })
  owner = new pg.Client(yard.ownerUrl)
  await owner.connect()
  await owner.query(`insert into yard values ($1, 'Elsewhere', 'Europe/Oslo', false, now())`, [other.yardId])
  const person = await addPerson(other.yardId, 'starter', 'other@example.org')
  other.person = person
  await owner.query(`insert into device values ($1, $2, $3, 'Heron’s phone', now(), null)`, [
    person,
    other.device,
    other.yardId,
  ])
  await owner.query(`insert into program select $1, $2, school, version, document from program limit 1`, [
    other.program,
    other.yardId,
  ])
  await owner.query(
    `insert into horse (id, yard_id, program_id, name, born, sex, kind, marks, origin, handled, arrived, version, created_at)
     values ($1, $2, $3, 'Heron', '2022-01-01', 'mare', 'horse', '', '', false, '2026-01-01', 1, now())`,
    [other.horse, other.yardId, other.program],
  )
  await owner.query(`insert into pen_session values ($1, $2, $3, $4, now(), '2026-05-13', null, '')`, [
    other.session,
    other.yardId,
    other.horse,
    person,
  ])
  await owner.query(
    `insert into answer (id, yard_id, horse_id, session_id, person_id, step, side, rung, grade, at, day, phone_at,
                         ahead, by_chance, recalled, uncued, moving)
     values ($1, $2, $3, $4, $5, 'settle-in-pen', 'none', 1, 1, now(), '2026-05-13', now(),
             false, false, false, false, false)`,
    [other.answer, other.yardId, other.horse, other.session, person],
  )
  await owner.query(
    `insert into attachment (id, yard_id, horse_id, person_id, session_id, kind, bytes, sha256, at, day, words, in_report,
                             type)
     values ($1, $2, $3, $4, $5, 'picture', 3, repeat('0', 64), now(), '2026-05-13', 'Heron', true, 'image/png')`,
    [other.attachment, other.yardId, other.horse, person, other.session],
  )
  // Its file lies where it would be found.
  const theirs = join(yard.filesFolder, other.yardId)
  mkdirSync(theirs)
  for (const name of [other.attachment, `${other.attachment}.thumbnail`])
    writeFileSync(join(theirs, name), 'Heron')
})
afterAll(async () => {
  await owner.end()
  await yard.stop()
})

const INCIDENT = {
  kind: 'kick',
  on: '2026-05-01',
  step: null,
  side: null,
  serious: false,
  where: '',
  before: '',
  after: '',
}

const BODIES: Record<string, unknown> = {
  putHorse: horseForm({ version: 1 }),
  putHandOver: { steps: ['lead-up'], version: 1 },
  putArchived: { archived: { on: '2026-05-01', reason: 'sold', note: '' }, version: 1 },
  putCheck: { kind: 'feet', on: '2026-05-01', until: null, passed: true, note: '' },
  putCutOff: { cutOff: true },
  putProgram: { basedOn: 0, program: copyOfSchool(FEET_FIRST, 'our-way', 'Our way') },
  putArrival: { on: '2026-05-14' },
  putBlock: { kind: 'start', from: '2026-05-01', until: null, worries: '', reward: '', note: '', version: 0 },
  putOwner: { personId: null },
  putPerson: { name: 'Somebody', role: 'helper', email: null, password: null },
  putStanding: { standing: 'suspended' },
  ownPassword: { old: 'not the one it is', password: 'another one altogether' },
  putReportLink: { until: '2026-06-14' },
  putPlace: { name: 'Round pen', suits: ['loose'], home: true, note: '', version: 0 },
  putHorseProgram: { programId: uuid(), version: 1 },
  putOverrule: { gate: 'halter', reason: 'because I looked at it myself' },
  settings: { theme: 'light', pressLagSeconds: 0.4, forwardKey: 'a', backKey: 'b', vibrate: true },
  putArranged: {
    version: 0,
    arranged: { about: 'person', roles: ['help'], hours: [], mostMinutesPerDay: null, remindMinutes: null },
  },
  putPlannedWeek: {
    pins: [],
    wishes: [],
    conditions: {},
    visits: [],
    told: { objective: 0, bound: null, status: 'at once', words: '', lacking: [], clashes: [] },
    version: 0,
  },
  putBusy: { hash: '0'.repeat(64), times: [] },
  batch: { sentAt: now.toISOString(), items: [{}] },
}

const QUERIES: Record<string, string> = {
  moveOver: `?to=${uuid()}`,
  visits: '?from=2026-05-11&until=2026-05-17',
}

const filled = (name: string, route: Route, ids: Record<string, string>): string =>
  `/api/v1${pathTo(route.path, ids)}${QUERIES[name] ?? ''}`

const idsOf = (horseId: string, sessionId: string, programId: string) => ({
  horseId,
  sessionId,
  programId,
  school: 'feet-first',
  step: 'settle-in-pen',
  checkId: uuid(),
  incidentId: uuid(),
  overruleId: uuid(),
  arrivalId: uuid(),
  blockId: uuid(),
  placeId: uuid(),
  linkId: uuid(),
  personId: other.person,
  deviceId: other.device,
  day: '2026-05-14',
  on: '2026-05-14',
  firstDay: '2026-05-11',
  partId: other.person,
})

const guarded = Object.entries(routes).filter(([, route]) => route.needs !== 'open') as unknown as [
  string,
  Route,
][]

describe('another yard’s ids', () => {
  /** What makes something under an id of one's own choosing; whose else it is makes no difference. */
  const MAKING = ['putHorse', 'putProgram']

  it.each(
    guarded.filter(
      ([name, route]) => /horseId|sessionId|programId|deviceId/.test(route.path) && !MAKING.includes(name),
    ),
  )('%s finds nothing and says so', async (name, route) => {
    const path = filled(name, route, idsOf(other.horse, other.session, other.program))
    const { status, body } = await yard.starter.ask<Problem>(route.method.toUpperCase(), path, {
      body: route.method === 'get' ? undefined : BODIES[name],
    })
    expect(status).toBe(404)
    expect(body.type).toBe('not-found')
    expect(JSON.stringify(body)).not.toMatch(/Heron|Elsewhere/)
  })

  it('find nothing in the files that go out, and bring nothing in', async () => {
    const one = await yard.starter.file('GET', `${files.answersOut.path}?horseId=${other.horse}`)
    expect(one.status).toBe(404)
    for (const { path } of [files.answersOut, files.yardOut]) {
      const { text } = await yard.starter.file('GET', path)
      expect(text).not.toMatch(new RegExp(`Heron|Elsewhere|${other.answer}`))
    }
    const session = {
      do: 'session',
      session: { id: uuid(), horseId: other.horse, startedAt: now.toISOString(), place: null, note: '' },
    }
    const { text } = await yard.starter.file('POST', files.answersIn.path, JSON.stringify(session))
    expect(text).toMatch(/a horse that is not in your yard/)
  })

  it('find no picture, and add nothing to one', async () => {
    const path = (of: { path: string }) => pathTo(of.path, { attachmentId: other.attachment, from: 0 })
    for (const of of [files.attachmentFile, files.attachmentThumbnail])
      expect((await yard.starter.bytes('GET', path(of))).status).toBe(404)
    for (const of of [files.attachmentPiece, files.attachmentThumbnailIn])
      expect((await yard.starter.bytes('PUT', path(of), { body: JPEG })).status).toBe(404)
    const bytes = png(20)
    const own = await addHorse(yard.starter)
    const { body } = await sendBatch(
      yard.starter,
      [
        attachItem(other.horse, { bytes, recordId: other.session }),
        attachItem(own, { bytes, recordId: other.session }),
      ],
      now.toISOString(),
    )
    expect(body.items.map(({ status }) => status)).toEqual(['refused', 'refused'])
  })

  it('are refused in a batch, one by one, and nothing is written', async () => {
    const session = sessionItem(other.horse, now.toISOString())
    const items = [
      session,
      answerItem(other.horse, other.session, { at: now.toISOString() }),
      voidItem(other.answer, now.toISOString()),
      { do: 'note', id: uuid(), sessionId: other.session, note: 'ours', at: now.toISOString() },
      { do: 'incident', id: uuid(), horseId: other.horse, incident: INCIDENT },
      { do: 'confirm', id: uuid(), horseId: other.horse, day: '2026-05-14', confirmed: ['helper'] },
    ]
    const { body } = await sendBatch(yard.starter, items, now.toISOString())
    expect(body.items.map(({ status }) => status)).toEqual(Array(6).fill('refused'))
    const own = await addHorse(yard.starter)
    const smuggled = await sendBatch(
      yard.starter,
      [answerItem(own, other.session, { at: now.toISOString() })],
      now.toISOString(),
    )
    expect(smuggled.body.items[0]!.status).toBe('refused')
    const { rows } = await owner.query('select count(*)::int as n from voiding')
    expect(rows[0].n).toBe(0)
  })

  it('are free to be used here, and what they name there stays as it is', async () => {
    const before = (await owner.query('select * from horse where id = $1', [other.horse])).rows
    const made = await yard.starter.put<Horse>(`/horses/${other.horse}`, horseForm({ name: 'Curlew' }))
    expect(made).toMatchObject({ status: 200, body: { id: other.horse, name: 'Curlew', version: 1 } })
    const { body } = await sendBatch(
      yard.starter,
      [sessionItem(other.horse, now.toISOString(), other.session)],
      now.toISOString(),
    )
    expect(body.items[0]!.status).toBe('kept')
    const rows = (
      await owner.query('select * from horse where id = $1 and yard_id = $2', [other.horse, other.yardId])
    ).rows
    expect(rows).toEqual(before)
  })

  it('cannot be claimed by a yard that is brought in', async () => {
    // An empty second yard on the same database, and a starter in it with the first one's password.
    const second = uuid()
    await owner.query(`insert into yard values ($1, 'Second', 'Europe/Oslo', false, now())`, [second])
    await owner.query(
      `insert into person (id, yard_id, name, email, role, password_hash, settings, created_at)
       select $1, $2, 'Una', 'una@example.org', 'starter', password_hash, settings, now() from person where email = $3`,
      [uuid(), second, FIRST_RUN.email],
    )
    const una = yard.visitor()
    await una.post('/sign-in', { email: 'una@example.org', password: FIRST_RUN.password })
    const head = {
      format: 'still-pine-yard',
      version: YARD_FORMAT_VERSION,
      yard: { name: 'S', timeZone: 'Europe/Oslo' },
    }
    const check = {
      id: uuid(),
      horse: other.horse,
      person: other.person,
      kind: 'feet',
      on: '2026-05-01',
      until: null,
      passed: true,
      note: '',
    }
    const parts = Object.fromEntries(YARD_PART_NAMES.map((part) => [part, part === 'checks' ? [check] : []]))
    const { text } = await una.file('POST', files.yardIn.path, JSON.stringify({ ...head, ...parts }))
    expect(text).toMatch(/does not fit together/)
    expect((await owner.query('select id from care_check where horse_id = $1', [other.horse])).rows).toEqual(
      [],
    )
  })

  it('do not show in any list', async () => {
    for (const path of ['/today', '/week', '/people', '/sessions', '/devices'])
      expect(JSON.stringify((await yard.starter.get(path)).body)).not.toMatch(/Heron|Elsewhere/)
  })
})

describe('row-level security itself', () => {
  it('shows the application’s role no row of any table without a yard', async () => {
    const app = new pg.Client(appUrl(yard.ownerUrl))
    await app.connect()
    const { rows } = await owner.query<{ name: string }>(
      `select c.relname as name from pg_class c join pg_namespace n on n.oid = c.relnamespace
       where c.relkind = 'r' and n.nspname = 'public' and c.relname not in ('sign_in', 'migration')`,
    )
    expect(rows.length).toBeGreaterThanOrEqual(13)
    for (const { name } of rows) {
      const found = await app.query(`select count(*)::int as n from ${name}`)
      expect([name, found.rows[0].n]).toEqual([name, 0])
    }
    await app.end()
  })

  it('is forced on every table that belongs to a yard', async () => {
    const { rows } = await owner.query<{ name: string; forced: boolean }>(
      `select c.relname as name, c.relforcerowsecurity as forced from pg_class c
       join pg_attribute a on a.attrelid = c.oid and a.attname = 'yard_id' where c.relkind = 'r'`,
    )
    expect(rows.filter(({ forced }) => !forced)).toEqual([])
  })

  it('gives the application no right to change or take away an answer', async () => {
    const app = new pg.Client(appUrl(yard.ownerUrl))
    await app.connect()
    await expect(app.query('update answer set grade = 0')).rejects.toThrow(/permission denied/)
    await expect(app.query('delete from answer')).rejects.toThrow(/permission denied/)
    await expect(app.query('delete from voiding')).rejects.toThrow(/permission denied/)
    await app.end()
  })
})

describe('rights', () => {
  it('name every action for the starter and known ones for the others', () => {
    expect(RIGHTS.starter).toEqual(ACTIONS)
    for (const role of ROLES) for (const action of RIGHTS[role]) expect(ACTIONS).toContain(action)
  })

  it.each(ROLES)('hold for a %s on every route', async (role) => {
    const me = await owner.query<{ id: string }>(`select id from yard where name = 'Alder Bank'`)
    const email = `${role}@example.org`
    await addPerson(me.rows[0]!.id, role, email)
    const visitor = await signIn(email)
    for (const [name, route] of guarded) {
      const { status } = await visitor.ask(
        route.method.toUpperCase(),
        filled(name, route, idsOf(other.horse, other.session, other.program)),
        { body: route.method === 'get' ? undefined : BODIES[name] },
      )
      const may = route.needs === 'signed-in' || mayDo(role, route.needs as (typeof ACTIONS)[number])
      expect([name, status === 403]).toEqual([name, !may])
    }
  })

  it('let everybody take back their own answers, and only a starter those of others', async () => {
    const at = now.toISOString()
    const horse = await addHorse(yard.starter)
    const helper = await signIn('helper@example.org')
    const [mine, theirs] = [sessionItem(horse, at), sessionItem(horse, at)]
    const own = answerItem(horse, mine.session.id, { at })
    const starters = answerItem(horse, theirs.session.id, { at })
    await sendBatch(yard.starter, [theirs, starters], at)
    const { body } = await sendBatch(
      helper,
      [mine, own, voidItem(own.answer.id, at), voidItem(starters.answer.id, at)],
      at,
    )
    expect(body.items.map(({ status }) => status)).toEqual(['kept', 'kept', 'kept', 'refused'])
  })

  it('ask everybody to sign in', async () => {
    for (const [name, route] of guarded) {
      const { status, body } = await yard
        .visitor()
        .ask<Problem>(
          route.method.toUpperCase(),
          filled(name, route, idsOf(other.horse, other.session, other.program)),
          { body: route.method === 'get' ? undefined : BODIES[name] },
        )
      expect([name, status, body.type]).toEqual([name, 401, 'signed-out'])
    }
  })
})
