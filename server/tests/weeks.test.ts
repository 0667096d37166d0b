import type { HorseInWeek, Me, PlannedWeek, Problem, PutPlannedWeek, ReplyOf } from '@still-pine/contract'
import { FEET_FIRST, stepsMeeting } from '@still-pine/core/program'
import ICAL from 'ical.js'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { heldLog } from '../../core/tests/held'
import { addHorse, answerItem, sendBatch, sessionItem, TestClock } from './making'
import { startYard, type Running, type Visitor } from './running'

const NOW = '2026-05-13T09:00:00Z'
/** The Monday of that week. */
const MONDAY = '2026-05-11'
const clock = new TestClock(NOW)
const PASSWORD = 'a long enough one'

let yard: Running & { starter: Visitor }
let me: Me
let helper: Visitor
let helperId: string
let horseId: string

beforeAll(async () => {
  yard = await startYard({ now: clock.now, signInTries: 100 })
  me = (await yard.starter.get<Me>('/me')).body
  horseId = await addHorse(yard.starter, { name: 'Curlew, “the” 🐴; mare' })
  helperId = uuid()
  await yard.starter.put(`/people/${helperId}`, {
    name: 'Orm',
    role: 'helper',
    email: 'orm@example.org',
    password: PASSWORD,
  })
  helper = yard.visitor()
  await helper.post('/sign-in', { email: 'orm@example.org', password: PASSWORD })
})
afterAll(() => yard.stop())

const TOLD = {
  objective: 1,
  bound: 1,
  status: 'proved',
  words: 'No better week exists.',
  lacking: [],
  clashes: [],
} as const

const visit = (change: Partial<PlannedWeek['visits'][number]> = {}): PlannedWeek['visits'][number] => ({
  id: uuid(),
  horseId,
  day: '2026-05-14',
  start: '09:15',
  minutes: 25,
  part: 'morning',
  use: 'ground',
  load: true,
  due: null,
  leadId: me.person.id,
  helperId: null,
  placeId: null,
  reasons: ['saves 1 work day'],
  ...change,
})

let version = 0
const keep = async (visits: PutPlannedWeek['visits'], change: Partial<PutPlannedWeek> = {}) => {
  const reply = await yard.starter.put<PlannedWeek & Problem>(`/weeks/${MONDAY}`, {
    pins: [],
    wishes: [],
    conditions: {},
    visits,
    told: TOLD,
    version,
    ...change,
  })
  if (reply.status === 200) version = reply.body.version
  return reply
}

const feedOf = async (token: string, headers: Record<string, string> = {}) => {
  const response = await fetch(`${yard.address}/feeds/${token}.ics`, { headers })
  return { status: response.status, text: await response.text(), headers: response.headers }
}

const eventsIn = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]])
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event))

describe('a week', () => {
  it('is nothing before it is planned, and tells what it would be planned from', async () => {
    const { status, body } = await yard.starter.get<ReplyOf<'plannedWeek'>>(`/weeks/${MONDAY}`)
    expect(status).toBe(200)
    expect(body).toMatchObject({ firstDay: MONDAY, today: '2026-05-13', planned: null, arranged: [] })
    expect(body.people.map(({ name }) => name).sort()).toEqual([me.person.name, 'Orm'].sort())
  })

  it('is kept as it is planned, and nothing is kept twice', async () => {
    const visits = [visit()]
    const first = await keep(visits)
    expect(first.body).toMatchObject({ version: 1, byName: me.person.name, visits: [{ start: '09:15' }] })
    const again = await keep(visits, { version: 0 })
    expect(again.body.version).toBe(1)
  })

  it('that somebody changed meanwhile is not written over', async () => {
    const { status, body } = await keep([visit({ start: '10:00' })], { version: 0 })
    expect([status, body.type, body.currentVersion]).toEqual([412, 'stale', 1])
  })

  it('begins on a Monday, and is of this yard’s horses, people and places alone', async () => {
    const week = { pins: [], wishes: [], conditions: {}, visits: [], told: TOLD, version: 0 }
    const tuesday = await yard.starter.put<Problem>('/weeks/2026-05-12', week)
    expect([tuesday.status, tuesday.body.title]).toEqual([400, 'A week begins on a Monday.'])
    for (const [field, id] of [
      ['horseId', uuid()],
      ['leadId', uuid()],
      ['helperId', uuid()],
      ['placeId', uuid()],
    ] as const) {
      const { status, body } = await keep([visit({ [field]: id })])
      expect([field, status, body.fields?.[0]?.path]).toEqual([field, 400, `visits.0.${field}`])
    }
    const both = await keep([visit({ helperId: me.person.id })])
    expect(both.body.fields?.[0]?.path).toBe('visits.0.helperId')
  })

  it('is a starter’s to plan', async () => {
    const { status } = await helper.put(`/weeks/${MONDAY}`, {})
    expect(status).toBe(403)
  })
})

