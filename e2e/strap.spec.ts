import type { Entry } from '@still-pine/contract'
import type { Page } from '@playwright/test'
import { enterDemo, expect, press, test } from './fixtures'
import type { Product } from './product'

const saved = (page: Page) => expect(page.getByText(/all saved/).first()).toBeAttached({ timeout: 15_000 })

const sensedOf = async (page: Page, demo: Product, horse: string): Promise<readonly Entry[]> => {
  const reply = await page.request.get(`${demo.url}/api/v1/horses/${horse}/entries`)
  const { entries } = (await reply.json()) as { entries: Entry[] }
  return entries.filter(({ kind }) => kind === 'sensed')
}

/** A strap needs half a minute of rest before an ask. */
const REST_MS = 31_000

test('a strap is heard through a session, artefacts and all, and stands beside the mark', async ({
  page,
  context,
  demo,
}) => {
  test.setTimeout(180_000)
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Bramble}?step=give-to-halter`)
  await page.getByRole('button', { name: /^Ask/ }).waitFor()
  const popup = context.waitForEvent('page')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('button', { name: 'Simulated strap' }).click()
  const strap = await popup
  await strap.getByRole('button', { name: 'Startle it' }).waitFor()
  await strap.getByRole('slider', { name: 'Back to rest' }).fill('6')
  await page.keyboard.press('Escape')
  const heart = page.getByTestId('heart')
  await expect(heart).toContainText(/Heart (3\d|4\d)/, { timeout: 10_000 })
  // A wave counted twice, and two messages that no heart sends.
  await strap.getByRole('button', { name: 'Count a wave twice' }).click()
  await page.waitForTimeout(8_000)
  await strap.getByRole('button', { name: 'Send 400 a minute' }).click()
  await expect(heart).toContainText('Heart 400')
  await strap.getByRole('button', { name: 'Send the heart again' }).click()
  await page.waitForTimeout(REST_MS)
  await page.bringToFront()
  await press(page, 'PageDown')
  await strap.getByRole('button', { name: 'Startle it' }).click()
  await page.bringToFront()
  await page.waitForTimeout(1_500)
  await press(page, 'PageDown')
  await press(page, 't')
  // 57 above rest and six seconds to a third of it: near rest after about ten, whatever the person said.
  await expect(heart).toContainText(/back to rest after ([5-9]|1\d) seconds/, { timeout: 40_000 })
  await expect
    .poll(() => sensedOf(page, demo, id.Bramble!), { timeout: 15_000 })
    .toMatchObject([{ step: 'give-to-halter', heart: { byHeart: 0 }, pull: null }])
  await page.goto(`${demo.url}/horses/${id.Bramble}/steps/give-to-halter`)
  await expect(page.getByText('The heart agrees with the mark in 0 of 1; says looser in 1.')).toBeVisible()
  await page.getByText('Answer by answer: 1').click()
  await expect(
    page.getByRole('cell', { name: /at rest, .* back after \d+ seconds: says loose/ }),
  ).toBeVisible()
  await expect(page.getByRole('cell', { name: /tight/ })).toBeVisible()
})

test('a strap that sends nonsense has no reading, and the answer is kept as ever', async ({
  page,
  context,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Lapwing}?step=stand`)
  const strap = await context.newPage()
  await strap.goto(`${demo.url}/stand-ins/strap.html`)
  await strap.getByRole('button', { name: 'Send 400 a minute' }).click()
  await page.bringToFront()
  await expect(page.getByTestId('heart')).toContainText('Heart 400', { timeout: 10_000 })
  await press(page, 'PageDown')
  await page.waitForTimeout(1_500)
  await press(page, 'PageDown')
  await strap.close()
  await expect(page.getByTestId('heart')).toBeHidden({ timeout: 10_000 })
  // Leaving the pen ends the listening.
  await page.getByRole('link', { name: /Done/ }).first().click()
  await saved(page)
  expect(await sensedOf(page, demo, id.Lapwing!)).toEqual([])
})
