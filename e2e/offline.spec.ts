import { randomUUID } from 'node:crypto'
import type { Session } from '@still-pine/contract'
import type { Page } from '@playwright/test'
import { enterDemo, expect, PHONE, test, press, wait } from './fixtures'
import { entry, savedOf, lay, lying, session, settledIn } from './this-device'

test.use({ serviceWorkers: 'allow' })
// Ten horses are carried along first, which on a busy machine takes its time.
test.describe.configure({ timeout: 300_000 })

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name }).filter({ visible: true })

const allSaved = (page: Page) =>
  expect(page.getByText(/all saved/i).first()).toBeAttached({ timeout: 60_000 })

/** Logs asks by keyboard: milliseconds to the answer, and the key of the calm. */
const logAsks = async (page: Page, asks: readonly (readonly [ms: number, calm: string])[]): Promise<void> => {
  // Where tests before this one worked the horse, its week may be full: one more day is a person's to say.
  const oneMore = button(page, /^One more load day this week/)
  await expect(oneMore.or(button(page, /^Ask/)).first()).toBeVisible()
  if (await oneMore.isVisible()) await oneMore.click()
  await button(page, /^Ask/).first().waitFor()
  for (const [ms, calm] of asks) {
    await press(page, 'Space')
    await wait(page, Math.max(200, ms - 300))
    await press(page, 'Space')
    await page.keyboard.press(calm)
    await wait(page, 250)
  }
}

const sessionsOf = async (page: Page, url: string, horse: string): Promise<readonly Session[]> => {
  const reply = await page.request.get(`${url}/api/v1/sessions?horseId=${horse}`)
  return ((await reply.json()) as { sessions: Session[] }).sessions
}

const meOf = async (page: Page): Promise<string> => {
  const facts = await lying<{ key: string; value: string }>(page, 'facts')
  return facts.find(({ key }) => key === 'person')!.value
}

test.describe('on a phone', () => {
  test.use(PHONE)

  test('a whole day without signal: opened cold, logged, judged, noted, and sent when signal is back', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    const before = await savedOf(page, demo, { horse: id.Snipe!, step: 'loose-turn-in' })
    await context.setOffline(true)
    // The phone was off: a new page, and nothing but what lies on it.
    await page.close()
    const cold = await context.newPage()
    await cold.goto(`${demo.url}/horses/${id.Snipe}`)
    await expect(cold.getByText(/No signal\. What you see of Snipe is what this device knows/)).toBeVisible()
    await expect(cold.locator('[data-step=loose-turn-in]')).toBeVisible()
    await cold.goto(`${demo.url}/pen/${id.Snipe}?step=loose-turn-in`)
    await logAsks(cold, [
      [700, 'l'],
      [900, 'w'],
      [800, 'l'],
    ])
    await button(cold, 'Danger').tap()
    await button(cold, 'Kick').tap()
    await cold.goto(`${demo.url}/horses/${id.Snipe}/steps/loose-turn-in`)
    await expect(cold.getByText(/last asked today/).first()).toBeVisible()
    await expect(cold.getByRole('status').getByText(/\d waiting, oldest /)).toBeVisible()
    await cold.goto(`${demo.url}/horses/${id.Snipe}/incidents`)
    await expect(cold.getByText(/Kick/).first()).toBeVisible()
    await cold.goto(`${demo.url}/horses/${id.Snipe}/steps/loose-turn-in/card`)
    await expect(cold.getByText('Counts:')).toBeVisible()
    await cold.goto(`${demo.url}/before/${id.Snipe}`)
    await expect(cold.getByRole('heading', { level: 1, name: 'Snipe' })).toBeVisible()
    await cold.goto(`${demo.url}/after/${id.Snipe}`)
    await cold.getByRole('textbox', { name: 'Note' }).fill('Wind, and still soft.')
    await button(cold, 'Confirm this session').tap()
    await expect(cold.getByText(/Confirmed at/)).toBeVisible()
    await context.setOffline(false)
    await allSaved(cold)
    const after = await savedOf(cold, demo, { horse: id.Snipe!, step: 'loose-turn-in' })
    const ids = (answers: readonly { readonly id: string }[]) => answers.map(({ id: one }) => one)
    expect(ids(after.slice(3))).toEqual(ids(before.slice(0, after.length - 3)))
    expect(after.slice(0, 3).map(({ calm }) => calm)).toEqual([0, 1, 0])
    const [newest] = await sessionsOf(cold, demo.url, id.Snipe!)
    expect(newest!.note).toBe('Wind, and still soft.')
    const care = await cold.request.get(`${demo.url}/api/v1/horses/${id.Snipe}/incidents`)
    const { incidents } = (await care.json()) as { incidents: { kind: string; step: string }[] }
    expect(incidents.at(-1)).toMatchObject({ kind: 'kick', step: 'loose-turn-in' })
  })

  test('what this device judges without signal is what the server judges of the same answers', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    await context.setOffline(true)
    await page.goto(`${demo.url}/pen/${id.Burdock}?step=lead-up`)
    await logAsks(page, [
      [700, 'l'],
      [2_300, 't'],
    ])
    await page.goto(`${demo.url}/horses/${id.Burdock}`)
    await expect(page.getByRole('list', { name: 'The nine stages' })).toBeVisible()
    const here = await page.evaluate(
      async (horse) =>
        new Promise<unknown>((resolve) => {
          const open = indexedDB.open('still-pine')
          open.onsuccess = () => {
            const all = open.result.transaction('replies').objectStore('replies').getAll()
            all.onsuccess = () =>
              resolve(
                (all.result as { key: string; body: unknown }[]).find(
                  ({ key }) => key === `horses/${horse}/line`,
                )?.body,
              )
          }
        }),
      id.Burdock!,
    )
    await context.setOffline(false)
    await allSaved(page)
    const there = await page.request.get(`${demo.url}/api/v1/horses/${id.Burdock}/line`)
    // Two engines may round the last place of an exponential apart.
    const asRead = (line: unknown): unknown =>
      JSON.parse(JSON.stringify(line), (_key, value: unknown) =>
        typeof value === 'number' ? Number(value.toPrecision(12)) : value,
      )
    expect(asRead(here)).toEqual(asRead(await there.json()))
  })
})

