import type { Horse, Line, ReplyOf } from '@still-pine/contract'
import { SCHOOLS, type Program } from '@still-pine/core/program'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, answerItem, horseForm, sendBatch, sessionItem, TestClock } from './making'
import { startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const send = (items: readonly unknown[]) => sendBatch(yard.starter, items, clock.iso)
const line = async (horse: string) => (await yard.starter.get<Line>(`/horses/${horse}/line`)).body
const move = async (horse: Horse, school: string) =>
  yard.starter.put<Horse>(`/horses/${horse.id}`, {
    ...horseForm({ name: horse.name, version: horse.version, school }),
  })
const programOf = async ({ programId }: Horse) =>
  (await yard.starter.get<{ program: Program }>(`/programs/${programId}`)).body.program

describe('a horse and its school', () => {
  it.each(SCHOOLS.map(({ school, name }) => [name, school]))('can be begun by %s', async (name, school) => {
    const { horse, tracks } = await line(await addHorse(yard.starter, { school }))
    expect(horse).toMatchObject({ school, schoolName: name })
    const program = await programOf(horse)
    expect(program).toEqual(JSON.parse(JSON.stringify(SCHOOLS.find((one) => one.school === school))))
    expect(new Set(tracks.map(({ step }) => step)).size).toBe(program.steps.length)
  })

  it('is refused a school that is not there, in words', async () => {
    const reply = await yard.starter.put<{ fields: unknown }>(
      `/horses/${crypto.randomUUID()}`,
      horseForm({ school: 'no-school' }),
    )
    expect(reply.status).toBe(400)
    expect(reply.body.fields).toEqual([
      { path: 'school', message: '“no-school” is not a school of this yard.' },
    ])
  })

  it('keeps every answer over a change and back, and is judged as if it had never changed', async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-10T07:00:00Z')
    const answers = [1, 2, 3, 4].flatMap((n) => [
      answerItem(id, session.session.id, `2026-05-10T07:0${n}:00Z`),
      answerItem(id, session.session.id, `2026-05-10T07:1${n}:00Z`, {
        step: 'loose-direction',
        side: 'left',
        rung: 2,
      }),
    ])
    await send([session, ...answers])
    const before = await line(id)
    const moved = await move(before.horse, 'stand-first')
    expect(moved.body).toMatchObject({ school: 'stand-first', schoolName: 'Stand First' })
    const there = await line(id)
    expect(there.tracks.some(({ step }) => step === 'loose-direction')).toBe(false)
    expect(there.tracks.find(({ step }) => step === 'settle-in-pen')!.view).toEqual(
      before.tracks.find(({ step }) => step === 'settle-in-pen')!.view,
    )
    expect(there.workDays).toBe(1)
    await move(moved.body, 'feet-first')
    expect((await line(id)).tracks).toEqual(before.tracks)
  })

  it('keeps an answer that was on its way when the school was changed, and judges it when it is back', async () => {
    const id = await addHorse(yard.starter)
    const { horse } = await line(id)
    const { body: moved } = await move(horse, 'light-aids')
    const session = sessionItem(id, '2026-05-13T07:00:00Z')
    const late = answerItem(id, session.session.id, '2026-05-13T07:01:00Z', {
      step: 'loose-direction',
      side: 'left',
      rung: 1,
    })
    const { body } = await send([session, late])
    expect(body.items.map(({ status }) => status)).toEqual(['kept', 'kept'])
    expect((await line(id)).workDays).toBe(1)
    await move(moved, 'feet-first')
    const track = (await line(id)).tracks.find(
      ({ step, side }) => step === 'loose-direction' && side === 'left',
    )
    expect(track!.view.answers).toBe(1)
  })

  it('is not moved by somebody who saw an older page', async () => {
    const { horse } = await line(await addHorse(yard.starter))
    await move(horse, 'stand-first')
    const stale = await move(horse, 'light-aids')
    expect(stale.status).toBe(412)
    expect((await line(horse.id)).horse.school).toBe('stand-first')
  })
})

describe('where on the horse', () => {
  it('gives the last standing answer of every spot, oldest first, and none of what was offered', async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-12T07:00:00Z')
    const at = (minute: number, over: object) =>
      answerItem(id, session.session.id, `2026-05-12T07:${String(minute).padStart(2, '0')}:00Z`, {
        step: 'rope-over',
        side: 'left',
        rung: 2,
        zone: 'flank',
        place: 4,
        ...over,
      })
    await send([
      session,
      at(1, { grade: 3 }),
      at(2, { grade: 1 }),
      at(3, { zone: null, place: 1, moving: true }),
      at(4, { zone: null, place: null }),
      at(5, { place: 5, uncued: true }),
    ])
    const { body } = await yard.starter.get<ReplyOf<'spots'>>(`/horses/${id}/spots`)
    expect(body).toEqual({
      day: '2026-05-14',
      spots: [
        {
          step: 'rope-over',
          side: 'left',
          rung: 2,
          grade: 1,
          calm: 0,
          day: '2026-05-12',
          place: 4,
          zone: 'flank',
          moving: false,
        },
        {
          step: 'rope-over',
          side: 'left',
          rung: 2,
          grade: 1,
          calm: 0,
          day: '2026-05-12',
          place: 1,
          zone: null,
          moving: true,
        },
      ],
    })
  })

  it('keeps how an answer was given, and refuses what is no ending and no zone', async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-12T07:00:00Z')
    const told = {
      ending: 'left-moving',
      slip: 'let go late',
      zone: 'hip',
      aids: 2,
      peakNewtons: 14.5,
      releaseSeconds: 0.6,
    }
    const good = answerItem(id, session.session.id, '2026-05-12T07:01:00Z', told)
    const bad = answerItem(id, session.session.id, '2026-05-12T07:02:00Z', { ending: 'ran off' })
    const worse = answerItem(id, session.session.id, '2026-05-12T07:03:00Z', { zone: 'saddle' })
    const { body } = await send([session, good, bad, worse])
    expect(body.items.map(({ status, path }) => [status, path])).toEqual([
      ['kept', undefined],
      ['kept', undefined],
      ['refused', 'answer.ending'],
      ['refused', 'answer.zone'],
    ])
    const kept = await yard.starter.get<ReplyOf<'stepAnswers'>>(`/horses/${id}/steps/settle-in-pen/answers`)
    expect(kept.body.answers).toEqual([expect.objectContaining(told)])
  })
})
