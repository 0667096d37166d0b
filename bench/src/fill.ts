import { randomUUID } from 'node:crypto'
import { FEET_FIRST, sidesOf } from '@still-pine/core/program'
import type pg from 'pg'

/** How much is put into a database; the database itself makes the rows. */
export interface Size {
  readonly yards: number
  readonly horses: number
  /** Answers of each horse. */
  readonly answers: number
}

const TRACKS = FEET_FIRST.steps.flatMap((step) =>
  sidesOf(step).map((side) => ({ step: step.key, side, rung: step.requiredRung })),
)

/** Answers of a session, and days from one to the next. */
const A_SESSION = 40
const EVERY_DAYS = 2

/** Ids that grow as they are given, as those of real clients do (UUID version 7). */
const GROWING_ID = `(lpad(to_hex(nextval('bench_id')), 12, '0') || '70008' || substr(md5(random()::text), 1, 15))::uuid`

/** Twenty million rows are sorted into an index at once sooner than one by one. */
const withoutIndexes = async (client: pg.Client, work: () => Promise<void>): Promise<void> => {
  const { rows } = await client.query<{ name: string; definition: string }>(
    `select indexname as name, indexdef as definition from pg_indexes
     where tablename = 'answer' and indexname not in (select conname from pg_constraint)`,
  )
  for (const { name } of rows) await client.query(`drop index ${name}`)
  await work()
  for (const { definition } of rows) await client.query(definition)
}

/** Fills yards with horses, sessions and answers that end on `lastDay`. */
export const fillYards = (
  client: pg.Client,
  yardIds: readonly string[],
  { size, lastDay }: { size: Omit<Size, 'yards'>; lastDay: string },
): Promise<void> => withoutIndexes(client, () => fillRows(client, yardIds, { size, lastDay }))

const fillRows = async (
  client: pg.Client,
  yardIds: readonly string[],
  { size: { horses, answers }, lastDay }: { size: Omit<Size, 'yards'>; lastDay: string },
): Promise<void> => {
  const tracks = JSON.stringify(TRACKS)
  // The rows fit together by the way they are made: looking up each one's yard again would take half the time.
  await client.query('set session_replication_role = replica')
  await client.query(`set maintenance_work_mem = '1GB'`)
  await client.query('create sequence if not exists bench_id cache 1000')
  for (const yardId of yardIds) {
    const sessions = Math.ceil(answers / A_SESSION)
    await client.query('begin')
    await client.query(
      `insert into program (id, yard_id, school, version, document) values ($1, $2, $3, $4, $5) on conflict do nothing`,
      [randomUUID(), yardId, FEET_FIRST.school, FEET_FIRST.version, JSON.stringify(FEET_FIRST)],
    )
    await client.query(
      `insert into horse (id, yard_id, program_id, name, born, sex, kind, marks, origin, handled, arrived, version, created_at)
       select gen_random_uuid(), $1, p.id, 'Horse ' || n, $2::date - 1500, 'mare', 'horse', '', '', false,
              $2::date - 3 - ${EVERY_DAYS} * $4::int, 1, now() + n * interval '1 millisecond'
       from program p, generate_series(1, $3::int) n where p.yard_id = $1`,
      [yardId, lastDay, horses, sessions],
    )
    await client.query(
      `insert into pen_session (id, yard_id, horse_id, person_id, started_at, day)
       select gen_random_uuid(), $1, h.id, p.id, d.day + time '08:00' at time zone 'UTC', d.day
       from horse h, person p,
            lateral (select $2::date - ${EVERY_DAYS} * ($3::int - 1 - k) as day from generate_series(0, $3::int - 1) k) d
       where h.yard_id = $1 and p.yard_id = $1`,
      [yardId, lastDay, sessions],
    )
    await client.query(
      `with kept as (
         insert into answer (id, yard_id, horse_id, session_id, person_id, step, side, rung, grade, calm, at, day, phone_at,
                             ahead, by_chance, recalled, uncued, place, moving)
         select ${GROWING_ID}, $1, s.horse_id, s.id, s.person_id, t.track->>'step', t.track->>'side',
                (t.track->>'rung')::int, case when random() < 0.85 then (random() * 1.2)::int else 2 + (random() * 2)::int end,
                case when random() < 0.9 then 0 else 1 end, s.started_at + n * interval '30 seconds', s.day,
                s.started_at + n * interval '30 seconds', false, false, false, false, 1 + n % 5, n % 2 = 0
         from (select *, row_number() over (partition by horse_id order by day) as nth from pen_session where yard_id = $1) s,
              generate_series(1, ${A_SESSION}) n,
              lateral (select $2::jsonb -> ((s.nth * 10 + n / 4)::int % $3::int) as track) t
         order by s.horse_id, s.day, n
         returning horse_id, at, seq)
       update horse h set last_at = a.at, last_seq = a.seq
       from (select distinct on (horse_id) horse_id, at, seq from kept order by horse_id, at desc, seq desc) a
       where a.horse_id = h.id`,
      [yardId, tracks, TRACKS.length],
    )
    await client.query('commit')
  }
  await client.query('set session_replication_role = origin')
  // What was filled is tidied and on the disk before anything is measured: a yard’s answers do not come by the million,
  // and the database would tidy up by itself just then.
  await client.query('vacuum (analyze)')
  await client.query('checkpoint')
}
