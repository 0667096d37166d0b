import { gzipSync } from 'node:zlib'
import { inBrowser, type Opened } from './browser'
import { median, type Figure } from './measure'

const LOADS = 5

const openLine = async ({ page, address, horseId }: Opened): Promise<readonly Figure[]> => {
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
    await page.goto(`${address}/horses/${horseId}`)
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
  return [
    { name: 'JavaScript of the Line, first load, gzipped', value: firstLoad / 1000, unit: 'kB', aim: '' },
    { name: 'Line in the browser: first paint', value: median(paints), unit: 'ms', aim: '' },
    { name: 'Line in the browser: scales drawn', value: median(scales), unit: 'ms', aim: '' },
  ]
}

/** What the Line costs in a browser: its JavaScript, and the time to its first scales. */
export const pageFigures = (
  ownerUrl: string,
  signIn: { email: string; password: string },
): Promise<readonly Figure[]> =>
  inBrowser(ownerUrl, signIn, { viewport: { width: 1280, height: 800 }, work: openLine })
