import type { SavedAnswer, Line } from '@still-pine/contract'
import type { Page } from '@playwright/test'
import { enterDemo, expect, PHONE, test, press, wait } from './fixtures'
import type { Product } from './product'

const kept = async (
  page: Page,
  demo: Product,
  { horse, step }: { horse: string; step: string },
): Promise<readonly SavedAnswer[]> => {
  const reply = await page.request.get(`${demo.url}/api/v1/horses/${horse}/steps/${step}/answers`)
  return ((await reply.json()) as { answers: SavedAnswer[] }).answers
}

const lineOf = async (page: Page, demo: Product, horse: string): Promise<Line> =>
  (await (await page.request.get(`${demo.url}/api/v1/horses/${horse}/line`)).json()) as Line

/** Moves a horse to a school as its owner would, from another device. */
const moveTo = async (
  page: Page,
  demo: Product,
  { horse, school }: { horse: string; school: string },
): Promise<void> => {
  const { horse: now } = await lineOf(page, demo, horse)
  const form = ({ name, born, sex, kind, marks, origin, handled, arrived }: Line['horse']) => ({
    name,
    born,
    sex,
    kind,
    marks,
    origin,
    handled,
    arrived,
  })
  const reply = await page.request.put(`${demo.url}/api/v1/horses/${horse}`, {
    data: { ...form(now), version: now.version, school },
    headers: { Origin: demo.url },
  })
  expect(reply.ok()).toBe(true)
}

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name }).filter({ visible: true })
const saved = (page: Page) => expect(page.getByText(/all saved/).first()).toBeAttached({ timeout: 15_000 })

test('two schools lie side by side, with their reasons and where good starters differ', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard`)
  // The list of horses comes a moment after its page, and moves what was about to be pressed.
  await expect(page.getByRole('link', { name: 'Sedge' }).first()).toBeVisible()
  await page.getByRole('link', { name: 'Schools' }).click()
  await page.getByRole('combobox', { name: 'First' }).selectOption('Mark and Reward')
  await page.getByRole('combobox', { name: 'Second' }).selectOption('Light Aids')
  await expect(page.getByText('A target and a marker, with a fence between.')).toBeVisible()
  await expect(page.getByText('Over its threshold it learns fear and nothing else.')).toBeVisible()
  await expect(page.getByText('each aid after the cue is pressed')).toBeVisible()
  await expect(
    page.getByRole('heading', { name: 'It is frightened of the thing. Take the thing away, or stay?' }),
  ).toBeVisible()
  await page.getByRole('combobox', { name: 'Step' }).selectOption('Tie')
  await expect(
    page.getByText('Ask for a very long stand at a mat by the rail, the rope last of all.'),
  ).toBeVisible()
  await expect(page.getByRole('row').filter({ hasText: 'Target to rung 3' }).first()).toBeVisible()
})

test('a horse is moved to another school and back, and its history stays', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  const before = await lineOf(page, demo, id.Teal!)
  await page.goto(`${demo.url}/horses/${id.Teal}/steps`)
  await page.getByLabel('School').selectOption('Light Aids')
  await page.getByRole('button', { name: 'Work it by this school' }).click()
  await expect(page.getByText('Teal is worked by Light Aids now.')).toBeVisible()
  await expect(page.getByText(/· Light Aids/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Teal is worked by Feet First now.')).toBeVisible()
  expect((await lineOf(page, demo, id.Teal!)).tracks).toEqual(before.tracks)
})

test('the reaction time is measured in ten seconds', async ({ page, demo }) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/practice`)
  await page.getByRole('button', { name: 'Measure it, ten seconds' }).click()
  // A thumb that lives in the page: on a slow machine a sign would be gone before a press from outside arrives.
  await page.evaluate(() => {
    let isPressing = false
    setInterval(() => {
      const sign = document.querySelector('[data-testid=sign]')
      const isOn = sign?.getAttribute('data-sign') === 'true'
      if (!isOn) isPressing = false
      if (!isOn || isPressing) return
      isPressing = true
      setTimeout(() => sign.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true })), 200)
    }, 20)
  })
  await expect(page.getByText(/Your reaction time is 0\.\d+ s/)).toBeVisible()
  await expect(page.getByText(/now it is 0\.\d+ s/)).toBeVisible()
})

