import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { LOG_COLUMNS, faultInWords, readAnswerLog } from './answer-log'
import { judgeFile } from './judge-file'
import { writeTable } from './table'

interface Case {
  name: string
  program: {
    steps: { key: string; kind: string; requiredRung: number; allRound: boolean; need?: unknown }[]
    carryOver: unknown[]
  }
  judgedOn: string
  answers: ({ step: string; side: string } & Record<string, unknown>)[]
  expect: { tracks: ({ step: string; side: string } & Record<string, unknown>)[] } & Record<string, unknown>
}

const file = new URL('../../tests/vectors/readiness.json', import.meta.url)
const vectors = JSON.parse(readFileSync(file, 'utf8')) as { tolerance: number; cases: Case[] }

const bytes = (text: string): Uint8Array => new Uint8Array(Buffer.from(text, 'utf8'))
const flag = (value: unknown): string => (value ? '1' : '0')

const rowsOf = ({ name, program, answers }: Case): unknown[][] =>
  answers.map((a) => {
    const step = program.steps.find(({ key }) => key === a.step)!
    return [
      name,
      step.key,
      step.kind,
      a.side,
      step.requiredRung,
      flag(step.allRound),
      a.at,
      a.rung,
      a.grade,
      a.calm ?? '',
      flag(a.byChance),
      flag(a.recalled),
      flag(a.uncued),
      a.place ?? '',
      flag(a.moving),
    ]
  })

const isSame = (a: { step: string; side: string }, b: { step: string; side: string }): boolean =>
  a.step === b.step && a.side === b.side

/** What a row tells is within the tolerance of what is expected; what it does not tell is left. */
const expectNear = (row: unknown, expected: object): void => {
  for (const [name, value] of Object.entries(row as object)) {
    const wanted = (expected as Record<string, unknown>)[name]
    if (wanted === undefined) continue
    if (typeof wanted === 'number' && typeof value === 'number')
      expect(Math.abs(value - wanted), name).toBeLessThanOrEqual(vectors.tolerance)
    else if (typeof wanted === 'object' && wanted !== null && !Array.isArray(wanted))
      expectNear(value, wanted)
    else expect(value, name).toEqual(wanted)
  }
}

const good = {
  horse: 'Rush',
  step: 'bend',
  kind: 'ask',
  side: 'left',
  required_rung: '3',
  all_round: '0',
  at: '2026-05-01T08:00:00+02:00',
  rung: '3',
  grade: '1',
  calm: '0',
  by_chance: '0',
  recalled: '0',
  uncued: '0',
  place: '',
  moving: '',
}

const logOf = (...changes: Partial<typeof good>[]): string =>
  writeTable(
    LOG_COLUMNS,
    changes.map((change) => LOG_COLUMNS.map((column) => ({ ...good, ...change })[column])),
  )

describe('judging a log by itself', () => {
  // A step's own need and what carries over of a case's own have no column; those are judged by the engine alone.
  const cases = vectors.cases.filter(
    ({ answers, program: { steps, carryOver } }) =>
      answers.length > 0 && steps.every(({ need }) => need === undefined) && carryOver.length === 0,
  )

  it.each(cases)('agrees with the check case “$name”', (one) => {
    const judged = judgeFile(bytes(writeTable(LOG_COLUMNS, rowsOf(one))), one.judgedOn)
    expect(judged.ok).toBe(true)
    const tracks = judged.ok ? judged.tracks : []
    const asked = one.expect.tracks.filter((track) => tracks.some((row) => isSame(row, track)))
    expect(asked).toHaveLength(tracks.length)
    for (const expected of asked) {
      const told = { talent: one.expect.talent, ease: one.expect.ease, speed: one.expect.speed, ...expected }
      expectNear(
        tracks.find((row) => isSame(row, expected)),
        told,
      )
    }
  })

  it('gives one object per horse, step and side, sorted by those', () => {
    const log = logOf({ horse: 'b' }, { side: 'right' }, { step: 'able' }, {}, { horse: 'B' })
    const judged = judgeFile(bytes(log), '2026-05-02')
    expect(judged.ok && judged.tracks.map(({ horse, step, side }) => `${horse} ${step} ${side}`)).toEqual([
      'B bend left',
      'Rush able left',
      'Rush bend left',
      'Rush bend right',
      'b bend left',
    ])
  })

  it('takes the day as written, and leaves out later ones', () => {
    const log = logOf({ at: '2026-05-01T23:50:00-05:00' }, { at: '2026-05-02T00:10:00+02:00' })
    const first = judgeFile(bytes(log), '2026-05-01')
    expect(first.ok && first.tracks[0]).toMatchObject({ daysWorked: 1, answers: 1 })
    const both = judgeFile(bytes(log), '2026-05-02')
    expect(both.ok && both.tracks[0]).toMatchObject({ daysWorked: 2, answers: 2 })
    const none = judgeFile(bytes(log), '2026-04-01')
    expect(none.ok && none.tracks[0]).toMatchObject({ state: 'new', answers: 0 })
  })

  it('reads times of every ISO shape in their order, in whatever order the rows stand', () => {
    const at = (time: string, grade: string): Partial<typeof good> => ({ at: `2026-05-01${time}`, grade })
    const judgedOf = (log: string) => judgeFile(bytes(log), '2026-05-02')
    expect(judgedOf(logOf(at('T10:00+02', '4'), at('T08:30:00.5Z', '0'), at('T07:00', '1')))).toEqual(
      judgedOf(logOf(at('T07:00:00Z', '1'), at(' 08:00:00Z', '4'), at('T0' + '9:30+0100', '0'))),
    )
  })
})

describe('a log that cannot be read', () => {
  const faults = (log: string): string[] => {
    const read = readAnswerLog(log)
    return read.ok ? [] : read.faults.map(faultInWords)
  }

  it('names every fault with line, column, value and what was expected', () => {
    expect(faults(logOf({ grade: '5' }, {}, { at: '2026-02-30', moving: '2', kind: 'Ask' }))).toEqual([
      'line 2, column grade: “5”; expected a whole number from 0 to 4',
      'line 4, column kind: “Ask”; expected ask, accept, hold',
      'line 4, column at: “2026-02-30”; expected an ISO 8601 time, such as 2026-05-14T08:30:00+02:00',
      'line 4, column moving: “2”; expected a whole number from 0 to 1, or nothing',
    ])
  })

  it('names columns that are not there', () => {
    expect(faults('horse,step\nRush,bend\n')[0]).toBe(
      'line 1, column kind: nothing there; expected a column of this name in the first row',
    )
  })

  it('refuses a step that is two things at once', () => {
    expect(faults(logOf({}, { required_rung: '4' }))).toEqual([
      'line 3, column required_rung: “4”; expected 3, as on line 2',
    ])
    expect(faults(logOf({}, { horse: 'Whin', required_rung: '4' }))).toEqual([])
  })

  it('leaves further columns alone', () => {
    expect(faults(logOf({}).replace(/\r\n/g, ',more\r\n'))).toEqual([])
  })
})
