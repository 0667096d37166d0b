// The pictures of the README: the demo yard on a set day, one PNG of each main view.
import { execFileSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { join, dirname } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { chromium } from '@playwright/test'

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')
const OUT = join(ROOT, 'docs/screenshots')
const NOW = '2026-05-14T07:30:00Z'

execFileSync(process.execPath, [join(ROOT, 'tools/build.mjs')], { cwd: ROOT, stdio: 'inherit' })
const { build } = await import(pathToFileURL(join(ROOT, 'node_modules/esbuild/lib/main.js')).href)
const { outputFiles } = await build({
  entryPoints: [join(ROOT, 'e2e/product.ts')],
  bundle: true,
  format: 'esm',
  platform: 'node',
  packages: 'external',
  external: ['../tools/*'],
  write: false,
})
const code = outputFiles[0].text.replaceAll('../tools/', `${pathToFileURL(join(ROOT, 'tools')).href}/`)
const source = code.replaceAll(
  'import.meta.url',
  JSON.stringify(pathToFileURL(join(ROOT, 'e2e/product.ts')).href),
)
const { startProduct } = await import(`data:text/javascript,${encodeURIComponent(source)}`)

const product = await startProduct({ demo: true, now: NOW })
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
mkdirSync(OUT, { recursive: true })

const DESK = { viewport: { width: 1280, height: 800 } }
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }

/** Opens the demo yard on the set day and gives the page and the horses' ids. */
const enter = async (options) => {
  const context = await browser.newContext({ ...options, locale: 'en-GB', timezoneId: 'Europe/Oslo' })
  const page = await context.newPage()
  await page.clock.install({ time: new Date(NOW) })
  await page.goto(product.url)
  await page.getByRole('button', { name: 'Sign in as the demo starter' }).click()
  await page.getByRole('navigation', { name: 'Today’s horses' }).waitFor()
  const { rows } = await (await page.request.get(`${product.url}/api/v1/today`)).json()
  return { page, id: Object.fromEntries(rows.map(({ horse }) => [horse.name, horse.id])) }
}

const shoot = async (page, [path, name], prepare = async () => undefined) => {
  await page.goto(`${product.url}${path}`)
  await page.getByRole('main').waitFor()
  await page.getByText('Fetching …').waitFor({ state: 'detached' })
  await prepare(page)
  await page.clock.runFor(2000)
  await page.waitForTimeout(700)
  await page.screenshot({ path: join(OUT, `${name}.png`) })
}

/** Logs asks with the remote's two buttons: seconds to the answer, then the key for the calm. */
const log = async (page, asks) => {
  for (const [seconds, calm, side] of asks) {
    if (side) await page.keyboard.press('s')
    await page.keyboard.press('Space')
    await page.clock.runFor(seconds * 1000)
    await page.keyboard.press('Space')
    await page.keyboard.press(calm)
    await page.clock.runFor(3200)
    await page.waitForTimeout(300)
  }
}

