import type { SavedAnswer, Line, Session, SessionChanges } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { FEET_FIRST } from '@still-pine/core/program'
import { replayHorse, viewsOf, type TrackedAnswer } from '@still-pine/core/readiness'
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
const lineOf = async (horseId: string): Promise<Line> =>
  (await yard.starter.get<Line>(`/horses/${horseId}/line`)).body
const track = (line: Line, step: string, side = 'none') =>
  line.tracks.find((one) => one.step === step && one.side === side)!.view

/** Three days of five light, watchful answers, two days apart, the last one yesterday. */
const threeDays = (horseId: string) =>
  ['2026-05-09', '2026-05-11', '2026-05-13'].flatMap((day) => {
    const session = sessionItem(horseId, `${day}T07:00:00Z`)
    const answers = [1, 2, 3, 4, 5].map((n) =>
      answerItem(horseId, session.session.id, { at: `${day}T07:0${n}:00Z`, change: { calm: 1 } }),
    )
    return [session, ...answers]
  })

describe('answers', () => {
  it('make the verdict of the published example: Solid at a chance of 0.906', async () => {
    const horse = await addHorse(yard.starter)
    const reply = await send(threeDays(horse))
    expect(reply.body.items.every(({ status }) => status === 'kept')).toBe(true)
    const view = track(await lineOf(horse), 'settle-in-pen')
    expect(view.state).toBe('solid')
    expect(view.chance).toBeCloseTo(0.906, 3)
    expect(view.low).toBeCloseTo(0.827, 3)
  })

  it('sent twice are kept once', async () => {
    const horse = await addHorse(yard.starter)
    const items = threeDays(horse)
    await send(items)
    const before = track(await lineOf(horse), 'settle-in-pen')
    const again = await send(items)
    expect(again.body.items.every(({ status }) => status === 'already')).toBe(true)
    expect(track(await lineOf(horse), 'settle-in-pen')).toEqual(before)
  })

  it('taken back and given again leave both in the history and one in the verdict', async () => {
    const horse = await addHorse(yard.starter)
    const items = threeDays(horse)
    await send(items)
    const before = track(await lineOf(horse), 'settle-in-pen')
    const last = items.at(-1) as ReturnType<typeof answerItem>
    const mended = answerItem(horse, last.answer.sessionId, {
      at: last.answer.at,
      change: {
        grade: 4,
        calm: 2,
        replaces: last.answer.id,
      },
    })
    await send([voidItem(last.answer.id, clock.iso), mended])
    const after = track(await lineOf(horse), 'settle-in-pen')
    expect(after.answers).toBe(before.answers)
    expect(after.state).not.toBe('solid')
    const { body } = await yard.starter.get<{ answers: SavedAnswer[] }>(
      `/horses/${horse}/steps/settle-in-pen/answers`,
    )
    expect(body.answers).toHaveLength(16)
    expect(body.answers.filter(({ voided }) => voided)).toHaveLength(1)
    await send([
      voidItem(mended.answer.id, clock.iso),
      { ...last, answer: { ...last.answer, id: crypto.randomUUID() } },
    ])
    expect(track(await lineOf(horse), 'settle-in-pen').chance).toBeCloseTo(before.chance, 12)
  })

  it('refuse one by one with the reason and the field, and keep the rest', async () => {
    const horse = await addHorse(yard.starter)
    const session = sessionItem(horse, '2026-05-14T08:00:00Z')
    const at = '2026-05-14T08:05:00Z'
    const of = (change: Record<string, unknown>) => answerItem(horse, session.session.id, { at, change })
    const { body } = await send([
      session,
      of({ rung: 9 }),
      of({ side: 'left' }),
      of({ step: 'whistle' }),
      of({ step: 'first-touch', side: 'none' }),
      of({ at: '2023-01-01T08:00:00Z' }),
      of({ at: '2026-05-15T09:30:00Z' }),
      of({ grade: 7 }),
      'nonsense',
      of({ sessionId: crypto.randomUUID() }),
      of({ at: '2026-05-14T20:00:00Z' }),
      of({}),
    ])
    const said = body.items.map(({ status, path }) => [status, path])
    expect(said).toEqual([
      ['kept', undefined],
      ['refused', 'answer.rung'],
      ['refused', 'answer.side'],
      ['refused', 'answer.step'],
      ['refused', 'answer.side'],
      ['refused', 'answer.at'],
      ['refused', 'answer.at'],
      ['refused', 'answer.grade'],
      ['refused', ''],
      ['refused', 'answer.sessionId'],
      ['kept', undefined],
      ['kept', undefined],
    ])
    expect(body.items[1]!.reason).toBe('Settle in the pen has 4 rungs, and this says 9.')
    expect(body.items[10]!.ahead).toBe(true)
    expect(track(await lineOf(horse), 'settle-in-pen').answers).toBe(2)
  })

  it('are put right by the phone’s own error of clock', async () => {
    const horse = await addHorse(yard.starter)
    // The phone is two days slow; it sends at once.
    const session = sessionItem(horse, '2026-05-12T09:00:00Z')
    const items = [session, answerItem(horse, session.session.id, { at: '2026-05-12T09:00:00Z' })]
    await sendBatch(yard.starter, items, '2026-05-12T09:00:00Z')
    expect(track(await lineOf(horse), 'settle-in-pen').lastDay).toBe('2026-05-14')
  })

  it('count for the yard’s own calendar day', async () => {
    const horse = await addHorse(yard.starter)
    const session = sessionItem(horse, '2026-05-13T22:30:00Z')
    await send([session, answerItem(horse, session.session.id, { at: '2026-05-13T22:30:00Z' })])
    // 22:30 in Greenwich is half past midnight of the next day in Oslo.
    expect(track(await lineOf(horse), 'settle-in-pen').lastDay).toBe('2026-05-14')
  })
})