test('two phones log one horse at once without signal: both are kept, and shown as overlapping', async ({
  browser,
  demo,
}) => {
  const phones = await Promise.all([1, 2].map(() => browser.newContext({ serviceWorkers: 'allow' })))
  await Promise.all(phones.map((phone) => phone.clock.install()))
  const pages = await Promise.all(phones.map((phone) => phone.newPage()))
  let id: Record<string, string> = {}
  for (const page of pages) {
    id = await settledIn(page, demo)
  }
  const before = (await savedOf(pages[0]!, demo, { horse: id.Teal!, step: 'face-up' })).length
  await Promise.all(phones.map((phone) => phone.setOffline(true)))
  await Promise.all(
    pages.map(async (page) => {
      await page.goto(`${demo.url}/pen/${id.Teal}?step=face-up`)
      await logAsks(page, [
        [600, 'l'],
        [800, 'w'],
      ])
      await wait(page, 500)
    }),
  )
  await Promise.all(phones.map((phone) => phone.setOffline(false)))
  await Promise.all(pages.map(allSaved))
  const answers = await savedOf(pages[0]!, demo, { horse: id.Teal!, step: 'face-up' })
  expect(answers).toHaveLength(before + 4)
  const [one, two] = await sessionsOf(pages[0]!, demo.url, id.Teal!)
  expect([one!.overlaps, two!.overlaps]).toEqual([true, true])
  await Promise.all(phones.map((phone) => phone.close()))
})

