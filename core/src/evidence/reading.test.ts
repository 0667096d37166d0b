import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import type { Side } from '../answer'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import { NO_FACTS, replayHorse, viewsOf, type TrackedAnswer, type Views } from '../readiness'
import { NOTHING_NOTED } from '../circumstances'
import { byCircumstance } from './by-circumstance'
import { gapOver } from './gap-over'
import { gapsOf } from './gaps'
import { nearestGate, type Counted } from './holding'
import { wilson } from './interval'
import { minutesByKind } from './minutes'
import { movedBetween, standsStill } from './moved'
import { promisesNotDone } from './promises'
import { sidesOver } from './sides'
import { stateSince } from './since'

const ask = (step: string, n: number, change: Partial<TrackedAnswer> = {}): TrackedAnswer => ({
  ...answer({ rung: stepOf(FEET_FIRST, step)!.requiredRung, day: day(n) }),
  step,
  side: 'none',
  ...change,
})

const daysOf = (
  step: string,
  days: readonly number[],
  change: Partial<TrackedAnswer> = {},
): TrackedAnswer[] => days.flatMap((n) => times(5, () => ask(step, n, change)))

const viewsAfter = (answers: readonly TrackedAnswer[], on: string): Views =>
  viewsOf(MODEL, FEET_FIRST, { records: replayHorse(MODEL, FEET_FIRST, answers), on })

const countedOf = (answers: readonly TrackedAnswer[]): Counted =>
  new Map(
    [...replayHorse(MODEL, FEET_FIRST, answers).tracks].map(([key, { tally }]) => [
      key,
      { tally, firstDay: answers.find(({ step, side }) => key === `${step}/${side}`)!.day },
    ]),
  )

describe('the nearest gate', () => {
  it('is the first one that is still ahead, with the track that is furthest from it first', () => {
    const answers = daysOf('lead-up', [0, 2, 4])
    const nearest = nearestGate(FEET_FIRST, viewsAfter(answers, day(5)), {
      facts: NO_FACTS,
      counted: countedOf(answers),
      on: day(5),
    })!
    expect(nearest).toMatchObject({ gate: 'halter', verdict: 'not-yet' })
    expect(nearest.heldBy.length + nearest.holding).toBe(nearest.tracks)
    const chances = nearest.heldBy.map(({ step, side }) => {
      const view = viewsAfter(answers, day(5)).get(`${step}/${side}`)!
      return view.chance * view.calmChance
    })
    expect(chances.length).toBeGreaterThan(1)
    expect(nearest.heldBy.every(({ state, since }) => state !== 'new' || since === null)).toBe(true)
  })

  it('says since when each track is as it is', () => {
    const answers = [
      ...daysOf('face-up', [0, 1, 3], { grade: 3 }),
      ...daysOf('first-touch', [2], { side: 'left', grade: 3 }),
    ]
    const nearest = nearestGate(FEET_FIRST, viewsAfter(answers, day(6)), {
      facts: NO_FACTS,
      counted: countedOf(answers),
      on: day(6),
    })!
    const held = nearest.heldBy.find(({ step, side }) => step === 'first-touch' && side === 'left')!
    expect(held).toMatchObject({ state: 'started', daysWorked: 1, since: day(2) })
  })

  it('is none once all are behind the horse', () => {
    const solid = new Map(
      [...viewsAfter([], day(1))].map(([key, view]) => [
        key,
        { ...view, state: 'solid' as const, chance: 0.95, calmChance: 0.95 },
      ]),
    )
    expect(nearestGate(FEET_FIRST, solid, { facts: NO_FACTS, counted: new Map(), on: day(1) })).toBeNull()
  })
})

describe('since when', () => {
  const tallyOf = (answers: readonly TrackedAnswer[]) =>
    replayHorse(MODEL, FEET_FIRST, answers).tracks.get('lead-up/none')!.tally

  it('a track is Rusty: since it was last worked', () => {
    const answers = daysOf('lead-up', [0, 2, 4])
    expect(viewsAfter(answers, day(40)).get('lead-up/none')!.state).toBe('rusty')
    expect(stateSince('rusty', tallyOf(answers), day(0))).toBe(day(4))
  })

  it('a track has Slipped: since the first day worked after it was last Solid', () => {
    const answers = [
      ...daysOf('lead-up', [0, 2, 4, 6, 8]),
      ...daysOf('lead-up', [10], { grade: 4 }),
      ...daysOf('lead-up', [12], { grade: 1 }),
    ]
    expect(viewsAfter(answers, day(13)).get('lead-up/none')!.state).toBe('slipped')
    expect(stateSince('slipped', tallyOf(answers), day(0))).toBe(day(10))
  })

  it('a track was begun, or nothing where it never was', () => {
    expect(stateSince('coming', tallyOf(daysOf('lead-up', [3])), day(3))).toBe(day(3))
    expect(stateSince('new', undefined, null)).toBeNull()
    expect(stateSince('rusty', undefined, null)).toBeNull()
  })
})