describe('what holds for every week', () => {
  const person = (hours: object[]) => ({
    version: 0,
    arranged: { about: 'person', roles: ['help'], hours, mostMinutesPerDay: null, remindMinutes: 15 },
  })

  it('is a helper’s own hours, and no one else’s', async () => {
    const own = await helper.put(
      `/arranged/${helperId}`,
      person([{ weekday: 6, from: '08:00', to: '12:00' }]),
    )
    expect(own.status).toBe(200)
    const others = await helper.put<Problem>(`/arranged/${me.person.id}`, person([]))
    expect([others.status, others.body.type]).toEqual([403, 'not-allowed'])
    const rules = await helper.put<Problem>(`/arranged/${me.yard.id}`, person([]))
    expect(rules.status).toBe(404)
  })

  it('that ends before it begins is said at its field', async () => {
    const { status, body } = await helper.put<Problem>(
      `/arranged/${helperId}`,
      person([{ weekday: 1, from: '12:00', to: '08:00' }]),
    )
    expect([status, body.fields?.[0]]).toEqual([
      400,
      { path: 'arranged.hours.0.to', message: 'It ends before it begins.' },
    ])
  })

  it('is of somebody, and is told with the week', async () => {
    const nobody = await yard.starter.put(`/arranged/${uuid()}`, person([]))
    expect(nobody.status).toBe(404)
    const { body } = await yard.starter.get<ReplyOf<'plannedWeek'>>(`/weeks/${MONDAY}`)
    expect(body.arranged.map(({ id }) => id)).toEqual([helperId])
  })
})

describe('a horse in a week', () => {
  it('tells what it may be worked at, and its days of load', async () => {
    const session = sessionItem(horseId, '2026-05-12T08:00:00Z')
    await sendBatch(
      yard.starter,
      [session, answerItem(horseId, session.session.id, { at: '2026-05-12T08:01:00Z' })],
      clock.iso,
    )
    const { body } = await yard.starter.get<HorseInWeek>(`/horses/${horseId}/weeks/2026-05-13`)
    expect(body).toMatchObject({ horseId, born: '2023-05-01', lastTouchedDay: '2026-05-12', nothing: null })
    expect(body.options.length).toBeGreaterThan(0)
    for (const { savedDays, minutes, roles } of body.options) {
      expect(savedDays).toBeGreaterThan(0)
      expect(savedDays).toBeLessThanOrEqual(1.2)
      expect(minutes).toBeLessThanOrEqual(30)
      expect(['start', 'ride']).toContain(roles[0])
    }
    const { body: week } = await yard.starter.get<ReplyOf<'plannedWeek'>>(`/weeks/${MONDAY}`)
    expect(week.worked).toEqual([{ horseId, day: '2026-05-12' }])
  })
})