test('a reply that is lost doubles nothing, and a database that is away loses nothing', async ({
  page,
  context,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  const before = (await savedOf(page, demo, { horse: id.Sedge!, step: 'face-up' })).length
  let lost = 0
  await context.route('**/answers/batch', async (route) => {
    if (lost >= 2) return route.continue()
    lost += 1
    // The server does its work, and its answer never comes.
    await route.fetch()
    await route.abort()
  })
  await page.goto(`${demo.url}/pen/${id.Sedge}?step=face-up`)
  await logAsks(page, [
    [600, 'l'],
    [700, 'l'],
  ])
  await expect(page.getByText(/\d waiting, oldest/)).toBeVisible({ timeout: 20_000 })
  await allSaved(page)
  expect(lost).toBe(2)
  expect(await savedOf(page, demo, { horse: id.Sedge!, step: 'face-up' })).toHaveLength(before + 2)
  await demo.database.stop()
  await logAsks(page, [[650, 'w']])
  await expect(page.getByText(/\d waiting, oldest/)).toBeVisible({ timeout: 30_000 })
  await demo.database.start()
  await allSaved(page)
  expect(await savedOf(page, demo, { horse: id.Sedge!, step: 'face-up' })).toHaveLength(before + 3)
})

test('a step is read without signal as the server tells it', async ({ page, context, demo }) => {
  const id = await settledIn(page, demo)
  const charts = page.getByRole('img', { name: /^(Lightness|Chance|Left against right) of/ })
  const labels = async (): Promise<(string | null)[]> => {
    await page.goto(`${demo.url}/horses/${id.Sedge}/steps/yield-hind`)
    await expect(charts).toHaveCount(3, { timeout: 20_000 })
    return Promise.all((await charts.all()).map((chart) => chart.getAttribute('aria-label')))
  }
  const told = await labels()
  await context.setOffline(true)
  expect(await labels()).toEqual(told)
  await context.setOffline(false)
})

test('five hundred answers are sent in their order', async ({ page, context, demo }) => {
  const id = await enterDemo(page, demo)
  const me = await meOf(page)
  await context.setOffline(true)
  const at = (i: number): string => new Date(Date.now() - (600 - i) * 1000).toISOString()
  const sessionId = randomUUID()
  const entries = Array.from({ length: 500 }, (_, i) =>
    entry(me, id.Curlew!, { id: randomUUID(), sessionId, at: at(i), seconds: i }),
  )
  await lay(page, 'waiting', [session(me, id.Curlew!, { id: sessionId, startedAt: at(0) }), ...entries])
  await context.setOffline(false)
  await page.goto(`${demo.url}/yard/waiting`)
  await allSaved(page)
  const kept = await page.request.get(`${demo.url}/api/v1/sessions/${sessionId}`)
  const { answers } = (await kept.json()) as { answers: { seconds: number }[] }
  expect(answers.map(({ seconds }) => seconds)).toEqual(Array.from({ length: 500 }, (_, i) => i))
})

test('what the server refuses is kept, explained and mended, and holds up nothing', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  const me = await meOf(page)
  const before = (await savedOf(page, demo, { horse: id.Lapwing!, step: 'face-up' })).length
  const now = new Date().toISOString()
  const nextYear = new Date(Date.now() + 365 * 86_400_000).toISOString()
  const [good, gone, ahead] = [randomUUID(), randomUUID(), randomUUID()]
  const nobody = randomUUID()
  await lay(page, 'waiting', [
    session(me, nobody, { id: gone, startedAt: now }),
    entry(me, nobody, { id: randomUUID(), sessionId: gone }),
    session(me, id.Lapwing!, { id: ahead, startedAt: nextYear }),
    entry(me, id.Lapwing!, { id: randomUUID(), sessionId: ahead, at: nextYear }),
    session(me, id.Lapwing!, { id: good, startedAt: now }),
    entry(me, id.Lapwing!, { id: randomUUID(), sessionId: good, rung: 9 }),
    { ...entry(me, id.Lapwing!, { id: randomUUID(), sessionId: good }), item: { do: 'add', answer: null } },
    entry(me, id.Lapwing!, { id: randomUUID(), sessionId: good }),
  ])
  await page.goto(`${demo.url}/yard/waiting`)
  await expect(page.getByText(/need you/i).first()).toBeVisible({ timeout: 20_000 })
  // The last one, behind all that was refused, is there.
  await expect
    .poll(async () => (await savedOf(page, demo, { horse: id.Lapwing!, step: 'face-up' })).length)
    .toBe(before + 1)
  const group = (text: string) => page.getByRole('article').filter({ hasText: text })
  await group('not in your yard').getByLabel('They belong to').selectOption('Lapwing')
  await group('not in your yard').getByRole('button', { name: 'Send them so' }).click()
  await group('24 hours ahead').getByRole('button', { name: 'Send all at that time' }).click()
  await group('9').getByLabel('Rung').selectOption('2 turns head')
  await group('9').getByRole('button', { name: 'Send it so' }).click()
  await expect
    .poll(async () => (await savedOf(page, demo, { horse: id.Lapwing!, step: 'face-up' })).length)
    .toBe(before + 4)
  // What cannot be read at all can only be let go.
  await button(page, 'Let what is spoilt go').click()
  await allSaved(page)
})

