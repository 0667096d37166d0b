import type { Me } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse } from './making'
import { FIRST_RUN, startYard, type Running, type Visitor } from './running'

let yard: Running & { starter: Visitor }
let own: Me
beforeAll(async () => {
  yard = await startYard()
  own = (await yard.starter.get<Me>('/me')).body
})
afterAll(() => yard.stop())

describe('a made-up yard', () => {
  it('is another yard, made once, from which one press leads back', async () => {
    const horse = await addHorse(yard.starter, { name: 'Our own' })
    const there = (await yard.starter.post<Me>('/made-up-yard')).body
    expect(there.yard).toMatchObject({ demo: true, timeZone: own.yard.timeZone })
    expect(there.yard.id).not.toBe(own.yard.id)
    expect((await yard.starter.get(`/horses/${horse}`)).status).toBe(404)
    await addHorse(yard.starter, { name: 'Made up' })
    const back = (await yard.starter.post<Me>('/own-yard')).body
    expect([back.person.id, back.yard.id]).toEqual([own.person.id, own.yard.id])
    const { body } = await yard.starter.get<{ rows: { horse: { name: string } }[] }>('/today')
    expect(body.rows.map(({ horse: { name } }) => name)).toEqual(['Our own'])
    expect((await yard.starter.post<Me>('/made-up-yard')).body.yard.id).toBe(there.yard.id)
    // Asked for from within, it is the same one, and the way back leads home.
    expect((await yard.starter.post<Me>('/made-up-yard')).body.yard.id).toBe(there.yard.id)
    expect((await yard.starter.post<Me>('/own-yard')).body.yard.id).toBe(own.yard.id)
  })

  it('is made once also where two ask at the same moment, and never taken for the yard of the server', async () => {
    const visitors = await Promise.all(
      [1, 2, 3].map(async () => {
        const visitor = yard.visitor()
        await visitor.post('/sign-in', FIRST_RUN)
        return visitor
      }),
    )
    const told = await Promise.all(visitors.map((visitor) => visitor.post<Me>('/made-up-yard')))
    expect(new Set(told.map(({ body }) => body.yard.id)).size).toBe(1)
    expect((await yard.visitor().get<{ needsFirstRun: boolean }>('/about')).body.needsFirstRun).toBe(false)
  })

  it('is for starters, and gives nobody a way into a yard that is not theirs', async () => {
    const helper = { name: 'Una', role: 'helper', email: 'una@example.org', password: 'a long enough one' }
    await yard.starter.put(`/people/${uuid()}`, helper)
    const visitor = yard.visitor()
    await visitor.post('/sign-in', helper)
    expect((await visitor.post('/made-up-yard')).status).toBe(403)
    expect((await visitor.post('/own-yard')).status).toBe(401)
    expect((await yard.visitor().post('/own-yard')).status).toBe(401)
  })

  it('does not lead back past a sign-in that has ended', async () => {
    const personId = uuid()
    const second = { name: 'Orm', role: 'starter', email: 'orm@example.org', password: 'a long enough one' }
    await yard.starter.put(`/people/${personId}`, second)
    const visitor = yard.visitor()
    await visitor.post('/sign-in', second)
    await visitor.post('/made-up-yard')
    await yard.starter.put(`/people/${personId}/standing`, { standing: 'suspended' })
    expect((await visitor.post('/own-yard')).status).toBe(401)
  })
})