const desk = await enter(DESK)
await shoot(desk.page, [`/before/${desk.id.Sedge}`, 'before'])
await shoot(desk.page, [`/horses/${desk.id.Sedge}`, 'line'])
await shoot(desk.page, [`/horses/${desk.id.Sedge}/steps/stop-on-circle`, 'evidence'], async (page) => {
  await page
    .getByRole('img', { name: /weeks of rest/ })
    .locator('svg')
    .waitFor()
})
await shoot(desk.page, [`/horses/${desk.id.Sedge}/gates/first-weight`, 'gate-stop'])
await shoot(desk.page, [`/horses/${desk.id.Lapwing}/trouble?what=will-not-load`, 'trouble'])
await shoot(desk.page, [`/horses/${desk.id.Curlew}/going`, 'on-the-line'], async (page) => {
  await page.getByText('better to the left').first().waitFor()
})
await shoot(desk.page, [`/horses/${desk.id.Sedge}/reading`, 'reading'], async (page) => {
  await page.getByText(/^It starts steps /).waitFor()
})
await shoot(desk.page, ['/yard/reading', 'yard-reading'])
await shoot(desk.page, ['/yard/judging', 'judging'], async (page) => {
  await page.locator('figure svg').waitFor()
})
await desk.page.goto(`${product.url}/yard/schools`)
await desk.page.getByLabel('and call it').fill('Lake way')
await desk.page.getByRole('button', { name: 'Copy and change it' }).click()
await desk.page.getByRole('button', { name: 'Bend', exact: true }).click()
await desk.page.getByRole('button', { name: 'Add one' }).click()
await desk.page.getByPlaceholder('A step, or one way of several').fill('flag')
await desk.page.getByRole('option', { name: /^Flag/ }).click()
await desk.page.getByRole('button', { name: /2 stroked/ }).click()
await shoot(desk.page, ['/yard/schools/lake-way/edit?part=needs&step=bend', 'school'])
const [lapwingSession] = (
  await (await desk.page.request.get(`${product.url}/api/v1/sessions?horseId=${desk.id.Lapwing}`)).json()
).sessions
await shoot(desk.page, [`/after/${desk.id.Lapwing}?session=${lapwingSession.id}`, 'after'])
await shoot(desk.page, ['/week?from=2026-05-18', 'week'], async (page) => {
  await page.getByRole('button', { name: 'Plan this week' }).click()
  await page.getByText(/No better week exists|short of the best/).waitFor({ timeout: 120_000 })
})
await shoot(desk.page, [`/horses/${desk.id.Burdock}/reading`, 'forecast'], async (page) => {
  await page.getByLabel('Before the gate').selectOption({ label: 'First time up' })
  await page.getByLabel('Asked for by').fill('2026-07-01')
  await page.getByRole('button', { name: 'Work out when' }).click()
  await page.getByText('From 200 made-up futures').waitFor({ timeout: 180_000 })
  await page.getByRole('button', { name: 'One more day a week' }).click()
  await page.getByText(/days? (sooner|later)|no difference/).waitFor({ timeout: 180_000 })
  await page.getByText('When it comes to its gate').evaluate((title) => title.scrollIntoView())
})
await shoot(desk.page, [`/horses/${desk.id.Lapwing}/from-above?step=rope-over`, 'from-above'])
await shoot(desk.page, [`/horses/${desk.id.Curlew}/rides`, 'rides'])
await shoot(desk.page, ['/yard', 'yard'])
await shoot(desk.page, [`/pen/${desk.id.Sedge}?step=yield-shoulder`, 'pen'], async (page) => {
  await page.getByRole('button', { name: /^Ask/ }).waitFor()
  await log(page, [
    [2.6, 'w'],
    [5.4, 'w'],
    [1.2, 'l', true],
    [3.1, 'l'],
    [6.2, 'w', true],
    [8.9, 't'],
  ])
  await page.keyboard.press('Space')
  await page.clock.runFor(3800)
})

const phone = await enter(PHONE)
await shoot(phone.page, [`/pen/${phone.id.Lapwing}?step=face-up`, 'pen-phone'], async (page) => {
  await page.getByRole('button', { name: /^Ask/ }).waitFor()
  await log(page, [
    [2.2, 'w'],
    [1.6, 'l'],
  ])
  await page.keyboard.press('Space')
  await page.clock.runFor(3400)
})
// Curlew's ninth ride, while it goes.
await shoot(phone.page, [`/pen/${phone.id.Curlew}/ride`, 'ride-phone'], async (page) => {
  await page.getByLabel('Rider', { exact: true }).fill('Ylva')
  await page.getByLabel('Helper on the ground').fill('Arne')
  await page.getByLabel('Ground work, minutes').fill('6')
  await page.getByText('It is ridden all the same: log it').tap()
  await page.getByLabel('Why, in a word').fill('Its owner is here')
  await page.getByRole('button', { name: 'Log what is ridden' }).tap()
  const more = page.getByRole('button', { name: /^More/ })
  await more.tap()
  await page.clock.runFor(130_000)
  await more.tap()
  await page.clock.runFor(121_000)
})

await browser.close()
await product.stop()
