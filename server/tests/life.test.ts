import type { Arrival, Block, Line, Problem, ReplyOf } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, answerItem, sendBatch, sessionItem, TestClock } from './making'
import { startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const line = async (horse: string) => (await yard.starter.get<Line>(`/horses/${horse}/line`)).body

/** A horse that was asked some first asks on a day; each with step, side and rung; and gave one grade the days before. */
const asked = async (
  asks: readonly [string, string, number][],
  { grade = 1, before }: { grade?: number; before?: number } = {},
): Promise<string> => {
  const id = await addHorse(yard.starter)
  const session = sessionItem(id, '2026-05-14T07:00:00Z')
  for (const day of before === undefined ? [] : ['2026-05-08', '2026-05-10', '2026-05-12']) {
    const earlier = sessionItem(id, `${day}T07:00:00Z`)
    const refused = asks.map(([step, side, rung], i) =>
      answerItem(id, earlier.session.id, {
        at: `${day}T07:${String(i + 1).padStart(2, '0')}:00Z`,
        change: { step, side, rung, grade: before, calm: 0 },
      }),
    )
    await sendBatch(yard.starter, [earlier, ...refused], clock.iso)
  }
  const answers = asks.map(([step, side, rung], i) =>
    answerItem(id, session.session.id, {
      at: `2026-05-14T07:${String(i + 1).padStart(2, '0')}:00Z`,
      change: {
        step,
        side,
        rung,
        grade,
        calm: 0,
      },
    }),
  )
  await sendBatch(yard.starter, [session, ...answers], clock.iso)
  return id
}

const UP_TO_SEND: [string, string, number][] = [
  ['draw', 'none', 4],
  ['step-back', 'none', 4],
  ['yield-hind', 'left', 4],
  ['yield-hind', 'right', 4],
  ['yield-shoulder', 'left', 3],
  ['yield-shoulder', 'right', 3],
  ['send', 'left', 4],
  ['send', 'right', 4],
]

describe('an arrival check', () => {
  it('opens for work what stands on what it showed, at once, and no gate', async () => {
    const id = await asked(UP_TO_SEND, { before: 4 })
    const openIn = ({ plan }: Line, name: string) => !plan.closed.some((step) => step.name === name)
    const before = await line(id)
    expect(openIn(before, 'Turn on the line')).toBe(false)
    const kept = await yard.starter.put<Arrival>(`/horses/${id}/arrivals/${uuid()}`, { on: '2026-05-14' })
    expect(kept.status).toBe(200)
    expect(kept.body.result.known).toContainEqual({
      step: 'send',
      name: 'Send',
      rung: 4,
      rungName: 'trot from a point',
      how: 'shown',
    })
    const after = await line(id)
    expect(openIn(after, 'Turn on the line')).toBe(true)
    expect(after.gates.map(({ verdict }) => verdict)).toEqual(before.gates.map(({ verdict }) => verdict))
  })

  it('is kept once, and never worked out anew', async () => {
    const id = await asked(UP_TO_SEND)
    const path = `/horses/${id}/arrivals/${uuid()}`
    const { body } = await yard.starter.put<Arrival>(path, { on: '2026-05-14' })
    expect((await yard.starter.put<Arrival>(path, { on: '2026-05-14' })).body).toEqual(body)
    const list = await yard.starter.get<ReplyOf<'arrivals'>>(`/horses/${id}/arrivals`)
    expect(list.body.arrivals).toHaveLength(1)
  })

  it('speaks for a step until it has been asked four times on later days', async () => {
    const id = await asked(UP_TO_SEND)
    await yard.starter.put(`/horses/${id}/arrivals/${uuid()}`, { on: '2026-05-14' })
    const opens = async () => !(await line(id)).plan.closed.some(({ name }) => name === 'Turn on the line')
    expect(await opens()).toBe(true)
    clock.set('2026-05-16T09:00:00Z')
    const session = sessionItem(id, '2026-05-16T07:00:00Z')
    const bad = (n: number) =>
      answerItem(id, session.session.id, {
        at: `2026-05-16T07:0${n}:00Z`,
        change: {
          step: 'send',
          side: 'left',
          rung: 2,
          grade: 3,
        },
      })
    await sendBatch(yard.starter, [session, bad(1), bad(2), bad(3)], clock.iso)
    expect(await opens()).toBe(true)
    await sendBatch(yard.starter, [bad(4)], clock.iso)
    expect(await opens()).toBe(false)
    clock.set('2026-05-14T09:00:00Z')
  })

  it('of a day on which nothing was asked is refused', async () => {
    const id = await addHorse(yard.starter)
    const reply = await yard.starter.put<Problem>(`/horses/${id}/arrivals/${uuid()}`, { on: '2026-05-14' })
    expect(reply.body.fields?.[0]?.message).toMatch(/Nothing was asked/)
  })
})

const form = (part: Partial<Block> = {}) => ({
  kind: 'start',
  from: '2026-05-01',
  until: null,
  worries: '',
  reward: '',
  note: '',
  version: 0,
  ...part,
})

const put = (horse: string, id: string, body: unknown) =>
  yard.starter.put<Block & Problem>(`/horses/${horse}/blocks/${id}`, body)

describe('the blocks of a horse', () => {
  it('freeze how it stands when they are closed, for good', async () => {
    const horse = await asked(UP_TO_SEND)
    const id = uuid()
    await put(horse, id, form())
    const { body: closed } = await put(
      horse,
      id,
      form({
        until: '2026-05-14',
        worries: 'the blue tarpaulin',
        reward: 'a scratch at the wither',
        version: 1,
      }),
    )
    expect(closed.snapshot).toMatchObject({ day: '2026-05-14', school: 'Feet First', workDays: 1 })
    expect(closed.snapshot!.tracks.map(({ step, side }) => [step, side])).toEqual([
      ['draw', 'none'],
      ['step-back', 'none'],
      ['yield-hind', 'left'],
      ['yield-hind', 'right'],
      ['yield-shoulder', 'left'],
      ['yield-shoulder', 'right'],
      ['send', 'left'],
      ['send', 'right'],
    ])
    clock.set('2026-05-20T09:00:00Z')
    const session = sessionItem(horse, '2026-05-20T07:00:00Z')
    const later = answerItem(horse, session.session.id, {
      at: '2026-05-20T07:01:00Z',
      change: {
        step: 'draw',
        side: 'none',
        rung: 1,
        grade: 4,
      },
    })
    await sendBatch(yard.starter, [session, later], clock.iso)
    const again = await put(
      horse,
      id,
      form({ ...closed, note: 'to the far meadow', version: closed.version }),
    )
    expect(again.body.snapshot).toEqual(closed.snapshot)
    clock.set('2026-05-14T09:00:00Z')
  })

  it('freeze nothing but the day where nothing was ever asked', async () => {
    const horse = await addHorse(yard.starter)
    const { body } = await put(horse, uuid(), form({ kind: 'grow', until: '2026-05-10' }))
    expect(body.snapshot).toMatchObject({
      day: '2026-05-10',
      tracks: [],
      worries: [],
      keepChecking: [],
      workDays: 0,
    })
  })

  it('follow each other, and none is half saved', async () => {
    const horse = await addHorse(yard.starter)
    const first = uuid()
    await put(horse, first, form())
    expect((await put(horse, uuid(), form({ from: '2026-05-10' }))).body.title).toMatch(/close it first/)
    await put(horse, first, form({ until: '2026-05-10', version: 1 }))
    expect((await put(horse, uuid(), form({ from: '2026-05-10', kind: 'rest' }))).status).toBe(200)
    expect((await put(horse, uuid(), form({ from: '2026-06-10' }))).body.title).toMatch(/still to come/)
    expect((await put(horse, first, form({ until: '2026-05-12', version: 2 }))).status).toBe(400)
    const { body } = await yard.starter.get<ReplyOf<'blocks'>>(`/horses/${horse}/blocks`)
    expect(body.blocks.map(({ kind, until }) => [kind, until])).toEqual([
      ['start', '2026-05-10'],
      ['rest', null],
    ])
  })

  it('are not written over from an old page', async () => {
    const horse = await addHorse(yard.starter)
    const id = uuid()
    await put(horse, id, form())
    await put(horse, id, form({ note: 'one', version: 1 }))
    const late = await put(horse, id, form({ note: 'two', version: 1 }))
    expect([late.status, late.body.currentVersion]).toEqual([412, 2])
  })

  it('rest the horse that is off work', async () => {
    const horse = await asked(UP_TO_SEND)
    expect((await line(horse)).plan.rests).toBe(false)
    await put(horse, uuid(), form({ kind: 'rest', from: '2026-05-14' }))
    expect((await line(horse)).plan).toMatchObject({
      rests: true,
      reason: 'Rests: off work since 2026-05-14.',
    })
  })
})

describe('an owner', () => {
  it('reads the reports of their own horses, and nothing else', async () => {
    const owner = uuid()
    const signIn = { email: 'owner.of.one@example.org', password: 'a long enough word' }
    await yard.starter.put(`/people/${owner}`, { name: 'Tove Lund', role: 'owner', ...signIn })
    const [theirs, other] = [await asked(UP_TO_SEND), await asked(UP_TO_SEND)]
    await yard.starter.put(`/horses/${theirs}/arrivals/${uuid()}`, { on: '2026-05-14' })
    await put(theirs, uuid(), form({ until: '2026-05-14', reward: 'a scratch' }))
    await put(other, uuid(), form())
    const set = await yard.starter.put<ReplyOf<'owner'>>(`/horses/${theirs}/owner`, { personId: owner })
    expect(set.body.owner).toEqual({ id: owner, name: 'Tove Lund' })
    const visitor = yard.visitor()
    await visitor.post('/sign-in', signIn)
    const { body } = await visitor.get<ReplyOf<'reports'>>('/reports')
    expect(body.horses.map(({ id }) => id)).toEqual([theirs])
    expect(body.horses[0]!.arrival!.result.asked).toBe(UP_TO_SEND.length)
    expect(body.horses[0]!.blocks[0]!.snapshot!.workDays).toBe(1)
    for (const path of ['/today', `/horses/${theirs}/line`, `/horses/${theirs}/blocks`, '/people'])
      expect((await visitor.get(path)).status).toBe(403)
    await yard.starter.put(`/horses/${theirs}/owner`, { personId: null })
    expect((await visitor.get<ReplyOf<'reports'>>('/reports')).body.horses).toEqual([])
  })

  it('is a person who is here as one', async () => {
    const { body } = await yard.starter.get<ReplyOf<'people'>>('/people')
    const starter = body.people.find(({ role }) => role === 'starter')!
    const horse = await addHorse(yard.starter)
    const reply = await yard.starter.put<Problem>(`/horses/${horse}/owner`, { personId: starter.id })
    expect(reply.body.fields?.[0]?.message).toMatch(/not as an owner/)
  })
})

describe('people and places', () => {
  it('are added and changed, and somebody can sign in at once', async () => {
    const id = uuid()
    const person = {
      name: 'Maren Holm',
      role: 'helper',
      email: 'maren.holm@example.org',
      password: 'a long enough word',
    }
    expect(await yard.starter.put(`/people/${id}`, person)).toMatchObject({ status: 200 })
    const runa = yard.visitor()
    const signedIn = await runa.post('/sign-in', { email: person.email, password: person.password })
    expect(signedIn).toMatchObject({ status: 200 })
    expect((await runa.put(`/people/${uuid()}`, { ...person, email: null, password: null })).status).toBe(403)
    const seen = await runa.get<ReplyOf<'people'>>('/people')
    expect(seen.body.people.every(({ email }) => email === null)).toBe(true)
    await yard.starter.put(`/people/${id}`, { ...person, name: 'Maren Holm-Fell', password: null })
    expect(
      (await yard.visitor().post('/sign-in', { email: person.email, password: person.password })).status,
    ).toBe(200)
  })

  it('keep the last starter, and one address for one person', async () => {
    const { body } = await yard.starter.get<ReplyOf<'people'>>('/people')
    const starter = body.people.find(({ role }) => role === 'starter')!
    const demoted = await yard.starter.put<Problem>(`/people/${starter.id}`, {
      ...starter,
      role: 'helper',
      password: null,
    })
    expect(demoted.body.fields?.[0]?.message).toMatch(/needs a starter/)
    const taken = await yard.starter.put<Problem>(`/people/${uuid()}`, {
      name: 'Somebody',
      role: 'owner',
      email: starter.email,
      password: 'a long enough word',
    })
    expect(taken.body.fields?.[0]?.path).toBe('email')
  })

  it('have names of their own', async () => {
    const place = {
      name: 'Round pen',
      suits: ['loose', 'ground'],
      home: true,
      note: '18 m across',
      version: 0,
    }
    const id = uuid()
    expect((await yard.starter.put(`/places/${id}`, place)).status).toBe(200)
    expect((await yard.starter.put<Problem>(`/places/${uuid()}`, { ...place, note: 'another' })).status).toBe(
      400,
    )
    expect((await yard.starter.put(`/places/${id}`, { ...place, note: '20 m', version: 1 })).status).toBe(200)
    expect((await yard.starter.put(`/places/${id}`, { ...place, note: '22 m', version: 1 })).status).toBe(412)
    const { body } = await yard.starter.get<ReplyOf<'places'>>('/places')
    expect(body.places).toEqual([{ id, ...place, note: '20 m', version: 2 }])
  })
})
