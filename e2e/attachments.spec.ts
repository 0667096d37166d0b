import { mkdtempSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Attachment } from '@still-pine/contract'
import type { Page } from '@playwright/test'
import { enterDemo, expect, PHONE, press, test, wait } from './fixtures'
import { settledIn } from './this-device'
import { png, WEBM } from '../server/tests/media'

test.use({
  serviceWorkers: 'allow',
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    // A microphone that beeps, and a person who has allowed it.
    args: ['--disable-gpu', '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'],
  },
})
test.describe.configure({ timeout: 300_000 })

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name }).filter({ visible: true })

const folder = mkdtempSync(join(tmpdir(), 'still-pine-media-'))

const fileOf = (name: string, bytes: Uint8Array): string => {
  const path = join(folder, name)
  writeFileSync(path, bytes)
  return path
}

const choose = (page: Page, what: 'Picture' | 'Clip', path: string): Promise<void> =>
  page.getByLabel(what, { exact: true }).first().setInputFiles(path)

const attachmentsOf = async (page: Page, url: string, horseId: string): Promise<readonly Attachment[]> => {
  const reply = await page.request.get(`${url}/api/v1/horses/${horseId}/attachments`)
  return ((await reply.json()) as { attachments: Attachment[] }).attachments
}

const strip = (page: Page) => page.getByRole('list', { name: 'Pictures, clips and spoken notes' }).first()

test.describe('on a phone', () => {
  test.use(PHONE)

  test('a session without signal keeps a picture and a spoken note on the device, and sends all when signal is back', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    await context.setOffline(true)
    // A session that begins and ends without signal, with one answer.
    await page.goto(`${demo.url}/pen/${id.Snipe}?step=loose-turn-in`)
    const oneMore = button(page, /^One more load day this week/)
    await expect(oneMore.or(button(page, /^Ask/)).first()).toBeVisible()
    if (await oneMore.isVisible()) await oneMore.tap()
    await button(page, /^Ask/).first().waitFor()
    await press(page, 'Space')
    await wait(page, 700)
    await press(page, 'Space')
    await page.keyboard.press('l')
    await page.goto(`${demo.url}/after/${id.Snipe}`)
    await page.getByRole('textbox', { name: 'Note' }).waitFor()
    await expect(page.getByText(/1 answer\./)).toBeVisible()
    await choose(page, 'Picture', fileOf('gate.png', png(700, 9)))
    await expect(strip(page).getByRole('button')).toHaveCount(1)
    await expect(strip(page).getByRole('img', { name: 'Picture' })).toBeVisible()
    await button(page, 'Spoken note').tap()
    await page.clock.fastForward(2_000)
    // What is recorded is of the real time, which is not the page's.
    await new Promise((resolve) => setTimeout(resolve, 1_500))
    await button(page, 'Stop and keep it').tap()
    await expect(strip(page).getByRole('button')).toHaveCount(2)
    // A cold start without signal: both are still here, and the picture is seen.
    await page.reload()
    await expect(strip(page).getByRole('img', { name: 'Picture' })).toBeVisible()
    await strip(page).getByRole('button').first().tap()
    await page.getByLabel('What is seen').fill('The gate it will not pass')
    await button(page, 'Close').tap()
    await expect(strip(page).getByText(/The gate it will not pass/)).toBeVisible()
    expect(await attachmentsOf(page, demo.url, id.Snipe!).catch(() => [])).toEqual([])
    await context.setOffline(false)
    await expect(page.getByText(/all saved/i).first()).toBeAttached({ timeout: 60_000 })
    await expect
      .poll(async () => (await attachmentsOf(page, demo.url, id.Snipe!)).map(({ file }) => file), {
        timeout: 60_000,
      })
      .toEqual(['here', 'here'])
    const [picture, voice] = await attachmentsOf(page, demo.url, id.Snipe!)
    expect(picture).toMatchObject({ kind: 'picture', to: 'session', words: 'The gate it will not pass' })
    const reply = await page.request.get(`${demo.url}/api/v1/attachments/${voice!.id}/file`)
    expect(reply.headers()['content-type']).toBe('audio/webm')
    expect((await reply.body()).length).toBe(voice!.bytes)
    const small = await page.request.get(`${demo.url}/api/v1/attachments/${picture!.id}/thumbnail`)
    expect(small.headers()['content-type']).toBe('image/jpeg')
    await page.goto(`${demo.url}/horses/${id.Snipe}/record`)
    await button(page, 'Pictures and spoken notes').tap()
    await expect(page.getByRole('link', { name: /The gate it will not pass/ })).toBeVisible()
  })
})

test('what is too large, no picture at all, or more than the device holds is refused in words, and nothing half is kept', async ({
  page,
  demo,
}) => {
  const browser = await page.context().newCDPSession(page)
  await browser.send('Storage.overrideQuotaForOrigin', { origin: `${demo.url}/`, quotaSize: 21 * 2 ** 20 })
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/after/${id.Teal}`)
  await page.getByRole('textbox', { name: 'Note' }).waitFor()
  const huge = fileOf('huge.webm', WEBM)
  truncateSync(huge, 200 * 2 ** 20)
  await choose(page, 'Clip', huge)
  await expect(page.getByText(/This has 200 MB, and at most 64 MB can be kept/)).toBeVisible()
  await choose(
    page,
    'Picture',
    fileOf('foal.jpg', Buffer.from('<svg onload="alert(1)"/><script>alert(1)</script>')),
  )
  await expect(page.getByText(/not a picture that can be read. Nothing was kept/)).toBeVisible()
  const clip = fileOf('clip.webm', WEBM)
  truncateSync(clip, 30 * 2 ** 20)
  await choose(page, 'Clip', clip)
  await expect(page.getByText(/Not kept: this device has/)).toBeVisible()
  expect(await attachmentsOf(page, demo.url, id.Teal!)).toEqual([])
  await expect(page.getByText('all saved').first()).toBeAttached()
})

test('a clip that was half sent when the server died goes on where it stood', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/after/${id.Bittern}`)
  await page.getByRole('textbox', { name: 'Note' }).waitFor()
  const clip = fileOf('half.webm', WEBM)
  truncateSync(clip, 5 * 2 ** 20)
  let pieces = 0
  page.on('response', (response) => {
    if (response.url().includes('/pieces/') && response.ok()) pieces += 1
  })
  await choose(page, 'Clip', clip)
  await expect.poll(() => pieces).toBeGreaterThan(3)
  await demo.kill()
  const before = pieces
  await demo.start()
  await expect
    .poll(
      async () => {
        await page.clock.fastForward(20_000)
        return (await attachmentsOf(page, demo.url, id.Bittern!)).map(({ file }) => file)
      },
      { timeout: 120_000 },
    )
    .toEqual(['here'])
  // Twenty pieces in all; after the fall only those that were not there yet.
  expect(pieces - before).toBeLessThan(20)
  const [found] = await attachmentsOf(page, demo.url, id.Bittern!)
  const reply = await page.request.get(`${demo.url}/api/v1/attachments/${found!.id}/file`)
  expect((await reply.body()).length).toBe(5 * 2 ** 20)
})
