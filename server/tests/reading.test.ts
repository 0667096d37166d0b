import {
  StepAnswer,
  type Horse,
  type Judging,
  type Line,
  type ReplyOf,
  type Session,
  type SessionChanges,
  type StepEvidence,
  type YardReading,
} from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import {
  byCircumstance,
  reliabilityOf,
  replayPredicting,
  talliesOf,
  timelineOf,
} from '@still-pine/core/evidence'
import { FEET_FIRST, sidesOf, stepOf } from '@still-pine/core/program'
import { trackKey } from '@still-pine/core/readiness'
import fc from 'fast-check'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, answerItem, sendBatch, sessionItem, TestClock, voidItem } from './making'
import { startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const send = (items: readonly unknown[]) => sendBatch(yard.starter, items, clock.iso)
const judging = async (horseId?: string): Promise<Judging> =>
  (await yard.starter.get<Judging>(`/judging${horseId ? `?horseId=${horseId}` : ''}`)).body
const reading = async (): Promise<YardReading> => (await yard.starter.get<YardReading>('/reading')).body

/** A session of one day, begun at seven, with an answer a minute. */
const dayOf = (
  horseId: string,
  day: string,
  {
    answers,
    session = {},
  }: { answers: readonly Record<string, unknown>[]; session?: Record<string, unknown> },
) => {
  const opened = sessionItem(horseId, `${day}T07:00:00Z`)
  return [
    { ...opened, session: { ...opened.session, ...session } },
    ...answers.map((change, n) =>
      answerItem(horseId, opened.session.id, {
        at: `${day}T07:${String(n + 1).padStart(2, '0')}:00Z`,
        change,
      }),
    ),
  ] as const
}

const ofLight = ({ groups }: Judging): Judging['groups'] => groups.filter(({ about }) => about === 'light')

const WINDY = { ...NOTHING_NOTED, weather: 'wind', kit: 'Rope  halter' } as const

const stepEvidence = async (horseId: string, step: string): Promise<StepEvidence> =>
  (await yard.starter.get<StepEvidence>(`/horses/${horseId}/steps/${step}/evidence`)).body

/** What a device without signal makes of a step from the answers themselves. */
const workedOut = (key: string, { answers, sessions, day }: ReplyOf<'evidence'>): StepEvidence => {
  const step = stepOf(FEET_FIRST, key)!
  const { records, predictions } = replayPredicting(STANDARD_MODEL, FEET_FIRST, answers)
  const own = predictions.filter((prediction) => prediction.step === key)
  const asked = answers.filter((answer) => answer.step === key && !answer.uncued)
  return {
    day,
    answers: asked,
    sessions,
    sides: sidesOf(step).map((side) => {
      const record = records.tracks.get(trackKey(key, side))
      const days = own.filter((prediction) => prediction.side === side)
      return {
        side,
        moments: record ? [...timelineOf(STANDARD_MODEL, step, { days, now: record.belief, on: day })] : [],
      }
    }),
    circumstances: [...byCircumstance(own, sessions)],
  }
}

const expectSame = (told: StepEvidence, made: StepEvidence): void => {
  expect(told.answers).toEqual(made.answers.map((answer) => StepAnswer.parse(answer)))
  expect(told.circumstances).toEqual(made.circumstances)
  expect(told.sides.map(({ side }) => side)).toEqual(made.sides.map(({ side }) => side))
  for (const [i, { moments }] of told.sides.entries()) {
    expect(moments.map(({ day }) => day)).toEqual(made.sides[i]!.moments.map(({ day }) => day))
    for (const [j, { chance }] of moments.entries())
      expect(chance).toBeCloseTo(made.sides[i]!.moments[j]!.chance, 10)
  }
}

describe('predictions', () => {
  const log = fc.array(
    fc.record({
      step: fc.constantFrom('settle-in-pen', 'foot-front', 'foot-hind'),
      side: fc.constantFrom('left' as const, 'right' as const),
      grade: fc.integer({ min: 0, max: 4 }),
      calm: fc.constantFrom(null, 0, 2),
      minute: fc.integer({ min: 0, max: 60 * 24 * 6 }),
      uncued: fc.boolean(),
      voided: fc.boolean(),
    }),
    { minLength: 1, maxLength: 12 },
  )

  it('kept with answers that come late or are taken back are those of core over what stands', async () => {
    await fc.assert(
      fc.asyncProperty(log, async (answers) => {
        const horse = await addHorse(yard.starter)
        const session = sessionItem(horse, '2026-05-07T06:00:00Z')
        const start = Date.parse('2026-05-07T06:00:00Z')
        const items = answers.map(({ minute, step, side, voided, ...one }, i) => ({
          voided,
          item: answerItem(horse, session.session.id, {
            at: new Date(start + minute * 60_000 + i).toISOString(),
            change: {
              ...one,
              step,
              side: step.startsWith('foot') ? side : 'none',
              rung: 1 + (i % 3),
            },
          }),
        }))
        await send([session])
        for (const { item } of items) await send([item])
        const voids = items.filter(({ voided }) => voided)
        if (voids.length > 0) await send(voids.map(({ item }) => voidItem(item.answer.id, clock.iso)))
        const { body } = await yard.starter.get<ReplyOf<'evidence'>>(`/horses/${horse}/evidence`)
        const expected = reliabilityOf(
          talliesOf(replayPredicting(STANDARD_MODEL, FEET_FIRST, body.answers).predictions),
        )
        const kept = reliabilityOf(ofLight(await judging(horse)).flatMap(({ tallies }) => tallies))
        expect(kept.predictions).toBe(expected.predictions)
        expect(kept.brier).toBeCloseTo(expected.brier, 10)
        expect(kept.baseRate).toBeCloseTo(expected.baseRate, 10)
        for (const step of ['settle-in-pen', 'foot-front', 'foot-hind'])
          expectSame(await stepEvidence(horse, step), workedOut(step, body))
      }),
      { numRuns: 10 },
    )
  })

  it('are told by school, stage and handler, over one horse or the yard', async () => {
    const horse = await addHorse(yard.starter)
    await send(
      dayOf(horse, '2026-05-10', {
        answers: [
          { rung: 1 },
          { rung: 1 },
          { step: 'foot-front', side: 'left', rung: 1, grade: 3 },
          { step: 'foot-front', side: 'right', rung: 1 },
        ],
      }),
    )
    const own = await judging(horse)
    expect(ofLight(own).map(({ schoolName, stage, personName }) => [schoolName, stage, personName])).toEqual([
      ['Feet First', 2, expect.any(String)],
      ['Feet First', 1, expect.any(String)],
    ])
    expect(ofLight(own).map(({ tallies }) => tallies.reduce((n, t) => n + t.predictions, 0))).toEqual([2, 1])
    // What was said of the calm stands beside it, where a calm was noted.
    expect(own.groups.filter(({ about }) => about === 'calm')).toHaveLength(2)
    expect(own.groups.some(({ about }) => about === 'earlier')).toBe(false)
    const all = reliabilityOf(ofLight(await judging()).flatMap(({ tallies }) => tallies))
    expect(all.predictions).toBeGreaterThanOrEqual(3)
  })

  it('are made anew by the school a horse goes to', async () => {
    const other = await addHorse(yard.starter, { school: 'stand-first' })
    const { body: elsewhere } = await yard.starter.get<Horse>(`/horses/${other}`)
    const horse = await addHorse(yard.starter)
    await send(dayOf(horse, '2026-05-10', { answers: [{ rung: 1 }, { step: 'face-up', rung: 1 }] }))
    const { body: before } = await yard.starter.get<Horse>(`/horses/${horse}`)
    const moved = await yard.starter.put(`/horses/${horse}/program`, {
      programId: elsewhere.programId,
      version: before.version,
    })
    expect(moved.status).toBe(200)
    const told = ofLight(await judging(horse))
    expect(told.map(({ schoolName }) => schoolName)).toEqual(['Stand First'])
    expect(told.flatMap(({ tallies }) => tallies).reduce((n, t) => n + t.predictions, 0)).toBe(2)
  })
})

describe('how a session was', () => {
  it('is kept with it, may be said again later, and tells its first asks apart', async () => {
    const horse = await addHorse(yard.starter)
    const windy = dayOf(horse, '2026-05-09', {
      answers: [{ rung: 1, grade: 3 }],
      session: { circumstances: WINDY },
    })
    const fair = dayOf(horse, '2026-05-11', { answers: [{ rung: 1 }] })
    await send([...windy, ...fair])
    const said = {
      do: 'circumstances',
      id: uuid(),
      sessionId: fair[0].session.id,
      circumstances: { ...NOTHING_NOTED, weather: 'fair', kit: 'rope halter' },
      at: clock.iso,
    }
    const reply = await send([said])
    expect(reply.body.items).toEqual([{ id: said.id, status: 'kept' }])
    const { circumstances } = await judging(horse)
    expect(
      circumstances.map(({ kind, value, sessions, asks, light }) => [kind, value, sessions, asks, light]),
    ).toEqual([
      ['kit', 'rope halter', 2, 2, 1],
      ['weather', 'fair', 1, 1, 1],
      ['weather', 'wind', 1, 1, 0],
    ])
    const { body } = await yard.starter.get<ReplyOf<'evidence'>>(`/horses/${horse}/evidence`)
    expect(body.sessions.map(({ circumstances: c }) => c.weather)).toEqual(['wind', 'fair'])
    // A device sums up the same by itself.
    const { predictions } = replayPredicting(STANDARD_MODEL, FEET_FIRST, body.answers)
    const rounded = (groups: Judging['circumstances']) =>
      groups.map((group) => ({ ...group, said: Math.round(group.said * 1e9) }))
    expect(rounded(circumstances)).toEqual(rounded([...byCircumstance(predictions, body.sessions)]))
  })

  it('is refused for a session that is not known, and where it says what nobody can say', async () => {
    const unknown = {
      do: 'circumstances',
      id: uuid(),
      sessionId: uuid(),
      circumstances: WINDY,
      at: clock.iso,
    }
    const odd = { ...unknown, id: uuid(), circumstances: { ...WINDY, weather: 'hail' } }
    const { body } = await send([unknown, odd])
    expect(body.items.map(({ status, path }) => [status, path])).toEqual([
      ['refused', 'sessionId'],
      ['refused', 'circumstances.weather'],
    ])
  })

  it('is nothing for a session of a device that does not know of it yet', async () => {
    const horse = await addHorse(yard.starter)
    const [session, answer] = dayOf(horse, '2026-05-09', { answers: [{ rung: 1 }] })
    await send([session, answer])
    const { body } = await yard.starter.get<{ session: Session }>(`/sessions/${session.session.id}`)
    expect(body.session).toMatchObject({ circumstances: NOTHING_NOTED, promised: null })
  })
})

describe('what a session set out to do', () => {
  it('is what it is held against in the evening', async () => {
    const horse = await addHorse(yard.starter)
    const promised = [
      { step: 'settle-in-pen', side: 'none', asks: 3 },
      { step: 'foot-front', side: 'left', asks: 2 },
    ]
    const items = dayOf(horse, '2026-05-13', { answers: [{ rung: 1 }], session: { promised } })
    await send(items)
    const { body } = await yard.starter.get<SessionChanges>(`/sessions/${items[0].session.id}/changes`)
    expect(body.leftOut).toEqual([expect.stringMatching(/, left: not asked$/)])
  })
})

describe('the yard read', () => {
  it('tells every horse’s nearest gate, what holds it and since when', async () => {
    const horse = await addHorse(yard.starter, { name: 'Knot' })
    await send(
      dayOf(horse, '2026-05-10', { answers: [{ step: 'first-touch', side: 'left', rung: 1, grade: 3 }] }),
    )
    const own = (await reading()).horses.find(({ horseId }) => horseId === horse)!
    expect(own).toMatchObject({ horseName: 'Knot', nearest: { gate: 'halter', verdict: 'not-yet' } })
    const { body: line } = await yard.starter.get<Line>(`/horses/${horse}/line`)
    const gate = line.gates.find(({ gate }) => gate === 'halter')!
    expect(own.nearest!.heldBy).toHaveLength(gate.tracks.filter(({ holds }) => !holds).length)
    expect(own.nearest!.heldBy).toContainEqual(
      expect.objectContaining({ step: 'first-touch', side: 'left', state: 'started', since: '2026-05-10' }),
    )
  })

  it('names a step that two horses are weak on, with who asked it and how it came', async () => {
    for (const name of ['Dunlin', 'Godwit']) {
      const horse = await addHorse(yard.starter, { name })
      for (const day of ['2026-05-08', '2026-05-10', '2026-05-12'])
        await send(
          dayOf(horse, day, {
            answers: Array.from({ length: 4 }, () => ({ step: 'step-back', rung: 2, grade: 3 })),
          }),
        )
    }
    const gap = (await reading()).gaps.find(({ step }) => step === 'step-back')!
    expect(gap.weak).toEqual(expect.arrayContaining(['Dunlin', 'Godwit']))
    const asks = gap.handlers.reduce((sum, handler) => sum + handler.asks, 0)
    expect(asks).toBeGreaterThanOrEqual(6)
    expect(gap.handlers.every(({ light, asks: all }) => light <= all)).toBe(true)
  })
})
