import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { resolve } from 'node:path'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { median, type Figure } from './measure'

const LOADS = 5

/** What the Line costs in a browser: its JavaScript, and the time to its first scales. */
export const pageFigures = async (
  ownerUrl: string,
  signIn: { email: string; password: string },
): Promise<readonly Figure[]> => {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    env: {
      ...process.env,
      DATABASE_URL: ownerUrl,
      STILL_PINE_WEB: resolve('web/dist'),
      PORT: '0',
      LOG_LEVEL: 'silent',
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  const [{ listening }] = (await once(child, 'message')) as [{ listening: number }]
  const address = `http://127.0.0.1:${listening}`
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.request.post(`${address}/api/v1/sign-in`, { data: signIn })
  const { rows } = (await (await page.request.get(`${address}/api/v1/today`)).json()) as {
    rows: { horse: { id: string } }[]
  }
  const line = `${address}/horses/${rows[0]!.horse.id}`
  let bytes = 0
  page.on('response', (response) => {
    if (/\.js($|\?)/.test(response.url()))
      void response.body().then((body) => {
        bytes += gzipSync(body).length
      })
  })
  const paints: number[] = []
  const scales: number[] = []
  let firstLoad = 0
  for (let i = 0; i < LOADS; i++) {
    await page.goto(line)
    await page.locator('[data-step]').first().waitFor()
    scales.push(await page.evaluate(() => performance.now()))
    paints.push(
      await page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN),
    )
    if (i === 0) {
      await page.waitForTimeout(500)
      firstLoad = bytes
    }
  }
  await browser.close()
  child.kill('SIGTERM')
  return [
    { name: 'JavaScript of the Line, first load, gzipped', value: firstLoad / 1000, unit: 'kB', aim: '' },
    { name: 'Line in the browser: first paint', value: median(paints), unit: 'ms', aim: '' },
    { name: 'Line in the browser: scales drawn', value: median(scales), unit: 'ms', aim: '' },
  ]
}
