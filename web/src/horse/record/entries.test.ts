import type { Attachment, Block, Check, Entry as Told, Incident, Session } from '@still-pine/contract'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { describe, expect, it } from 'vitest'
import { entriesOf } from './entries'

const SESSION: Session = {
  id: 's',
  horseId: 'h',
  horseName: 'Snipe',
  personName: 'Runa Vik',
  startedAt: '2026-05-10T08:05:00.000Z',
  day: '2026-05-10',
  place: null,
  note: '',
  confirmedAt: null,
  circumstances: NOTHING_NOTED,
  promised: null,
  answers: 1,
  against: 2,
  overlaps: false,
}
const CHECK = {
  id: 'c',
  kind: 'saddle',
  on: '2026-05-12',
  until: null,
  passed: false,
  leaves: null,
  note: 'pinches',
  withdrawn: null,
  earlier: [],
} as unknown as Check
const PICTURE = {
  id: 'p',
  to: 'check',
  kind: 'picture',
  at: '2026-05-11T08:00:00.000Z',
  day: '2026-05-11',
  words: 'the girth',
  byName: 'Runa Vik',
  file: 'refused',
  takenBack: false,
} as unknown as Attachment
const INCIDENT = {
  id: 'i',
  kind: 'kick',
  on: '2026-05-09',
  hurt: 'person',
  before: 'Hind foot: taps',
  withdrawn: 'pressed by mistake',
} as unknown as Incident
const BLOCK = { id: 'b', kind: 'start', from: '2026-05-01', until: '2026-05-11' } as unknown as Block

const TOLD = {
  id: 't',
  on: '2026-04-30',
  note: '',
  byName: 'Runa',
  takenBack: false,
  where: '',
  side: 'both',
}

const told = entriesOf({
  horseId: 'h',
  sessions: [SESSION],
  checks: [CHECK],
  incidents: [INCIDENT],
  blocks: [BLOCK],
  attachments: [PICTURE],
  entries: [
    { ...TOLD, kind: 'thing', thing: 'Tarp', good: true },
    { ...TOLD, id: 'c', kind: 'cue', meaning: 'over' },
  ] as unknown as Told[],
  measurements: [],
})

describe('the record of a horse', () => {
  it('is one time line, the newest first', () => {
    expect(told.map(({ on, kind }) => `${on} ${kind}`)).toEqual([
      '2026-05-12 checks',
      '2026-05-11 blocks',
      '2026-05-11 attachments',
      '2026-05-10 sessions',
      '2026-05-09 incidents',
      '2026-05-01 blocks',
      '2026-04-30 told',
    ])
  })

  it('says what must not be overlooked, and what was taken back', () => {
    expect(told.flatMap(({ grave }) => grave)).toEqual([
      'not right',
      'its file was refused',
      '2 answers against the permit',
      'person hurt',
    ])
    expect(told.filter(({ withdrawn }) => withdrawn).map(({ title }) => title)).toEqual(['Kick'])
  })

  it('counts one answer as one', () => {
    expect(told.find(({ kind }) => kind === 'sessions')!.words).toEqual(['1 answer', 'not confirmed'])
  })

  it('shows a block that goes on once, and where it began', () => {
    const open = entriesOf({
      horseId: 'h',
      sessions: [],
      checks: [],
      incidents: [],
      blocks: [{ ...BLOCK, until: null }],
      attachments: [],
      entries: [],
      measurements: [],
    })
    expect(open.map(({ on }) => on)).toEqual(['2026-05-01'])
  })
})
