import type { Horse, Line, Problem } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, confirmItem, horseForm, incidentItem, sendBatch } from './making'
import { FIRST_RUN, startApp, startYard, type Running, type Visitor } from './running'

const now = new Date('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: () => now })
})
afterAll(() => yard.stop())

const put = (change: Record<string, unknown>) =>
  yard.starter.put<Problem>(`/horses/${uuid()}`, horseForm(change))

describe('a horse', () => {
  it.each([
    ['born', { born: '2026-05-15' }],
    ['born', { born: '2026-02-30' }],
    ['arrived', { arrived: '2022-01-01' }],
    ['arrived', { arrived: '2027-01-01' }],
    ['name', { name: '   ' }],
    ['name', { name: 'a\nb' }],
    ['name', { name: 'x'.repeat(81) }],
    ['sex', { sex: 'unicorn' }],
    ['handled', { handled: 'yes' }],
  ])('is refused for its %s: %j', async (field, change) => {
    const { status, body } = await put(change)
    expect(status).toBe(400)
    expect(body.type).toBe('bad-input')
    expect(body.fields?.map(({ path }) => path)).toContain(field)
    expect(body.title.length).toBeGreaterThan(10)
  })

  it.each([
    'Ωμέγα',
    '小馬',
    '🐴 Star',
    `O'Neill "Rex"; drop table horse; --`,
    '<script>alert(1)</script>',
    'مُهر',
  ])('may be called %s', async (name) => {
    const id = await addHorse(yard.starter, { name })
    expect((await yard.starter.get<Horse>(`/horses/${id}`)).body.name).toBe(name)
  })

  it('changed from a stale page is refused with the version that is there', async () => {
    const id = await addHorse(yard.starter)
    expect((await yard.starter.put(`/horses/${id}`, horseForm({ name: 'Dunlin', version: 1 }))).status).toBe(
      200,
    )
    const stale = await yard.starter.put<Problem>(`/horses/${id}`, horseForm({ name: 'Snipe', version: 1 }))
    expect(stale).toMatchObject({ status: 412, body: { type: 'stale', currentVersion: 2 } })
  })

  it('added twice with the same words is there once', async () => {
    const id = uuid()
    const one = await yard.starter.put<Horse>(`/horses/${id}`, horseForm())
    const two = await yard.starter.put<Horse>(`/horses/${id}`, horseForm())
    expect(two.body).toEqual(one.body)
  })
})

describe('a request', () => {
  it('that is not JSON is told so', async () => {
    const reply = await yard.starter.ask<Problem>('PUT', `/api/v1/horses/${uuid()}`, { body: '{"name": ' })
    expect(reply).toMatchObject({ status: 400, body: { type: 'broken-json' } })
    expect(reply.headers.get('content-type')).toContain('application/problem+json')
  })

  it('of 10 MB is refused whole', async () => {
    const reply = await sendBatch(yard.starter, [{ big: 'x'.repeat(10_000_000) }], now.toISOString())
    expect(reply).toMatchObject({ status: 413, body: { type: 'too-large' } })
  })

  it('with an id that is none names it', async () => {
    const reply = await yard.starter.get<Problem>('/horses/not-an-id')
    expect(reply).toMatchObject({ status: 400, body: { fields: [{ path: 'params.horseId' }] } })
  })

  it('with an impossible day names it', async () => {
    const id = await addHorse(yard.starter)
    const reply = await yard.starter.get<Problem>(`/horses/${id}/line?on=2026-02-30`)
    expect(reply).toMatchObject({ status: 400, body: { fields: [{ path: 'query.on' }] } })
  })

  it('to nowhere is a problem too', async () => {
    expect(await yard.starter.get<Problem>('/nowhere')).toMatchObject({
      status: 404,
      body: { type: 'not-found' },
    })
  })

  it('from another page is refused, from our own is not', async () => {
    const path = `/api/v1/horses/${uuid()}`
    const foreign = await yard.starter.ask<Problem>('PUT', path, {
      body: horseForm(),
      headers: {
        Origin: 'https://elsewhere.example',
      },
    })
    expect(foreign).toMatchObject({ status: 403, body: { type: 'other-origin' } })
    expect(
      (await yard.starter.ask('PUT', path, { body: horseForm(), headers: { Origin: yard.address } })).status,
    ).toBe(200)
  })

  it('carries an id and no hint of what serves it', async () => {
    const reply = await yard.starter.get('/me')
    expect(reply.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/)
    expect(reply.headers.get('x-powered-by')).toBeNull()
    expect(reply.headers.get('content-security-policy')).toContain("default-src 'self'")
  })
})

