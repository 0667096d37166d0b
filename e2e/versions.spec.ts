import { appendFileSync, cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Page } from '@playwright/test'
import { enterDemo, expect, test, press, wait } from './fixtures'
import { startProduct } from './product'
import { lying, settleIn } from './this-device'

test.use({ serviceWorkers: 'allow' })

const DIST = join(dirname(fileURLToPath(import.meta.url)), '../web/dist')

/** Another build: its service worker differs, and its first page says which one it is. */
const release = (web: string, name: string): void => {
  const worker = join(web, 'service-worker.js')
  const page = join(web, 'index.html')
  const html = readFileSync(join(DIST, 'index.html'), 'utf8')
  writeFileSync(page, html.replace('<html', `<html data-release="${name}"`))
  const { length } = readFileSync(page)
  // What is kept is known by its revision: a page that changed has another.
  const code = readFileSync(join(DIST, 'service-worker.js'), 'utf8')
  writeFileSync(
    worker,
    code.replace(
      /(["'`]?revision["'`]?\s*:\s*["'`])([0-9a-f]{32})(["'`]\s*,\s*["'`]?url["'`]?\s*:\s*["'`]index\.html)/,
      `$1${name}-${length}$3`,
    ),
  )
  appendFileSync(worker, `\n// ${name}\n`)
}

const releaseOf = (page: Page): Promise<string | null> =>
  page.evaluate(() => document.documentElement.getAttribute('data-release'))

const isRelease = (name: string): boolean => document.documentElement.getAttribute('data-release') === name

/** What the page asks for where the browser keeps the old version. */
const closeAndOpen = async (page: Page): Promise<void> => {
  const address = page.url()
  await wait(page, 5_000)
  await expect(page.getByText('Close every window of this app and open it again')).toBeVisible()
  await page.goto('about:blank')
  await page.goto(address)
}

/** A version that is being fetched, or waits for a word. */
const hasAnotherVersion = (page: Page): Promise<boolean> =>
  page.evaluate(async () => {
    const { installing, waiting } = (await navigator.serviceWorker.getRegistration())!
    return (installing ?? waiting) !== null
  })

test('a new version waits for a word, an old one can be put back, and what waits survives both', async ({
  page,
  context,
}) => {
  test.slow()
  const web = join(mkdtempSync(join(tmpdir(), 'still-pine-web-')), 'dist')
  cpSync(DIST, web, { recursive: true })
  release(web, 'first')
  const product = await startProduct({ demo: true, web })
  try {
    const id = await enterDemo(page, product)
    await settleIn(page, Object.keys(id).length)
    await page.goto(`${product.url}/pen/${id.Snipe}?step=loose-turn-in`)
    expect(await releaseOf(page)).toBe('first')
    await page.getByRole('button', { name: /^Ask/ }).filter({ visible: true }).waitFor()
    await context.route('**/answers/batch', (route) => route.abort())
    await press(page, 'Space')
    await wait(page, 600)
    await press(page, 'Space')
    await expect.poll(async () => (await lying(page, 'waiting')).length).toBe(2)

    const take = async (name: string): Promise<void> => {
      release(web, name)
      await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update())
      await page.goto(`${product.url}/horses/${id.Snipe}`)
      // A browser may put it in place by itself when the only page of the old one goes, and then the next page
      // opened is the new one; else a person says so; and if it holds on to the old one, the page says what to do.
      await expect(async () => {
        if ((await releaseOf(page)) === name) return
        if (await hasAnotherVersion(page)) {
          await page.getByRole('button', { name: 'Reload with it' }).click()
          await page.waitForFunction(isRelease, name, { timeout: 8_000 }).catch(() => closeAndOpen(page))
        } else await page.reload()
        expect(await releaseOf(page)).toBe(name)
      }).toPass({ timeout: 60_000, intervals: [1000, 2000] })
      expect(await lying(page, 'waiting')).toHaveLength(2)
    }
    release(web, 'second')
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update())
    // Never in the middle of a horse: it is only said.
    await expect(page.getByText('new version: reload when you are out of the pen')).toBeVisible()
    expect(await releaseOf(page)).toBe('first')
    await take('second')
    await take('first')
    await context.unroute('**/answers/batch')
    await expect(page.getByText(/all saved/)).toBeVisible({ timeout: 40_000 })
  } finally {
    await product.stop()
  }
})