describe('the yard’s own gap', () => {
  const horse = (name: string, grade: 1 | 3, days: readonly number[] = [0, 2, 4]) => ({
    name,
    program: FEET_FIRST,
    views: viewsAfter(daysOf('lead-up', days, { grade }), day(5)),
  })

  it('is a step that several horses are weak on though they were worked long enough', () => {
    const [gap, ...others] = gapsOf(MODEL, [horse('Bittern', 3), horse('Sedge', 3), horse('Plover', 1)])
    expect(others).toEqual([])
    expect(gap).toMatchObject({ step: 'lead-up', horses: 3, weak: ['Bittern', 'Sedge'] })
    expect(gap!.spread).toEqual(wilson(2, 3))
  })

  it('is none of one horse, of horses worked for a day, or of what only rest has worn', () => {
    expect(gapsOf(MODEL, [horse('Bittern', 3), horse('Plover', 1)])).toEqual([])
    expect(gapsOf(MODEL, [horse('Bittern', 3, [0]), horse('Sedge', 3, [0])])).toEqual([])
    const worn = (name: string) => ({
      name,
      program: FEET_FIRST,
      views: viewsAfter(daysOf('lead-up', [0, 2, 4]), day(40)),
    })
    expect(gapsOf(MODEL, [worn('Bittern'), worn('Sedge')])).toEqual([])
  })
})

describe('what moved', () => {
  const earlier = daysOf('lead-up', [0], { grade: 2 })
  const before = viewsAfter(earlier, day(1))

  it('is what changed its state or its chance, the most first', () => {
    const now = viewsAfter(
      [...earlier, ...daysOf('lead-up', [2, 4]), ...daysOf('step-back', [4], { grade: 2 })],
      day(5),
    )
    const moved = movedBetween(FEET_FIRST, before, now)
    expect(moved.map(({ step }) => step)).toEqual(expect.arrayContaining(['lead-up', 'step-back']))
    expect(moved.find(({ step }) => step === 'lead-up')).toMatchObject({ side: 'none', days: 2 })
    const sizes = moved.map(({ chanceFrom, chanceTo }) => Math.abs(chanceTo - chanceFrom))
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a))
    expect(movedBetween(FEET_FIRST, before, before)).toEqual([])
  })

  it('does not count what was worked and is no nearer: that stands still', () => {
    const now = viewsAfter([...earlier, ...daysOf('lead-up', [2, 4], { grade: 3 })], day(5))
    expect(standsStill(FEET_FIRST, before, now).map(({ step, days }) => [step, days])).toEqual([
      ['lead-up', 2],
    ])
    expect(standsStill(FEET_FIRST, before, before)).toEqual([])
  })
})

describe('what was promised and not done', () => {
  const promised = [
    { step: 'lead-up', side: 'none' as Side, asks: 6 },
    { step: 'flag', side: 'left' as Side, asks: 4 },
    { step: 'flag', side: 'right' as Side, asks: 4 },
  ]
  const sessions = [
    { id: 'a', day: day(0), promised },
    { id: 'b', day: day(2), promised },
    { id: 'c', day: day(4), promised: null },
  ]
  const given = (sessionId: string, step: string, { side, n }: { side: Side; n: number }) =>
    times(n, () => ({ sessionId, step, side }))

  it('is what was left out, or less than half given, over all sessions that set out with it', () => {
    const answers = [
      ...given('a', 'lead-up', { side: 'none', n: 3 }),
      ...given('a', 'flag', { side: 'left', n: 4 }),
      ...given('a', 'flag', { side: 'right', n: 1 }),
      ...given('b', 'lead-up', { side: 'none', n: 6 }),
      ...given('b', 'flag', { side: 'left', n: 4 }),
      ...given('c', 'flag', { side: 'right', n: 9 }),
    ]
    expect(promisesNotDone(sessions, answers)).toEqual([
      { step: 'flag', side: 'right', promised: 8, given: 1, sessions: 2, lastDay: day(2) },
    ])
  })

  it('is nothing where nothing was promised', () => {
    expect(promisesNotDone([{ id: 'c', day: day(4), promised: null }], [])).toEqual([])
  })
})