describe('gates and care', () => {
  it('take a check, an incident and a confirmation into the verdict', async () => {
    const id = await addHorse(yard.starter, { born: '2022-01-01' })
    const stops = async (gate: string) =>
      (await yard.starter.get<Line>(`/horses/${id}/line`)).body.gates
        .find((one) => one.gate === gate)!
        .stops.map(({ rule }) => rule)
    expect(await stops('first-bit')).toEqual(['mouth-check'])
    await yard.starter.put(`/horses/${id}/checks/${uuid()}`, {
      kind: 'mouth',
      on: '2026-05-01',
      until: null,
      passed: true,
      note: '',
    })
    expect(await stops('first-bit')).toEqual([])
    expect(await stops('first-time-up')).toEqual(['helper', 'helmet', 'rider-share'])
    const said = confirmItem(id, '2026-05-14', ['helper', 'helmet', 'rider-share'])
    await sendBatch(yard.starter, [said], now.toISOString())
    expect(await stops('first-time-up')).toEqual([])
    const incident = {
      kind: 'bolt',
      on: '2026-05-14',
      step: 'sit',
      side: null,
      mounted: true,
      where: 'track',
      before: '',
      after: '',
    }
    await sendBatch(yard.starter, [incidentItem(id, incident)], now.toISOString())
    expect(await stops('first-time-up')).toEqual(['incident'])
    const hold = { kind: 'veterinary-hold', on: '2026-05-14', until: null, passed: false, note: '' }
    await yard.starter.put(`/horses/${id}/checks/${uuid()}`, hold)
    expect((await yard.starter.get<Line>(`/horses/${id}/line`)).body.plan.rests).toBe(true)
  })

  it('refuse days to come, and holds that end before they begin', async () => {
    const id = await addHorse(yard.starter)
    const check = { kind: 'feet', on: '2026-06-01', until: null, passed: true, note: '' }
    expect((await yard.starter.put(`/horses/${id}/checks/${uuid()}`, check)).status).toBe(400)
    const backwards = { ...check, on: '2026-05-10', until: '2026-05-01' }
    expect(
      (await yard.starter.put<Problem>(`/horses/${id}/checks/${uuid()}`, backwards)).body.fields?.[0]?.path,
    ).toBe('until')
  })

  it('let Not yet be overruled with a reason, and a Stop never', async () => {
    const id = await addHorse(yard.starter)
    const short = await yard.starter.put<Problem>(`/horses/${id}/overrules/${uuid()}`, {
      gate: 'halter',
      reason: 'so',
    })
    expect(short.body.fields?.[0]?.path).toBe('reason')
    const reason = 'It wore a halter on its last farm; I led it off the lorry.'
    const done = await yard.starter.put(`/horses/${id}/overrules/${uuid()}`, { gate: 'halter', reason })
    expect(done).toMatchObject({ status: 200, body: { verdict: 'not-yet', byName: FIRST_RUN.personName } })
    const stop = await yard.starter.put<Problem>(`/horses/${id}/overrules/${uuid()}`, {
      gate: 'first-bit',
      reason,
    })
    expect(stop).toMatchObject({ status: 403, body: { title: 'A Stop cannot be overruled.' } })
  })
})

describe('the API’s own description', () => {
  it('is OpenAPI 3.1 with every route', async () => {
    const { body } = await yard
      .visitor()
      .get<{ openapi: string; paths: Record<string, object> }>('/openapi.json')
    expect(body.openapi).toBe('3.1.0')
    expect(Object.keys(body.paths)).toContain('/horses/{horseId}/line')
    expect(Object.keys(body.paths).length).toBeGreaterThan(20)
  })
})

describe('signing in', () => {
  it('is stopped after too many wrong tries', async () => {
    const strict = await startApp({ signInTries: 3 })
    await strict.visitor().post('/first-run', FIRST_RUN)
    const statuses = []
    for (let i = 0; i < 5; i++)
      statuses.push(
        (await strict.visitor().post('/sign-in', { email: FIRST_RUN.email, password: 'wrong' })).status,
      )
    expect(statuses).toEqual([401, 401, 401, 429, 429])
    await strict.stop()
  })

  it('offers the demo starter on a demo server only', async () => {
    const demo = await startApp({ demo: true })
    await demo.visitor().post('/first-run', FIRST_RUN)
    expect(await demo.visitor().post('/sign-in/demo')).toMatchObject({
      status: 200,
      body: { yard: { demo: true } },
    })
    await demo.stop()
  })
})
