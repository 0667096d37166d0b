import { routes, type Carry, type Device, type Worked } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import type { Program } from '@still-pine/core/program'
import { replayHorse, viewsOf } from '@still-pine/core/readiness'
import { factsFrom, judgedFrom, lineFrom, loadDaysIn, weekBefore } from '@still-pine/use-cases'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, answerItem, sendBatch, sessionItem, TestClock, voidItem } from './making'
import { FIRST_RUN, startYard, type Running, type Visitor } from './running'

const NOON = '2026-05-14T12:00:00Z'
const clock = new TestClock(NOON)

let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const carry = async (horseId: string, answers = 0, voidings = 0): Promise<Carry> =>
  (await yard.starter.get<Carry>(`/horses/${horseId}/carry?answers=${answers}&voidings=${voidings}`)).body

const send = async (items: readonly unknown[]): Promise<readonly string[]> =>
  (await sendBatch(yard.starter, items, clock.iso)).body.items.map(({ status }) => status)

describe('what a device takes along', () => {
  it('is the whole history once, and then what came and what was taken back since', async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-12T07:00:00Z')
    const at = (minute: number) =>
      answerItem(id, session.session.id, { at: `2026-05-12T07:0${minute}:00Z`, change: { grade: 1 } })
    const [one, two, three] = [at(1), at(2), at(3)]
    await send([session, one, two])
    const first = await carry(id)
    expect(first.answers.map(({ id }) => id)).toEqual([one.answer.id, two.answer.id])
    expect(first.more).toBe(false)
    await send([three, voidItem(one.answer.id, NOON)])
    const then = await carry(id, first.cursor.answers, first.cursor.voidings)
    expect(then.answers.map(({ id }) => id)).toEqual([three.answer.id])
    expect(then.voided).toEqual([one.answer.id])
    const nothing = await carry(id, then.cursor.answers, then.cursor.voidings)
    expect([nothing.answers, nothing.voided]).toEqual([[], []])
    expect(nothing.cursor).toEqual(then.cursor)
  })

  it('is enough to come to the server’s Line, to the digit', async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-10T07:00:00Z')
    const steps = ['settle-in-pen', 'face-up', 'draw'].flatMap((step, n) =>
      [0, 1, 2, 3].map((day) =>
        answerItem(id, session.session.id, {
          at: `2026-05-${10 + day}T07:${10 + n}:00Z`,
          change: {
            step,
            rung: 1 + (day % 3),
            grade: (day + n) % 3,
          },
        }),
      ),
    )
    const hurt = {
      do: 'incident',
      id: uuid(),
      horseId: id,
      incident: {
        kind: 'kick',
        on: '2026-05-13',
        step: 'draw',
        side: null,
        mounted: true,
        where: 'pen',
        before: '',
        after: '',
      },
    }
    const said = { do: 'confirm', id: uuid(), horseId: id, day: '2026-05-14', confirmed: ['helper'] }
    expect(new Set(await send([session, ...steps, hurt, said]))).toEqual(new Set(['kept']))
    const carried = await carry(id)
    const { horse, answers, overrules, day } = carried
    const { program } = (await yard.starter.get<{ program: Program }>(`/programs/${horse.programId}`)).body
    const inOrder = [...answers].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.seq - b.seq))
    const views = viewsOf(STANDARD_MODEL, program, {
      records: replayHorse(STANDARD_MODEL, program, inOrder),
      on: day,
    })
    const workDays = new Set(answers.map((answer) => answer.day)).size
    const { rows } = (await yard.starter.get<{ rows: Worked[] }>(`/horses/${id}/worked`)).body
    const week = rows.filter((row) => row.day < day && row.day >= weekBefore(day))
    const loadDays = loadDaysIn(program, week, { horse, entries: carried.entries, on: day })
    const facts = factsFrom({ ...carried, program, loadDays, on: day })
    const judged = judgedFrom({ program, views, facts, loadDays, on: day })
    const here = lineFrom({ horse, facts, overrules, arranged: null, workDays, loadDays, judged, on: day })
    const { body } = await yard.starter.get(`/horses/${id}/line`)
    expect(JSON.parse(JSON.stringify(here))).toEqual(body)
  })

  it('is of one’s own yard only', async () => {
    const { status } = await yard.starter.get(`/horses/${uuid()}/carry`)
    expect(status).toBe(404)
  })
})

