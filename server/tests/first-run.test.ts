import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { FIRST_RUN, startApp, type Running } from './running'

let running: Running
beforeAll(async () => {
  running = await startApp()
})
afterAll(() => running.stop())

describe('a new yard', () => {
  it('asks for its first run, once', async () => {
    const visitor = running.visitor()
    expect((await visitor.get('/about')).body).toMatchObject({ needsFirstRun: true, demo: false })
    const made = await visitor.post<{ yard: { name: string }; person: { role: string } }>(
      '/first-run',
      FIRST_RUN,
    )
    expect(made.status).toBe(200)
    expect(made.body.yard.name).toBe('Alder Bank')
    expect(made.body.person.role).toBe('starter')
    expect((await visitor.get('/me')).status).toBe(200)
    const again = await running.visitor().post('/first-run', FIRST_RUN)
    expect(again.status).toBe(409)
    expect((await visitor.get('/about')).body).toMatchObject({ needsFirstRun: false })
  })

  it('signs in with the right password alone', async () => {
    const visitor = running.visitor()
    const wrong = await visitor.post('/sign-in', { email: FIRST_RUN.email, password: 'something else' })
    expect(wrong).toMatchObject({ status: 401, body: { type: 'wrong-sign-in' } })
    const nobody = await visitor.post('/sign-in', { email: 'nobody@example.org', password: 'something else' })
    expect(nobody.body).toEqual({
      ...wrong.body,
      requestId: (nobody.body as { requestId: string }).requestId,
    })
    const right = await visitor.post('/sign-in', {
      email: FIRST_RUN.email.toUpperCase(),
      password: FIRST_RUN.password,
    })
    expect(right.status).toBe(200)
    await visitor.post('/sign-out')
    expect(await visitor.get('/me')).toMatchObject({ status: 401, body: { type: 'signed-out' } })
  })

  it('is no demo', async () => {
    expect((await running.visitor().post('/sign-in/demo')).status).toBe(404)
  })
})