describe('any order of the same answers', () => {
  const steps = ['settle-in-pen', 'face-up', 'foot-front', 'foot-hind'] as const
  const log = fc.array(
    fc.record({
      step: fc.constantFrom(...steps),
      side: fc.constantFrom('left' as const, 'right' as const),
      grade: fc.integer({ min: 0, max: 4 }),
      calm: fc.constantFrom(null, 0, 1, 2),
      minute: fc.integer({ min: 0, max: 60 * 24 * 6 }),
      voided: fc.boolean(),
    }),
    { minLength: 1, maxLength: 12 },
  )

  it('late, voided or right the first time, ends in the tracks of core itself', async () => {
    await fc.assert(
      fc.asyncProperty(log, fc.integer(), async (answers, shuffle) => {
        const horse = await addHorse(yard.starter)
        const start = Date.parse('2026-05-07T06:00:00Z')
        const session = sessionItem(horse, '2026-05-07T06:00:00Z')
        // No two at the same minute: equal times keep the order they were sent in, which this test shuffles.
        const items = answers.map(({ minute, side, voided, ...one }, i) => {
          const at = new Date(start + minute * 60_000 + i).toISOString()
          const sided = one.step.startsWith('foot') ? side : 'none'
          return {
            voided,
            item: answerItem(horse, session.session.id, {
              at,
              change: { ...one, side: sided, rung: 1 + (i % 3) },
            }),
          }
        })
        const sent = [...items].sort(
          (a, b) => hash(a.item.answer.id, shuffle) - hash(b.item.answer.id, shuffle),
        )
        await send([session])
        for (const { item } of sent) await send([item])
        const voids = items
          .filter(({ voided }) => voided)
          .map(({ item }) => voidItem(item.answer.id, clock.iso))
        if (voids.length > 0) await send(voids)
        const standing = items
          .filter(({ voided }) => !voided)
          .map(({ item }) => toTracked(item.answer as unknown as Parameters<typeof toTracked>[0]))
          .sort((a, b) => a.at.localeCompare(b.at))
        const records = replayHorse(STANDARD_MODEL, FEET_FIRST, standing)
        const expected = viewsOf(STANDARD_MODEL, FEET_FIRST, { records, on: '2026-05-14' })
        const line = await lineOf(horse)
        for (const { step, side, view } of line.tracks) {
          const own = expected.get(`${step}/${side}`)!
          expect([view.state, view.answers, view.openAt]).toEqual([own.state, own.answers, own.openAt])
          expect(view.chance).toBeCloseTo(own.chance, 10)
          expect(view.calmChance).toBeCloseTo(own.calmChance, 10)
        }
      }),
      { numRuns: 12 },
    )
  })

  const hash = (id: string, salt: number): number =>
    [...id].reduce((h, c) => (h * 31 + c.charCodeAt(0) + salt) | 0, 7)

  const toTracked = (one: TrackedAnswer & { at: string }): TrackedAnswer & { at: string } => ({
    ...one,
    byChance: false,
    recalled: false,
    uncued: false,
    place: null,
    moving: false,
    day: new Intl.DateTimeFormat('sv-SE', { timeZone: 'Europe/Oslo' }).format(new Date(one.at)),
  })
})