describe('what else a batch brings', () => {
  it('keeps a note with its session, and the newest word on what was confirmed', async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-14T07:00:00Z')
    const note = { do: 'note', id: uuid(), sessionId: session.session.id, note: 'wind', at: NOON }
    const confirm = (confirmed: string[]) => ({
      do: 'confirm',
      id: uuid(),
      horseId: id,
      day: '2026-05-14',
      confirmed,
    })
    expect(await send([session, note, confirm(['helper']), confirm(['helper', 'helmet'])])).toEqual(
      Array(4).fill('kept'),
    )
    const kept = (await yard.starter.get<{ session: { note: string } }>(`/sessions/${session.session.id}`))
      .body
    expect(kept.session.note).toBe('wind')
    expect((await carry(id)).confirmed).toEqual(['helper', 'helmet'])
  })

  it('refuses one by one what cannot be: no session, a day to come, a step nobody knows', async () => {
    const id = await addHorse(yard.starter)
    const incident = {
      kind: 'kick',
      step: null,
      side: null,
      serious: false,
      where: '',
      before: '',
      after: '',
    }
    const { body } = await sendBatch(
      yard.starter,
      [
        { do: 'note', id: uuid(), sessionId: uuid(), note: '', at: NOON },
        { do: 'incident', id: uuid(), horseId: id, incident: { ...incident, on: '2026-06-01' } },
        { do: 'incident', id: uuid(), horseId: id, incident: { ...incident, on: '2026-05-01', step: 'fly' } },
        { do: 'confirm', id: uuid(), horseId: uuid(), day: '2026-05-14', confirmed: [] },
      ],
      clock.iso,
    )
    expect(body.items.map(({ status, path }) => [status, path])).toEqual([
      ['refused', 'sessionId'],
      ['refused', 'incident.on'],
      ['refused', 'incident.step'],
      ['refused', 'horseId'],
    ])
  })

  it('is not taken for somebody who is signed in now but did not give it', async () => {
    const id = await addHorse(yard.starter)
    const items = [sessionItem(id, NOON)]
    const { status, body } = await yard.starter.post('/answers/batch', {
      personId: uuid(),
      sentAt: clock.iso,
      items,
    })
    expect([status, (body as { type: string }).type]).toEqual([409, 'other-person'])
  })
})

describe('a phone that was lost', () => {
  const signIn = (visitor: Visitor, device?: { id: string; words: string }) =>
    visitor.post('/sign-in', { email: FIRST_RUN.email, password: FIRST_RUN.password, device })

  it('is cut off at once and for every later sign-in, until it is let back', async () => {
    const phone = yard.visitor()
    const device = { id: uuid(), words: 'Phone, Chromium' }
    expect((await signIn(phone, device)).status).toBe(200)
    const { devices } = (await yard.starter.get<{ devices: Device[] }>('/devices')).body
    const listed = devices.find(({ id }) => id === device.id)!
    expect(listed).toMatchObject({ words: 'Phone, Chromium', personName: 'Runa Vik', cutOffAt: null })
    const cut = (cutOff: boolean) =>
      yard.starter.put(`/people/${listed.personId}/devices/${device.id}/cut-off`, { cutOff })
    await cut(true)
    for (const reply of [await phone.get('/me'), await signIn(phone, device)])
      expect([reply.status, (reply.body as { type?: string }).type]).toEqual([401, 'cut-off'])
    expect((await yard.starter.get('/me')).status).toBe(200)
    await cut(false)
    expect((await phone.get('/me')).status).toBe(200)
  })

  it('is nobody else’s to cut off', async () => {
    const { status } = await yard.starter.put(`/people/${uuid()}/devices/${uuid()}/cut-off`, { cutOff: true })
    expect(status).toBe(404)
  })

  it('says in the table of routes what right each asks for', () => {
    expect([routes.devices.needs, routes.putCutOff.needs]).toEqual(['own-settings', 'own-settings'])
  })
})

describe('a yard that is gone while a device was out', () => {
  it('is answered as signed out, so that what waits stays on the device', async () => {
    const gone = await startYard({ now: clock.now })
    const id = await addHorse(gone.starter)
    const owner = new pg.Client(gone.ownerUrl)
    await owner.connect()
    await owner.query('truncate yard cascade')
    await owner.end()
    const session = sessionItem(id, '2026-05-12T07:00:00Z')
    for (const reply of [await gone.starter.get('/me'), await sendBatch(gone.starter, [session], clock.iso)])
      expect([reply.status, (reply.body as { type?: string }).type]).toEqual([401, 'signed-out'])
    await gone.stop()
  })
})
