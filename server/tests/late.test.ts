import type { Me } from '@still-pine/contract'
import { addDays, daysBetween } from '@still-pine/core/answer'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { inYardOf, nobodyIn } from '../src/records/in-yard'
import { rebuildAll } from '../src/records/rebuild'
import { workHere } from '../src/threads'
import { addHorse, answerItem, sendBatch, sessionItem, TestClock, voidItem } from './making'
import { startYard, type Running, type Visitor } from './running'

const FIRST = '2026-01-05'
const STEPS = ['settle-in-pen', 'face-up', 'loose-turn-in', 'draw'] as const
const SIDED: readonly string[] = ['loose-turn-in']

const clock = new TestClock(`${FIRST}T12:00:00Z`)
/** How many answers were gone through again each time. */
const gone: number[] = []
let yard: Running & { starter: Visitor }
let yardId: string
let horse: string
beforeAll(async () => {
  const threads = {
    ...workHere,
    replay: (history: Parameters<typeof workHere.replay>[0]) => {
      gone.push(history.answers.length)
      return workHere.replay(history)
    },
  }
  yard = await startYard({ now: clock.now, threads })
  yardId = (await yard.starter.get<Me>('/me')).body.yard.id
  horse = await addHorse(yard.starter, { arrived: '2026-01-01' })
})
afterAll(() => yard.stop())

/** Some answers of one morning, sent at noon of the day `sentOn`; gives their ids. */
const log = async (day: string, sentOn = day): Promise<readonly string[]> => {
  clock.set(`${sentOn}T12:00:00Z`)
  const n = daysBetween(FIRST, day)
  const session = sessionItem(horse, `${day}T08:00:00Z`)
  const answers = [0, 1, 2, 3, 4, 5].map((k) => {
    const step = STEPS[(n + Math.floor(k / 2)) % STEPS.length]!
    const side = !SIDED.includes(step) ? 'none' : n % 4 === 0 ? 'left' : 'right'
    const change = { step, side, rung: 1 + (n % 3), grade: (n * 7 + k * 3) % 5 }
    const at = `${day}T08:${String(10 + k + (day === sentOn ? 0 : 20))}:00Z`
    return answerItem(horse, session.session.id, { at, change })
  })
  const { body } = await sendBatch(yard.starter, [session, ...answers], clock.iso)
  expect(body.items.map(({ status }) => status)).not.toContain('refused')
  return answers.map(({ answer }) => answer.id)
}

const differences = async () => {
  const asker = await nobodyIn(yard.workings, yardId)
  const rebuilt = await inYardOf(yard.workings, { asker, view: 'as it goes' }, (own) =>
    rebuildAll(own, () => undefined),
  )
  gone.length = 0
  return rebuilt.differences
}

describe('what comes late', () => {
  const ids = new Map<string, readonly string[]>()
  const days = Array.from({ length: 44 }, (_, n) => addDays(FIRST, 2 * n))
  const today = days.at(-1)!

  it('is not what comes in its order: nothing is gone through again', async () => {
    for (const day of days) ids.set(day, await log(day))
    expect(gone).toEqual([])
    expect(await differences()).toEqual([])
  })

  it('re-makes only the days from it on, and leaves the horse as if all had come in order', async () => {
    const back = days.at(-10)!
    await sendBatch(yard.starter, [voidItem(ids.get(back)![2]!, clock.iso)], clock.iso)
    expect(gone).toEqual([10 * 6 - 1])
    expect(await differences()).toEqual([])
    await log(addDays(days.at(-20)!, 1), today)
    expect(gone).toEqual([20 * 6 - 1])
    expect(await differences()).toEqual([])
    // Once more, from the ends of days that were made again themselves.
    await log(addDays(days.at(-15)!, 1), today)
    expect(gone).toEqual([15 * 6 - 1])
    expect(await differences()).toEqual([])
  })

  it('goes through the whole horse where it is from before the last two months', async () => {
    await sendBatch(yard.starter, [voidItem(ids.get(days[3]!)![0]!, clock.iso)], clock.iso)
    expect(gone).toEqual([44 * 6 + 12 - 2])
    expect(await differences()).toEqual([])
    await log(addDays(days.at(-5)!, 1), today)
    expect(gone).toEqual([5 * 6])
    expect(await differences()).toEqual([])
  })

  it('may be the first answer of all', async () => {
    await sendBatch(
      yard.starter,
      ids.get(days[0]!)!.map((id) => voidItem(id, clock.iso)),
      clock.iso,
    )
    expect(await differences()).toEqual([])
  })
})
