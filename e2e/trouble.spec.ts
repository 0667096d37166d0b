import { addHorse, enterDemo, expect, PHONE, test, wait } from './fixtures'
import { startProduct } from './product'

const DAY_MS = 86_400_000

test('a trouble is told in the yard’s words and traced to what is wanting', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Lapwing}/trouble`)
  await page.getByLabel('What goes wrong?').fill('refuses the trailer')
  await page.getByRole('button', { name: 'will not load' }).click()
  const suspects = page.getByRole('heading', { name: 'The likeliest missing steps' }).locator('..')
  await expect(suspects.getByRole('listitem').first()).toContainText(/rung \d|Not open yet|gate is shut/)
  // Several at once, and the body looked at first where it could hurt.
  await page.getByLabel('What goes wrong?').fill('girth')
  await page.getByRole('button', { name: 'cold-backed' }).click()
  await expect(page.getByRole('heading', { name: 'First', exact: true })).toBeVisible()
  await expect(page.getByText(/the fitter looks first/)).toBeVisible()
  // The choice is in the address: it can be sent, and comes back.
  await page.reload()
  await expect(page.getByRole('button', { name: 'will not load' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByLabel('What goes wrong?').fill('xyzzy')
  await expect(page.getByText(/No trouble here goes by these words/)).toBeVisible()
})

test('counters say what they count', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Snipe}/counts`)
  for (const words of ['calendar days since it came', 'handling days', 'sessions'])
    await expect(page.getByText(words, { exact: true })).toBeVisible()
  await expect(page.getByRole('row').nth(1)).toBeVisible()
  const untouched = await addHorse(page, demo, { name: 'Tansy' })
  await page.goto(`${demo.url}/horses/${untouched}/counts`)
  await expect(page.getByText(/Nothing was asked of Tansy yet/)).toBeVisible()
})

test.describe('on a phone', () => {
  test.use(PHONE)

  test('after a break the fewest first asks are run in the pen and told against before', async ({ page }) => {
    const product = await startProduct({ demo: true })
    const id = await enterDemo(page, product)
    await product.kill()
    await product.start(new Date(Date.now() + 80 * DAY_MS).toISOString())
    await page.goto(`${product.url}/horses/${id.Lapwing}/recheck`)
    await expect(page.getByText(/8\d calendar days ago/)).toBeVisible()
    expect(await page.getByRole('row').count()).toBeGreaterThan(1)
    await page.getByRole('button', { name: /in the pen$/ }).tap()
    await expect(page.getByText(/^check 1 of/)).toBeVisible()
    await page.getByRole('button', { name: /^(Ask|Start|Answered|Settled)/ }).tap()
    await wait(page, 700)
    await page.getByRole('button', { name: /^(Ask|Start|Answered|Settled)/ }).tap()
    await page.getByRole('group', { name: 'How loose was it' }).getByText('Loose').tap()
    await page.getByRole('link', { name: 'Sheet' }).tap()
    await expect(page.getByText(/^(as|less than) before the break$/).first()).toBeVisible({ timeout: 30_000 })
    await product.stop()
  })
})
