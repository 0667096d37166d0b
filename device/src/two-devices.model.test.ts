import 'fake-indexeddb/auto'
import type { BatchItem, BatchReply } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { FEET_FIRST } from '@still-pine/core/program'
import { replayHorse, type TrackedAnswer } from '@still-pine/core/readiness'
import fc from 'fast-check'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { device } from './store'
import { freeLeftBehind, saveWaiting } from './outbox'
import { PLAIN_ANSWER } from './plain-answer'
import { sendReady } from './send'

const BEGIN = Date.parse('2026-05-14T07:00:00Z')
const YEAR_MS = 365 * 86_400_000
const CLOCK_SLACK_MS = 60_000

interface Kept {
  readonly id: string
  readonly at: number
  readonly grade: number
}

/** The server as it is told in `server/`: each item once, in its order, its time set right by the phone’s own clock. */
class ModelServer {
  readonly answers = new Map<string, Kept>()
  readonly voided = new Set<string>()
  now = BEGIN
  /** What becomes of the next request. */
  fate: 'arrives' | 'request lost' | 'reply lost' = 'arrives'

  readonly fetch = async (_url: string, { body }: { body: string }): Promise<Response> => {
    if (this.fate === 'request lost') throw new TypeError('no signal')
    const { sentAt, items } = JSON.parse(body) as { sentAt: string; items: BatchItem[] }
    const off = this.now - Date.parse(sentAt)
    const reply: BatchReply = {
      items: items.map((item) => this.keep(item, Math.abs(off) > CLOCK_SLACK_MS ? off : 0)),
    }
    if (this.fate === 'reply lost') throw new TypeError('no signal')
    return Response.json(reply)
  }

  private keep(item: BatchItem, off: number): BatchReply['items'][number] {
    if (item.do === 'void') {
      if (!this.answers.has(item.answerId)) return { id: item.id, status: 'refused', reason: 'not known' }
      const isNew = !this.voided.has(item.answerId)
      this.voided.add(item.answerId)
      return { id: item.id, status: isNew ? 'kept' : 'already' }
    }
    if (item.do !== 'add') return { id: '', status: 'kept' }
    const { id, at, grade } = item.answer
    if (this.answers.has(id)) return { id, status: 'already' }
    this.answers.set(id, { id, at: Date.parse(at) + off, grade })
    return { id, status: 'kept' }
  }

  get history(): readonly Kept[] {
    return [...this.answers.values()].filter(({ id }) => !this.voided.has(id)).sort((a, b) => a.at - b.at)
  }
}

const PHONES = ['one', 'other'] as const
type Phone = (typeof PHONES)[number]

const phone = fc.constantFrom(...PHONES)
const steps = fc.array(
  fc.oneof(
    { weight: 3, arbitrary: fc.record({ kind: fc.constant('answer' as const), phone, grade: fc.nat(4) }) },
    fc.record({ kind: fc.constant('take back' as const), phone, which: fc.nat(10) }),
    fc.record({
      kind: fc.constant('send' as const),
      phone,
      fate: fc.constantFrom('arrives' as const, 'request lost' as const, 'reply lost' as const),
    }),
    fc.record({ kind: fc.constant('restart' as const), phone }),
  ),
  { maxLength: 40 },
)

/** What would stand had everything been logged online, at the time it really was. */
const posteriorsOf = (history: readonly Kept[]): string => {
  const answers = history.map(({ grade, at }): TrackedAnswer => ({
    step: 'face-up',
    side: 'none',
    rung: 2,
    grade: grade as 0,
    calm: 0,
    byChance: false,
    recalled: false,
    uncued: false,
    place: null,
    moving: false,
    day: new Date(at).toISOString().slice(0, 10),
  }))
  return JSON.stringify(
    [...replayHorse(STANDARD_MODEL, FEET_FIRST, answers).tracks].map(([key, { belief, tally }]) => [
      key,
      [...belief.ability],
      [...belief.calm],
      tally,
    ]),
  )
}

beforeAll(() => void vi.useFakeTimers({ toFake: ['Date'] }))
afterAll(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

it('any way of two phones ends in the history and the posteriors of the online order', async () => {
  await fc.assert(
    fc.asyncProperty(
      steps,
      fc.record({ one: fc.constantFrom(0, YEAR_MS, -YEAR_MS), other: fc.constantFrom(0, -YEAR_MS) }),
      async (list, clockOff) => {
        await device.waiting.clear()
        const server = new ModelServer()
        vi.stubGlobal('fetch', server.fetch)
        const online: Kept[] = []
        const own: Record<Phone, string[]> = { one: [], other: [] }
        const send = async (who: Phone): Promise<void> => {
          vi.setSystemTime(server.now + clockOff[who])
          await sendReady(who)
        }
        const put = (who: Phone, item: BatchItem, id: string): Promise<void> =>
          saveWaiting({ id, personId: who, horseId: 'h', item, readyAt: 0 })
        for (const step of list) {
          server.now += 61_000
          const { phone: who } = step
          vi.setSystemTime(server.now + clockOff[who])
          const at = new Date(server.now + clockOff[who]).toISOString()
          if (step.kind === 'answer') {
            const id = uuid()
            const answer = {
              ...PLAIN_ANSWER,
              id,
              horseId: 'h',
              sessionId: 's',
              step: 'face-up',
              side: 'none' as const,
              rung: 2,
              grade: step.grade as 0,
              calm: 0 as const,
              at,
              replaces: null,
            }
            await put(who, { do: 'add', answer }, id)
            own[who].push(id)
            online.push({ id, at: server.now, grade: step.grade })
          } else if (step.kind === 'take back') {
            const answerId = own[who][step.which]
            if (answerId === undefined) continue
            const id = uuid()
            await put(who, { do: 'void', id, answerId, reason: 'r', at }, id)
            const gone = online.findIndex((one) => one.id === answerId)
            if (gone >= 0) online.splice(gone, 1)
          } else if (step.kind === 'send') {
            server.fate = step.fate
            await send(who)
          } else await freeLeftBehind(who)
        }
        server.fate = 'arrives'
        for (const who of PHONES) {
          await freeLeftBehind(who)
          await send(who)
        }
        expect(await device.waiting.count()).toBe(0)
        expect(server.history).toEqual(online)
        expect(posteriorsOf(server.history)).toBe(posteriorsOf(online))
      },
    ),
    { numRuns: 40 },
  )
}, 120_000)
