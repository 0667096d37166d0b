import type { Check, Horse, Incident, Line, Problem, ReplyOf } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, answerItem, horseForm, incidentItem, sendBatch, sessionItem, TestClock } from './making'
import { FIRST_RUN, startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const line = async (id: string): Promise<Line> => (await yard.starter.get<Line>(`/horses/${id}/line`)).body
const batch = async (items: readonly unknown[]) =>
  (await sendBatch(yard.starter, items, clock.iso)).body.items

const bolt = (change: object = {}) => ({
  kind: 'bolt',
  on: '2026-05-13',
  step: 'sit',
  side: null,
  rung: 1,
  mounted: true,
  fell: false,
  hurt: 'none',
  where: '',
  before: '',
  after: '',
  ...change,
})

const saddle = (change: object = {}) => ({
  kind: 'saddle',
  on: '2026-05-10',
  until: null,
  passed: false,
  note: '',
  ...change,
})

describe('a check or an incident', () => {
  it('is corrected with a reason, and what it said before stays to be read', async () => {
    const id = await addHorse(yard.starter)
    const path = `/horses/${id}/checks/${uuid()}`
    await yard.starter.put(path, saddle())
    const { body } = await yard.starter.put<Check>(path, saddle({ passed: true, because: 'wrong box' }))
    expect(body).toMatchObject({ passed: true, withdrawn: null })
    expect(body.earlier).toMatchObject([
      { byName: FIRST_RUN.personName, because: 'wrong box', was: { kind: 'saddle', passed: false } },
    ])
    expect((await yard.starter.put<Check>(path, saddle({ passed: true }))).body.earlier).toHaveLength(1)
  })

  it('that is withdrawn counts no more, and can count again', async () => {
    const id = await addHorse(yard.starter)
    const incidentId = uuid()
    const put = (incident: object) => batch([incidentItem(id, incident, incidentId)])
    await put(bolt())
    expect((await line(id)).facts.incidents).toHaveLength(1)
    await put(bolt({ withdrawn: 'pressed by mistake' }))
    const { body } = await yard.starter.get<{ incidents: Incident[] }>(`/horses/${id}/incidents`)
    expect(body.incidents[0]!.withdrawn).toMatchObject({
      because: 'pressed by mistake',
      byName: FIRST_RUN.personName,
    })
    expect((await line(id)).facts.incidents).toEqual([])
    await put(bolt())
    expect((await line(id)).facts.incidents).toHaveLength(1)
  })

  it('recorded without signal can be taken back by the same item', async () => {
    const id = await addHorse(yard.starter)
    const item = (incident: object) => ({ do: 'incident', id: uuid(), horseId: id, incident })
    const first = item(bolt())
    const again = { ...first, incident: bolt({ withdrawn: 'a glove' }) }
    expect((await batch([first, again])).map(({ status }) => status)).toEqual(['kept', 'kept'])
    expect((await line(id)).facts.incidents).toEqual([])
  })

  it('of an older device says serious: a person was up where its step has one', async () => {
    const id = await addHorse(yard.starter)
    const old = (step: string) => {
      const { mounted: _m, fell: _f, hurt: _h, rung: _r, ...rest } = bolt()
      return { do: 'incident', id: uuid(), horseId: id, incident: { ...rest, step, serious: true } }
    }
    await batch([old('sit'), old('send')])
    expect((await line(id)).facts.incidents.map(({ step, mounted }) => [step, mounted])).toEqual(
      expect.arrayContaining([
        ['sit', true],
        ['send', false],
      ]),
    )
  })

  it('is refused before the horse was born and on a day to come, with the field', async () => {
    const id = await addHorse(yard.starter, { born: '2022-04-01', arrived: '2024-01-01' })
    for (const on of ['2021-01-01', '2026-05-15']) {
      const [reply] = await batch([incidentItem(id, bolt({ on }))])
      expect(reply).toMatchObject({ status: 'refused', path: 'incident.on' })
    }
    expect((await line(id)).facts.incidents).toEqual([])
  })
})

describe('what is confirmed', () => {
  it('is refused for tomorrow, and can be unpressed today', async () => {
    const id = await addHorse(yard.starter)
    const say = (day: string, confirmed: string[]) => ({
      do: 'confirm',
      id: uuid(),
      horseId: id,
      day,
      confirmed,
    })
    const replies = await batch([say('2026-05-15', ['helmet']), say('2026-05-14', ['helmet', 'helper'])])
    expect(replies).toMatchObject([{ status: 'refused', path: 'day' }, { status: 'kept' }])
    expect((await line(id)).facts.confirmed).toEqual(['helmet', 'helper'])
    await batch([say('2026-05-14', ['helper'])])
    expect((await line(id)).facts.confirmed).toEqual(['helper'])
  })

  it('takes an overrule back on its day, and both stay on record', async () => {
    const id = await addHorse(yard.starter)
    const path = `/horses/${id}/overrules/${uuid()}`
    const body = { gate: 'halter', reason: 'It wore one on its last farm.' }
    await yard.starter.put(path, body)
    expect((await line(id)).facts.overruled).toEqual([{ gate: 'halter', byName: FIRST_RUN.personName }])
    await yard.starter.put(path, { ...body, takenBack: true })
    const after = await line(id)
    expect(after.facts.overruled).toEqual([])
    expect(after.overrules).toMatchObject([{ gate: 'halter', takenBack: true }])
  })
})

describe('a horse', () => {
  it('may be of an age by guess, with how it is known; bounds turned round are refused with the field', async () => {
    const estimate = { lowMonths: 36, highMonths: 60, on: '2026-05-10', how: 'teeth' }
    const id = await addHorse(yard.starter, { born: null, estimate })
    const { facts } = await line(id)
    expect(facts.age).toEqual({ lowMonths: 36, highMonths: 60, on: '2026-05-10' })
    const turned = { ...estimate, lowMonths: 61 }
    const { status, body } = await yard.starter.put<Problem>(
      `/horses/${uuid()}`,
      horseForm({ version: 0, born: null, estimate: turned }),
    )
    expect([status, body.fields?.[0]?.path]).toEqual([400, 'estimate.highMonths'])
  })

  it('leaves the string with a reason and comes back with all its history', async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-14T07:00:00Z')
    await batch([session, answerItem(id, session.session.id, { at: '2026-05-14T07:01:00Z' })])
    const today = async () => (await yard.starter.get<ReplyOf<'today'>>('/today')).body
    const { version } = (await yard.starter.get<Horse>(`/horses/${id}`)).body
    const archived = { on: '2026-05-14', reason: 'sold', note: '' }
    const gone = await yard.starter.put<Horse>(`/horses/${id}/archived`, { archived, version })
    expect(gone.body.archived).toEqual(archived)
    expect((await today()).rows.some(({ horse }) => horse.id === id)).toBe(false)
    expect((await today()).gone.map((horse) => horse.id)).toContain(id)
    const stale = await yard.starter.put(`/horses/${id}/archived`, { archived: null, version })
    expect(stale.status).toBe(412)
    await yard.starter.put(`/horses/${id}/archived`, { archived: null, version: gone.body.version })
    expect((await today()).rows.find(({ horse }) => horse.id === id)).toMatchObject({ answersToday: 1 })
  })
})

