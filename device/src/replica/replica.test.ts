import type { CarriedAnswer, Me } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { FEET_FIRST } from '@still-pine/core/program'
import { replayHorse, viewsOf, type Facts } from '@still-pine/core/readiness'
import { readWith } from '@still-pine/use-cases'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Carried, Waiting } from '../store'
import { PLAIN_ANSWER } from '../plain-answer'
import { horseHere, waits as isWaiting, type HorseHere } from './horse-here'
import { loadersOf } from './loaders'
import { Replays } from './replays'

const dayIn = (at: string): string => at.slice(0, 10)
const at = (minute: number): string =>
  new Date(Date.parse('2026-05-01T07:00:00Z') + minute * 60_000).toISOString()

const carriedAnswer = (seq: number, minute: number, grade: number): CarriedAnswer => ({
  ...PLAIN_ANSWER,
  id: `c${seq}-${minute}-${grade}`,
  seq,
  sessionId: 's',
  step: 'face-up',
  side: 'none',
  rung: 2,
  grade: grade as 0,
  calm: 0,
  at: at(minute),
  day: dayIn(at(minute)),
  replaces: null,
  personName: 'Runa Vik',
  ahead: false,
})

const carried = (answers: readonly CarriedAnswer[], more: Partial<Carried> = {}): Carried => ({
  personId: 'me',
  horseId: 'h',
  at: 0,
  horse: {
    id: 'h',
    programId: 'p',
    born: '2022-05-01',
    arrived: '2024-05-01',
    handOver: [],
  } as unknown as Carried['horse'],
  day: '2026-05-14',
  checks: [],
  incidents: [],
  confirmed: [],
  overrules: [],
  cursor: { answers: answers.length, voidings: 0 },
  answers,
  ...more,
})

const waits = (order: number, item: object, refused?: Waiting['refused']): Waiting => ({
  order,
  id: `w${order}`,
  personId: 'me',
  horseId: 'h',
  item: item as Waiting['item'],
  readyAt: 0,
  keptAt: 0,
  ...(refused ? { refused } : {}),
})

const added = (order: number, minute: number, grade: number): Waiting => {
  const { personName: _n, ahead: _a, seq: _s, day: _d, ...answer } = carriedAnswer(order, minute, grade)
  return waits(order, { do: 'add', answer: { ...answer, id: `w${order}`, horseId: 'h' } })
}

const ME = {
  person: { id: 'me', name: 'Ylva Tarn', role: 'starter' },
  yard: { timeZone: 'UTC' },
  today: '2026-05-14',
} as Me
const here = (c: Carried, waiting: readonly Waiting[]): HorseHere =>
  horseHere({ carried: c, program: FEET_FIRST, told: [], waiting }, ME, new Date(at(0)))

describe('what this device knows of a horse', () => {
  it('is in the order it was given, whoever has it, less what was taken back and what was refused', () => {
    const { history } = here(carried([carriedAnswer(1, 0, 1), carriedAnswer(2, 10, 1)]), [
      added(3, 5, 2),
      waits(4, { do: 'void', id: 'v', answerId: 'c1-0-1', reason: 'r', at: at(11) }),
      { ...added(5, 12, 2), refused: { reason: 'no', path: '' } },
    ])
    expect(history.map((answer) => [answer.id, isWaiting(answer), answer.personName])).toEqual([
      ['w3', true, 'Ylva Tarn'],
      ['c2-10-1', false, 'Runa Vik'],
    ])
  })

  it('is in the order it was given also where nothing waits, for the server tells it as it was kept', () => {
    const { history } = here(carried([carriedAnswer(1, 30, 1), carriedAnswer(2, 10, 1)]), [])
    expect(history.map(({ seq }) => seq)).toEqual([2, 1])
  })

  it('counts an answer once that the server has by now', () => {
    const both = {
      ...added(3, 5, 2),
      item: { do: 'add', answer: { ...carriedAnswer(1, 0, 1), horseId: 'h' } },
    }
    expect(here(carried([carriedAnswer(1, 0, 1)]), [both as Waiting]).history).toHaveLength(1)
  })
})

describe('tracks worked out here', () => {
  it('are those of a replay of the whole history, in whatever order it came', () => {
    const replays = new Replays()
    const minutes = fc.uniqueArray(fc.nat(20 * 24 * 60), { minLength: 1, maxLength: 25 })
    fc.assert(
      fc.property(
        minutes,
        fc.nat(25),
        fc.array(fc.nat(4), { minLength: 25, maxLength: 25 }),
        (all, n, grades) => {
          const known = all.slice(0, n).map((minute, i) => carriedAnswer(i + 1, minute, grades[i]!))
          const waiting = all.slice(n).map((minute, i) => added(100 + i, minute, grades[n + i] ?? 1))
          const horse = here(carried(known), waiting)
          const on = '2026-05-30'
          const views = viewsOf(STANDARD_MODEL, FEET_FIRST, { records: replays.of(horse, on), on })
          const whole = viewsOf(STANDARD_MODEL, FEET_FIRST, {
            records: replayHorse(STANDARD_MODEL, FEET_FIRST, horse.history),
            on,
          })
          expect(views).toEqual(whole)
        },
      ),
      { numRuns: 30 },
    )
  })
})

const factsHere = (horse: HorseHere, on: string): Promise<Facts> => {
  const here = { me: ME, replays: new Replays(), horseOf: async () => horse, lineOf: async () => undefined }
  const who = { yardId: 'y', personId: 'me', role: 'starter' as const, deviceId: null }
  const asking = { who, now: new Date(at(0)), today: on, on, named: { horseId: 'h' } }
  return readWith(loadersOf(here), asking)('facts')
}

describe('what the stops read', () => {
  const confirmed = (order: number, list: string[], day = '2026-05-14') =>
    waits(order, { do: 'confirm', id: `w${order}`, horseId: 'h', day, confirmed: list })

  it('is the newest word given here, and the server’s only on its own day', async () => {
    const c = carried([], { confirmed: ['helmet'] })
    expect((await factsHere(here(c, []), '2026-05-14')).confirmed).toEqual(['helmet'])
    expect((await factsHere(here(c, []), '2026-05-15')).confirmed).toEqual([])
    const said = [confirmed(1, ['helper']), confirmed(2, ['helper', 'helmet'])]
    expect((await factsHere(here(c, said), '2026-05-14')).confirmed).toEqual(['helper', 'helmet'])
    expect((await factsHere(here(c, said), '2026-05-15')).confirmed).toEqual([])
  })

  it('has an incident of this device beside those that are known', async () => {
    const incident = {
      kind: 'kick',
      on: '2026-05-14',
      step: null,
      side: null,
      serious: true,
      where: '',
      before: '',
      after: '',
    }
    const facts = await factsHere(
      here(carried([]), [waits(1, { do: 'incident', id: 'i', horseId: 'h', incident })]),
      '2026-05-14',
    )
    // An older app on this device called it serious: with no step told, a kick had nobody up.
    expect(facts.incidents).toEqual([
      { kind: 'kick', on: '2026-05-14', step: null, rung: null, mounted: false, fell: false, hurt: 'none' },
    ])
  })
})
