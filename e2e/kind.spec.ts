import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { pages, settle } from './every-page'
import { enterDemo, expect, PHONE, test, press, wait } from './fixtures'

const faults = async (page: Page): Promise<unknown[]> => {
  const { violations } = await new AxeBuilder({ page }).analyze()
  return violations.map(({ id, nodes }) => [page.url(), id, nodes.slice(0, 2).map(({ html }) => html)])
}

const THEMES = ['light', 'dark'] as const

/** The faults of a page in both its themes. */
const faultsInBoth = async (page: Page): Promise<unknown[]> => {
  const found = []
  for (const colorScheme of THEMES) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
    found.push(...(await faults(page)).map((fault) => [colorScheme, fault]))
  }
  return found
}

test('axe finds nothing on any page, light or dark', async ({ page, demo }) => {
  test.setTimeout(1_200_000)
  await page.goto(demo.url)
  await page.getByRole('button', { name: 'Sign in as the demo starter' }).waitFor()
  expect(await faultsInBoth(page)).toEqual([])
  const id = await enterDemo(page, demo)
  const found = []
  for (const path of pages(id)) {
    await page.goto(`${demo.url}${path}`)
    await settle(page)
    found.push(...(await faultsInBoth(page)))
  }
  expect(found).toEqual([])
})

test.describe('on a phone', () => {
  test.use(PHONE)
  test('axe finds nothing, and no page is wider than the phone', async ({ page, demo }) => {
    test.setTimeout(400_000)
    const id = await enterDemo(page, demo)
    const found = []
    for (const path of pages(id)) {
      await page.goto(`${demo.url}${path}`)
      await settle(page)
      // What a phone is taken out for; the same parts on the other pages were looked at on the desk.
      if (/before|pen|after|gates|horses\/[^/]+$/.test(path)) found.push(...(await faults(page)))
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      if (over > 0) found.push([path, 'is wider than the phone by', over])
    }
    expect(found).toEqual([])
  })
})

test('at 200 % no page runs off the side', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  // A browser's zoom of 200 % halves the page it has to fit into.
  await page.setViewportSize({ width: 640, height: 400 })
  for (const path of pages(id)) {
    await page.goto(`${demo.url}${path}`)
    await settle(page)
    const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect([path, over]).toEqual([path, 0])
  }
})

test('with letters twice as large nothing on the Line collides', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.addInitScript(() => {
    document.addEventListener('DOMContentLoaded', () => {
      document.documentElement.style.fontSize = '32px'
    })
  })
  await page.goto(`${demo.url}/horses/${id.Sedge}`)
  await page.locator('[data-step]').first().waitFor()
  const collisions = await page.evaluate(() => {
    const section = document.querySelector('[aria-label="The Line"]')!
    const boxes = [...section.querySelectorAll('svg text')].map((text) => ({
      words: text.textContent,
      box: text.getBoundingClientRect(),
    }))
    return boxes.flatMap((a, i) =>
      boxes
        .slice(i + 1)
        .filter(
          (b) =>
            a.box.left < b.box.right - 1 &&
            b.box.left < a.box.right - 1 &&
            a.box.top < b.box.bottom - 4 &&
            b.box.top < a.box.bottom - 4,
        )
        .map((b) => `${a.words} / ${b.words}`),
    )
  })
  expect(collisions).toEqual([])
})

test('a sign-in that ended is said, and the answers wait for it', async ({ page, context, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Lapwing}?step=catch-rope`)
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  await context.clearCookies()
  await press(page, 'Space')
  await wait(page, 400)
  await press(page, 'Space')
  await page.keyboard.press('l')
  await expect(page.getByText(/kept here, sign in to send/)).toBeVisible({ timeout: 20_000 })
  await page.goto(demo.url)
  await page.getByRole('button', { name: 'Sign in as the demo starter' }).click()
  await expect(page.getByText('all saved')).toBeVisible({ timeout: 20_000 })
  await page.goto(`${demo.url}/horses/${id.Lapwing}/steps/catch-rope`)
  await page.getByText('The figures').first().click()
  await expect(page.getByText('today', { exact: true }).first()).toBeVisible()
})
