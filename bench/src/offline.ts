import { countIn, inBrowser, installed, type Opened } from './browser'
import { median, type Figure } from './measure'

const SLOWER = 4
const OPENINGS = 5
const DRAINED = 500

/** Runs in the page: puts answers into the outbox, as many as a long day without signal leaves. */
const fillOutbox = async ({ horseId, many }: { horseId: string; many: number }): Promise<void> => {
  const database = await new Promise<IDBDatabase>((resolve) => {
    const open = indexedDB.open('still-pine')
    open.onsuccess = () => resolve(open.result)
  })
  const person = await new Promise<string>((resolve) => {
    const found = database.transaction('facts').objectStore('facts').get('person')
    found.onsuccess = () => resolve((found.result as { value: string }).value)
  })
  const change = database.transaction('waiting', 'readwrite')
  const put = (id: string, item: object): void =>
    void change
      .objectStore('waiting')
      .add({ id, personId: person, horseId, readyAt: 0, keptAt: Date.now(), item })
  const sessionId = crypto.randomUUID()
  const at = (i: number): string => new Date(Date.now() - (many + 1 - i) * 1000).toISOString()
  put(sessionId, { do: 'session', session: { id: sessionId, horseId, startedAt: at(0), place: null } })
  for (let i = 0; i < many; i++) {
    const id = crypto.randomUUID()
    const track = { step: 'step-back', side: 'none', rung: 1, grade: 1, calm: 0 }
    put(id, { do: 'add', answer: { id, horseId, sessionId, at: at(i), ...track } })
  }
  await new Promise((resolve) => change.addEventListener('complete', resolve))
  database.close()
}

/** Runs in the page: notes when the big button of the pen is first painted. */
const noteWhenDrawn = (): void => {
  const watch = new MutationObserver(() => {
    const buttons = [...document.querySelectorAll('button')]
    if (!buttons.some(({ textContent }) => textContent?.includes('forward on the remote'))) return
    watch.disconnect()
    requestAnimationFrame(() => setTimeout(() => Object.assign(window, { drawnAt: performance.now() })))
  })
  watch.observe(document, { childList: true, subtree: true })
}

const withoutSignal = async ({ page, address, horseId }: Opened): Promise<readonly Figure[]> => {
  await installed({ page, address, horseId })
  const usage = await page.evaluate(async () => {
    const names = await caches.keys()
    const sizes = await Promise.all(
      names.map(async (name) => {
        const cache = await caches.open(name)
        const replies = await Promise.all((await cache.keys()).map((key) => cache.match(key)))
        const bodies = await Promise.all(replies.map((reply) => reply!.arrayBuffer()))
        return bodies.reduce((sum, body) => sum + body.byteLength, 0)
      }),
    )
    return sizes.reduce((sum, size) => sum + size, 0)
  })
  const context = page.context()
  await context.setOffline(true)
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  await page.addInitScript(noteWhenDrawn)
  const openings: number[] = []
  for (let i = 0; i < OPENINGS; i++) {
    await page.goto(`${address}/pen/${horseId}?step=step-back`)
    await page.waitForFunction(() => 'drawnAt' in window)
    openings.push(await page.evaluate(() => (window as unknown as { drawnAt: number }).drawnAt))
  }
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 })
  await page.evaluate(fillOutbox, { horseId, many: DRAINED })
  await context.setOffline(false)
  const began = performance.now()
  while ((await page.evaluate(countIn, 'waiting')) > 0) await page.waitForTimeout(50)
  const drained = performance.now() - began
  await page
    .getByText(/all saved/)
    .first()
    .waitFor({ state: 'attached' })
  const saved = performance.now() - began
  return [
    {
      name: `Pen opened without signal, ${SLOWER}× slowed, cold page: median of ${OPENINGS}`,
      value: median(openings),
      unit: 'ms',
      aim: '< 1000',
    },
    { name: `${DRAINED} answers drained`, value: drained, unit: 'ms', aim: '' },
    { name: 'From signal to “all saved” with them', value: saved, unit: 'ms', aim: '' },
    { name: 'Installed app, unpacked', value: usage / 1000, unit: 'kB', aim: '' },
  ]
}

/** What a day without signal costs: opening, sending, and room on the device. */
export const offlineFigures = (
  ownerUrl: string,
  signIn: { email: string; password: string },
): Promise<readonly Figure[]> =>
  inBrowser(ownerUrl, signIn, { viewport: { width: 390, height: 844 }, work: withoutSignal })
