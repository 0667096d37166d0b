import { addHorse, enterDemo, expect, PHONE, test } from './fixtures'
import { startProduct } from './product'

test('a horse has four doors, and every page of it is two presses from the Line', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Sedge}`)
  await expect(page).toHaveTitle(/^Line · Sedge · /)
  const doors = page.getByRole('navigation', { name: 'Views of Sedge' })
  await expect(doors.getByRole('link')).toHaveText(['Line', 'How it goes', 'Record', 'Life'])
  await doors.getByRole('link', { name: 'How it goes' }).click()
  await expect(page).toHaveTitle(/^How it goes · Sedge · /)
  await page.getByRole('link', { name: 'Counts' }).click()
  await expect(page).toHaveTitle(/^Counts · Sedge · /)
  await doors.getByRole('link', { name: 'Life' }).click()
  await page.getByRole('link', { name: 'Re-check', exact: true }).first().click()
  await expect(page).toHaveTitle(/^Re-check · Sedge · /)
})

test('the record is one time line with filters and one way to add', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Yarrow}/book`)
  await expect(page).toHaveURL(`${demo.url}/horses/${id.Yarrow}/record`)
  const rows = page.getByRole('main').getByRole('listitem')
  await expect(rows.filter({ hasText: /veterinary hold/i }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Sessions' }).click()
  await expect(rows.filter({ hasText: /\d answers?/ }).first()).toBeVisible()
  await expect(page.getByRole('link', { name: /veterinary hold/i })).toHaveCount(0)
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('link', { name: 'A check, a hold or an incident' }).click()
  await expect(page).toHaveURL(`${demo.url}/horses/${id.Yarrow}/incidents`)
})

test('an address that is nothing says so; Find and Help stand on every page', async ({ page, demo }) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/no/such/page`)
  await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible()
  await expect(page).toHaveTitle(/^Not found · /)
  await page.getByRole('button', { name: 'Help' }).click()
  await expect(page.getByText('First ask of the day', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'Find' }).click()
  await page.getByPlaceholder(/A horse, a step/).fill('practice')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(`${demo.url}/practice`)
})

test.describe('a yard of sixty horses', () => {
  test.use(PHONE)

  test('is searched, and its rail shows today’s string', async ({ page }) => {
    test.slow()
    const yard = await startProduct({ demo: false })
    await page.goto(yard.url)
    await page.request.post(`${yard.url}/api/v1/first-run`, {
      headers: { origin: yard.url },
      data: {
        yardName: 'Long Meadow',
        timeZone: 'Europe/Berlin',
        personName: 'Ina Holm',
        email: 'ina@example.org',
        password: 'a long enough word',
      },
    })
    for (let i = 1; i <= 60; i++)
      await addHorse(page, yard, { name: `Horse ${i}`, more: { handled: i > 20 } })
    await page.goto(`${yard.url}/yard`)
    await page.getByRole('searchbox', { name: 'Find a horse' }).fill('horse 37')
    await expect(page.getByText('1 horse found')).toBeVisible()
    await page.getByRole('link', { name: /^Horse 37/ }).tap()
    await expect(page.getByRole('heading', { level: 1, name: 'Horse 37' })).toBeVisible()
    const tags = page.getByRole('navigation', { name: 'Today’s horses' }).getByRole('link')
    await expect(tags.last()).toHaveText(/^\d+ more$/)
    expect(await tags.count()).toBeLessThanOrEqual(16)
    // By Find it is two presses, and the name.
    await page.getByRole('button', { name: 'Find' }).tap()
    await page.getByPlaceholder(/A horse, a step/).fill('horse 58')
    await page.getByRole('option', { name: 'Horse 58' }).tap()
    await expect(page.getByRole('heading', { level: 1, name: 'Horse 58' })).toBeVisible()
    await yard.stop()
  })
})
