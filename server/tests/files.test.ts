import {
  files,
  pathTo,
  YARD_FORMAT_VERSION,
  YardDocument,
  type Line,
  type Progress,
} from '@still-pine/contract'
import { judgeFile, LOG_COLUMNS, readAnswerLog } from '@still-pine/core/formats'
import { FEET_FIRST, type Program } from '@still-pine/core/program'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { passportSchema, schoolSchema, yardSchema } from '../src/http/files'
import {
  addHorse,
  answerItem,
  confirmItem,
  incidentItem,
  sendBatch,
  sessionItem,
  TestClock,
  voidItem,
} from './making'
import { startYard, type Visitor } from './running'

const clock = new TestClock('2026-05-14T12:00:00Z')
let yard: Awaited<ReturnType<typeof startYard>>
let empty: Awaited<ReturnType<typeof startYard>>
let horseId: string

const progress = (text: string): Progress[] =>
  text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Progress)
const ending = (text: string): Progress => progress(text).at(-1)!

const work = async (visitor: Visitor, id: string, days: readonly string[]): Promise<void> => {
  for (const day of days) {
    const session = sessionItem(id, `${day}T08:00:00Z`)
    const at = (minute: number): string => `${day}T08:${String(minute).padStart(2, '0')}:00.250Z`
    const answers = [
      answerItem(id, session.session.id, {
        at: at(1),
        change: { grade: 2, seconds: 3.2, fault: 'creeps', sign: 'licks' },
      }),
      answerItem(id, session.session.id, {
        at: at(2),
        change: { step: 'rope-over', side: 'left', place: 4, moving: true },
      }),
      answerItem(id, session.session.id, { at: at(3), change: { calm: null, byChance: true } }),
      answerItem(id, session.session.id, { at: at(4), change: { recalled: true, uncued: true } }),
    ]
    const voided = voidItem(answers[0]!.answer.id, clock.iso)
    const reply = await sendBatch(visitor, [session, ...answers, voided], clock.iso)
    expect(reply.body.items.map(({ status }) => status)).toEqual(Array(6).fill('kept'))
  }
}

beforeAll(async () => {
  yard = await startYard({ now: clock.now })
  empty = await startYard({ now: clock.now })
  horseId = await addHorse(yard.starter, { name: '=Whin, "the" Ælf 🐴', marks: 'é' })
  const other = await addHorse(yard.starter, { name: 'Rush' })
  await work(yard.starter, horseId, ['2026-05-10', '2026-05-12'])
  await work(yard.starter, other, ['2026-05-11'])
  const care = `/horses/${horseId}`
  const check = { kind: 'feet', on: '2026-05-01', until: null, passed: true, note: 'trimmed' }
  await yard.starter.put(`${care}/checks/${uuid()}`, check)
  await yard.starter.put(`${care}/arrivals/${uuid()}`, { on: '2026-05-10' })
  const block = { kind: 'start', from: '2026-05-01', worries: 'é', reward: '"rest"', note: '', version: 0 }
  await yard.starter.put(`${care}/blocks/${uuid()}`, { ...block, until: '2026-05-12' })
  await yard.starter.put(`${care}/blocks/${uuid()}`, { ...block, from: '2026-05-12', until: null })
  const place = { name: 'Round pen', suits: ['loose'], home: true, note: '', version: 0 }
  await yard.starter.put(`/places/${uuid()}`, place)
  const owner = uuid()
  await yard.starter.put(`/people/${owner}`, { name: 'Tove', role: 'owner', email: null, password: null })
  await yard.starter.put(`${care}/owner`, { personId: owner })
  const kick = {
    kind: 'kick',
    on: '2026-05-12',
    step: 'rope-over',
    side: 'left',
    serious: false,
    where: 'pen',
    before: 'rope at the hocks',
    after: '',
  }
  const said = confirmItem(horseId, '2026-05-14', ['helper', 'helmet'])
  await sendBatch(yard.starter, [said, incidentItem(horseId, kick)], clock.iso)
  await yard.starter.put(`${care}/hand-over`, { steps: ['lead-up'], version: 1 })
  const overrule = { gate: 'halter', reason: 'looked at it myself, twice' }
  expect((await yard.starter.put(`${care}/overrules/${uuid()}`, overrule)).status).toBe(200)
})
afterAll(() => Promise.all([yard.stop(), empty.stop()]))

