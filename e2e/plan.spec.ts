import type { Page } from '@playwright/test'
import { moveByKeys, addHorse, enterDemo, expect, PHONE, test, wait } from './fixtures'
import { keepDays } from './kept-days'
import { lying } from './this-device'

const bursts = (page: Page) => page.getByRole('list', { name: 'Bursts' }).locator('b.font-name')

const change = async (page: Page, burst: number, what: string | RegExp): Promise<void> => {
  await page.getByRole('button', { name: new RegExp(`^Change .*, burst ${burst}$`) }).click()
  await page.getByRole('button', { name: what }).click()
}

/** Leaves the first burst out for today; gives the name of what comes first then. */
const leaveFirstOut = async (page: Page): Promise<string> => {
  await expect(bursts(page).first()).toBeVisible()
  const [first] = await bursts(page).allTextContents()
  await change(page, 1, 'Leave it out today')
  await expect.poll(async () => (await bursts(page).allTextContents()).includes(first!)).toBe(false)
  const [now] = await bursts(page).allTextContents()
  return now!
}

test('today’s plan says why, and is planned again around what a person wants', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/before/${id.Bittern}`)
  await expect(bursts(page).first()).toBeVisible()
  const planned = await bursts(page).allTextContents()
  // A burst's reasons stand where it is touched, on the ribbon or in the list.
  const reasons = page.getByText(/Rule: /).filter({ visible: true })
  for (const touched of [
    page.getByRole('button', { name: /^Burst 1: / }),
    page.getByRole('list', { name: 'Bursts' }).getByRole('button', { expanded: false }).first(),
  ]) {
    await touched.click()
    await expect(reasons).toHaveCount(1)
  }

  await change(page, 2, 'Leave it out today')
  await expect(page.getByText(/^Your changes cost/)).toBeVisible()
  await expect.poll(() => bursts(page).allTextContents()).not.toContain(planned[1])
  await change(page, 1, 'Keep it in this place')
  await expect(page.getByText(/put here by you/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo them' }).click()
  await expect.poll(() => bursts(page).allTextContents()).toEqual(planned)

  // What was undone has reached the server: the list is not drawn anew while a burst is in the air.
  await expect(page.getByRole('button', { name: 'Undo them' })).toBeHidden()
  await expect(page.getByText(/all saved/).first()).toBeAttached({ timeout: 15_000 })
  await page.waitForLoadState('networkidle')

  // Space takes a burst up, an arrow moves it, Space puts it down.
  await page.getByRole('button', { name: /^Move .*, burst 1$/ }).focus()
  await moveByKeys(page, ['ArrowDown'])
  await expect.poll(async () => (await bursts(page).allTextContents())[1]).toBe(planned[0])
  await page.getByRole('button', { name: 'Undo them' }).click()
})

test('a session is planned for its minutes, its place, its hands and its weather', async ({ page, demo }) => {
  await enterDemo(page, demo)
  const id = await addHorse(page, demo, { name: 'Ruff' })
  await page.goto(`${demo.url}/before/${id}`)
  await page.getByLabel('Minutes').selectOption('10')
  await expect(page.getByRole('article').getByText(/minutes on the ground/)).toBeVisible()
  await page.getByLabel('Minutes').selectOption('')
  await page.getByLabel('Weather').selectOption('heat')
  await expect(page.getByRole('article').getByText(/short in the heat/)).toBeVisible()
  await page.getByLabel('Weather').selectOption('fair')
  const sent = page.waitForRequest(/answers\/batch$/)
  await page.getByLabel('Hands').selectOption('one')
  await sent
  // What was said holds for the day, also after the page was left.
  await page.reload()
  await expect(page.getByLabel('Hands')).toHaveValue('one')
})

test('what is arranged at the desk is run at the pen, on another device', async ({ page, browser, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/before/${id.Curlew}`)
  const now = await leaveFirstOut(page)
  await expect.poll(async () => (await lying(page, 'waiting')).length).toBe(0)

  const phone = await (await browser.newContext(PHONE)).newPage()
  await enterDemo(phone, demo)
  await phone.goto(`${demo.url}/pen/${id.Curlew}`)
  await expect(phone.getByText(/^1 of \d+ · ask 0 of/)).toBeVisible()
  await expect(
    phone.getByRole('combobox').or(phone.getByRole('button')).filter({ hasText: now }).first(),
  ).toBeVisible()
  await phone.goto(`${demo.url}/before/${id.Curlew}`)
  await expect.poll(async () => (await bursts(phone).allTextContents())[0]).toBe(now)
  await phone.context().close()
})

test.describe('on a phone', () => {
  test.use(PHONE)

  test('the pen runs the plan as it was arranged', async ({ page, demo }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/before/${id.Curlew}`)
    const now = await leaveFirstOut(page)
    await page.getByRole('link', { name: /^Take Curlew to the pen/ }).click()
    await expect(page.getByText(/^1 of \d+ · ask 0 of/)).toBeVisible()
    await expect(
      page.getByRole('combobox').or(page.getByRole('button')).filter({ hasText: now }).first(),
    ).toBeVisible()
  })

  test('the rest follows what happens: no more of what went badly at its smallest', async ({
    page,
    demo,
  }) => {
    await enterDemo(page, demo)
    const id = await addHorse(page, demo, { name: 'Dunlin' })
    const settled = Array.from({ length: 4 }, () => ({ step: 'settle-in-pen', rung: 4, grade: 0 }))
    await keepDays(page, demo, { horseId: id, days: [settled, settled, settled, settled] })
    const place = { name: 'Stone pen', suits: ['loose'], home: false, note: '', version: 0 }
    await page.request.put(`${demo.url}/api/v1/places/${crypto.randomUUID()}`, {
      headers: { origin: demo.url },
      data: place,
    })
    await page.evaluate(() => localStorage.setItem('where', 'Stone pen'))
    await page.goto(`${demo.url}/pen/${id}`)
    await expect(page.getByText(/^1 of \d+ · ask 0 of/)).toBeVisible()
    const steps = async (): Promise<readonly string[]> =>
      (await lying<{ state: { bursts: { step: string }[] } }>(page, 'drafts'))
        .at(-1)!
        .state.bursts.map(({ step }) => step)
    await expect.poll(steps).toContain('first-touch')
    for (let i = 0; i < 2; i++) {
      await page.getByRole('button', { name: /^Ask/ }).click()
      // Two presses this close would be one: the pen drops the second.
      await wait(page, 900)
      await page.getByRole('button', { name: /^No answer/ }).click()
      await wait(page, 900)
    }
    await expect(page.getByText(/The rest is planned again: no more .* today/)).toBeVisible()
    // Nothing there suits the touching of a horse.
    await expect.poll(steps).not.toContain('first-touch')
  })
})

test('a step is read: light by answer, sure over the days, each with its sentence', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Sedge}/steps/flag`)
  const light = page.getByRole('img', {
    name: /^Lightness of Flag, answer by answer\. Left \d of the last 8 light/,
  })
  await expect(light.locator('svg')).toBeVisible()
  const chance = page.getByRole('img', { name: /weeks of rest would leave \d+ % and \d+ %\.$/ })
  await expect(chance.locator('svg')).toBeVisible()
  await expect(page.getByText(/s to settle in the last 5/)).toBeVisible()
})