describe('a calendar', () => {
  let token: string

  it('has an address that is told once, and read without signing in', async () => {
    const made = await yard.starter.post<{ token: string }>(`/people/${me.person.id}/feed`, {})
    token = made.body.token
    expect(token).toMatch(/^[\w-]{43}$/)
    const { status, text, headers } = await feedOf(token)
    expect(status).toBe(200)
    expect(headers.get('content-type')).toMatch(/text\/calendar/)
    expect(headers.get('cache-control')).toBe('private, max-age=300')
    const [event] = eventsIn(text)
    expect(event!.summary).toBe('Curlew, “the” 🐴; mare: ground, 25 min')
    expect(event!.startDate.toJSDate().toISOString()).toBe('2026-05-14T07:15:00.000Z')
    const again = await feedOf(token, { 'If-None-Match': headers.get('etag')! })
    expect(again.status).toBe(304)
  })

  it('keeps the id of a visit that is moved and raises its sequence, and of one that only says more it does not', async () => {
    const { body } = await yard.starter.get<ReplyOf<'plannedWeek'>>(`/weeks/${MONDAY}`)
    const [planned] = body.planned!.visits
    const sequence = async (): Promise<number> =>
      Number(eventsIn((await feedOf(token)).text)[0]!.component.getFirstPropertyValue('sequence'))
    expect(await sequence()).toBe(0)
    await keep([{ ...planned!, reasons: ['something else'] }])
    expect(await sequence()).toBe(0)
    await keep([{ ...planned!, start: '10:30' }])
    expect(await sequence()).toBe(1)
    const [event] = eventsIn((await feedOf(token)).text)
    expect(event!.uid).toBe(`${planned!.id}@still-pine`)
  })

  it('tells of a visit that was taken off as cancelled', async () => {
    await keep([])
    const [event] = eventsIn((await feedOf(token)).text)
    expect(event!.component.getFirstPropertyValue('status')).toBe('CANCELLED')
  })

  it('is not there once its address is ended or replaced, nor at one that was guessed', async () => {
    const { body } = await yard.starter.post<{ token: string }>(`/people/${me.person.id}/feed`, {})
    expect((await feedOf(token)).status).toBe(404)
    expect((await feedOf(body.token)).status).toBe(200)
    expect((await yard.starter.post(`/people/${me.person.id}/feed/end`, {})).status).toBe(200)
    for (const guessed of [body.token, 'A'.repeat(43), '..%2f..%2fetc', ''])
      expect((await feedOf(guessed)).status, guessed).toBe(404)
  })

  it('is one’s own to make, and a starter’s for others', async () => {
    expect((await helper.post(`/people/${helperId}/feed`, {})).status).toBe(200)
    expect((await helper.post(`/people/${me.person.id}/feed`, {})).status).toBe(403)
    expect((await yard.starter.post(`/people/${helperId}/feed`, {})).status).toBe(200)
  })

  it('tells no names of horses where the yard keeps them in', async () => {
    const rules = {
      about: 'rules',
      slotMinutes: 15,
      changeoverMinutes: 5,
      parts: [{ id: 'morning', from: '08:00', to: '12:00' }],
      noTwoLoadDaysBelowMonths: 36,
      restAfterHardDay: 'noLoad',
      mostDaysUntouched: 3,
      wishes: [],
      namesInCalendars: false,
    }
    await yard.starter.put(`/arranged/${me.yard.id}`, { arranged: rules, version: 0 })
    await keep([visit()])
    const { body } = await yard.starter.post<{ token: string }>(`/people/${me.person.id}/feed`, {})
    const { text } = await feedOf(body.token)
    expect(text).toContain('Ground\\, 25 min')
    expect(text).not.toContain('Curlew')
  })
})

