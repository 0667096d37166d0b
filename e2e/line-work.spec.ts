import { expect, PHONE, test } from './fixtures'
import { settledIn } from './this-device'

test.use({ serviceWorkers: 'allow' })
test.describe.configure({ timeout: 300_000 })

test.describe('on a phone', () => {
  test.use(PHONE)

  test('two buttons log a horse on the lunge without signal, a reload in the middle changes nothing', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    await context.setOffline(true)
    await page.clock.install()
    await page.goto(`${demo.url}/pen/${id.Lapwing}/line`)
    await page.getByLabel('Line, m').fill('0.5')
    await expect(page.getByText('From 2 to 30 m.')).toBeVisible()
    await page.getByLabel('Line, m').fill('10')
    await expect(page.getByText('That is a circle of 18 m across.')).toBeVisible()
    await page.getByRole('button', { name: /begin/i }).tap()
    const up = page.getByRole('button', { name: /^Up/ })
    const down = page.getByRole('button', { name: /^Down/ })
    await up.tap()
    await page.clock.fastForward(60_000)
    await up.tap()
    await expect(page.getByRole('status').filter({ hasText: 'Trot, left' })).toBeVisible()
    await page.getByRole('button', { name: 'Swings: 3 of 3' }).tap()
    await page.clock.fastForward(120_000)
    await page.reload()
    await expect(page.getByRole('status').filter({ hasText: 'Trot, left' })).toBeVisible()
    await down.tap()
    await page.clock.fastForward(1_000)
    await down.tap()
    await page.clock.fastForward(3_000)
    // It stands for more than two seconds: the same button is the other rein.
    await down.tap()
    await expect(page.getByRole('status').filter({ hasText: 'Standing, right' })).toBeVisible()
    await up.tap()
    await page.clock.fastForward(30_000)
    await page.getByRole('button', { name: 'End' }).tap()
    await expect(page.getByText(/left 3, right 0.5 minutes; walk 1.5, trot 2, canter 0/)).toBeVisible()
    await expect(page.getByText(/a load day; reins uneven/)).toBeVisible()
    await page.getByRole('button', { name: /^Mark / }).tap()
    await page.getByLabel('Keeps its rhythm').selectOption('2')
    await page.getByLabel('At minute').fill('2')
    await page.getByRole('button', { name: 'Keep these marks' }).tap()
    await context.setOffline(false)
    const pressesKept = async (): Promise<number[] | undefined> => {
      const reply = await page.request.get(`${demo.url}/api/v1/horses/${id.Lapwing}/entries`)
      const { entries } = (await reply.json()) as {
        entries: { kind: string; presses: unknown[]; going: unknown[] }[]
      }
      const work = entries.findLast(({ kind }) => kind === 'line-work')
      return work && [work.presses.length, work.going.length]
    }
    await expect.poll(pressesKept, { timeout: 60_000 }).toEqual([6, 2])
  })
})
