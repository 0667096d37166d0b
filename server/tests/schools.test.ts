import type { Horse, Line, Problem, ReplyOf } from '@still-pine/contract'
import { FEET_FIRST, SCHOOLS, type Program } from '@still-pine/core/program'
import { applyEdit, copyOfSchool, type Edit } from '@still-pine/core/school-edit'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
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
      answerItem(id, session.session.id, { at: `2026-05-10T07:0${n}:00Z` }),
      answerItem(id, session.session.id, {
        at: `2026-05-10T07:1${n}:00Z`,
        change: {
          step: 'loose-direction',
          side: 'left',
          rung: 2,
        },
      }),
    ])
    await send([session, ...answers])
    const before = await line(id)
    const moved = await move(before.horse, 'stand-first')
    expect(moved.body).toMatchObject({ school: 'stand-first', schoolName: 'Stand First' })
    const there = await line(id)
    expect(there.tracks.some(({ step }) => step === 'loose-direction')).toBe(false)
    // How fast the horse learns was told by the other step too, which this school does not have.
    expect(there.tracks.find(({ step }) => step === 'settle-in-pen')!.view).toEqual({
      ...before.tracks.find(({ step }) => step === 'settle-in-pen')!.view,
      speed: expect.any(Number) as number,
    })
    expect(there.workDays).toBe(1)
    await move(moved.body, 'feet-first')
    expect((await line(id)).tracks).toEqual(before.tracks)
  })

  it('keeps an answer that was on its way when the school was changed, and judges it when it is back', async () => {
    const id = await addHorse(yard.starter)
    const { horse } = await line(id)
    const { body: moved } = await move(horse, 'light-aids')
    const session = sessionItem(id, '2026-05-13T07:00:00Z')
    const late = answerItem(id, session.session.id, {
      at: '2026-05-13T07:01:00Z',
      change: {
        step: 'loose-direction',
        side: 'left',
        rung: 1,
      },
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
      answerItem(id, session.session.id, {
        at: `2026-05-12T07:${String(minute).padStart(2, '0')}:00Z`,
        change: {
          step: 'rope-over',
          side: 'left',
          rung: 2,
          zone: 'flank',
          place: 4,
          ...over,
        },
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
    const good = answerItem(id, session.session.id, { at: '2026-05-12T07:01:00Z', change: told })
    const bad = answerItem(id, session.session.id, {
      at: '2026-05-12T07:02:00Z',
      change: { ending: 'ran off' },
    })
    const worse = answerItem(id, session.session.id, {
      at: '2026-05-12T07:03:00Z',
      change: { zone: 'saddle' },
    })
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

const OWN = copyOfSchool(FEET_FIRST, 'our-way', 'Our way')

const edited = (program: Program, ...edits: readonly Edit[]): Program =>
  edits.reduce<Program>((now, edit) => {
    const done = applyEdit(now, edit)
    if ('refused' in done) throw new Error(done.refused)
    return done.program
  }, program)

const next = (program: Program): Program => ({ ...program, version: program.version + 1 })

const putSchool = (program: Program, basedOn = program.version - 1, id: string = uuid()) =>
  yard.starter.put<{ id: string; program: Program } & Problem>(`/programs/${id}`, { basedOn, program })

const schools = async () => (await yard.starter.get<ReplyOf<'schools'>>('/schools')).body.schools

describe('a school of one’s own', () => {
  it('is kept version by version, and says who made each and who is worked by it', async () => {
    const first = await putSchool(OWN)
    expect(first.status).toBe(200)
    const second = await putSchool(edited(next(OWN), { do: 'rename', name: 'Our better way' }))
    const id = await addHorse(yard.starter, { school: 'our-way' })
    const own = (await schools()).find(({ school }) => school === 'our-way')!
    expect(own).toMatchObject({ name: 'Our better way', ships: false, copyOf: 'feet-first' })
    expect(own.versions.map(({ version }) => version)).toEqual([2, 1])
    expect(own.versions[0]).toMatchObject({ programId: second.body.id, horses: [{ id }] })
    expect(own.versions[0]!.madeBy).not.toBeNull()
  })

  it('is kept once, however often it is sent', async () => {
    const id = uuid()
    const program = copyOfSchool(FEET_FIRST, 'sent-twice', 'Sent twice')
    await putSchool(program, 0, id)
    expect((await putSchool(program, 0, id)).status).toBe(200)
    const other = await putSchool({ ...program, name: 'Something else' }, 0, id)
    expect(other.status).toBe(409)
  })

  it('is not written over by a second editor: 412 with the version that is there', async () => {
    const program = copyOfSchool(FEET_FIRST, 'two-editors', 'Two editors')
    await putSchool(program)
    await putSchool(edited(next(program), { do: 'name-step', step: 'bend', name: 'Bend to the feel' }))
    const late = await putSchool(edited(next(program), { do: 'pace', border: 0, seconds: 2 }))
    expect(late.status).toBe(412)
    expect(late.body.currentVersion).toBe(2)
  })

  it('keeps one of two that are sent in the same moment', async () => {
    const program = copyOfSchool(FEET_FIRST, 'at-once', 'At once')
    const replies = await Promise.all([putSchool(program), putSchool(program), putSchool(program)])
    expect(replies.map(({ status }) => status).sort()).toEqual([200, 412, 412])
  })

  it.each<[string, Program, RegExp]>([
    ['one without steps', { ...OWN, school: 'empty', steps: [] }, /at least one step/],
    [
      'one of 5 000 steps',
      {
        ...OWN,
        school: 'huge',
        steps: Array.from({ length: 5000 }, (_, i) => ({ ...OWN.steps[0]!, key: `step-${i}` })),
      },
      /500 steps|too much/,
    ],
    ['one that ships', FEET_FIRST, /copy it, then change the copy/],
    [
      'one without the helmet',
      { ...OWN, school: 'bare', gates: OWN.gates.map((gate) => ({ ...gate, stops: [] })) },
      /stricter, not looser/,
    ],
    [
      'one whose steps wait for each other',
      {
        ...OWN,
        school: 'round',
        steps: OWN.steps.map((step) =>
          step.key === 'give-to-halter' ? { ...step, needs: [{ step: 'bend' }] } : step,
        ),
      },
      /wait for each other/,
    ],
  ])('refuses %s, and keeps nothing of it', async (_what, program, words) => {
    const reply = await putSchool(program, 0)
    expect(reply.status).toBeGreaterThanOrEqual(400)
    expect(reply.status).toBeLessThan(500)
    expect(JSON.stringify(reply.body)).toMatch(words)
    expect((await schools()).some(({ school, ships }) => school === program.school && !ships)).toBe(false)
  })
})

describe('moving a horse to a changed school', () => {
  const worked = async () => {
    const id = await addHorse(yard.starter)
    const session = sessionItem(id, '2026-05-11T07:00:00Z')
    const answers = [1, 2, 3, 4, 5].map((n) =>
      answerItem(id, session.session.id, {
        at: `2026-05-11T07:0${n}:00Z`,
        change: {
          step: 'loose-direction',
          side: 'left',
          rung: n > 3 ? 3 : n,
        },
      }),
    )
    await send([session, ...answers])
    return line(id)
  }
  const moveTo = (horse: Horse, programId: string) =>
    yard.starter.put<Horse>(`/horses/${horse.id}/program`, { programId, version: horse.version })

  it('tells what becomes of each track, does it, and loses no answer on the way back', async () => {
    const before = await worked()
    const program = edited(
      copyOfSchool(FEET_FIRST, 'moved-to', 'Moved to'),
      { do: 'remove-rung', step: 'loose-direction', rung: 2 },
      { do: 'add-rung', step: 'loose-direction', rung: 1, words: 'leaves the gate' },
      { do: 'remove-step', step: 'turn-front' },
    )
    const { body } = await putSchool(program)
    const told = await yard.starter.get<ReplyOf<'moveOver'>>(
      `/horses/${before.horse.id}/move-over?to=${body.id}`,
    )
    const steps = new Map(told.body.steps.map((step) => [step.step, step]))
    expect(steps.get('loose-direction')!.changes).toEqual([
      expect.stringMatching(/is gone: its answers count as the rung below/),
      '“leaves the gate” is new',
    ])
    expect(steps.get('turn-front')!.changes[0]).toMatch(/not on the path any more/)
    expect(steps.has('bend')).toBe(false)

    const moved = await moveTo(before.horse, body.id)
    expect(moved.body).toMatchObject({ school: 'moved-to', programId: body.id })
    const there = await line(before.horse.id)
    const track = ({ tracks }: Line) =>
      tracks.find(({ step, side }) => step === 'loose-direction' && side === 'left')!
    expect(track(there).view.answers).toBe(5)
    expect(track(there).view.chance).not.toBe(track(before).view.chance)
    const foretold = steps.get('loose-direction')!.tracks.find(({ side }) => side === 'left')!.after
    expect(foretold!.state).toBe(track(there).view.state)

    await moveTo(moved.body, before.horse.programId)
    expect((await line(before.horse.id)).tracks).toEqual(before.tracks)
  })

  it('counts an answer given on a new rung between two as the easier one, once it is back', async () => {
    const { horse } = await worked()
    const program = edited(copyOfSchool(FEET_FIRST, 'between', 'Between'), {
      do: 'add-rung',
      step: 'loose-direction',
      rung: 3,
      words: 'half a lap',
    })
    const { body } = await putSchool(program)
    const moved = await moveTo(horse, body.id)
    const session = sessionItem(horse.id, '2026-05-12T07:00:00Z')
    const onIt = answerItem(horse.id, session.session.id, {
      at: '2026-05-12T07:01:00Z',
      change: {
        step: 'loose-direction',
        side: 'right',
        rung: 2.5,
      },
    })
    expect((await send([session, onIt])).body.items.map(({ status }) => status)).toEqual(['kept', 'kept'])
    await moveTo(moved.body, horse.programId)
    const back = (await line(horse.id)).tracks.find(
      ({ step, side }) => step === 'loose-direction' && side === 'right',
    )
    expect(back!.view.answers).toBe(1)
  })

  it('is refused from a stale page', async () => {
    const { horse } = await worked()
    const { body } = await putSchool(copyOfSchool(FEET_FIRST, 'stale', 'Stale'))
    await moveTo(horse, body.id)
    const again = await yard.starter.put<Problem>(`/horses/${horse.id}/program`, {
      programId: horse.programId,
      version: horse.version,
    })
    expect(again.status).toBe(412)
  })
})

describe('a newer version of a school that ships', () => {
  const shipped = SCHOOLS[2]!
  const schoolNow = async () =>
    (await yard.starter.get<ReplyOf<'schools'>>('/schools')).body.schools.find(
      ({ school }) => school === shipped.school,
    )!
  const takeIn = (version: number) =>
    yard.starter.put<Problem>(`/schools/${shipped.school}/offered`, { version })

  it('is offered, taken in once, and changes nothing for a horse until it is moved over', async () => {
    const { horse } = await line(await addHorse(yard.starter, { school: shipped.school }))
    expect((await schoolNow()).offered).toBeNull()
    // As a yard stands that began with an older product.
    const owner = new pg.Client(yard.ownerUrl)
    await owner.connect()
    await owner.query('update program set version = version - 1 where school = $1', [shipped.school])
    await owner.end()
    expect((await schoolNow()).offered).toBe(shipped.version)
    expect((await takeIn(shipped.version + 1)).status).toBe(400)
    for (const _twice of [1, 2]) expect((await takeIn(shipped.version)).status).toBe(200)
    const { offered, versions } = await schoolNow()
    expect(offered).toBeNull()
    expect(versions.map(({ version }) => version)).toEqual([shipped.version, shipped.version - 1])
    expect((await line(horse.id)).horse.programId).toBe(horse.programId)
    const moved = await yard.starter.put<Horse>(`/horses/${horse.id}/program`, {
      programId: versions[0]!.programId,
      version: horse.version,
    })
    expect(moved.body.programId).toBe(versions[0]!.programId)
  })
})
