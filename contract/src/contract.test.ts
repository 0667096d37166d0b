import { describe, expect, it } from 'vitest'
import {
  Batch,
  BatchItem,
  Day,
  FirstRun,
  HorseForm,
  Id,
  Instant,
  mayDo,
  Name,
  pathTo,
  Problem,
  PROBLEM_TYPES,
  PutCheck,
  PutOverrule,
  RIGHTS,
  routes,
  Settings,
  DEFAULT_SETTINGS,
  TimeZone,
  type Route,
} from './index'

const accepts = (schema: { safeParse(value: unknown): { success: boolean } }, value: unknown): boolean =>
  schema.safeParse(value).success

const ID = '01a15800-a640-7000-8000-0083877f4925'

describe('days and instants', () => {
  it.each(['2026-05-14', '2028-02-29', '1999-12-31'])('%s is a day', (day) =>
    expect(accepts(Day, day)).toBe(true),
  )

  it.each(['2026-02-30', '2026-5-14', '14.5.2026', '', '2026-05-14T00:00:00Z', '2026-13-01', 20260514])(
    '%s is none',
    (day) => expect(accepts(Day, day)).toBe(false),
  )

  it.each(['2026-05-14T09:00:00Z', '2026-05-14T11:00:00.123+02:00'])('%s is an instant', (at) =>
    expect(accepts(Instant, at)).toBe(true),
  )

  it.each(['2026-05-14T09:00:00', '2026-05-14', 'now'])('%s is none: it has no offset', (at) =>
    expect(accepts(Instant, at)).toBe(false),
  )
})

describe('names', () => {
  it.each(['Sedge', '  Sedge  ', 'Ωμέγα', '小馬 🐴', `O'Neill "the red"`, 'a'.repeat(80)])(
    '%j is a name',
    (name) => expect(accepts(Name, name)).toBe(true),
  )

  it.each(['', '   ', 'a\u0000b', 'a\tb', 'a\u2028b', 'a'.repeat(81)])('%j is none', (name) =>
    expect(accepts(Name, name)).toBe(false),
  )

  it('are kept without the spaces around them', () => expect(Name.parse('  Sedge ')).toBe('Sedge'))
})

describe('ids', () => {
  it('are UUIDs and nothing else', () => {
    expect(accepts(Id, ID)).toBe(true)
    expect(accepts(Id, `${ID}'; drop table horse`)).toBe(false)
    expect(accepts(Id, 7)).toBe(false)
  })
})

describe('first run', () => {
  const form = {
    yardName: 'Alder Bank',
    timeZone: 'Europe/Oslo',
    personName: 'Runa Vik',
    email: 'runa@example.org',
    password: 'ten letters',
  }

  it('takes a yard in a real time zone', () => {
    expect(accepts(FirstRun, form)).toBe(true)
    expect(accepts(TimeZone, 'Middle/Earth')).toBe(false)
  })

  it.each([
    ['password', 'short'],
    ['email', 'runa at example'],
    ['yardName', ''],
    ['timeZone', 'UTC+99'],
  ])('names a wrong %s', (field, value) => {
    const result = FirstRun.safeParse({ ...form, [field]: value })
    expect(result.error?.issues[0]?.path).toEqual([field])
  })
})

describe('a horse', () => {
  const form = {
    name: 'Curlew',
    born: null,
    sex: 'mare',
    kind: 'mule',
    marks: '',
    origin: '',
    handled: false,
    arrived: '2026-04-01',
  }

  it('may have an unknown birthday', () => expect(accepts(HorseForm, form)).toBe(true))

  it.each([
    ['sex', 'stallion'],
    ['kind', 'zebra'],
    ['born', 'spring'],
    ['marks', 'x'.repeat(2001)],
  ])('has no such %s', (field, value) => expect(accepts(HorseForm, { ...form, [field]: value })).toBe(false))
})

