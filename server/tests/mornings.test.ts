import type { Me, ReplyOf } from '@still-pine/contract'
import pg from 'pg'
import PgBoss from 'pg-boss'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { JOBS_SCHEMA, MORNINGS } from '../src/data/jobs'
import { appUrl } from '../src/data/pool'
import { startJobs } from '../src/jobs'
import { savesOf } from '../src/records/in-yard'
import { makeDay } from '../src/records/make-days'
import { remakeYard } from '../src/records/remake'
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
    expect(rows.map(({ cron }) => cron).sort()).toEqual(['*/15 * * * *', '40 1 * * *'])
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

describe('a yard whose horses an earlier law left', () => {
  it('serves them as they stand until they are worked out anew, and leaves what was predicted as it was said', async () => {
    const [horse] = horses
    const at = '2026-05-14T08:30:00Z'
    const session = sessionItem(horse!, at)
    await sendBatch(yard.starter, [session, answerItem(horse!, session.session.id, { at })], at)
    const chanceOf = async (): Promise<number> => {
      const { body } = await yard.starter.get<ReplyOf<'line'>>(`/horses/${horse!}/line`)
      return body.tracks.find(({ step }) => step === 'settle-in-pen')!.view.chance
    }
    const made = await chanceOf()
    // As a track stood before: every horse alike, nothing known of it.
    await owner.query(`update horse set standing = null where id = $1`, [horse])
    await owner.query(
      `update track set covariance = '{"talent":0,"speed":0,"ease":0}', start = '{"ability":{"mean":-2.2,"sd":1.2},"calm":{"mean":-0.5,"sd":1.2}}'
       where horse_id = $1`,
      [horse],
    )
    await owner.query(`update prediction set chance = 0.042, calm_chance = null where horse_id = $1`, [horse])
    await owner.query('delete from horse_day')
    expect((await yard.starter.get(`/horses/${horse!}/line`)).status).toBe(200)
    expect(await remakeYard(yard.workings, yardId)).toBe(1)
    expect(await remakeYard(yard.workings, yardId)).toBe(0)
    expect(await chanceOf()).toBeCloseTo(made, 12)
    const { rows } = await owner.query<{ chance: number; calm: number | null }>(
      'select chance, calm_chance as calm from prediction where horse_id = $1',
      [horse],
    )
    expect(rows).toEqual([{ chance: 0.042, calm: null }])
  })

  it('works a horse out anew before the first answer that comes to it', async () => {
    const [, , horse] = horses
    const log = async (minute: number): Promise<void> => {
      const at = `2026-05-14T08:${minute}:00Z`
      const session = sessionItem(horse!, at)
      await sendBatch(yard.starter, [session, answerItem(horse!, session.session.id, { at })], at)
    }
    await log(40)
    await owner.query(`update horse set standing = null where id = $1`, [horse])
    await log(41)
    const { rows } = await owner.query<{ answers: number; talent: number }>(
      `select (t.tally ->> 'answers')::int as answers, (h.standing -> 'talent' ->> 'mean')::float8 as talent
       from horse h join track t on t.horse_id = h.id where h.id = $1`,
      [horse],
    )
    expect(rows[0]!.answers).toBe(2)
    expect(rows[0]!.talent).toBeGreaterThan(0.5)
  })
})
