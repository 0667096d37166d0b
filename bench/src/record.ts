import pg from 'pg'
import { inBrowser, type Opened } from './browser'
import { median, type Figure } from './measure'

const LOADS = 7
const WARM_UPS = 2
const SLOWER = 4
const DAYS = 5 * 365

/** What five years leave beside the answers: things shown, hooves, tapes, looks, mishaps. */
const fiveYears = async (ownerUrl: string, horseId: string): Promise<number> => {
  const client = new pg.Client(ownerUrl)
  await client.connect()
  const by = `from horse h join person p on p.yard_id = h.yard_id, generate_series(1, $2::int) n
              where h.id = $1 and p.role = 'starter'`
  const day = `date '2026-05-13' - (n * ${DAYS} / $2::int)`
  await client.query(
    `insert into entry (yard_id, id, horse_id, person_id, on_day, kind, of_yard, taken_back, facts)
     select h.yard_id, gen_random_uuid(), h.id, p.id, ${day}, 'thing', false, false,
            jsonb_build_object('thing', 'Tarp ' || n, 'where', 'Pen', 'side', 'both', 'good', true, 'note', '') ${by}`,
    [horseId, 1_500],
  )
  await client.query(
    `insert into measurement (yard_id, id, horse_id, person_id, on_day, girth_cm, length_cm, note, taken_back)
     select h.yard_id, gen_random_uuid(), h.id, p.id, ${day}, 180, 160, '', false ${by}`,
    [horseId, 120],
  )
  const { rows } = await client.query<{ n: number }>(
    `select ((select count(*) from entry where horse_id = $1) + (select count(*) from measurement where horse_id = $1)
             + least(100, (select count(*) from pen_session where horse_id = $1)))::int as n`,
    [horseId],
  )
  await client.end()
  return rows[0]!.n
}

interface Seen {
  readonly pressed?: number
  drawn?: number
}

/** Runs in the page: remembers when the record stood there after a press. */
const watchRecord = (): void => {
  const seen: { pressed?: number; drawn?: number } = {}
  Object.assign(window, { seen })
  addEventListener('click', () => (seen.pressed = performance.now()), true)
  new MutationObserver(() => {
    if (seen.drawn !== undefined) return
    const buttons = [...document.querySelectorAll('main button')]
    if (!buttons.some(({ textContent }) => textContent.startsWith('Older ones'))) return
    seen.drawn = Infinity
    requestAnimationFrame(() => setTimeout(() => (seen.drawn = performance.now())))
  }).observe(document.body, { childList: true, subtree: true })
}

const recordTimes = async (
  { page, address, horseId }: Opened,
  records: number,
): Promise<readonly Figure[]> => {
  const fromPress: number[] = []
  const fromLastByte: number[] = []
  const session = await page.context().newCDPSession(page)
  for (let i = 0; i < LOADS + WARM_UPS; i++) {
    await page.goto(`${address}/horses/${horseId}/steps`)
    const door = page.getByRole('link', { name: 'Record', exact: true })
    await door.waitFor()
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
    await page.evaluate(watchRecord)
    await door.click()
    // Nothing is looked for in the page meanwhile: that would take from the time it measures.
    await page.waitForFunction(
      () => Number.isFinite((window as unknown as { seen: Seen }).seen.drawn),
      null,
      {
        polling: 1_000,
      },
    )
    const { seen, came } = await page.evaluate(() => ({
      seen: (window as unknown as { seen: Required<Seen> }).seen,
      came: Math.max(
        0,
        ...performance
          .getEntriesByType('resource')
          .filter(({ name }) =>
            /entries|measurements|sessions|checks|incidents|blocks|attachments/.test(name),
          )
          .map((entry) => (entry as PerformanceResourceTiming).responseEnd),
      ),
    }))
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    if (i < WARM_UPS) continue
    fromPress.push(seen.drawn - seen.pressed)
    fromLastByte.push(seen.drawn - Math.max(came, seen.pressed))
  }
  const name = `A horse’s Record, ${records} records of five years, ${SLOWER}× slowed`
  return [
    { name: `${name}, from its last byte: median`, value: median(fromLastByte), unit: 'ms', aim: '< 300' },
    { name: `${name}, from the press: median`, value: median(fromPress), unit: 'ms', aim: '' },
  ]
}

/** How long the record of five years takes to stand on the screen of a slow machine. */
export const recordFigures = (
  ownerUrl: string,
  signIn: { email: string; password: string },
): Promise<readonly Figure[]> =>
  inBrowser(ownerUrl, signIn, {
    viewport: { width: 1280, height: 800 },
    work: async (opened) => recordTimes(opened, await fiveYears(ownerUrl, opened.horseId)),
  })
