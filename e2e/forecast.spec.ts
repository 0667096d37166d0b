import AxeBuilder from '@axe-core/playwright'
import { addDays } from '@still-pine/core/answer'
import { enterDemo, expect, test } from './fixtures'

test('an owner’s date is asked, a what-if is read, and what was shown is kept', async ({ page, demo }) => {
  test.setTimeout(300_000)
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Curlew}/reading`)
  const part = page.locator('section').filter({ hasText: 'When it comes to its gate' })
  const today = new Date().toISOString().slice(0, 10)
  await part.getByLabel('Asked for by').fill(addDays(today, 60))
  await part.getByRole('button', { name: 'Work out when' }).click()
  // It grows as futures are drawn, and never says a day without its range.
  await expect(part.getByText(/Drawing futures: \d+ of 200/)).toBeVisible({ timeout: 60_000 })
  await expect(part.getByText('From 200 made-up futures of this horse')).toBeVisible({ timeout: 150_000 })
  await expect(part.getByText(/\(8 of 10 such horses\)|Not within half a year/)).toBeVisible()
  await expect(part.getByText(/\d+ of 10 by/)).toBeVisible()
  await expect(part.getByRole('heading', { name: 'What holds it most' })).toBeVisible()
  await part.getByRole('button', { name: 'One more day a week' }).click()
  await expect(part.getByText(/sooner|later|no difference/)).toBeVisible({ timeout: 150_000 })
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map(({ id }) => id)).toEqual([])
  await expect(page.getByText('all saved')).toBeVisible()
  const reply = await page.request.get(`${demo.url}/api/v1/horses/${id.Curlew}/entries`)
  const { entries } = (await reply.json()) as { entries: { kind: string; days?: unknown[] }[] }
  expect(entries.filter(({ kind }) => kind === 'forecast').map(({ days }) => days?.length)).toEqual([19])
  // Told to its owner, and held against what comes.
  await page.goto(`${demo.url}/horses/${id.Curlew}/report`)
  await expect(page.getByText(/as reckoned on/)).toBeVisible()
  await page.goto(`${demo.url}/yard/judging`)
  await expect(
    page.getByText('0 forecasts of 1 can be held against what came', { exact: false }),
  ).toBeVisible()
})

test('what a hold or a block forbids is not forecast, and the reason is said', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Whin}/reading`)
  const part = page.locator('section').filter({ hasText: 'When it comes to its gate' })
  for (const day of ['Mon', 'Wed', 'Fri']) await part.getByLabel(day).uncheck()
  await part.getByRole('button', { name: 'Work out when' }).click()
  await expect(part.getByText('No day of the week is planned.')).toBeVisible({ timeout: 60_000 })
})
