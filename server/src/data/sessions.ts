import type { Session } from '@still-pine/contract'
import { maybeRow, rows, run, sql, type Client, type Sql } from './sql'

interface Row extends Omit<Session, 'startedAt' | 'confirmedAt'> {
  readonly startedAt: Date
  readonly confirmedAt: Date | null
}

const select = (where: Sql): Sql => ({
  text: `with span as (
           select s.id, s.horse_id, s.started_at, coalesce(max(a.at), s.started_at) as ended_at, count(a.id)::int as answers
           from pen_session s
           left join (select a.* from answer a left join voiding v on v.answer_id = a.id where v.id is null) a
             on a.session_id = s.id
           group by s.id)
         select s.id, s.horse_id as "horseId", h.name as "horseName", p.name as "personName",
                s.started_at as "startedAt", s.day, s.place, s.note, s.confirmed_at as "confirmedAt", span.answers,
                exists (select from span other
                        where other.horse_id = s.horse_id and other.id <> s.id
                          and other.started_at <= span.ended_at and other.ended_at >= span.started_at
                          and other.answers > 0 and span.answers > 0) as overlaps
         from pen_session s join span on span.id = s.id
         join horse h on h.id = s.horse_id join person p on p.id = s.person_id ${where.text}`,
  values: where.values,
})

const toSession = ({ startedAt, confirmedAt, ...row }: Row): Session => ({
  ...row,
  startedAt: startedAt.toISOString(),
  confirmedAt: confirmedAt?.toISOString() ?? null,
})

export const insertSession = (
  client: Client,
  yardId: string,
  s: { id: string; horseId: string; personId: string; startedAt: Date; day: string; place: string | null },
) =>
  run(
    client,
    sql`insert into pen_session (id, yard_id, horse_id, person_id, started_at, day, place)
        values (${s.id}, ${yardId}, ${s.horseId}, ${s.personId}, ${s.startedAt}, ${s.day}, ${s.place})
        on conflict (id) do nothing`,
  )

export const sessionById = async (client: Client, id: string): Promise<Session | undefined> => {
  const row = await maybeRow<Row>(client, select(sql`where s.id = ${id}`))
  return row && toSession(row)
}

const MOST_SESSIONS = 100

export const sessionsBy = async (
  client: Client,
  { on, horseId }: { on?: string | undefined; horseId?: string | undefined },
): Promise<Session[]> =>
  (
    await rows<Row>(
      client,
      select(
        sql`where (${on ?? null}::date is null or s.day = ${on ?? null}::date)
              and (${horseId ?? null}::uuid is null or s.horse_id = ${horseId ?? null}::uuid)
            order by s.started_at desc, s.id limit ${MOST_SESSIONS}`,
      ),
    )
  ).map(toSession)

export const confirmSession = (client: Client, id: string, note: string, at: Date) =>
  run(
    client,
    sql`update pen_session set note = ${note}, confirmed_at = coalesce(confirmed_at, ${at}) where id = ${id}`,
  )
