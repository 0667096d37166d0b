import { enterDemo, expect, PHONE, test, wait } from './fixtures'

test.describe.configure({ timeout: 180_000 })

test.describe('on a phone', () => {
  test.use(PHONE)

  test('what a horse wears is asked once in the pen before it is girthed', async ({ page, demo }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/pen/${id.Curlew}?step=saddle-move`)
    const worn = page.getByRole('region', { name: 'What it wears' })
    await expect(worn.getByText('Brown trail saddle')).toBeVisible()
    await expect(worn.getByRole('link', { name: 'Something else' })).toHaveAttribute(
      'href',
      `/horses/${id.Curlew}/tack`,
    )
    await worn.getByRole('button', { name: 'Yes' }).tap()
    await expect(worn).toBeHidden()
    // Once: an ask that is over does not ask again.
    await page.getByRole('button', { name: 'Start', exact: true }).tap()
    await wait(page, 5_000)
    await expect(worn).toBeHidden()
    await page.getByRole('button', { name: 'Other side' }).tap()
    await expect(worn).toBeHidden()
  })

  test('on which lead it lands is counted over its sessions, and said when it is no chance', async ({
    page,
    demo,
  }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/horses/${id.Curlew}/poles`)
    const tell = async (left: string, right: string): Promise<void> => {
      await page.getByRole('button', { name: 'Add a session' }).tap()
      await page.getByLabel('Highest, cm').fill('40')
      await page.getByLabel('Efforts').fill('6')
      await page.getByLabel('Landed on the left lead').fill(left)
      await page.getByLabel('Landed on the right lead').fill(right)
      await page.getByRole('button', { name: 'Keep this session' }).tap()
    }
    await tell('7', '0')
    await expect(page.getByText('More landings than there were.')).toBeVisible()
    await page.getByLabel('Landed on the left lead').fill('6')
    await page.getByRole('button', { name: 'Keep this session' }).tap()
    await expect(page.getByText('Landing leads: 6 left, 0 right; too few to say.')).toBeVisible()
    await tell('5', '1')
    // Eleven of twelve or more uneven either way: 26 of 4096.
    await expect(page.getByText(/^Lands on the left lead in 11 of 12 \(1 in 158 by chance\)/)).toBeVisible()
  })
})
