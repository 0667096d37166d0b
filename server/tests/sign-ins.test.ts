import type { ListedPerson, Problem } from '@still-pine/contract'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { TestClock } from './making'
import { FIRST_RUN, startYard, warm, type Running, type Visitor } from './running'

type Passwords = { readonly hashPassword: (password: string) => Promise<string> }

const hashed = vi.hoisted(() => ({ times: 0 }))
vi.mock('../src/auth/passwords', async (original) => {
  const real = await original<Passwords>()
  const hashPassword = (password: string) => {
    hashed.times += 1
    return real.hashPassword(password)
  }
  return { ...real, hashPassword }
})

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const PASSWORD = 'a password of hers'

const addPerson = async (role: 'starter' | 'helper', by: Visitor = yard.starter) => {
  const id = uuid()
  const email = `${id}@example.org`
  const form = { name: 'Sigrid Moen', role, email, password: PASSWORD }
  expect((await by.put(`/people/${id}`, form)).status).toBe(200)
  const visitor = yard.visitor()
  const device = { id: uuid(), words: 'Her phone' }
  expect((await visitor.post('/sign-in', { email, password: PASSWORD, device })).status).toBe(200)
  return { id, form, visitor, device }
}

describe('a sign-in ends', () => {
  it.each([
    ['password', { password: 'another one altogether' }],
    ['address', { email: 'new-address@example.org', password: null }],
    ['part', { role: 'owner', password: null }],
  ])('with a change of the %s, on every device', async (_what, change) => {
    const { id, form, visitor } = await addPerson('helper')
    expect((await yard.starter.put(`/people/${id}`, { ...form, ...change })).status).toBe(200)
    expect(await visitor.get<Problem>('/me')).toMatchObject({ status: 401, body: { type: 'signed-out' } })
  })

  it('not with a change of the name', async () => {
    const { id, form, visitor } = await addPerson('helper')
    await yard.starter.put<ListedPerson>(`/people/${id}`, { ...form, name: 'Sigrid Lund', password: null })
    expect((await visitor.get('/me')).status).toBe(200)
  })

  it('90 days after it began, however much it is used', async () => {
    const { visitor } = await addPerson('helper')
    clock.set('2026-08-11T09:00:00Z')
    expect((await visitor.get('/me')).status).toBe(200)
    clock.set('2026-08-13T09:00:00Z')
    expect(await visitor.get<Problem>('/me')).toMatchObject({ status: 401, body: { type: 'signed-out' } })
    clock.set('2026-05-14T09:00:00Z')
  })
})

describe('a device that was cut off', () => {
  it('is let back by a starter alone, not by whoever holds the other phone', async () => {
    const { id, visitor, device } = await addPerson('helper')
    const path = `/people/${id}/devices/${device.id}/cut-off`
    const other = yard.visitor()
    const email = `${id}@example.org`
    await other.post('/sign-in', { email, password: PASSWORD, device: { id: uuid(), words: 'Her tablet' } })
    expect((await other.put(path, { cutOff: true })).status).toBe(200)
    expect((await visitor.get<Problem>('/me')).body.type).toBe('cut-off')
    expect((await other.put(path, { cutOff: false })).status).toBe(404)
    expect((await yard.starter.put(path, { cutOff: false })).status).toBe(200)
    expect((await visitor.get('/me')).status).toBe(200)
  })
})

describe('the last starter', () => {
  it('is left, though each of two makes the other a helper at the same moment', async () => {
    for (let n = 0; n < 6; n++) {
      const { id, form, visitor } = await addPerson('starter')
      const { body } = await yard.starter.get<{ people: ListedPerson[] }>('/people')
      const first = body.people.find(({ email }) => email === FIRST_RUN.email)!
      const down = { name: first.name, email: first.email, role: 'helper', password: null }
      await warm(yard)
      const replies = await Promise.all([
        visitor.put(`/people/${first.id}`, down),
        yard.starter.put(`/people/${id}`, { ...form, role: 'helper', password: null }),
      ])
      expect(replies.filter(({ status }) => status === 200)).toHaveLength(1)
      const owner = new pg.Client(yard.ownerUrl)
      await owner.connect()
      const starters = await owner.query(`select id from person where role = 'starter'`)
      expect(starters.rows.length).toBe(1)
      await owner.query(`update person set role = 'starter' where id = $1`, [first.id])
      await owner.query(`update person set role = 'helper' where id = $1`, [id])
      await owner.end()
      await yard.starter.post('/sign-in', { email: FIRST_RUN.email, password: FIRST_RUN.password })
    }
  })
})

describe('a first run where a yard is', () => {
  it('is refused before anything is worked out for whoever asks', async () => {
    const before = hashed.times
    const replies = await Promise.all(
      Array.from({ length: 5 }, () => yard.visitor().post<Problem>('/first-run', FIRST_RUN)),
    )
    expect(replies.map(({ status }) => status)).toEqual(Array(5).fill(409))
    expect(hashed.times).toBe(before)
  })
})
