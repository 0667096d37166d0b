import { BatchItem } from '@still-pine/contract'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { v7 as uuid } from 'uuid'
import { describe, expect, it } from 'vitest'
import type { Waiting } from './store'
import { PLAIN_ANSWER } from './plain-answer'
import { asAnswerTo, bySession, ofHorse, remedyFor, saidAt, shifted } from './remedies'

const HORSE = uuid()
const OTHER = uuid()
const SESSION = uuid()
const AT = '2026-05-14T09:00:00.000Z'
const YEAR_MS = 365 * 86_400_000

const items: Record<BatchItem['do'], BatchItem> = {
  session: {
    do: 'session',
    session: {
      id: SESSION,
      horseId: HORSE,
      startedAt: AT,
      place: null,
      circumstances: NOTHING_NOTED,
      promised: null,
    },
  },
  arrange: {
    do: 'arrange',
    id: uuid(),
    horseId: HORSE,
    day: '2026-05-14',
    arrangement: {
      programId: uuid(),
      minutes: 12,
      said: NOTHING_NOTED,
      wishes: { pinned: [], without: ['face-up'] },
      bursts: null,
    },
    at: AT,
  },
  attach: {
    do: 'attach',
    id: uuid(),
    horseId: HORSE,
    attachment: {
      to: 'session',
      recordId: SESSION,
      kind: 'picture',
      bytes: 12,
      sha256: '0'.repeat(64),
      at: AT,
      words: '',
      inReport: false,
      takenBack: false,
    },
  },
  measure: {
    do: 'measure',
    id: uuid(),
    horseId: HORSE,
    measurement: {
      on: '2026-05-14',
      girthCm: 180,
      lengthCm: 160,
      withersCm: null,
      croupCm: null,
      condition: null,
      scaleKg: null,
      note: '',
      takenBack: false,
    },
  },
  enter: {
    do: 'enter',
    id: uuid(),
    horseId: HORSE,
    entry: {
      kind: 'heat',
      on: '2026-05-14',
      note: '',
      ofYard: true,
      takenBack: false,
      airC: 31,
      humidityPercent: 40,
      usedToHeat: true,
    },
  },
  circumstances: {
    do: 'circumstances',
    id: uuid(),
    sessionId: SESSION,
    circumstances: { ...NOTHING_NOTED, weather: 'wind' },
    at: AT,
  },
  add: {
    do: 'add',
    answer: {
      ...PLAIN_ANSWER,
      id: uuid(),
      horseId: HORSE,
      sessionId: SESSION,
      step: 'face-up',
      side: 'none',
      rung: 4,
      grade: 1,
      calm: 0,
      at: AT,
      replaces: null,
    },
  },
  void: { do: 'void', id: uuid(), answerId: uuid(), reason: 'r', at: AT },
  incident: {
    do: 'incident',
    id: uuid(),
    horseId: HORSE,
    incident: {
      kind: 'kick',
      at: null,
      rung: null,
      mounted: false,
      fell: false,
      hurt: 'none',
      because: '',
      withdrawn: null,
      on: '2026-05-14',
      step: null,
      side: null,
      where: '',
      before: '',
      after: '',
    },
  },
  note: { do: 'note', id: uuid(), sessionId: SESSION, note: 'wind', at: AT },
  confirm: { do: 'confirm', id: uuid(), horseId: HORSE, day: '2026-05-14', confirmed: ['helper'] },
}

const entry = (item: BatchItem, path = ''): Waiting => ({
  order: 1,
  id: 'x',
  personId: 'me',
  horseId: HORSE,
  item,
  readyAt: 0,
  keptAt: 0,
  refused: { reason: 'no', path },
})

describe('what can be done about a refused entry', () => {
  it.each([
    ['answer.horseId', 'horse'],
    ['answer.sessionId', 'horse'],
    ['answer.rung', 'answer'],
    ['answer.step', 'answer'],
    ['answer.side', 'answer'],
    ['session.startedAt', 'time'],
    ['incident.on', 'time'],
    ['day', 'time'],
    ['', 'again'],
  ])('%s asks for %s', (path, remedy) => expect(remedyFor(entry(items.add, path))).toBe(remedy))

  it('is done to a whole session at once', () => {
    const groups = bySession([items.session, items.add, items.void, items.note].map((item) => entry(item)))
    expect(groups.map((group) => group.map(({ item }) => item.do))).toEqual([
      ['session', 'add', 'note'],
      ['void'],
    ])
  })
})

describe('a mended entry', () => {
  it.each(Object.entries(items))('%s is a year later, and can still be sent', (_kind, item) => {
    const later = shifted(item, YEAR_MS)
    expect(BatchItem.safeParse(later).success).toBe(true)
    expect(saidAt(later).slice(0, 10)).toBe('2027-05-14')
  })

  it.each(Object.entries(items))('%s of another horse can still be sent', (_kind, item) => {
    const moved = ofHorse(item, OTHER)
    expect(BatchItem.safeParse(moved).success).toBe(true)
    expect(JSON.stringify(moved)).not.toContain(HORSE)
  })

  it('is an answer to another rung, and nothing else of it changes', () => {
    const mended = asAnswerTo(items.add, { step: 'face-up', rung: 2, side: 'none' })
    expect({ ...mended, answer: { ...(mended as { answer: object }).answer, rung: 4 } }).toEqual(items.add)
    expect(mended).toMatchObject({ answer: { rung: 2 } })
    expect(asAnswerTo(items.note, { step: 'face-up', rung: 2, side: 'none' })).toEqual(items.note)
  })
})