describe('the gap of the sides over the days', () => {
  const moment = (n: number, chance: number) => ({
    day: day(n),
    when: 'evening' as const,
    chance,
    low: chance,
    high: chance,
    calmChance: 1,
  })

  it('goes on from the last that was known of either side, once both are', () => {
    const gaps = gapOver([moment(0, 0.5), moment(4, 0.8)], [moment(2, 0.4), moment(9, 0.9)], day(6))
    expect(gaps.map(({ day }) => day)).toEqual([day(2), day(4)])
    expect(gaps[0]!.gap).toBeCloseTo(0.1, 12)
    expect(gaps[1]!.gap).toBeCloseTo(0.4, 12)
    expect(gapOver([moment(0, 0.5)], [], day(6))).toEqual([])
  })
})

describe('first asks by circumstance', () => {
  it('are summed up over the sessions it was noted of, a kit by its words', () => {
    const asked = (sessionId: string, chance: number, light: boolean) => ({
      chance,
      light,
      answer: { sessionId },
    })
    const session = (id: string, change: object) => ({ id, circumstances: { ...NOTHING_NOTED, ...change } })
    const groups = byCircumstance(
      [asked('a', 0.5, true), asked('a', 0.7, false), asked('b', 0.9, true), asked('c', 0.9, true)],
      [
        session('a', { weather: 'wind', kit: 'Rope halter' }),
        session('b', { weather: 'fair', kit: 'rope  halter' }),
        session('c', {}),
        session('nothing asked', { weather: 'fair' }),
      ],
    )
    expect(groups).toEqual([
      { kind: 'kit', value: 'rope halter', sessions: 2, asks: 3, light: 2, said: 0.5 + 0.7 + 0.9 },
      { kind: 'weather', value: 'fair', sessions: 1, asks: 1, light: 1, said: 0.9 },
      { kind: 'weather', value: 'wind', sessions: 1, asks: 2, light: 1, said: 1.2 },
    ])
  })
})

describe('minutes by kind', () => {
  const at = (minute: number): string =>
    new Date(Date.parse('2026-03-02T08:00:00Z') + minute * 60_000).toISOString()
  const given = (sessionId: string, step: string, minute: number) => ({ sessionId, step, at: at(minute) })

  it('are the times between the answers of a session, a pause counted as three', () => {
    // By hand: lead-up 0 → 1 (1 min), rope-over 1 → 3 (2 min), stand 3 → 20 (a pause, 3 min), and another session.
    const minutes = minutesByKind(FEET_FIRST, [
      given('a', 'lead-up', 0),
      given('a', 'lead-up', 1),
      given('a', 'rope-over', 3),
      given('a', 'stand', 20),
      given('b', 'lead-up', 60),
      given('b', 'tango', 61),
      given('b', 'lead-up', 62),
    ])
    expect(minutes).toEqual({ ask: 2, accept: 2, hold: 3 })
  })

  it('are never more than the session lasted', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(120), { minLength: 2 }), (all) => {
        const sorted = [...all].sort((a, b) => a - b)
        const { ask: minutes } = minutesByKind(
          FEET_FIRST,
          sorted.map((minute) => given('a', 'lead-up', minute)),
        )
        expect(minutes).toBeLessThanOrEqual(sorted.at(-1)! - sorted[0]! + 1e-9)
      }),
    )
  })
})

describe('sides over all steps', () => {
  it('are compared where both were asked enough, and named where one was not', () => {
    const answers = [
      ...daysOf('yield-hind', [0, 2, 4], { side: 'left' }),
      ...daysOf('yield-hind', [0, 2, 4], { side: 'right', grade: 3 }),
      ...daysOf('bend', [4], { side: 'left' }),
    ]
    const sides = sidesOver(FEET_FIRST, viewsAfter(answers, day(5)))
    expect(sides.compared).toBe(1)
    expect(sides.behind.map(({ step }) => step)).toEqual(['yield-hind'])
    expect(sides.mean).toBeGreaterThan(0.15)
    expect(sides.oneSided).toEqual([{ step: 'bend', name: stepOf(FEET_FIRST, 'bend')!.name, side: 'right' }])
    expect(sides.answers).toEqual({ left: 20, right: 15 })
    expect(sidesOver(FEET_FIRST, viewsAfter([], day(1)))).toMatchObject({ compared: 0, mean: null })
  })
})