describe('busy times', () => {
  it('are start and end and no more, and a new file takes the stead of the last', async () => {
    const put = (times: object[]) => helper.put(`/people/${helperId}/busy`, { hash: 'a'.repeat(64), times })
    expect((await put([{ day: '2026-05-14', from: '09:00', to: '10:00' }])).status).toBe(200)
    expect((await put([{ day: '2026-05-15', from: '13:00', to: '24:00' }])).status).toBe(200)
    const { body } = await yard.starter.get<ReplyOf<'plannedWeek'>>(`/weeks/${MONDAY}`)
    expect(body.people.find(({ id }) => id === helperId)!.busy).toEqual([
      { day: '2026-05-15', from: '13:00', to: '24:00' },
    ])
    expect(
      (await helper.put(`/people/${me.person.id}/busy`, { hash: 'a'.repeat(64), times: [] })).status,
    ).toBe(403)
  })
})

describe('what was planned', () => {
  it('is told for a day, with whether its week is planned at all and what was worked', async () => {
    const { body } = await yard.starter.get<ReplyOf<'visits'>>('/visits?from=2026-05-10&until=2026-05-14')
    expect(body.days).toEqual(['2026-05-11', '2026-05-12', '2026-05-13', '2026-05-14'])
    expect(body.visits).toEqual([
      expect.objectContaining({ day: '2026-05-14', horseId, leadName: me.person.name, placeName: null }),
    ])
    expect(body.worked).toEqual([{ horseId, day: '2026-05-12' }])
  })
})

describe('a forecast that was shown', () => {
  const gate = FEET_FIRST.gates[0]!
  const steps = new Set(
    [...gate.solid, ...gate.met].flatMap((need) => stepsMeeting(FEET_FIRST, need)).map(({ key }) => key),
  )
  let horse: string

  const forecasts = async () => {
    const { body } = await yard.starter.get<ReplyOf<'judging'>>(`/judging?horseId=${horse}`)
    return body.forecasts
  }

  it('waits for its horse, which stands before the gate on the first day on which it does', async () => {
    horse = await addHorse(yard.starter, { name: 'Sedge' })
    const forecast = {
      kind: 'forecast',
      on: '2026-05-10',
      gate: gate.key,
      name: gate.name,
      horizonDays: 180,
      weekdays: [1, 3, 5],
      minutes: 25,
      byShare: 0.4,
      by: '2026-06-01',
      days: Array.from({ length: 19 }, (_, i) => i),
    }
    await sendBatch(yard.starter, [{ do: 'enter', id: uuid(), horseId: horse, entry: forecast }], clock.iso)
    await yard.starter.get(`/horses/${horse}/line`)
    expect(await forecasts()).toEqual([
      expect.objectContaining({ horseName: 'Sedge', name: gate.name, cameOn: null }),
    ])

    const log = heldLog({ lastDay: '2026-05-12' }).filter(({ step }) => steps.has(step))
    for (const day of new Set(log.map((one) => one.day))) {
      const session = sessionItem(horse, `${day}T06:00:00Z`)
      const items = log
        .filter((one) => one.day === day)
        .map(({ step, side, rung, grade, calm, place }, i) =>
          answerItem(horse, session.session.id, {
            at: new Date(Date.parse(`${day}T06:01:00Z`) + i * 20_000).toISOString(),
            change: { step, side, rung, grade, calm, place, moving: true },
          }),
        )
      await sendBatch(yard.starter, [session, ...items], clock.iso)
    }
    const { body: line } = await yard.starter.get<ReplyOf<'line'>>(`/horses/${horse}/line`)
    expect(['go', 'check-first']).toContain(line.gates.find((one) => one.gate === gate.key)!.verdict)
    await expect.poll(async () => (await forecasts())[0]!.cameOn).toBe('2026-05-13')
  })

  it('is told to the owner with the day it was made, and makes its horse more urgent in the week', async () => {
    const { body: report } = await yard.starter.get<ReplyOf<'report'>>(`/horses/${horse}/report`)
    expect(report.forecast).toMatch(new RegExp(`^${gate.name}, as reckoned on 2026-05-10: `))
    const { body } = await yard.starter.get<HorseInWeek>(`/horses/${horse}/weeks/2026-05-13`)
    expect(body.missing).toBeCloseTo(0.6, 10)
  })
})
