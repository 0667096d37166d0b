import { resolve } from 'node:path'
import { build } from 'esbuild'
import pg from 'pg'
import { inBrowser, type Opened } from './browser'
import { median, percentile, type Figure } from './measure'

const LOADS = 5
const PLANS = 40
/** Made for nothing before the first that is wanted, as the page of a session does. */
const WARM_UPS = 3
const SLOWER = 4
const P95 = 0.95
const STEP = 'step-back'

/** All that a horse ever answered was this one step: the heaviest page of a step there is. */
const allToOneStep = async (ownerUrl: string, horseId: string): Promise<number> => {
  const client = new pg.Client(ownerUrl)
  await client.connect()
  await client.query(`update answer set step = $2, side = 'none', rung = 4 where horse_id = $1`, [
    horseId,
    STEP,
  ])
  const { rows } = await client.query<{ n: number }>(
    'select count(*)::int as n from answer where horse_id = $1',
    [horseId],
  )
  await client.end()
  return rows[0]!.n
}

/** Runs in the page: remembers when each chart was first drawn. */
const watchCharts = (): void => {
  const drawn: Record<string, number> = {}
  Object.assign(window, { drawn })
  addEventListener('click', () => (drawn.pressed = performance.now()), true)
  new MutationObserver(() => {
    for (const chart of document.querySelectorAll('figure [role=img]')) {
      const name = chart.getAttribute('aria-label')!.split(' of ')[0]!
      if (!(name in drawn) && chart.querySelector('svg path')) {
        drawn[name] = Infinity
        requestAnimationFrame(() => setTimeout(() => (drawn[name] = performance.now())))
      }
    }
  }).observe(document.body, { childList: true, subtree: true })
}

const chartTimes = async (
  { page, address, horseId }: Opened,
  answers: number,
): Promise<readonly Figure[]> => {
  const times: Record<string, number[]> = {}
  for (let i = 0; i < LOADS; i++) {
    await page.goto(`${address}/horses/${horseId}/steps`)
    await page.evaluate(watchCharts)
    await page.locator(`a[href="/horses/${horseId}/steps/${STEP}"]`).first().click()
    await page
      .getByRole('img', { name: /^Chance of/ })
      .locator('svg path')
      .first()
      .waitFor({ state: 'attached' })
    await page.waitForTimeout(500)
    const { drawn, came } = await page.evaluate(() => ({
      drawn: (window as unknown as { drawn: Record<string, number> }).drawn,
      came: performance
        .getEntriesByType('resource')
        .filter(({ name }) => name.includes('/evidence'))
        .map((entry) => (entry as PerformanceResourceTiming).responseEnd)
        .at(-1)!,
    }))
    const { pressed, ...charts } = drawn
    for (const [name, at] of Object.entries(charts)) {
      ;(times[`${name} drawn, ${answers} answers of one step, from their last byte`] ??= []).push(at - came)
      ;(times[`${name} drawn, ${answers} answers of one step, from the press`] ??= []).push(at - pressed!)
    }
  }
  return Object.entries(times).map(([name, all]) => ({
    name: `${name}: median`,
    value: median(all),
    unit: 'ms',
    aim: name.endsWith('byte') ? '< 300' : '',
  }))
}

const COMPOSING = `
  import { planSession } from '@still-pine/core/plan'
  import { trackKey } from '@still-pine/core/readiness'
  export const times = (program, line, runs) => {
    const views = new Map(line.tracks.map(({ step, side, view }) => [trackKey(step, side), view]))
    const took = []
    for (let i = 0; i < runs; i++) {
      const began = performance.now()
      planSession(program, views, { facts: line.facts, on: line.day })
      took.push(performance.now() - began)
    }
    return took
  }
`

const composerTimes = async ({ page, address, horseId }: Opened): Promise<readonly Figure[]> => {
  const get = async <T>(path: string): Promise<T> =>
    (await (await page.request.get(`${address}/api/v1${path}`)).json()) as T
  const line = await get<{ horse: { programId: string } }>(`/horses/${horseId}/line`)
  const { program } = await get<{ program: { steps: unknown[] } }>(`/programs/${line.horse.programId}`)
  const stdin = { contents: COMPOSING, resolveDir: resolve('bench'), loader: 'ts' as const }
  const bundled = await build({ stdin, bundle: true, format: 'iife', globalName: 'composing', write: false })
  await page.goto(`${address}/week`)
  await page.evaluate(`${bundled.outputFiles[0]!.text}; globalThis.composing = composing`)
  const session = await page.context().newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  const times = await page.evaluate(
    ([program, line, runs]) =>
      (window as unknown as { composing: { times: (...args: unknown[]) => number[] } }).composing.times(
        program,
        line,
        runs,
      ),
    [program, line, PLANS] as const,
  )
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 })
  const name = `A session planned, ${program.steps.length} steps, ${SLOWER}× slowed`
  return [
    { name: `${name}: the first`, value: times[0]!, unit: 'ms', aim: '' },
    { name: `${name}: p95`, value: percentile(times.slice(WARM_UPS), P95), unit: 'ms', aim: '< 100' },
    { name: `${name}: median`, value: median(times.slice(WARM_UPS)), unit: 'ms', aim: '' },
  ]
}

/** Charts over a long history, and a plan on a slow processor. */
export const chartFigures = (
  ownerUrl: string,
  signIn: { email: string; password: string },
): Promise<readonly Figure[]> =>
  inBrowser(ownerUrl, signIn, {
    viewport: { width: 1280, height: 800 },
    work: async (opened) => {
      const composed = await composerTimes(opened)
      const answers = await allToOneStep(ownerUrl, opened.horseId)
      return [...composed, ...(await chartTimes(opened, answers))]
    },
  })