describe('a yard taken out', () => {
  it('is one JSON document of the published shape', async () => {
    const { status, text } = await yard.starter.file('GET', files.yardOut.path)
    expect(status).toBe(200)
    const document = YardDocument.parse(JSON.parse(text))
    expect(document.horses.map(({ name }) => name)).toEqual(['=Whin, "the" Ælf 🐴', 'Rush'])
    expect(document.answers).toHaveLength(12)
    expect(document.voidings).toHaveLength(3)
    expect(document.people).toHaveLength(2)
    expect(text).not.toMatch(/password|@example/)
  })

  it('and into an empty yard and out again gives the same bytes and the same Line', async () => {
    const { text } = await yard.starter.file('GET', files.yardOut.path)
    const brought = await empty.starter.file('POST', files.yardIn.path, text)
    expect(ending(brought.text)).toEqual({ step: 'done', answers: 12, horses: 2 })
    const again = await empty.starter.file('GET', files.yardOut.path)
    expect(again.text).toBe(text)
    const line = async ({ starter }: { starter: Visitor }) =>
      (await starter.get<Line>(`/horses/${horseId}/line`)).body
    expect((await line(empty)).tracks).toEqual((await line(yard)).tracks)
    expect((await line(empty)).gates).toEqual((await line(yard)).gates)
  })

  it.each([
    ['yard', yardSchema],
    ['school', schoolSchema],
    ['passport', passportSchema],
  ])('has the schema of a %s published', async (name, schema) => {
    const { body } = await yard.starter.get(`/formats/${name}.schema.json`)
    expect(body).toEqual(JSON.parse(JSON.stringify(schema())))
    // `npx vitest run -u` writes it anew after a change that is meant.
    await expect(`${JSON.stringify(body, null, 2)}\n`).toMatchFileSnapshot(
      `../../docs/formats/${name}.schema.json`,
    )
  })
})

describe('a yard that cannot be brought in', () => {
  const refusedBy = async (text: string): Promise<Extract<Progress, { step: 'problem' }>> => {
    const fresh = await startYard({ now: clock.now })
    try {
      const { text: reply } = await fresh.starter.file('POST', files.yardIn.path, text)
      const end = ending(reply)
      expect(end.step).toBe('problem')
      // Nothing was kept: the yard is as empty as before, and keeps its name.
      expect((await fresh.starter.get<{ rows: unknown[] }>('/today')).body.rows).toEqual([])
      expect((await fresh.starter.get<{ yard: { name: string } }>('/me')).body.yard.name).toBe('Alder Bank')
      return end as Extract<Progress, { step: 'problem' }>
    } finally {
      await fresh.stop()
    }
  }
  const taken = async () => JSON.parse((await yard.starter.file('GET', files.yardOut.path)).text)

  it('is one from a newer version, and says to update', async () => {
    const end = await refusedBy(JSON.stringify({ ...(await taken()), version: YARD_FORMAT_VERSION + 1 }))
    expect(end.title).toMatch(/newer Still Pine/)
  })

  it('of version 1 comes in with the manner of its school filled up', async () => {
    const { manner, pace, ...document } = FEET_FIRST
    const { gradedBy: _, ...oldPace } = pace
    const old = { ...document, pace: oldPace, frightRule: manner.fright.words, release: manner.release.words }
    const older = JSON.stringify({ ...(await taken()), version: 1, programs: [{ document: old }] })
    const fresh = await startYard({ now: clock.now })
    try {
      const { text } = await fresh.starter.file('POST', files.yardIn.path, older)
      expect(ending(text)).toMatchObject({ step: 'done', horses: 2 })
      const { horse } = (await fresh.starter.get<Line>(`/horses/${horseId}/line`)).body
      const { program } = (await fresh.starter.get<{ program: Program }>(`/programs/${horse.programId}`)).body
      expect(program.pace.gradedBy).toBe('phases')
      expect(program.manner.fright.words).toBe(manner.fright.words)
      expect(program.manner.tying).toEqual(manner.tying)
    } finally {
      await fresh.stop()
    }
  })

  it('is something else, cut short, or broken', async () => {
    expect((await refusedBy('{"a": [1, 2]}')).title).toBe('This is not the document of a yard.')
    expect((await refusedBy('[1, 2]')).title).toBe('This document cannot be read.')
    expect(
      (await refusedBy((await yard.starter.file('GET', files.yardOut.path)).text.slice(0, -400))).title,
    ).toMatch(/cannot be read/)
    expect((await refusedBy('not json')).title).toMatch(/cannot be read/)
  })

  it('is one with records that are wrong, each told with its place', async () => {
    const document = await taken()
    document.answers[3].grade = 7
    document.answers[5].side = 'top'
    const end = await refusedBy(JSON.stringify(document))
    expect(end.reasons).toEqual([
      'answers 4, grade: The grade is 0, 1, 2, 3 or 4.',
      'answers 6, side: The side is left, right or none.',
    ])
  })

  it('is one whose records name what is not there', async () => {
    const document = await taken()
    document.sessions.pop()
    expect((await refusedBy(JSON.stringify(document))).reasons[0]).toMatch(/does not stand before it/)
  })

  it('is any, where there are horses already', async () => {
    const text = JSON.stringify(await taken())
    const end = ending((await yard.starter.file('POST', files.yardIn.path, text)).text)
    expect(end).toMatchObject({ step: 'problem', title: 'This yard has horses already.' })
  })
})

