import type { Judged, ToldToday } from '@still-pine/use-cases'
import { maybeRow, rows, run, sql, type Client } from './sql'

/** Which horse on which day, judged by which version of the product. */
export interface DayKey {
  readonly horseId: string
  readonly day: string
  readonly engine: string
}

export interface JudgedDay {
  readonly workDays: number
  readonly judged: Judged
}

/** What was judged of a horse for a day, where nothing of it has changed since. */
export const judgedDay = (client: Client, { horseId, day, engine }: DayKey) =>
  maybeRow<JudgedDay>(
    client,
    sql`select d.work_days as "workDays", d.judged
        from horse_day d join horse h on h.id = d.horse_id and h.revision = d.revision
        where d.horse_id = ${horseId} and d.day = ${day} and d.engine = ${engine}`,
  )

/** What Today tells of every horse that is judged for this day, by horse. */
export const toldToday = async (
  client: Client,
  { day, engine }: Pick<DayKey, 'day' | 'engine'>,
): Promise<ReadonlyMap<string, ToldToday>> => {
  const found = await rows<{ horseId: string } & ToldToday>(
    client,
    sql`select d.horse_id as "horseId", d.today as plan, (a.arrangement ->> 'minutes')::int as "arrangedMinutes"
        from horse_day d join horse h on h.id = d.horse_id and h.revision = d.revision
        left join arrangement a on a.horse_id = d.horse_id and a.day = d.day
          and a.arrangement ->> 'programId' = h.program_id::text
        where d.day = ${day} and d.engine = ${engine} and h.archived is null`,
  )
  return new Map(found.map(({ horseId, ...told }) => [horseId, told]))
}

/** Horses of the string that are not judged for this day yet as they stand. */
export const unjudgedHorses = async (
  client: Client,
  { day, engine }: Pick<DayKey, 'day' | 'engine'>,
): Promise<string[]> => {
  const found = await rows<{ id: string }>(
    client,
    sql`select h.id from horse h
        where h.archived is null and not exists (
          select from horse_day d where d.horse_id = h.id and d.day = ${day} and d.engine = ${engine}
            and d.revision = h.revision)
        order by h.id`,
  )
  return found.map(({ id }) => id)
}

/** Tells the pages of a yard that something of it is known anew. */
export const tellYard = (client: Client, yardId: string) =>
  run(client, sql`select pg_notify('yard_changed', ${JSON.stringify({ yardId, horseId: null })})`)

/** Which state of a horse this is: raised by every change of what is known of it. */
export const revisionOf = async (client: Client, horseId: string): Promise<number> =>
  (await maybeRow<{ revision: number }>(client, sql`select revision from horse where id = ${horseId}`))!
    .revision

/** Saves what was judged of a revision, and forgets the days gone by; a horse that changed meanwhile is left alone. */
export const saveJudgedDay = async (
  client: Client,
  yardId: string,
  { horseId, day, engine, revision, workDays, judged }: DayKey & JudgedDay & { readonly revision: number },
): Promise<void> => {
  const { rests, reason, minutes } = judged.plan
  await run(
    client,
    sql`insert into horse_day (yard_id, horse_id, day, engine, revision, work_days, judged, today)
        select ${yardId}, h.id, ${day}, ${engine}, h.revision, ${workDays}, ${JSON.stringify(judged)},
               ${JSON.stringify({ rests, reason, minutes })}
        from horse h where h.id = ${horseId} and h.revision = ${revision}
        on conflict (yard_id, horse_id, day, engine) do update set revision = excluded.revision,
          work_days = excluded.work_days, judged = excluded.judged, today = excluded.today`,
  )
  await run(client, sql`delete from horse_day where horse_id = ${horseId} and day < ${day}`)
}
