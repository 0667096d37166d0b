import { addHorse, enterDemo, expect, PHONE, test } from './fixtures'

test('a page shows what other devices send, as it is saved', async ({ page, browser, demo }) => {
  await enterDemo(page, demo)
  const id = await addHorse(page, demo, { name: 'Dotterel' })
  await page.goto(`${demo.url}/before/${id}`)
  await expect(page.getByLabel('Minutes')).toHaveValue('')
  await expect(page.getByRole('banner').getByText(/as of \d/)).toBeVisible()

  const phone = await (await browser.newContext(PHONE)).newPage()
  await enterDemo(phone, demo)
  await phone.goto(`${demo.url}/before/${id}`)
  await phone.getByText('Minutes, place, hands, weather').click()
  await phone.getByLabel('Minutes').selectOption('10')
  await expect(page.getByLabel('Minutes')).toHaveValue('10')
  await addHorse(phone, demo, { name: 'Plover' })
  await expect(page.getByRole('navigation', { name: 'Today’s horses' }).getByText('Plover')).toBeVisible()
  // And the other way, to a second tab that listens through the first.
  const tab = await phone.context().newPage()
  await tab.goto(`${demo.url}/before/${id}`)
  await expect(tab.getByLabel('Minutes')).toHaveValue('10')
  await page.getByLabel('Minutes').selectOption('15')
  await expect(phone.getByLabel('Minutes')).toHaveValue('15')
  await expect(tab.getByLabel('Minutes')).toHaveValue('15')
  await phone.context().close()
})

test('a page says how old it is, and looks again when it is looked at where nothing is told', async ({
  page,
  demo,
}) => {
  await page.route('**/api/v1/changes', (route) => route.abort())
  await page.clock.install()
  await enterDemo(page, demo)
  const id = await addHorse(page, demo, { name: 'Godwit' })
  await page.goto(`${demo.url}/before/${id}`)
  await expect(page.getByLabel('Minutes')).toBeVisible()
  await page.clock.runFor('20:00')
  await expect(page.getByRole('banner').getByText(/as of .*\(\d+ min ago\)/)).toBeVisible()
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')))
  await expect(page.getByRole('banner').getByText(/min ago/)).toHaveCount(0)
})
