import type { ListedPerson, Problem } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { linkCode, linkToken, readLink } from '../src/auth/signed-links'
import { TestClock } from './making'
import { startYard, type Running, type Visitor } from './running'

const NOW = '2026-05-14T09:00:00Z'
const clock = new TestClock(NOW)
let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const PASSWORD = 'a password of hers'
const ANOTHER = 'another one altogether'

const signIn = (visitor: Visitor, email: string, password = PASSWORD) =>
  visitor.post<Problem>('/sign-in', { email, password, device: { id: uuid(), words: 'A phone' } })

const addPerson = async (role: 'starter' | 'helper' = 'helper') => {
  const id = uuid()
  const email = `${id}@example.org`
  const form = { name: 'Sigrid Moen', role, email, password: PASSWORD }
  expect((await yard.starter.put(`/people/${id}`, form)).status).toBe(200)
  const visitor = yard.visitor()
  expect((await signIn(visitor, email)).status).toBe(200)
  return { id, email, visitor }
}

const putStanding = (id: string, standing: ListedPerson['standing'], by = yard.starter) =>
  by.put<ListedPerson & Problem>(`/people/${id}/standing`, { standing })

describe('somebody who is suspended', () => {
  it('is signed out at once, is told so at the next sign-in, and may come back', async () => {
    const { id, email, visitor } = await addPerson()
    expect(await putStanding(id, 'suspended')).toMatchObject({ status: 200, body: { standing: 'suspended' } })
    expect((await visitor.get('/today')).status).toBe(401)
    expect(await signIn(visitor, email)).toMatchObject({ status: 403, body: { title: /suspended/ } })
    // Whether somebody is suspended is told to who knows their password, and to nobody else.
    expect(await signIn(visitor, email, 'a wrong password')).toMatchObject({
      body: { type: 'wrong-sign-in' },
    })
    await putStanding(id, 'here')
    expect((await signIn(visitor, email)).status).toBe(200)
    expect((await visitor.get('/today')).status).toBe(200)
  })

  it('is never oneself, and a helper suspends nobody', async () => {
    const me = (await yard.starter.get<{ person: { id: string } }>('/me')).body.person.id
    expect(await putStanding(me, 'suspended')).toMatchObject({
      status: 400,
      body: { fields: [{ path: 'standing' }] },
    })
    const { visitor } = await addPerson()
    expect((await putStanding(me, 'removed', visitor)).status).toBe(403)
    expect((await putStanding(uuid(), 'removed')).status).toBe(404)
  })

  it('counts as no starter: the last one that is here keeps their role', async () => {
    const { id } = await addPerson('starter')
    await putStanding(id, 'suspended')
    const me = (await yard.starter.get<{ person: { id: string; name: string } }>('/me')).body.person
    const reply = await yard.starter.put<Problem>(`/people/${me.id}`, {
      name: me.name,
      role: 'helper',
      email: null,
      password: null,
    })
    expect(reply).toMatchObject({ status: 400, body: { fields: [{ path: 'role' }] } })
  })
})

describe('somebody who is removed', () => {
  it('signs in no more, leaves the address free, and comes back only while it is', async () => {
    const { id, email, visitor } = await addPerson()
    expect((await putStanding(id, 'removed')).status).toBe(200)
    expect(await signIn(visitor, email)).toMatchObject({ status: 401, body: { type: 'wrong-sign-in' } })
    const other = uuid()
    const form = { name: 'Tora Eik', role: 'helper', email, password: PASSWORD }
    expect((await yard.starter.put(`/people/${other}`, form)).status).toBe(200)
    expect(await putStanding(id, 'here')).toMatchObject({
      status: 400,
      body: { fields: [{ path: 'email' }] },
    })
    await putStanding(other, 'removed')
    expect((await putStanding(id, 'here')).status).toBe(200)
  })
})

describe('one’s own password', () => {
  it('is changed by who knows the old one; that device stays signed in, every other is out', async () => {
    const { email, visitor } = await addPerson()
    const phone = yard.visitor()
    expect((await signIn(phone, email)).status).toBe(200)
    expect(await visitor.put('/me/password', { old: 'a wrong password', password: ANOTHER })).toMatchObject({
      status: 400,
      body: { fields: [{ path: 'old' }] },
    })
    expect((await visitor.put('/me/password', { old: PASSWORD, password: 'short' })).status).toBe(400)
    expect((await visitor.put('/me/password', { old: PASSWORD, password: ANOTHER })).status).toBe(200)
    expect((await visitor.get('/today')).status).toBe(200)
    expect((await phone.get('/today')).status).toBe(401)
    expect((await signIn(phone, email)).status).toBe(401)
    expect((await signIn(phone, email, ANOTHER)).status).toBe(200)
    expect((await yard.visitor().put('/me/password', { old: PASSWORD, password: ANOTHER })).status).toBe(401)
  })
})

describe('a link to a new password', () => {
  const makeLink = async (id: string): Promise<string> =>
    (await yard.starter.post<{ token: string }>(`/people/${id}/reset-link`, {})).body.token
  const reset = (token: string, password = ANOTHER) =>
    yard.visitor().post<Problem>('/reset-password', { token, password })

  it('is good once, and signs everybody out', async () => {
    const { id, email, visitor } = await addPerson()
    const token = await makeLink(id)
    expect((await reset(token)).status).toBe(200)
    expect((await visitor.get('/today')).status).toBe(401)
    expect((await signIn(visitor, email, ANOTHER)).status).toBe(200)
    expect(await reset(token)).toMatchObject({ status: 404, body: { title: /used, too old/ } })
  })

  it('is worth nothing after a day, after another was made, changed, or for somebody unknown', async () => {
    const { id } = await addPerson()
    const first = await makeLink(id)
    const second = await makeLink(id)
    expect((await reset(first)).status).toBe(404)
    expect((await reset(`${second}x`)).status).toBe(404)
    expect((await reset('')).status).toBe(404)
    expect((await reset('𝕳orse.' + 'é'.repeat(43))).status).toBe(404)
    clock.set('2026-05-15T09:00:01Z')
    expect((await reset(second)).status).toBe(404)
    clock.set(NOW)
    expect((await yard.starter.post(`/people/${uuid()}/reset-link`, {})).status).toBe(404)
  })

  it('is made by a starter only, and for nobody who was removed', async () => {
    const { id, visitor } = await addPerson()
    expect((await visitor.post(`/people/${id}/reset-link`, {})).status).toBe(403)
    await putStanding(id, 'removed')
    expect((await yard.starter.post(`/people/${id}/reset-link`, {})).status).toBe(404)
  })
})

describe('a signed link', () => {
  const id = '0190b3c2-7d1e-7c3a-9f00-0123456789ab'

  it('is read with the secret and for the purpose it was made for, and changed by nobody', () => {
    const token = linkToken('secret', 'report', id)
    expect(readLink('secret', 'report', token)).toBe(id)
    expect(readLink('secret', 'reset', token)).toBeNull()
    expect(readLink('another', 'report', token)).toBeNull()
    expect(readLink('secret', 'report', token.replace('0190', '0191'))).toBeNull()
  })

  it('has a code of six digits of its own', () => {
    expect(linkCode('secret', 'report', id)).toMatch(/^\d{6}$/)
    expect(linkCode('secret', 'report', id)).not.toBe(linkCode('secret', 'reset', id))
  })
})