describe('answers as CSV', () => {
  it('are a log that can be judged by itself, formulas kept as text, days the yard’s own', async () => {
    const { text } = await yard.starter.file('GET', files.answersOut.path)
    expect(text.split('\r\n')[0]).toBe(
      [...LOG_COLUMNS, 'session', 'person', 'where', 'sign', 'fault', 'ending', 'slip', 'zone'].join(','),
    )
    expect(text).toContain(`"'=Whin, ""the"" Ælf 🐴"`)
    const log = readAnswerLog(text)
    expect(log.ok && log.rows).toHaveLength(9)
    expect(log.ok && log.rows[0]).toMatchObject({ at: '2026-05-10T10:02:00.250+02:00', day: '2026-05-10' })
    const judged = judgeFile(new Uint8Array(Buffer.from(text)), '2026-05-14')
    const line = (await yard.starter.get<Line>(`/horses/${horseId}/line`)).body
    const mine =
      judged.ok && judged.tracks.find(({ horse, step }) => horse.startsWith('=') && step === 'rope-over')
    const track = line.tracks.find(({ step, side }) => step === 'rope-over' && side === 'left')!
    expect(mine).toMatchObject({
      chance: track.view.chance,
      state: track.view.state,
      placesMissing: [1, 2, 3, 5],
    })
  })

  it('can be those of one horse', async () => {
    const { text } = await yard.starter.file('GET', `${files.answersOut.path}?horseId=${horseId}`)
    expect(text.trim().split('\r\n')).toHaveLength(7)
    expect((await yard.starter.file('GET', `${files.answersOut.path}?horseId=x`)).status).toBe(400)
    expect((await yard.starter.file('GET', `${files.answersOut.path}?horseId=${uuid()}`)).status).toBe(404)
  })
})

describe('a log brought in', () => {
  const sessionId = uuid()
  const session = (id = sessionId) => ({
    do: 'session',
    session: { id, horseId, startedAt: '2026-05-05T08:00:00Z', place: null, note: 'From the old book' },
  })
  const line = (n: number, change: object = {}) => ({
    do: 'answer',
    line: n,
    answer: {
      id: uuid(),
      horseId,
      sessionId,
      step: 'face-up',
      side: 'none',
      rung: 2,
      grade: 1,
      calm: 0,
      at: '2026-05-05T08:01:00Z',
      byChance: false,
      recalled: false,
      uncued: false,
      place: null,
      moving: false,
      fault: null,
      sign: null,
      ...change,
    },
  })
  const bring = async (lines: readonly object[]): Promise<Progress> =>
    ending(
      (
        await yard.starter.file(
          'POST',
          files.answersIn.path,
          lines.map((one) => JSON.stringify(one)).join('\n'),
        )
      ).text,
    )
  const answersOf = async (step: string): Promise<number> =>
    (await yard.starter.get<Line>(`/horses/${horseId}/line`)).body.tracks.find((t) => t.step === step)!.view
      .answers

  it('is refused whole when one line is wrong, with the reasons', async () => {
    const end = await bring([
      session(),
      line(2),
      line(3, { rung: 9 }),
      line(4, { step: 'whistle' }),
      line(5, { side: 'left' }),
      line(6, { at: '2026-05-16T08:00:00Z' }),
    ])
    expect(end).toMatchObject({
      step: 'problem',
      reasons: [
        'Line 3: Face up has 4 rungs, and this says 9.',
        'Line 4: “whistle” is not a step of this horse’s program.',
        'Line 5: Face up has no sides.',
        'Line 6: This day is still to come.',
      ],
    })
    expect(await answersOf('face-up')).toBe(0)
  })

  it('counts like answers logged at the time, and once only', async () => {
    const lines = [session(), line(2), line(3)]
    expect(await bring(lines)).toEqual({ step: 'done', answers: 2, horses: 1 })
    expect(await answersOf('face-up')).toBe(2)
    expect(await bring(lines)).toMatchObject({ step: 'problem' })
    expect(await answersOf('face-up')).toBe(2)
  })

  it('touches no horse that is not the yard’s', async () => {
    const end = await bring([{ do: 'session', session: { ...session(uuid()).session, horseId: uuid() } }])
    expect(end).toMatchObject({ reasons: ['A session names a horse that is not in your yard.'] })
  })
})

it('is for starters alone, and for nobody who is signed out', async () => {
  for (const { method, path } of Object.values(files)) {
    const reply = await yard
      .visitor()
      .file(
        method.toUpperCase() as 'GET',
        pathTo(path, { attachmentId: uuid(), from: 0 }),
        method === 'get' ? undefined : '{}',
      )
    expect([path, reply.status]).toEqual([path, 401])
  }
})