test('the practice horse tries, tells how late you let go and what it kept; a remote’s window works it', async ({
  page,
  context,
  demo,
}) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/practice`)
  const horse = page.locator('svg[data-tries]')
  const popup = context.waitForEvent('page')
  await page.getByRole('button', { name: 'Two-button remote' }).click()
  const remote = await popup
  await remote.getByRole('button', { name: 'Forward' }).waitFor()
  // One in a few is a refusal: it is asked until it tries.
  await expect(async () => {
    await remote.getByRole('button', { name: 'Forward' }).click()
    await expect(horse).toHaveAttribute('data-tries', 'true', { timeout: 12_500 })
  }).toPass({ timeout: 60_000 })
  await page.waitForTimeout(700)
  await remote.getByRole('button', { name: 'Forward' }).click()
  await expect(
    page.getByText(/You let go (0\.[6-9]|[1-9]\.\d) s after its try\. It kept \d+ % of the lesson/),
  ).toBeVisible()
  const percent = async (name: string): Promise<number> =>
    Number((await page.getByTestId(name).innerText()).replace(/\D/g, ''))
  expect(await percent('chance-prompt')).toBeGreaterThanOrEqual(await percent('chance-now'))
})

test('a gauge’s pull is drawn and kept with the answer, and its silence is said', async ({
  page,
  context,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Bramble}?step=give-to-halter`)
  await button(page, /^Ask/).waitFor()
  const gauge = await context.newPage()
  await gauge.goto(`${demo.url}/stand-ins/gauge.html`)
  await gauge.getByRole('button', { name: 'Replay the sample' }).click()
  await expect(gauge.getByText('Replaying the sample.')).toBeVisible()
  // A page behind another is hidden, and an ask does not run on a hidden page.
  await page.bringToFront()
  await page.keyboard.press('PageDown')
  await page.waitForTimeout(2_600)
  await page.keyboard.press('PageDown')
  await expect(page.getByText(/ N, (let go after|not let go)/)).toBeVisible({ timeout: 6_000 })
  await page.waitForTimeout(1_500)
  await press(page, 'Space')
  await gauge.close()
  await expect(page.getByText('the gauge is silent; go on without it')).toBeVisible({ timeout: 4_000 })
  await page.keyboard.press('u')
  await saved(page)
  const [last] = await kept(page, demo, { horse: id.Bramble!, step: 'give-to-halter' })
  expect(last!.peakNewtons).toBeGreaterThan(3)
})

test('a school of aids takes a press for each aid, a school that waits takes “asked again”', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await moveTo(page, demo, { horse: id.Burdock!, school: 'light-aids' })
  await page.goto(`${demo.url}/pen/${id.Burdock}?step=lead-up`)
  await button(page, /^Ask/).click()
  await wait(page, 400)
  await button(page, /^light aid/).click()
  await wait(page, 300)
  await button(page, /^more/).click()
  await expect(page.getByText('more given')).toBeVisible()
  await button(page, /^Answered/).click()
  await wait(page, 3_200)
  await saved(page)
  await moveTo(page, demo, { horse: id.Burdock!, school: 'stand-first' })
  // It hears of the new school with the next answers that are sent, and an ask that runs then is ended first.
  await button(page, /^Ask/).click()
  await wait(page, 400)
  await button(page, /^Answered/).click()
  await expect(page.getByText(/Burdock is worked by Stand First now/)).toBeVisible({ timeout: 15_000 })
  await page.goto(`${demo.url}/pen/${id.Burdock}?step=lead-up`)
  await wait(page, 3_200)
  await button(page, /^Ask/).click()
  await wait(page, 400)
  await button(page, /^Asked again/).click()
  await wait(page, 300)
  await button(page, /^Answered/).click()
  await wait(page, 3_500)
  await expect
    .poll(async () => {
      const newestFirst = await kept(page, demo, { horse: id.Burdock!, step: 'lead-up' })
      return newestFirst.slice(0, 3).map(({ grade, aids }) => [grade, aids])
    })
    .toEqual([
      [1, 1],
      [0, 0],
      [2, 2],
    ])
  await moveTo(page, demo, { horse: id.Burdock!, school: 'feet-first' })
})

