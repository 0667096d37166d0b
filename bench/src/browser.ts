import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { chromium, type Page } from '@playwright/test'

export interface Opened {
  readonly page: Page
  readonly address: string
  /** The first horse of the yard. */
  readonly horseId: string
}

/** Two hundred horses are judged for the first time that day. */
const PATIENCE_MS = 600_000

/** The built product on a filled database, with a browser signed in to it, for as long as the work takes. */
export const inBrowser = async <T>(
  ownerUrl: string,
  signIn: { email: string; password: string },
  { viewport, work }: { viewport: { width: number; height: number }; work: (opened: Opened) => Promise<T> },
): Promise<T> => {
  const files = mkdtempSync(join(tmpdir(), 'still-pine-bench-files-'))
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    env: {
      ...process.env,
      DATABASE_URL: ownerUrl,
      STILL_PINE_FILES: files,
      STILL_PINE_WEB: resolve('web/dist'),
      PORT: '0',
      LOG_LEVEL: 'silent',
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  const [{ listening }] = (await Promise.race([
    once(child, 'message'),
    once(child, 'exit').then(() => Promise.reject(new Error('The server ended before it listened.'))),
  ])) as [{ listening: number }]
  const address = `http://127.0.0.1:${listening}`
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
  try {
    const page = await (await browser.newContext({ viewport })).newPage()
    await page.request.post(`${address}/api/v1/sign-in`, { data: signIn })
    const { rows } = (await (
      await page.request.get(`${address}/api/v1/today`, { timeout: PATIENCE_MS })
    ).json()) as {
      rows: { horse: { id: string } }[]
    }
    return await work({ page, address, horseId: rows[0]!.horse.id })
  } finally {
    await browser.close()
    child.kill('SIGTERM')
    rmSync(files, { recursive: true, force: true })
  }
}

/** Runs in the page: how many entries a part of the device’s own store has. */
export const countIn = (shelf: string): Promise<number> =>
  new Promise((resolve, reject) => {
    const open = indexedDB.open('still-pine')
    open.onerror = () => reject(open.error as Error)
    open.onsuccess = () => {
      const count = open.result.transaction(shelf).objectStore(shelf).count()
      count.onsuccess = () => {
        open.result.close()
        resolve(count.result)
      }
    }
  })

const SETTLES_MS = 3_000

/** Opens the app as a starter’s own phone has it: installed, and with the horses of the day taken along. */
export const installed = async ({ page, address, horseId }: Opened): Promise<void> => {
  await page.goto(`${address}/before/${horseId}`)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  while ((await page.evaluate(countIn, 'carried')) === 0) await page.waitForTimeout(500)
  await page.waitForTimeout(SETTLES_MS)
}
