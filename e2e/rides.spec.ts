import type { Page } from '@playwright/test'
import { expect, PHONE, test } from './fixtures'
import type { Product } from './product'
import { settledIn } from './this-device'

test.use({ serviceWorkers: 'allow' })
test.describe.configure({ timeout: 300_000 })

const ridesOf = async (page: Page, demo: Product, horse: string): Promise<number> => {
  const reply = await page.request.get(`${demo.url}/api/v1/horses/${horse}/entries`)
  const { entries } = (await reply.json()) as { entries: { kind: string }[] }
  return entries.filter(({ kind }) => kind === 'ride').length
}

test.describe('on a phone', () => {
  test.use(PHONE)

  test('a ride is told without signal, what was too much of it is said, and the next one is sized', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    await context.setOffline(true)
    await page.goto(`${demo.url}/horses/${id.Bittern}/rides`)
    await expect(page.getByText(/^Ride 1 may be 3 minutes, all of it walk/)).toBeVisible()
    await page.getByRole('button', { name: 'Add a ride' }).tap()
    await page.getByLabel('Rider', { exact: true }).fill('Ylva')
    await page.getByLabel('Helper on the ground').fill('ylva')
    await page.getByLabel('Walk before, minutes').fill('2')
    await page.getByLabel('Trot to the left').fill('4')
    await page.getByRole('button', { name: 'Keep this ride' }).tap()
    await expect(page.getByText('The rider cannot be the helper.')).toBeVisible()
    await page.getByLabel('Helper on the ground').fill('')
    await page.getByRole('button', { name: 'Keep this ride' }).tap()
    // Kept as it was, with what was against the rules.
    await expect(
      page.getByText(
        'no helper on the ground, too little ground work first, too long, too much trot, reins uneven',
      ),
    ).toBeVisible()
    await expect(page.getByText(/^Ride 2 may be 5 minutes, 1 of them trot/)).toBeVisible()
    await page.goto(`${demo.url}/horses/${id.Bittern}/tack`)
    await page.getByRole('button', { name: 'Say what it wears' }).tap()
    await page.getByLabel('Saddle', { exact: true }).fill('Borrowed one')
    await page.getByLabel('Mouth, mm').fill('122')
    await page.getByRole('button', { name: 'This is what it wears' }).tap()
    await expect(page.getByText('A bit of 127 to 132 mm for this mouth: take 130.')).toBeVisible()
    await page.getByRole('button', { name: 'Add a carry' }).tap()
    await page.getByLabel('Minutes with the bit').fill('10')
    await page.getByLabel('Quiet minutes').fill('12')
    await page.getByRole('button', { name: 'Keep it' }).tap()
    await expect(page.getByText('More quiet minutes than minutes.')).toBeVisible()
    await context.setOffline(false)
    await expect.poll(() => ridesOf(page, demo, id.Bittern!), { timeout: 60_000 }).toBe(1)
  })

  test('a ride is logged by two buttons, and is told to end before it is too much', async ({
    page,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    const before = await ridesOf(page, demo, id.Burdock!)
    await page.clock.install()
    await page.goto(`${demo.url}/pen/${id.Burdock}/ride`)
    await page.getByLabel('Rider', { exact: true }).fill('Ylva')
    await page.getByLabel('Helper on the ground').fill('Arne')
    await page.getByLabel('Ground work, minutes').fill('6')
    const up = page.getByRole('button', { name: 'Up', exact: true })
    if (await up.isVisible()) await up.tap()
    else {
      await page.getByText('It is ridden all the same: log it').tap()
      await page.getByLabel('Why, in a word').fill('the owner wished it')
      await page.getByRole('button', { name: 'Log what is ridden' }).tap()
    }
    await expect(page.getByRole('status').filter({ hasText: 'Walk, left' })).toBeVisible()
    await page.clock.fastForward(60_000)
    await page.getByRole('button', { name: /^More/ }).tap()
    await expect(page.getByText('No trot on this ride: back to walk.')).toBeVisible()
    await page.reload()
    await expect(page.getByRole('status').filter({ hasText: 'Trot, left' })).toBeVisible()
    await page.getByRole('button', { name: /^Less/ }).tap()
    await page.getByRole('button', { name: 'Change the rein' }).tap()
    await expect(page.getByRole('status').filter({ hasText: 'Walk, right' })).toBeVisible()
    await page.clock.fastForward(120_000)
    await expect(page.getByText('That is the ride: slack rein, get down, five minutes walked.')).toBeVisible()
    await page.getByRole('button', { name: 'Down', exact: true }).tap()
    await page.getByLabel('What ended it').fill('its minutes')
    await page.getByRole('button', { name: 'Well', exact: true }).tap()
    await expect(page.getByText(/Ylva, Arne on the ground; went well, ended its minutes/)).toBeVisible()
    await expect.poll(() => ridesOf(page, demo, id.Burdock!), { timeout: 60_000 }).toBe(before + 1)
  })
})