test.describe('with a wrong clock', () => {
  // The page's clock alone can be set here, and the service worker, which may send as well, would have another.
  test.use({ serviceWorkers: 'block' })

  test('a phone a year behind is set right by the server’s clock', async ({ page, context, demo }) => {
    const id = await enterDemo(page, demo)
    const before = (await savedOf(page, demo, { horse: id.Bramble!, step: 'face-up' })).length
    await page.goto(`${demo.url}/pen/${id.Bramble}?step=face-up`)
    await button(page, /^Ask/).first().waitFor()
    await context.setOffline(true)
    await page.clock.setSystemTime(Date.now() - 365 * 86_400_000)
    await logAsks(page, [[700, 'l']])
    await expect(page.getByText(/\d waiting, oldest/)).toBeVisible({ timeout: 20_000 })
    await context.setOffline(false)
    await allSaved(page)
    const answers = await savedOf(page, demo, { horse: id.Bramble!, step: 'face-up' })
    expect(answers).toHaveLength(before + 1)
    expect(Math.abs(Date.parse(answers[0]!.at) - Date.now())).toBeLessThan(5 * 60_000)
  })
})

test('a device that is full makes room, and says so where there is none', async ({ page, context, demo }) => {
  // No browser can be filled on demand: its own store is made to say what it says when it is full, so many times.
  await page.addInitScript(() => {
    const { add } = IDBObjectStore.prototype
    IDBObjectStore.prototype.add = function full(this: IDBObjectStore, ...args: Parameters<typeof add>) {
      const times = Number(sessionStorage.getItem('full') ?? 0)
      if (this.name !== 'waiting' || times === 0) return add.apply(this, args)
      sessionStorage.setItem('full', String(times - 1))
      throw new DOMException('The disk is full.', 'QuotaExceededError')
    }
  })
  const id = await settledIn(page, demo)
  await page.goto(`${demo.url}/pen/${id.Teal}?step=settle-in-pen`)
  await button(page, /^Start/)
    .first()
    .waitFor()
  await context.setOffline(true)
  const log = async (fullTimes: number): Promise<void> => {
    await page.evaluate((times) => sessionStorage.setItem('full', String(times)), fullTimes)
    await press(page, 'Space')
    await wait(page, 400)
    await press(page, 'Space')
  }
  await log(2)
  await expect(page.getByText(/Not kept: this device has no room left/)).toBeVisible()
  expect(await lying(page, 'waiting')).toEqual([])
  await expect(page.getByRole('img', { name: /1 answer/ })).toHaveCount(0)
  // The copies have made way, and the next answer finds room at once or after that.
  expect(await lying(page, 'carried')).toEqual([])
  await log(1)
  await expect.poll(async () => (await lying(page, 'waiting')).length).toBe(2)
  await context.setOffline(false)
  await allSaved(page)
})

test('a browser that keeps nothing says so before the first answer', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('Not in a private window.', 'SecurityError')
    }
  })
  await page.goto(`${demo.url}/pen/${id.Sedge}?step=face-up`)
  await expect(page.getByText(/This browser keeps nothing on this device/)).toBeVisible()
  await expect(button(page, /^Ask/).first()).toBeDisabled()
})

test('records that were spoilt are fetched anew', async ({ page, context, demo }) => {
  const id = await settledIn(page, demo)
  const me = await meOf(page)
  await lay(page, 'carried', [{ personId: me, horseId: id.Sedge, answers: 'rats were here' }])
  await lay(page, 'drafts', [{ personId: me, horseId: id.Sedge, state: { answers: 7 } }])
  await page.goto(`${demo.url}/pen/${id.Sedge}?step=face-up`)
  await button(page, /^Ask/).first().waitFor()
  // In the pen nothing is carried; anywhere else it is.
  await page.goto(`${demo.url}/before/${id.Sedge}`)
  await expect
    .poll(
      async () => {
        const all = await lying<{ horseId: string; answers: unknown }>(page, 'carried')
        return Array.isArray(all.find(({ horseId }) => horseId === id.Sedge)?.answers)
      },
      { timeout: 90_000 },
    )
    .toBe(true)
  await context.setOffline(true)
  await page.goto(`${demo.url}/horses/${id.Sedge}`)
  await expect(page.locator('[data-step=face-up]')).toBeVisible()
})