describe('a batch', () => {
  const answer = {
    id: ID,
    horseId: ID,
    sessionId: ID,
    step: 'face-up',
    side: 'none',
    rung: 1,
    grade: 0,
    calm: null,
    at: '2026-05-14T09:00:00Z',
  }

  it('fills in what was not said', () => {
    const item = BatchItem.parse({ do: 'add', answer })
    expect(item).toMatchObject({
      answer: { byChance: false, recalled: false, uncued: false, place: null, moving: false },
    })
  })

  it.each([
    ['grade', 5],
    ['grade', 0.5],
    ['calm', 3],
    ['rung', 0],
    ['rung', -0.5],
    ['side', 'both'],
    ['place', 6],
    ['seconds', -1],
    ['step', 'Face Up'],
    ['at', 'yesterday'],
  ])('refuses %s %s', (field, value) =>
    expect(accepts(BatchItem, { do: 'add', answer: { ...answer, [field]: value } })).toBe(false),
  )

  it('holds between 1 and 500 items', () => {
    const of = (n: number) => ({
      sentAt: '2026-05-14T09:00:00Z',
      items: Array.from({ length: n }, () => ({})),
    })
    expect([0, 1, 500, 501].map((n) => accepts(Batch, of(n)))).toEqual([false, true, true, false])
  })

  it('takes an answer back only with a reason', () => {
    const item = { do: 'void', id: ID, answerId: ID, reason: ' ', at: '2026-05-14T09:00:00Z' }
    expect(accepts(BatchItem, item)).toBe(false)
    expect(accepts(BatchItem, { ...item, reason: 'wrong side' })).toBe(true)
  })
})

describe('care', () => {
  it('has no check that ends before it begins', () => {
    const check = { kind: 'veterinary-hold', on: '2026-05-14', until: '2026-05-13', passed: false, note: '' }
    expect(PutCheck.safeParse(check).error?.issues[0]?.path).toEqual(['until'])
    expect(accepts(PutCheck, { ...check, until: '2026-05-14' })).toBe(true)
  })

  it('overrules with a sentence, not a word', () => {
    expect(accepts(PutOverrule, { gate: 'halter', reason: 'because' })).toBe(false)
    expect(accepts(PutOverrule, { gate: 'halter', reason: 'I saw it wear one yesterday.' })).toBe(true)
  })
})

describe('settings', () => {
  it('begin with the common remote and a lag of 0.4 s', () => {
    expect(Settings.parse(DEFAULT_SETTINGS)).toEqual(DEFAULT_SETTINGS)
    expect(DEFAULT_SETTINGS).toMatchObject({
      forwardKey: 'PageDown',
      backKey: 'PageUp',
      pressLagSeconds: 0.4,
    })
  })

  it('keep the lag of a thumb between nothing and two seconds', () => {
    expect(accepts(Settings, { ...DEFAULT_SETTINGS, pressLagSeconds: -0.1 })).toBe(false)
    expect(accepts(Settings, { ...DEFAULT_SETTINGS, pressLagSeconds: 2.1 })).toBe(false)
  })
})

describe('the routes', () => {
  const all = Object.entries(routes) as unknown as [string, Route][]

  it('have each their own address', () => {
    const addresses = all.map(([, { method, path }]) => `${method} ${path}`)
    expect(new Set(addresses).size).toBe(addresses.length)
  })

  it.each(all)('%s declares every parameter of its path', (_name, { path, params }) => {
    const named = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name)
    expect(Object.keys((params as unknown as { shape: object }).shape).sort()).toEqual(named.sort())
  })

  it('write only with a right, but for signing in and out and what a link opens', () => {
    const open = all
      .filter(([, { method, needs }]) => method !== 'get' && needs === 'open')
      .map(([name]) => name)
    expect(open.sort()).toEqual([
      'firstRun',
      'readReport',
      'resetPassword',
      'signIn',
      'signInDemo',
      'signOut',
    ])
  })

  it('fill their parameters in without letting one break out', () => {
    expect(pathTo('/horses/{horseId}/line', { horseId: ID })).toBe(`/horses/${ID}/line`)
    expect(pathTo('/horses/{horseId}', { horseId: '../people' })).toBe('/horses/..%2Fpeople')
  })
})

describe('rights', () => {
  it('let a helper log and not mend, and an owner neither', () => {
    expect([mayDo('helper', 'log-answers'), mayDo('helper', 'mend-answers')]).toEqual([true, false])
    expect([mayDo('owner', 'log-answers'), mayDo('owner', 'read-yard')]).toEqual([false, false])
  })

  it('give nobody more than the starter', () => {
    for (const role of ['helper', 'owner'] as const)
      expect(RIGHTS[role].filter((action) => !RIGHTS.starter.includes(action))).toEqual([])
  })
})

describe('problems', () => {
  it('are of a known type', () => {
    const problem = { type: 'stale', status: 412, title: 'Look again.', currentVersion: 3 }
    expect(accepts(Problem, problem)).toBe(true)
    expect(accepts(Problem, { ...problem, type: 'oops' })).toBe(false)
    expect(PROBLEM_TYPES).toContain('database-away')
  })
})