const AGAINST = 'It is 20 months old; the least age is 36.'

describe('what was done against the permit', () => {
  it('is kept with why, counts as evidence, and is told in the book and on the sheet of the block', async () => {
    const id = await addHorse(yard.starter, { arrived: '2026-05-01' })
    const session = sessionItem(id, '2026-05-14T07:00:00Z')
    const sat = answerItem(id, session.session.id, {
      at: '2026-05-14T07:01:00Z',
      change: {
        step: 'sit',
        side: 'none',
        rung: 1,
        against: AGAINST,
        why: 'a child climbed on',
      },
    })
    expect((await batch([session, sat])).map(({ status }) => status)).toEqual(['kept', 'kept'])
    const told = await line(id)
    expect(told.tracks.find(({ step }) => step === 'sit')!.view.answers).toBe(1)
    const { sessions } = (await yard.starter.get<ReplyOf<'sessions'>>(`/sessions?horseId=${id}`)).body
    expect(sessions).toMatchObject([{ against: 1 }])
    const block = {
      kind: 'start',
      from: '2026-05-02',
      until: '2026-05-14',
      worries: '',
      reward: '',
      note: '',
      version: 0,
    }
    const closed = await yard.starter.put<{ snapshot: { against: object[] } }>(
      `/horses/${id}/blocks/${uuid()}`,
      block,
    )
    expect(closed.body.snapshot.against).toEqual([
      { day: '2026-05-14', name: 'Sit', words: AGAINST, why: 'a child climbed on' },
    ])
  })
})
