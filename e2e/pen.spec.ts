import type { Page } from '@playwright/test'
import { addHorse, enterDemo, expect, PHONE, test, press, wait } from './fixtures'

const marks = (page: Page, name: RegExp) => page.getByRole('img', { name }).filter({ visible: true })

/** An ask with the remote's forward button, answered after some seconds of real time. */
const ask = async (page: Page, seconds: number): Promise<void> => {
  await press(page, 'PageDown')
  await wait(page, seconds * 1000 - 300)
  await press(page, 'PageDown')
}

test.describe('on a phone', () => {
  test.use(PHONE)

  test('two buttons log asks: grade from the pace, calm in the count of three', async ({ page, demo }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/pen/${id.Lapwing}?step=face-up`)
    await expect(page.getByRole('button', { name: /^Ask/ })).toBeVisible()
    // 1 s less the press lag of 0.4 s is on the thought; forward again says loose.
    await ask(page, 1)
    await press(page, 'PageDown')
    await expect(marks(page, /on the thought, loose/)).toBeVisible()
    // 2.6 s is light; back says tight.
    await ask(page, 2.6)
    await press(page, 'PageUp')
    await expect(marks(page, /light, tight/)).toBeVisible()
    // Back while it runs is no answer.
    await press(page, 'PageDown')
    await wait(page, 500)
    await press(page, 'PageUp')
    await expect(marks(page, /no answer, calm not noted/)).toBeVisible()
    await expect(page.getByText('Two hard ones in a row').filter({ visible: true })).toBeVisible()
  })

  test('everything fits at arm’s length, with a thumb zone of 220 pixels and no scrolling', async ({
    page,
    demo,
  }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/pen/${id.Sedge}?step=first-touch`)
    const zone = page.getByRole('button', { name: /^Start/ })
    await zone.tap()
    await wait(page, 400)
    await page.getByRole('button', { name: 'Moved' }).tap()
    const settled = page.getByRole('button', { name: /^Settled/ })
    expect((await settled.boundingBox())!.height).toBeGreaterThanOrEqual(220)
    await settled.tap()
    await expect(marks(page, /moved its feet/)).toBeVisible()
    for (const name of ['Loose', 'Watchful', 'Tight', 'Undo', 'More', 'Danger', 'Done'])
      expect(
        (await page
          .getByText(name, { exact: true })
          .filter({ visible: true })
          .first()
          .locator('xpath=ancestor-or-self::*[self::button or self::a][1]')
          .boundingBox())!.height,
      ).toBeGreaterThanOrEqual(64)
    const overflow = await page.evaluate(() => [
      document.documentElement.scrollWidth - innerWidth,
      document.documentElement.scrollHeight - innerHeight,
    ])
    expect(Math.max(...overflow)).toBeLessThanOrEqual(0)
  })

  test('a disk that does not answer is told of, and holds up the pen for a moment only', async ({
    page,
    demo,
  }) => {
    await enterDemo(page, demo)
    const horse = await addHorse(page, demo, { name: 'Alder' })
    await page.goto(`${demo.url}/pen/${horse}?step=settle-in-pen`)
    const start = page.getByRole('button', { name: /^Start/ })
    await start.waitFor()
    // Another change of the outbox that does not end until it is told to.
    await page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const opening = indexedDB.open('still-pine')
          opening.onerror = () => reject(opening.error as Error)
          opening.onsuccess = () => {
            const waiting = opening.result.transaction('waiting', 'readwrite').objectStore('waiting')
            const stay = (): void => {
              if (!('mayEnd' in window)) waiting.count().onsuccess = stay
              resolve()
            }
            stay()
          }
        }),
    )
    await press(page, 'Space')
    await wait(page, 400)
    await press(page, 'Space')
    await expect(marks(page, /^1 answer\b/)).toBeVisible()
    await expect(page.getByRole('button', { name: /^Loose Step away/ })).toBeVisible({ timeout: 2_000 })
    const slow = page.getByText('Not on this device’s disk yet')
    await expect(slow).toBeVisible()
    // What is told lies over no danger button.
    await page.getByRole('button', { name: 'Danger' }).click({ trial: true, timeout: 10_000 })
    await page.evaluate(() => Object.assign(window, { mayEnd: true }))
    // Phones have no room for these words; they stand in the page all the same.
    await expect(page.getByText(/saved here, sending/)).toBeAttached()
    await expect(slow).toBeHidden()
    await expect(page.getByText(/all saved/)).toBeAttached({ timeout: 20_000 })
    await expect(marks(page, /^1 answer\b/)).toBeVisible()
  })

  test('other side, a smaller rung and a danger sign are one or two taps', async ({ page, demo }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/pen/${id.Sedge}?step=loose-direction`)
    const side = await page.getByRole('status', { name: /side$/ }).getAttribute('aria-label')
    await page.getByRole('button', { name: 'Other side' }).tap()
    await expect(
      page.getByRole('status', { name: side === 'left side' ? 'right side' : 'left side' }),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Danger' }).tap()
    await expect(page.getByText('Get clear first.', { exact: false })).toBeVisible()
    await page.getByRole('button', { name: 'Kick', exact: true }).tap()
    await expect(page.getByText('Recorded: kick', { exact: false })).toBeVisible()
    await page.goto(`${demo.url}/horses/${id.Sedge}/incidents`)
    await expect(page.getByText('Kick', { exact: true })).toBeVisible()
  })
})

test('no signal: answers wait on the device, survive a closed tab, and arrive once', async ({
  page,
  context,
  demo,
}) => {
  await enterDemo(page, demo)
  const untouched = await addHorse(page, demo, { name: 'Yarrow' })
  await page.goto(`${demo.url}/pen/${untouched}`)
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  await context.setOffline(true)
  for (let i = 0; i < 2; i++) {
    await press(page, 'Space')
    await wait(page, 400)
    await press(page, 'Space')
    await page.keyboard.press('l')
  }
  await expect(page.getByText(/3 waiting, oldest/)).toBeVisible({ timeout: 20_000 })
  await page.close()
  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto(`${demo.url}/after/${untouched}`)
  await expect(again.getByRole('button', { name: /2 answers$/ })).toBeVisible({ timeout: 20_000 })
  await again.goto(`${demo.url}/pen/${untouched}`)
  await expect(marks(again, /^2 answers/)).toBeVisible()
})

test('a server killed in the middle of logging loses nothing', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Sedge}?step=settle-in-pen`)
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  const log = async (): Promise<void> => {
    await press(page, 'Space')
    await wait(page, 400)
    await press(page, 'Space')
    await page.keyboard.press('w')
  }
  await log()
  await demo.kill()
  await log()
  await log()
  await demo.start()
  await expect(page.getByText(/all saved/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('link', { name: 'Done' }).first().click()
  await expect(page.getByRole('button', { name: /3 answers$/ })).toBeVisible({ timeout: 20_000 })
})

test('nothing is sent while something is asked, but for one that takes long', async ({ page, demo }) => {
  await enterDemo(page, demo)
  const horse = await addHorse(page, demo, { name: 'Sorrel' })
  await page.goto(`${demo.url}/pen/${horse}?step=settle-in-pen`)
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  const sent: number[] = []
  page.on('request', (request) => {
    if (request.url().endsWith('/answers/batch')) sent.push(Date.now())
  })
  await press(page, 'Space')
  await wait(page, 400)
  await press(page, 'Space')
  await page.keyboard.press('w')
  await expect(page.getByRole('img', { name: /^1 answer\b/ }).filter({ visible: true })).toBeVisible()
  await press(page, 'Space')
  // What was on its way already may still go. Without the ask the answer would, three seconds after it was given.
  await wait(page, 1_000)
  const before = sent.length
  await expect(page.getByText(/saved here, sending/)).toBeVisible()
  await wait(page, 6_000)
  expect(sent).toHaveLength(before)
  await expect.poll(() => sent.length, { timeout: 8_000 }).toBeGreaterThan(before)
  await expect(page.getByRole('button', { name: /^Settled/ })).toBeVisible()
})

test('both buttons at once, a held key and forty presses invent nothing', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Lapwing}?step=draw`)
  await expect(page.getByRole('button', { name: /^Ask/ })).toBeVisible()
  // In one turn of the page, or a slow machine spreads them into two presses.
  await page.evaluate(() => {
    for (const type of ['keydown', 'keyup'])
      for (const key of ['PageDown', 'PageUp'])
        window.dispatchEvent(new KeyboardEvent(type, { key, bubbles: true }))
  })
  // The ask runs: the second button came too soon after to be an answer.
  await expect(page.getByRole('button', { name: /^Answered/ })).toBeVisible()
  for (let i = 0; i < 5; i++) await page.keyboard.down('Space')
  await page.keyboard.up('Space')
  await page.keyboard.press('u')
  await wait(page, 300)
  await page.evaluate(() => {
    for (let i = 0; i < 40; i++)
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown', bubbles: true }))
  })
  await expect(page.getByRole('button', { name: /^Answered/ })).toBeVisible()
  expect(await marks(page, /answers?, oldest first/).count()).toBeLessThanOrEqual(1)
})
