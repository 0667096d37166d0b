import type { Page } from '@playwright/test'
import { addHorse, enterDemo, expect, PHONE, press, test, wait } from './fixtures'

const button = (page: Page, name: RegExp) => page.getByRole('button', { name }).filter({ visible: true })
const marks = (page: Page, name: RegExp) => page.getByRole('img', { name }).filter({ visible: true })

/** A glove that touches the big button twice, so many milliseconds apart by the page's own clock. */
const touchTwice = (page: Page, name: RegExp, apart: number): Promise<void> =>
  button(page, name).evaluate((zone, ms) => {
    const touch = (): unknown =>
      zone.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, button: 0 }))
    const real = performance.now.bind(performance)
    const at = real()
    performance.now = () => at
    touch()
    performance.now = () => at + ms
    touch()
    performance.now = real
  }, apart)

test.use(PHONE)

test('from opening the app to the first answer it is three presses', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/before/${id.Lapwing}`)
  await page.goto(demo.url)
  await page.getByRole('link', { name: 'Pen', exact: true }).tap()
  await button(page, /^(Ask|Start)/).tap()
  await wait(page, 900)
  await button(page, /^(Answered|Settled)/).tap()
  await expect(marks(page, /^1 answer\b/)).toBeVisible()
})

for (const apart of [60, 120, 240])
  test(`a glove’s second touch after ${apart} ms is the same press`, async ({ page, demo }) => {
    await enterDemo(page, demo)
    const horse = await addHorse(page, demo, { name: `Teasel ${apart}` })
    await page.goto(`${demo.url}/pen/${horse}?step=settle-in-pen`)
    await button(page, /^Start/).waitFor()
    await touchTwice(page, /^Start/, apart)
    await wait(page, 700)
    await touchTwice(page, /^Settled/, apart)
    await expect(marks(page, /^1 answer\b.*calm not noted/)).toBeVisible()
    await wait(page, 600)
    await touchTwice(page, /^Loose Step away/, apart)
    await expect(marks(page, /^1 answer\b.*, loose/)).toBeVisible()
    await expect(button(page, /^Start/)).toBeVisible()
  })

test('what became of an ask that was left is asked, and nothing is made up', async ({ page, demo }) => {
  await enterDemo(page, demo)
  const horse = await addHorse(page, demo, { name: 'Tansy' })
  const pen = `${demo.url}/pen/${horse}?step=settle-in-pen`
  const leaveInIt = async (): Promise<void> => {
    await page.goto(pen)
    await button(page, /^Start/).waitFor()
    await press(page, 'Space')
    await button(page, /^Settled/).waitFor()
    await wait(page, 500)
    await page.goto(`${demo.url}/after/${horse}`)
    await page.goto(pen)
    await expect(page.getByRole('heading', { name: 'What became of it?' })).toBeVisible()
  }
  await leaveInIt()
  await press(page, 'Space')
  await expect(button(page, /^Settled/)).toHaveCount(0)
  await button(page, /^It was not asked/).tap()
  await expect(button(page, /^Start/)).toBeVisible()
  await expect(marks(page, /^[1-9]\d* answers/)).toHaveCount(0)
  await leaveInIt()
  await button(page, /^noticed/).tap()
  await expect(marks(page, /^1 answer\b.*half weight/)).toBeVisible()
})

test('how it is asked is one thumb away while it runs; a danger ends it without an answer', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  const horse = await addHorse(page, demo, { name: 'Betony' })
  await page.goto(`${demo.url}/pen/${horse}?step=settle-in-pen`)
  await button(page, /^Start/).tap()
  await wait(page, 700)
  await button(page, /^How$/).tap()
  await expect(page.getByText('Counts:')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Danger' })).toBeVisible()
  await button(page, /^Close$/).tap()
  await expect(button(page, /^Settled/)).toBeVisible()
  await button(page, /^Danger$/).tap()
  await expect(page.getByText(/^Interrupted: the ask of/)).toBeVisible()
  await button(page, /^Close$/).tap()
  await expect(button(page, /^Start/)).toBeVisible()
  await expect(marks(page, /^[1-9]\d* answers/)).toHaveCount(0)
})

test('a burst that has what was planned says so, and the next one is one press', async ({ page, demo }) => {
  await enterDemo(page, demo)
  const horse = await addHorse(page, demo, { name: 'Bistort' })
  await page.goto(`${demo.url}/pen/${horse}`)
  await button(page, /^Start/).waitFor()
  const planned = Number(/ask 0 of (\d+)/.exec(await page.locator('header').innerText())![1])
  for (let ask = 0; ask < planned; ask++) {
    await press(page, 'Space')
    await wait(page, 3_000)
    await press(page, 'Space')
    await page.keyboard.press('l')
    await expect(marks(page, new RegExp(`^${ask + 1} answers?\\b`))).toBeVisible()
  }
  await expect(page.getByText(/done, as planned/)).toBeVisible()
  await button(page, /Next burst/)
    .last()
    .tap()
  await expect(page.getByText(/^2 of \d+/)).toBeVisible()
})
