import type { Me, ReplyOf } from '@still-pine/contract'
import pg from 'pg'
import PgBoss from 'pg-boss'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { JOBS_SCHEMA, MORNINGS } from '../src/data/jobs'
import { appUrl } from '../src/data/pool'
import { startJobs } from '../src/jobs'
import { savesOf } from '../src/records/in-yard'
import { makeDay } from '../src/records/make-days'
import { addHorse, answerItem, sendBatch, sessionItem } from './making'
import { FIRST_RUN, startApp, startYard, type Running, type Visitor } from './running'

const now = new Date('2026-05-14T09:00:00Z')

let yard: Running & { starter: Visitor }
let yardId: string
let owner: pg.Client
const horses: string[] = []
beforeAll(async () => {
  yard = await startYard({ now: () => now })
  yardId = (await yard.starter.get<Me>('/me')).body.yard.id
  owner = new pg.Client(yard.ownerUrl)
  await owner.connect()
  for (let n = 0; n < 3; n++) horses.push(await addHorse(yard.starter))
})
afterAll(async () => {
  await owner.end()
  await yard.stop()
})

const judgedHorses = async (): Promise<string[]> =>
  (
    await owner.query<{ id: string }>(`select horse_id as id from horse_day where day = '2026-05-14'`)
  ).rows.map(({ id }) => id)

describe('the day of a yard', () => {
  it('is judged before anybody asks, and only what changed is judged again', async () => {
    expect(await makeDay(yard.workings, yardId)).toBe(3)
    expect((await judgedHorses()).sort()).toEqual([...horses].sort())
    expect(await makeDay(yard.workings, yardId)).toBe(0)
    const at = '2026-05-14T08:00:00Z'
    const session = sessionItem(horses[1]!, at)
    await sendBatch(yard.starter, [session, answerItem(horses[1]!, session.session.id, { at })], at)
    expect(await makeDay(yard.workings, yardId)).toBe(1)
  })

  it('is told as far as it is known where a large yard asks first, and made after that', async () => {
    await owner.query('delete from horse_day')
    // So slow a thread that the patience of a question is over after one horse.
    const slow = {
      ...yard.workings.threads,
      judge: async (known: Parameters<typeof yard.workings.threads.judge>[0]) => {
        await new Promise((resolve) => setTimeout(resolve, 1_500))
        return yard.workings.threads.judge(known)
      },
    }
    const app = await startApp({ now: () => now, ownerUrl: yard.ownerUrl, threads: slow })
    const visitor = app.visitor()
    await visitor.post('/sign-in', FIRST_RUN)
    const { body } = await visitor.get<ReplyOf<'today'>>('/today')
    expect(body.rows.map(({ plan }) => plan !== null)).toEqual([true, false, false])
    await vi.waitFor(async () => expect(await judgedHorses()).toHaveLength(3), { timeout: 20_000 })
    const after = await visitor.get<ReplyOf<'today'>>('/today')
    expect(after.body.rows.every(({ plan }) => plan !== null)).toBe(true)
    await app.stop()
  })

  it('is made by a job of the night, which any server may take', async () => {
    const jobs = await startJobs(appUrl(yard.ownerUrl), yard.workings)
    await vi.waitFor(async () => expect(await judgedHorses()).toHaveLength(3), { timeout: 20_000 })
    const { rows } = await owner.query<{ cron: string }>(`select cron from ${JOBS_SCHEMA}.schedule`)
    expect(rows).toEqual([{ cron: '*/15 * * * *' }])
    await savesOf(yard.workings).done()
    await owner.query('delete from horse_day')
    const boss = new PgBoss({ connectionString: appUrl(yard.ownerUrl), schema: JOBS_SCHEMA, migrate: false })
    await boss.start()
    await boss.send(MORNINGS, {})
    await vi.waitFor(async () => expect(await judgedHorses()).toHaveLength(3), { timeout: 20_000 })
    await boss.stop({ graceful: false, wait: false })
    await jobs.end()
  })
})