test('leaving keeps what waits for its person, or wipes it; a lost phone is cut off', async ({
  page,
  context,
  browser,
  demo,
}) => {
  const id = await settledIn(page, demo)
  await context.setOffline(true)
  await page.goto(`${demo.url}/pen/${id.Burdock}?step=yield-hind`)
  await logAsks(page, [[700, 'l']])
  await expect.poll(async () => (await lying(page, 'waiting')).length).toBe(2)
  await page.goto(`${demo.url}/yard/waiting`)
  await button(page, 'Sign out and keep').click()
  await expect.poll(async () => (await lying(page, 'carried')).length).toBe(0)
  await context.setOffline(false)
  await page.goto(demo.url)
  // Signed out at the server before anything else was asked of it.
  await expect(page.getByText(/2 entries of .* wait on this device/)).toBeVisible({ timeout: 20_000 })
  await button(page, 'Sign in as the demo starter').click()
  await allSaved(page)
  // Another device cuts this one off.
  const other = await browser.newContext()
  const desk = await other.newPage()
  await enterDemo(desk, demo)
  await desk.goto(`${demo.url}/yard/people`)
  const mine = await lying<{ key: string; value: string }>(page, 'facts')
  const device = mine.find(({ key }) => key === 'device')!.value
  const { devices } = (await (await desk.request.get(`${demo.url}/api/v1/devices`)).json()) as {
    devices: { id: string; personId: string }[]
  }
  const nth = devices.filter(({ id: one }) => one === device)
  expect(nth).toHaveLength(1)
  await desk.getByRole('button', { name: 'Cut it off' }).first().waitFor()
  await desk.request.put(`${demo.url}/api/v1/people/${nth[0]!.personId}/devices/${device}/cut-off`, {
    data: { cutOff: true },
    headers: { Origin: demo.url },
  })
  await page.goto(`${demo.url}/before`)
  await expect(page.getByText(/This device was cut off from the yard/)).toBeVisible()
  await expect.poll(async () => (await lying(page, 'carried')).length).toBe(0)
  await other.close()
})

/** How often the page is killed; a longer run is asked for by hand. */
const KILLS = Number(process.env.KILLS ?? 25)

test('nothing that the screen calls kept is lost however often the page is killed', async ({
  page,
  context,
  demo,
}) => {
  test.setTimeout(600_000)
  const id = await settledIn(page, demo)
  await page.goto(`${demo.url}/pen/${id.Burdock}?step=yield-hind`)
  await context.setOffline(true)
  let running = page
  let acknowledged = 0
  let draws = 1
  // A fixed sequence that looks like chance (Park and Miller 1988), so that a failure comes again.
  const chance = (): number => {
    draws = (draws * 48_271) % 2_147_483_647
    return draws / 2_147_483_647
  }
  for (let kill = 0; kill < KILLS; kill++) {
    const notAsked = button(running, /^It was not asked/)
    const ask = button(running, /^Ask/).first()
    await expect(ask.or(notAsked)).toBeVisible()
    // The life before ended in the middle of an ask: that is asked about first.
    if (await notAsked.isVisible()) await notAsked.click()
    await ask.waitFor()
    // Every other life lasts until it has seen an answer kept, on however slow a machine; the rest end anywhere.
    const before = acknowledged
    const until = Date.now() + 100 + chance() * 900
    while (Date.now() < until || (kill % 2 === 0 && acknowledged === before)) {
      await running.keyboard.press('Space')
      // Not so soon that it is the same press, or sooner than a person answers.
      await running.waitForTimeout(260 + chance() * 300)
      const words = await running.getByText(/\d+ waiting, oldest/).allInnerTexts()
      acknowledged = Math.max(
        acknowledged,
        ...words.map((text) => Number(/(\d+) waiting/.exec(text)?.[1] ?? 0)),
      )
    }
    const next = await context.newPage()
    await running.close({ runBeforeUnload: false })
    await next.goto(`${demo.url}/pen/${id.Burdock}?step=yield-hind`)
    running = next
  }
  const waiting = await lying<{ id: string }>(running, 'waiting')
  expect(acknowledged).toBeGreaterThanOrEqual(KILLS / 2)
  expect(waiting.length).toBeGreaterThanOrEqual(acknowledged)
  expect(new Set(waiting.map(({ id: one }) => one)).size).toBe(waiting.length)
  await context.setOffline(false)
  await allSaved(running)
})
