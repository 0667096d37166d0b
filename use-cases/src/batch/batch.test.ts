import { BatchItem } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changeOf, clockOff, type Moment } from './change'
import { decideAll, type BatchParts } from './decide'
import { fold, type HorseFile } from './fold'

const id = (n: number): string => `01a0b97b-e660-7000-8000-${String(n).padStart(12, '0')}`
const HORSE = id(1)
const SESSION = id(2)
const ME = id(3)
const NOW = new Date('2026-05-14T09:00:00Z')

const moment = (change: Partial<Moment> = {}): Moment => ({
  who: { personId: ME, role: 'starter' },
  now: NOW,
  today: '2026-05-14',
  dayIn: (at) => at.toISOString().slice(0, 10),
  clockOffMs: 0,
  ...change,
})

const NOTHING: BatchParts = {
  horses: new Map([[HORSE, { name: 'Curlew', born: '2022-05-01', program: FEET_FIRST }]]),
  sessions: new Map(),
  answers: new Map(),
  incidents: new Map(),
  checks: new Map(),
  attachments: new Map(),
  measurements: new Map(),
  entries: new Map(),
}

const session = (startedAt = '2026-05-14T08:00:00Z') =>
  BatchItem.parse({ do: 'session', session: { id: SESSION, horseId: HORSE, startedAt } })
const answer = (n: number, change: object = {}) =>
  BatchItem.parse({
    do: 'add',
    answer: {
      id: id(n),
      horseId: HORSE,
      sessionId: SESSION,
      step: 'face-up',
      side: 'none',
      rung: 1,
      grade: 1,
      calm: 0,
      at: '2026-05-14T08:01:00Z',
      ...change,
    },
  })
const taking = (n: number, answerId: string) =>
  BatchItem.parse({ do: 'void', id: id(n), answerId, reason: 'a slip', at: '2026-05-14T08:02:00Z' })

const told = (items: readonly BatchItem[], parts = NOTHING, at = moment()): readonly string[] =>
  decideAll(parts, items, at).map((verdict) =>
    verdict === 'already' ? 'already' : 'refused' in verdict ? verdict.refused.reason : verdict.change.kind,
  )

const EMPTY: HorseFile = {
  history: [],
  incidents: [],
  attachments: [],
  measurements: [],
  entries: [],
  confirmed: new Map(),
  arranged: new Map(),
  sessions: new Map(),
}