test.describe('on a phone', () => {
  test.use(PHONE)

  test('an accept tells its ending, shows the fright rule at its moment, and then asks for the feet', async ({
    page,
    demo,
  }) => {
    const id = await enterDemo(page, demo)
    const { plan } = await lineOf(page, demo, id.Bittern!)
    const burst = plan.bursts.find(({ lightAsk }) => lightAsk !== null)!
    await page.goto(`${demo.url}/pen/${id.Bittern}?step=${burst.step}`)
    await button(page, /^Start/).tap()
    await wait(page, 400)
    await button(page, 'Moved').tap()
    await expect(
      page
        .getByText('Keep the same level until the feet are still and it loosens, then leave.')
        .filter({ visible: true }),
    ).toBeVisible()
    // Back held says that it was taken away.
    await page.evaluate(() => {
      for (let i = 0; i <= 8; i++)
        window.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageUp', repeat: i > 0 }))
    })
    await expect(
      page.getByText('Moving made it go: that teaches moving.').filter({ visible: true }),
    ).toBeVisible()
    await expect(page.getByText('Step away and count three')).toBeVisible()
    await button(page, 'More').tap()
    await button(page, 'let go late').tap()
    await button(page, 'More').tap()
    await button(page, /Check the feet/).tap()
    await expect(page.getByRole('combobox', { name: 'Step' })).toHaveValue(burst.lightAsk!.step)
    await button(page, /^Ask/).tap()
    await wait(page, 900)
    await button(page, /^Answered/).tap()
    await expect(page.getByText(/The feet still listen/).filter({ visible: true })).toBeVisible()
    await wait(page, 3_500)
    // The held back button first said “worse”: it left.
    await expect(async () => {
      const [answer] = await kept(page, demo, { horse: id.Bittern!, step: burst.step })
      expect(answer).toMatchObject({ ending: 'left-moving', slip: 'let go late' })
    }).toPass({ timeout: 15_000 })
  })

  test('a burst is tapped in from memory, each side in its turn, within ten seconds', async ({
    page,
    demo,
  }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/pen/${id.Snipe}?step=loose-turn-in`)
    await button(page, /^Ask/).waitFor()
    const began = Date.now()
    await button(page, 'More').tap()
    await button(page, 'Tap in from memory').tap()
    for (const name of ['firm', 'light', 'light']) await button(page, name).tap()
    await page.getByRole('dialog').getByRole('button', { name: 'Other side' }).tap()
    for (const name of ['light', 'on the thought']) await button(page, name).tap()
    await page.getByRole('dialog').getByRole('button', { name: 'Done' }).tap()
    expect(Date.now() - began).toBeLessThan(60_000)
    await expect(async () => {
      const answers = (await kept(page, demo, { horse: id.Snipe!, step: 'loose-turn-in' })).slice(0, 5)
      expect(answers.map(({ grade, recalled }) => [grade, recalled])).toEqual(
        [0, 1, 1, 1, 2].map((grade) => [grade, true]),
      )
      expect(new Set(answers.map(({ side }) => side)).size).toBe(2)
    }).toPass({ timeout: 15_000 })
  })

  test('where and from where are tapped on the horse from above, and what was forgotten shows', async ({
    page,
    demo,
  }) => {
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/horses/${id.Curlew}/from-above?step=flag`)
    const flank = page.getByRole('button', { name: /^right flank:/ })
    await flank.waitFor()
    await page.getByRole('button', { name: /^From behind the tail, right:/ }).tap()
    await flank.tap()
    await button(page, 'at ease').tap()
    await button(page, 'Loose').tap()
    await page.getByRole('button', { name: 'Close' }).tap()
    await expect(page.getByRole('button', { name: /^right flank: holds to rung \d, .*today/ })).toBeVisible()
    await expect(
      page.getByRole('heading', { name: /Flag: (\d+ of 20 never shown|shown from everywhere)/ }),
    ).toBeVisible()
    await expect(async () => {
      const [last] = await kept(page, demo, { horse: id.Curlew!, step: 'flag' })
      expect(last).toMatchObject({ zone: 'flank', place: 5, side: 'right', grade: 0, calm: 0 })
    }).toPass({ timeout: 15_000 })
  })

  test('a step’s card is one screen in big type', async ({ page, demo }) => {
    const id = await enterDemo(page, demo)
    for (const step of ['halter-on', 'foot-hind', 'tie', 'flag']) {
      await page.goto(`${demo.url}/horses/${id.Sedge}/steps/${step}/card`)
      await page.getByText('Counts:').waitFor()
      const size = await page
        .getByText('Counts:')
        .evaluate((element) => parseFloat(getComputedStyle(element).fontSize))
      expect(size).toBeGreaterThanOrEqual(20)
      const bottom = await page
        .getByRole('main')
        .locator('ul')
        .evaluate((list) => list.getBoundingClientRect().bottom)
      expect(bottom, step).toBeLessThan(844 - 64)
    }
  })

  test('a call, a jump of the clock and a device that cannot vibrate invent nothing', async ({
    page,
    demo,
  }) => {
    await page.addInitScript(() => Object.defineProperty(navigator, 'vibrate', { value: () => false }))
    const id = await enterDemo(page, demo)
    await page.goto(`${demo.url}/pen/${id.Lapwing}?step=yield-hind`)
    await button(page, /^Ask/).tap()
    await expect(page.getByText('This device does not vibrate now: watch the arc.')).toBeVisible()
    await wait(page, 400)
    await page.evaluate(() => {
      Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true })
      document.dispatchEvent(new Event('visibilitychange'))
      Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true })
    })
    await expect(page.getByRole('heading', { name: 'What became of it?' })).toBeVisible()
    await button(page, /^It was not asked/).tap()
    await button(page, /^Ask/).tap()
    await page.evaluate(() => {
      const real = Date.now
      Date.now = () => real() + 3_600_000
    })
    await wait(page, 900)
    await button(page, /^Answered/).tap()
    await expect(page.getByRole('img', { name: /on the thought/ }).filter({ visible: true })).toBeVisible()
    // The count of three ends by the clock that did not jump.
    await expect(button(page, /^Ask/)).toBeVisible({ timeout: 6_000 })
  })
})

