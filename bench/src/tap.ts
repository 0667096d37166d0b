import type { Page } from '@playwright/test'
import { inBrowser, installed, type Opened } from './browser'
import { percentile, type Figure } from './measure'

const ANSWERS = 90
const SLOWER = 4
/** A thumb leaves the button after about so long; by memory, no source. */
const THUMB_MS = 80
const P95 = 0.95

/** Runs in the page: times each answer from the press to the painted mark, and to the end of its write on the device. */
const watch = (): void => {
  const times: { pressed: number; painted: number; kept: number }[] = []
  Object.assign(window, { times })
  window.addEventListener(
    'keydown',
    ({ key }) => {
      if (key === ' ') times.push({ pressed: performance.now(), painted: NaN, kept: NaN })
    },
    true,
  )
  new MutationObserver((changes) => {
    const hasNewMark = changes.some(({ addedNodes }) =>
      [...addedNodes].some(({ nodeName }) => nodeName === 'g'),
    )
    const last = times.at(-1)
    if (hasNewMark && last && Number.isNaN(last.painted))
      requestAnimationFrame(() => setTimeout(() => (last.painted = performance.now())))
  }).observe(document.body, { childList: true, subtree: true })
  const add = IDBObjectStore.prototype.add
  IDBObjectStore.prototype.add = function (...args) {
    const last = times.at(-1)
    this.transaction.addEventListener('complete', () => {
      if (last) last.kept = performance.now()
    })
    return add.apply(this, args)
  }
}

/** Runs in the page: what a bare page needs to paint one more element and to write one record, the median of many. */
const floor = async (rounds: number): Promise<number> => {
  const database = await new Promise<IDBDatabase>((resolve, reject) => {
    const opening = indexedDB.open('floor', 1)
    opening.onupgradeneeded = () => opening.result.createObjectStore('one', { autoIncrement: true })
    opening.onsuccess = () => resolve(opening.result)
    opening.onerror = () => reject(opening.error as Error)
  })
  const times: number[] = []
  for (let i = 0; i < rounds; i++) {
    const began = performance.now()
    const transaction = database.transaction('one', 'readwrite')
    transaction.objectStore('one').add({ i })
    const kept = new Promise((resolve) => transaction.addEventListener('complete', resolve))
    document.body.append(document.createElement('i'))
    const painted = new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
    await Promise.all([kept, painted])
    times.push(performance.now() - began)
  }
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}

const slowDown = async (page: Page): Promise<void> => {
  const session = await page.context().newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
}

/** In a page of its own, gone before the answers: it must not lie in their way. */
const onBarePage = async (page: Page, address: string): Promise<number> => {
  const bare = await page.context().newPage()
  await bare.goto(`${address}/healthz`)
  await slowDown(bare)
  const time = await bare.evaluate(floor, ANSWERS)
  await bare.close()
  return time
}

const tapAnswers = async ({ page, address, horseId }: Opened): Promise<readonly Figure[]> => {
  await installed({ page, address, horseId })
  const bare = await onBarePage(page, address)
  // It needs nothing first: any horse may be asked it.
  await page.goto(`${address}/pen/${horseId}?step=settle-in-pen`)
  await page.getByRole('button', { name: /forward on the remote/ }).waitFor()
  await slowDown(page)
  await page.evaluate(watch)
  for (let i = 0; i < ANSWERS; i++) {
    // Keys come without the looking and measuring that a driven click does on the page itself.
    await page.keyboard.press('Space', { delay: THUMB_MS })
    await page.waitForTimeout(500)
    await page.keyboard.press('Space', { delay: THUMB_MS })
    await page.waitForTimeout(400)
    await page.keyboard.press('w', { delay: THUMB_MS })
    await page.waitForTimeout(300)
  }
  const times = await page.evaluate(
    () => (window as unknown as { times: { pressed: number; painted: number; kept: number }[] }).times,
  )
  // Every other press is the start of an ask, which keeps nothing.
  const answers = times.filter(({ painted, kept }) => !Number.isNaN(painted) && !Number.isNaN(kept))
  if (answers.length < ANSWERS / 2) throw new Error(`Only ${answers.length} answers were seen.`)
  const figure = (what: string, from: (one: (typeof answers)[number]) => number, aim: string): Figure => ({
    name: `Answer ${what}, ${SLOWER}× slowed, ${answers.length} answers: p95`,
    value: percentile(answers.map(from), P95),
    unit: 'ms',
    aim,
  })
  const both = ({ pressed, painted, kept }: (typeof answers)[number]): number =>
    Math.max(painted, kept) - pressed
  return [
    figure('painted', ({ pressed, painted }) => painted - pressed, ''),
    figure('kept on the device', ({ pressed, kept }) => kept - pressed, ''),
    figure('kept and painted', both, '< 50'),
    {
      name: `Answer kept and painted, ${SLOWER}× slowed, ${answers.length} answers: median`,
      value: percentile(answers.map(both), 0.5),
      unit: 'ms',
      aim: '',
    },
    {
      name: `One record kept and one element painted on a bare page, ${SLOWER}× slowed: median`,
      value: bare,
      unit: 'ms',
      aim: '',
    },
  ]
}

/** From a press in the pen to an answer that is kept and seen, on a slow phone. */
export const tapFigures = (
  ownerUrl: string,
  signIn: { email: string; password: string },
): Promise<readonly Figure[]> =>
  inBrowser(ownerUrl, signIn, { viewport: { width: 390, height: 844 }, work: tapAnswers })
