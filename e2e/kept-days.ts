import type { Page } from '@playwright/test'
import { expect } from './fixtures'
import type { Product } from './product'

interface Told {
  readonly step: string
  readonly rung: number
  readonly grade?: number
  readonly calm?: number | null
  readonly recalled?: boolean
}

const MINUTE_MS = 60_000
const DAY_MS = 86_400_000

/** Most items of one batch. */
const BATCH = 500

/** Keeps sessions of a horse, one a day up to yesterday, through the API a device uses. */
export const keepDays = async (
  page: Page,
  demo: Product,
  { horseId, days }: { horseId: string; days: readonly (readonly Told[])[] },
): Promise<void> => {
  // In the morning, so that no session runs into the next day.
  const morning = Date.parse(`${new Date().toISOString().slice(0, 10)}T08:00:00Z`)
  const items = days.flatMap((answers, nth) => {
    const start = morning - (days.length - nth) * DAY_MS
    const sessionId = crypto.randomUUID()
    const at = (n: number): string => new Date(start + (n * MINUTE_MS) / 10).toISOString()
    return [
      { do: 'session', session: { id: sessionId, horseId, startedAt: at(0) } },
      ...answers.map((answer, n) => ({
        do: 'add',
        answer: {
          id: crypto.randomUUID(),
          horseId,
          sessionId,
          side: 'none',
          grade: 1,
          calm: 0,
          at: at(n + 1),
          ...answer,
        },
      })),
    ]
  })
  for (let from = 0; from < items.length; from += BATCH) {
    const reply = await page.request.post(`${demo.url}/api/v1/answers/batch`, {
      headers: { origin: demo.url },
      data: { sentAt: new Date().toISOString(), items: items.slice(from, from + BATCH) },
    })
    const { items: told } = (await reply.json()) as { items: { status: string; reason?: string }[] }
    expect(told.filter(({ status }) => status !== 'kept')).toEqual([])
  }
}
