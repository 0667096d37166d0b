import type { Page } from '@playwright/test'
import { enterDemo, expect, PHONE, test } from './fixtures'
import { settledIn } from './this-device'

test.describe.configure({ timeout: 240_000 })

const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()

/** The horse is not ready: what is done all the same says why. */
const allTheSame = async (page: Page): Promise<void> => {
  await page.getByText('It was done all the same: log it').click()
  await page.getByLabel('Why, in a word').fill('a try of the sheet')
  await press(page, 'Log what was done')
}

test('two people go through a first time up: the other phone follows, a tight one is back a stage, a fall ends it', async ({
  page,
  browser,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  const sheet = `${demo.url}/pen/${id.Lapwing}/up`
  await page.goto(sheet)
  await page.getByLabel('Who sits up').fill('Ylva')
  await page.getByLabel('Who is on the ground').fill('ylva ')
  await press(page, 'Begin with lying over')
  await expect(page.getByText(/^Rehearse it first/)).toBeVisible()
  await page.getByLabel(/^Rehearsed, without the horse/).check()
  await press(page, 'Begin with lying over')
  await expect(page.getByText('The rider cannot be the helper.')).toBeVisible()
  await page.getByLabel('Who is on the ground').fill('Orm')
  await press(page, 'Begin with lying over')
  await expect(page.getByText('Ylva, sits up')).toBeVisible()

  const helper = await (await browser.newContext(PHONE)).newPage()
  await enterDemo(helper, demo)
  await helper.goto(sheet)
  await expect(helper.getByText('Orm, on the ground')).toBeVisible()

  // The horse is not ready: nothing is offered, and what is done all the same says why.
  await expect(page.getByText('Not to be asked today')).toBeVisible()
  await allTheSame(page)
  for (let i = 0; i < 6; i++) await press(page, 'Loose')
  await expect(helper.getByRole('status').filter({ hasText: 'Three loose: the next stage.' })).toBeVisible()
  await expect(helper.locator('[aria-current=step]')).toHaveText('2 Foot in the stirrup')
  await allTheSame(page)
  await press(page, 'Tight')
  await expect(helper.getByRole('status').filter({ hasText: /^Tight: back a stage/ })).toBeVisible()
  await expect(helper.locator('[aria-current=step]')).toHaveText('1 Lie over')

  // A fall in the middle: recorded in two presses, and nobody sits up again, on either phone.
  await press(page, 'Danger')
  await press(page, 'Fall')
  await helper.reload()
  await expect(helper.getByText('Not to be asked today')).toBeVisible()
  await expect(helper.getByText(/fall/i).first()).toBeVisible()
  await page.goto(`${demo.url}/horses/${id.Lapwing}/incidents`)
  await expect(page.getByText(/somebody was riding, it fell/)).toBeVisible()
  await helper.context().close()
})

test.describe('without signal', () => {
  test.use({ ...PHONE, serviceWorkers: 'allow' })

  test('each phone goes through its own sheet, and what it did is sent when there is signal', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    await context.setOffline(true)
    await page.goto(`${demo.url}/pen/${id.Burdock}/up`)
    await page.getByLabel('Who sits up').fill('Ylva')
    await page.getByLabel('Who is on the ground').fill('Orm')
    await page.getByLabel(/^Rehearsed, without the horse/).check()
    await press(page, 'Begin with lying over')
    await expect(page.getByText('Orm, on the ground')).toBeVisible()
    await allTheSame(page)
    await press(page, 'Loose')
    await page.reload()
    await expect(page.getByText('Orm, on the ground')).toBeVisible()
    await allTheSame(page)
    await press(page, 'Tight')
    await context.setOffline(false)
    const lyingOver = async (): Promise<readonly number[]> => {
      const reply = await page.request.get(`${demo.url}/api/v1/horses/${id.Burdock}/steps/lie-over/answers`)
      const { answers } = (await reply.json()) as { answers: { grade: number }[] }
      return answers.map(({ grade }) => grade)
    }
    await expect.poll(lyingOver, { timeout: 60_000 }).toEqual([2, 1])
  })
})
