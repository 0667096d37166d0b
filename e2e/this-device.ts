import type { SavedAnswer } from '@still-pine/contract'
import type { Page } from '@playwright/test'
import { enterDemo, expect } from './fixtures'
import type { Product } from './product'

type Shelf = 'waiting' | 'carried' | 'replies' | 'drafts' | 'facts'

/** What lies in a part of the device's own store, read beside the app. */
export const lying = <T = Record<string, unknown>>(page: Page, shelf: Shelf): Promise<T[]> =>
  page.evaluate(
    (name) =>
      new Promise<T[]>((resolve, reject) => {
        const open = indexedDB.open('still-pine')
        open.onerror = () => reject(open.error!)
        open.onsuccess = () => {
          const all = open.result.transaction(name).objectStore(name).getAll()
          all.onsuccess = () => {
            open.result.close()
            resolve(all.result as T[])
          }
        }
      }),
    shelf,
  )

/** Puts something into the device's own store beside the app, as a fault or an earlier version would leave it. */
export const lay = (page: Page, shelf: Shelf, values: readonly object[]): Promise<void> =>
  page.evaluate(
    ([name, all]) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('still-pine')
        open.onerror = () => reject(open.error!)
        open.onsuccess = () => {
          const change = open.result.transaction(name, 'readwrite')
          for (const value of all) change.objectStore(name).put(value)
          change.oncomplete = () => {
            open.result.close()
            resolve()
          }
          change.onerror = () => reject(change.error!)
        }
      }),
    [shelf, values] as const,
  )

/** Waits until the app is on the device and today’s horses with it. */
export const settleIn = async (page: Page, horses: number): Promise<void> => {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await expect
    .poll(async () => (await lying(page, 'carried')).length, { timeout: 150_000 })
    .toBeGreaterThanOrEqual(horses)
}

/** Signs in to the demo and waits until everything is on the device; gives the ids of the horses by name. */
export const settledIn = async (page: Page, demo: Product): Promise<Record<string, string>> => {
  const id = await enterDemo(page, demo)
  await settleIn(page, Object.keys(id).length)
  return id
}

export const savedOf = async (
  page: Page,
  { url }: Product,
  { horse, step }: { horse: string; step: string },
): Promise<readonly SavedAnswer[]> => {
  const reply = await page.request.get(`${url}/api/v1/horses/${horse}/steps/${step}/answers`)
  return ((await reply.json()) as { answers: SavedAnswer[] }).answers
}

/** An answer as the outbox holds it, with no more told than must be; `order` is left to the store. */
export const entry = (
  personId: string,
  horseId: string,
  answer: Record<string, unknown> & { id: string; sessionId: string },
) => ({
  id: answer.id,
  personId,
  horseId,
  readyAt: 0,
  keptAt: Date.now(),
  item: {
    do: 'add',
    answer: {
      horseId,
      step: 'face-up',
      side: 'none',
      rung: 1,
      grade: 1,
      calm: 0,
      at: new Date().toISOString(),
      ...answer,
    },
  },
})

export const session = (
  personId: string,
  horseId: string,
  { id, startedAt }: { id: string; startedAt: string },
) => ({
  id,
  personId,
  horseId,
  readyAt: 0,
  keptAt: Date.now(),
  item: { do: 'session', session: { id, horseId, startedAt, place: null } },
})