test('a hold that is left before its time is no answer, and the rest of an answer is one tap', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Lapwing}?step=stand`)
  await button(page, /^Start/).click()
  await wait(page, 400)
  await button(page, /^It left, or quit/).click()
  await expect(page.getByRole('img', { name: /left or quit/ }).filter({ visible: true })).toBeVisible()
  await button(page, /^Did it unasked/).click()
  await expect(button(page, /^Did it unasked/)).toHaveAttribute('aria-pressed', 'true')
  await button(page, 'Walks off').click()
  await expect(button(page, 'Walks off')).toHaveAttribute('aria-pressed', 'true')
  await expect(async () => {
    const [last] = await kept(page, demo, { horse: id.Lapwing!, step: 'stand' })
    expect(last).toMatchObject({ grade: 4, uncued: true, fault: 'Walks off' })
  }).toPass({ timeout: 15_000 })
})

test('it advises the other side, and says when the pattern is being learnt', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Sedge}?step=yield-shoulder`)
  await button(page, /^Ask/).waitFor()
  const log = async (key: string): Promise<void> => {
    await press(page, 'Space')
    await wait(page, 500)
    await press(page, 'Space')
    await page.keyboard.press('w')
    await wait(page, 150)
    if (key) await page.keyboard.press(key)
  }
  for (let i = 0; i < 4; i++) await log('')
  await expect(page.getByText(/^Now the (left|right) side$/)).toBeVisible()
  await page
    .getByText(/^Now the (left|right) side$/)
    .locator('xpath=../..')
    .getByRole('button', { name: 'Other side' })
    .click()
  await log('o')
  await log('o')
  await expect(page.getByText('It is learning the pattern')).toBeVisible()
})

test('nothing is tied fast before the rail is safe', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Lapwing}/gates/tie-fast`)
  await expect(page.getByText('Stop', { exact: true })).toBeVisible()
  await page.getByLabel('Safe rail and quick release').check()
  await expect(page.getByText('Stop', { exact: true })).toHaveCount(0)
})

test('the farrier’s gate leads to one printed page', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Sedge}/gates/farrier`)
  await page.getByRole('link', { name: 'A sheet for the farrier, to print' }).click()
  await expect(page.getByRole('row').filter({ hasText: 'Left hind' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'What helps' })).toBeVisible()
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1)
})
