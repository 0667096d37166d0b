import { expect, PHONE, test } from './fixtures'
import { settledIn } from './this-device'

test.use({ serviceWorkers: 'allow' })
test.describe.configure({ timeout: 300_000 })

test.describe('on a phone', () => {
  test.use(PHONE)

  test('a horse is measured without signal, in hands and inches, and what is wrong is said at its field', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    await context.setOffline(true)
    await page.goto(`${demo.url}/horses/${id.Whin}/body`)
    await expect(page.getByText('It has not been measured yet.')).toBeVisible()
    await page.getByRole('button', { name: 'Add a measurement' }).tap()
    await page.getByLabel('Measured in').selectOption('imperial')
    await page.getByLabel(/^Girth/).fill('70')
    await page.getByLabel(/^Withers/).fill('15.5')
    await page.getByRole('button', { name: 'Keep what was measured' }).tap()
    await expect(page.getByText('This is not a number that can be read.')).toBeVisible()
    await page.getByLabel(/^Withers/).fill('15.1')
    await page.getByRole('button', { name: 'Keep what was measured' }).tap()
    await expect(page.getByText('A girth tells a weight only with the length.')).toBeVisible()
    await page.getByLabel(/^Length/).fill('65')
    await page.getByLabel(/^Croup/).fill('15.3')
    await page.getByLabel('Condition').selectOption('5')
    await page.getByRole('button', { name: 'Keep what was measured' }).tap()
    // 70 and 65 inches by the divisor in centimetres: 439 kg.
    await expect(page.getByText(/^About 439 kg, 969 lb \(395 to 483 kg\) by tape/)).toBeVisible()
    await expect(page.getByText(/Rider and tack together at most 65 kg: 15 %/)).toBeVisible()
    await expect(page.getByText(/it grows just now; smaller asks/)).toBeVisible()
    await context.setOffline(false)
    await expect(page.getByText(/all saved/i).first()).toBeAttached({ timeout: 60_000 })
    const reply = await page.request.get(`${demo.url}/api/v1/horses/${id.Whin}/measurements`)
    const { measurements } = (await reply.json()) as { measurements: { girthCm: number }[] }
    expect(measurements.map(({ girthCm }) => girthCm)).toEqual([177.8])
    await page.getByRole('button', { name: 'Take it back' }).tap()
    await expect(page.getByText('Not weighed yet', { exact: false })).toBeVisible()
  })
})