describe('a session', () => {
  it('tells what it changed, what it left out, and where to go on', async () => {
    const horse = await addHorse(yard.starter)
    const items = threeDays(horse)
    await send(items)
    const { body } = await yard.starter.get<{ sessions: Session[] }>(`/sessions?horseId=${horse}`)
    expect(body.sessions.map(({ day, answers }) => [day, answers])).toEqual([
      ['2026-05-13', 5],
      ['2026-05-11', 5],
      ['2026-05-09', 5],
    ])
    const changes = await yard.starter.get<SessionChanges>(`/sessions/${body.sessions[0]!.id}/changes`)
    expect(changes.body.changes).toContainEqual(
      expect.objectContaining({ step: 'settle-in-pen', to: 'solid', answers: 5 }),
    )
    expect(changes.body.next).toMatch(/^Next time begin with /)
    const { id } = body.sessions[0]!
    const note = { do: 'note', id: uuid(), sessionId: id, note: 'windy', at: '2026-05-14T09:00:00.000Z' }
    await send([note])
    const confirmed = await yard.starter.get<{ session: Session }>(`/sessions/${id}`)
    expect(confirmed.body.session).toMatchObject({ note: 'windy', confirmedAt: '2026-05-14T09:00:00.000Z' })
  })

  it('that overlaps another of the same horse is kept and said to overlap', async () => {
    const horse = await addHorse(yard.starter)
    const one = sessionItem(horse, '2026-05-14T07:00:00Z')
    const two = sessionItem(horse, '2026-05-14T07:02:00Z')
    await send([
      one,
      two,
      answerItem(horse, one.session.id, { at: '2026-05-14T07:05:00Z' }),
      answerItem(horse, two.session.id, { at: '2026-05-14T07:04:00Z' }),
    ])
    const { body } = await yard.starter.get<{ sessions: Session[] }>(`/sessions?horseId=${horse}`)
    expect(body.sessions.map(({ overlaps }) => overlaps)).toEqual([true, true])
  })
})

describe('a new day', () => {
  it('judges anew: what was Solid turns Rusty by time alone', async () => {
    const horse = await addHorse(yard.starter)
    await send(threeDays(horse))
    expect(track(await lineOf(horse), 'settle-in-pen').state).toBe('solid')
    clock.set('2026-06-03T09:00:00Z')
    expect(track(await lineOf(horse), 'settle-in-pen').state).toBe('rusty')
    clock.set('2026-05-14T09:00:00Z')
    expect(track(await lineOf(horse), 'settle-in-pen').state).toBe('solid')
  })
})
