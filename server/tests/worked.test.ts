import { provedAt, type ReplyOf } from '@still-pine/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, answerItem, sendBatch, sessionItem, TestClock, voidItem } from './making'
import { startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T12:00:00Z')

let yard: Running & { starter: Visitor }
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
})
afterAll(() => yard.stop())

const session = (horseId: string, startedAt: string, place: string | null) => {
  const item = sessionItem(horseId, startedAt)
  return { ...item, session: { ...item.session, place } }
}

describe('what a horse was worked', () => {
  it('is counted by track and session, less what was taken back and what was uncued', async () => {
    const id = await addHorse(yard.starter)
    const pen = session(id, '2026-05-12T07:00:00Z', 'Round pen')
    const track = session(id, '2026-05-13T07:00:00Z', 'Forest track')
    const given = (in_: typeof pen, minute: number, change: object) =>
      answerItem(id, in_.session.id, {
        at: in_.session.startedAt.replace(':00:00', `:0${minute}:00`),
        change: {
          step: 'step-back',
          side: 'none',
          grade: 1,
          calm: 0,
          ...change,
        },
      })
    const gone = given(pen, 4, { rung: 4 })
    await sendBatch(
      yard.starter,
      [
        pen,
        given(pen, 1, { rung: 1 }),
        given(pen, 2, { rung: 3, calm: 2 }),
        given(pen, 3, { rung: 2, byChance: true }),
        gone,
        given(pen, 5, { rung: 2, uncued: true }),
        track,
        given(track, 1, { rung: 2, grade: 3 }),
        voidItem(gone.answer.id, clock.iso),
      ],
      clock.iso,
    )
    const { rows } = (await yard.starter.get<ReplyOf<'worked'>>(`/horses/${id}/worked`)).body
    expect(rows).toEqual([
      {
        session: pen.session.id,
        place: 'Round pen',
        day: '2026-05-12',
        step: 'step-back',
        side: 'none',
        answers: 3,
        clean: 1,
        hardestRung: 3,
        from: Date.parse('2026-05-12T07:01:00Z'),
        to: Date.parse('2026-05-12T07:03:00Z'),
      },
      expect.objectContaining({ place: 'Forest track', answers: 1, clean: 0, hardestRung: 2 }),
    ])
    expect([...provedAt(rows)]).toEqual([['step-back', ['Round pen']]])
  })

  it('is nothing for a new horse, and not told of another yard’s', async () => {
    const id = await addHorse(yard.starter)
    expect((await yard.starter.get<ReplyOf<'worked'>>(`/horses/${id}/worked`)).body.rows).toEqual([])
    const other = await yard.starter.get(`/horses/01a00000-0000-7000-8000-000000000000/worked`)
    expect(other.status).toBe(404)
  })
})
