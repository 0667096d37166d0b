import type { Problem } from '@still-pine/contract'
import express from 'express'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { problems } from '../src/http/problems'
import { notFound, Refusal } from '@still-pine/use-cases'

const FAILURES: Record<string, unknown> = {
  refused: Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }),
  shutdown: Object.assign(new Error('terminating connection due to administrator command'), {
    code: '57P01',
  }),
  class08: Object.assign(new Error('connection failure'), { code: '08006' }),
  cut: new Error('Connection terminated unexpectedly'),
  slow: new Error('timeout exceeded when trying to connect'),
  bug: new TypeError('x is not a function'),
  constraint: Object.assign(new Error('duplicate key'), { code: '23505' }),
  text: 'a thrown string',
  horse: notFound('This horse'),
  stale: new Refusal('stale', 'Look again.', { currentVersion: 4 }),
  fields: new Refusal('bad-input', 'No.', { fields: [{ path: 'born', message: 'No.' }] }),
}

const logged: string[] = []
const logger = pino({ level: 'error' }, { write: (line: string) => void logged.push(line) })
let address: string
let stop: () => void

beforeAll(async () => {
  const app = express()
  app.get('/:name', (request) => {
    throw FAILURES[request.params.name]
  })
  app.use(problems(logger))
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening))
  })
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  stop = () => server.close()
})
afterAll(() => stop())

const ask = async (name: string): Promise<{ status: number; type: string | null; body: Problem }> => {
  const reply = await fetch(`${address}/${name}`)
  return {
    status: reply.status,
    type: reply.headers.get('content-type'),
    body: (await reply.json()) as Problem,
  }
}

describe('what went wrong', () => {
  it.each(['refused', 'shutdown', 'class08', 'cut', 'slow'])(
    'is a database that is away: %s',
    async (name) => {
      const { status, type, body } = await ask(name)
      expect([status, body.type]).toEqual([503, 'database-away'])
      expect(type).toContain('application/problem+json')
    },
  )

  it.each(['bug', 'constraint', 'text'])(
    'that nobody foresaw tells nothing of the inside, and is logged: %s',
    async (name) => {
      const before = logged.length
      const { status, body } = await ask(name)
      expect([status, body.type]).toEqual([500, 'unexpected'])
      expect(JSON.stringify(body)).not.toMatch(/function|duplicate|thrown/)
      expect(logged.length).toBe(before + 1)
    },
  )

  it('that was refused keeps its words, its version and its fields, and is not logged', async () => {
    const before = logged.length
    expect(await ask('horse')).toMatchObject({
      status: 404,
      body: { title: 'This horse is not in your yard.' },
    })
    expect(await ask('stale')).toMatchObject({ status: 412, body: { currentVersion: 4 } })
    expect(await ask('fields')).toMatchObject({
      status: 400,
      body: { fields: [{ path: 'born', message: 'No.' }] },
    })
    expect(logged.length).toBe(before)
  })
})