describe('a batch', () => {
  it('may name in a later item what an earlier one brings', () => {
    expect(told([session(), answer(10), taking(11, id(10))])).toEqual(['session', 'answer', 'voiding'])
  })

  it('that comes twice is there already, item by item', () => {
    const items = [session(), answer(10), taking(11, id(10))]
    expect(told([...items, ...items]).slice(3)).toEqual(['already', 'already', 'already'])
  })

  it('refuses what cannot be, and nothing else of it', () => {
    expect(
      told([
        answer(10),
        session(),
        answer(11, { side: 'left' }),
        answer(12, { rung: 39 }),
        answer(13, { at: '2021-05-14T08:01:00Z' }),
        answer(14, { at: '2026-05-16T08:01:00Z' }),
        answer(15),
      ]),
    ).toEqual([
      'Its session is not known: send the session first.',
      'session',
      'Face up has no sides.',
      'Face up has 4 rungs, and this says 39.',
      'This lies before Curlew was born (2022-05-01).',
      'This lies more than 24 hours ahead: set the clock of the phone, then send it again.',
      'answer',
    ])
  })

  it('arranges a session of today or tomorrow, of a horse that is here', () => {
    const arranged = (day: string, horseId = HORSE) =>
      BatchItem.parse({
        do: 'arrange',
        id: id(30),
        horseId,
        day,
        at: '2026-05-14T08:00:00Z',
        arrangement: {
          programId: id(31),
          minutes: 12,
          wishes: { pinned: [{ step: 'face-up', at: 0, asks: 3 }], without: ['draw'] },
          bursts: null,
        },
      })
    expect(told([arranged('2026-05-15'), arranged('2026-05-16'), arranged('2026-05-14', id(99))])).toEqual([
      'arrangement',
      'This day is still to come.',
      'This horse is not in your yard.',
    ])
    const file = fold(EMPTY, changeOf(arranged('2026-05-14'), moment()), {
      personId: ME,
      personName: 'Runa',
      seq: 1,
    })
    expect(file.arranged.get('2026-05-14')?.wishes.without).toEqual(['draw'])
  })

  it('lets a helper take back their own answers only, and a starter anybody’s', () => {
    const known = { horseId: HORSE, day: '2026-05-14', personId: id(9), voided: false }
    const parts = { ...NOTHING, answers: new Map([[id(10), known]]) }
    const helper = moment({ who: { personId: ME, role: 'helper' } })
    expect(told([taking(11, id(10))], parts, helper)).toEqual([
      'Taking back an answer of somebody else is for starters.',
    ])
    expect(told([taking(11, id(10))], parts)).toEqual(['voiding'])
  })

  it('attaches a picture to what is known, once and the same, and lets a starter choose it for the owner', () => {
    const attach = (change: object = {}) =>
      BatchItem.parse({
        do: 'attach',
        id: id(40),
        horseId: HORSE,
        attachment: {
          to: 'session',
          recordId: SESSION,
          kind: 'picture',
          bytes: 1000,
          sha256: 'a'.repeat(64),
          at: '2026-05-14T08:00:00Z',
          ...change,
        },
      })
    expect(
      told([attach(), session(), attach(), attach({ words: 'the gate' }), attach({ bytes: 1001 })]),
    ).toEqual([
      'The session it belongs to is not known: send that first.',
      'session',
      'attachment',
      'attachment',
      'Another file has this id: add yours anew.',
    ])
    const helper = moment({ who: { personId: id(9), role: 'helper' } })
    expect(told([session(), attach(), attach({ inReport: true })], NOTHING, helper)).toEqual([
      'session',
      'attachment',
      'What goes into the owner’s report is for starters.',
    ])
    const file = [attach(), attach({ words: 'the gate', takenBack: true })].reduce(
      (so, item) => fold(so, changeOf(item, moment()), { personId: ME, personName: 'Runa', seq: 1 }),
      EMPTY,
    )
    expect(file.attachments).toMatchObject([
      { words: 'the gate', takenBack: true, file: 'coming', byName: 'Runa' },
    ])
  })

  it('measures a horse that is here, on a day that has been, and lets the one who did correct it', () => {
    const measure = (change: object = {}, n = 50) =>
      BatchItem.parse({
        do: 'measure',
        id: id(n),
        horseId: HORSE,
        measurement: { on: '2026-05-14', withersCm: 148, ...change },
      })
    expect(told([measure(), measure({ withersCm: 149 }), measure({ on: '2026-05-15' }, 51)])).toEqual([
      'measurement',
      'measurement',
      'This day is still to come.',
    ])
    const other = { ...NOTHING, measurements: new Map([[id(50), { horseId: HORSE, personId: id(9) }]]) }
    const helper = moment({ who: { personId: ME, role: 'helper' } })
    expect(told([measure()], other, helper)).toEqual([
      'Changing what somebody else recorded is for starters.',
    ])
    const file = [measure(), measure({ withersCm: 149, takenBack: true })].reduce(
      (so, item) => fold(so, changeOf(item, moment()), { personId: ME, personName: 'Runa', seq: 1 }),
      EMPTY,
    )
    expect(file.measurements).toMatchObject([{ withersCm: 149, takenBack: true, byName: 'Runa' }])
  })

  it('is taken from a clock three years fast at the time it was', () => {
    const fast = moment({ clockOffMs: clockOff(NOW, '2029-05-14T09:00:00Z') })
    expect(
      told([session('2029-05-14T08:00:00Z'), answer(10, { at: '2029-05-14T08:01:00Z' })], NOTHING, fast),
    ).toEqual(['session', 'answer'])
    expect(clockOff(NOW, '2026-05-14T08:59:30Z')).toBe(0)
  })
})

describe('the file of a horse', () => {
  it('holds the answers that stand, oldest first, in whatever order they came', () => {
    const step = fc.record({ n: fc.integer({ min: 10, max: 30 }), isVoid: fc.boolean() })
    fc.assert(
      fc.property(fc.array(step, { maxLength: 60 }), (steps) => {
        const standing = new Map<string, string>()
        let file = EMPTY
        for (const [i, { n, isVoid }] of steps.entries()) {
          const at = `2026-05-14T08:${n}:00.000Z`
          const item = isVoid ? taking(1000 + i, id(n)) : answer(n, { at })
          file = fold(file, changeOf(item, moment()), { personId: ME, personName: 'Runa', seq: i })
          if (isVoid) standing.delete(id(n))
          else standing.set(id(n), at)
        }
        const byTime = [...standing].sort(([, a], [, b]) => (a < b ? -1 : 1)).map(([one]) => one)
        expect(file.history.map((one) => one.id)).toEqual(byTime)
      }),
    )
  })

  it('has the newest word on a session and on what was confirmed', () => {
    const confirm = (confirmed: string[]) =>
      BatchItem.parse({ do: 'confirm', id: id(20), horseId: HORSE, day: '2026-05-14', confirmed })
    const note = (text: string) =>
      BatchItem.parse({ do: 'note', id: id(21), sessionId: SESSION, note: text, at: '2026-05-14T09:00:00Z' })
    const items = [session(), note('wind'), note('wind and rain'), confirm(['helper']), confirm(['helmet'])]
    const file = items.reduce(
      (so, item, seq) => fold(so, changeOf(item, moment()), { personId: ME, personName: 'Runa', seq }),
      EMPTY,
    )
    expect(file.sessions.get(SESSION)?.note).toBe('wind and rain')
    expect(file.confirmed.get('2026-05-14')).toEqual(['helmet'])
  })
})
