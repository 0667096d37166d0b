import type { EvidenceSession, Session } from '@still-pine/contract'
import type { SessionToSave } from '@still-pine/use-cases'
import { maybeRow, plain, rows, run, sql, type Client, type Sql } from './sql'

interface Row extends Omit<Session, 'startedAt' | 'confirmedAt'> {
  readonly startedAt: Date
  readonly confirmedAt: Date | null
}

// What one session spans: its answers that stand, and the time of the last.
const SPAN = plain(`select count(*)::int as answers, count(a.against)::int as against, max(a.at) as ended_at
              from answer a left join voiding v on v.answer_id = a.id where v.id is null and a.session_id`)

/** The sessions that `chosen` picks; only theirs and their neighbours' answers are read. */
const select = (chosen: Sql): Sql =>
  sql`with chosen as (select s.* from pen_session s ${chosen})
         select s.id, s.horse_id as "horseId", h.name as "horseName", p.name as "personName",
                s.started_at as "startedAt", s.day, s.place, s.note, s.confirmed_at as "confirmedAt", s.circumstances, s.promised, own.answers, own.against,
                own.answers > 0 and exists (
                  select from pen_session other cross join lateral (${SPAN} = other.id) its
                  where other.horse_id = s.horse_id and other.id <> s.id and its.answers > 0
                    and other.started_at between s.started_at - interval '1 day' and own.ended_at
                    and its.ended_at >= s.started_at) as overlaps
         from chosen s cross join lateral (${SPAN} = s.id) own
         join horse h on h.id = s.horse_id join person p on p.id = s.person_id
         order by s.started_at desc, s.id`

const toSession = ({ startedAt, confirmedAt, ...row }: Row): Session => ({
  ...row,
  startedAt: startedAt.toISOString(),
  confirmedAt: confirmedAt?.toISOString() ?? null,
})

/** Adds sessions, each once. */
export const insertSessions = (client: Client, yardId: string, sessions: readonly SessionToSave[]) =>
  run(
    client,
    sql`insert into pen_session (id, yard_id, horse_id, person_id, started_at, day, place, circumstances, promised)
        select s.id, ${yardId}, s."horseId", s."personId", s."startedAt", s.day, s.place, s.circumstances,
               nullif(s.promised, 'null'::jsonb)
        from json_to_recordset(${JSON.stringify(sessions)}::json) as s(id uuid, "horseId" uuid, "personId" uuid,
          "startedAt" timestamptz, day date, place text, circumstances jsonb, promised jsonb)
        on conflict (yard_id, id) do nothing`,
  )

export const sessionById = async (client: Client, id: string): Promise<Session | undefined> => {
  const row = await maybeRow<Row>(client, select(sql`where s.id = ${id}`))
  return row && toSession(row)
}

/** Who worked each horse last. */
export const lastHandled = (client: Client) =>
  rows<{ horseId: string; personId: string }>(
    client,
    sql`select h.id as "horseId", s.person_id as "personId"
        from horse h cross join lateral (
          select person_id from pen_session where horse_id = h.id order by started_at desc, id limit 1) s`,
  )

/** Whose session it is, and of which day. */
interface SessionOf {
  readonly horseId: string
  readonly day: string
}

export const sessionsOf = async (
  client: Client,
  ids: readonly string[],
): Promise<ReadonlyMap<string, SessionOf>> => {
  if (ids.length === 0) return new Map()
  const found = await rows<SessionOf & { readonly id: string }>(
    client,
    sql`select id, horse_id as "horseId", day from pen_session where id = any(${ids})`,
  )
  return new Map(found.map(({ id, ...session }) => [id, session]))
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

export const confirmSession = (client: Client, id: string, { note, at }: { note: string; at: Date }) =>
  run(
    client,
    sql`update pen_session set note = ${note}, confirmed_at = coalesce(confirmed_at, ${at}) where id = ${id}`,
  )

export const saveCircumstances = (client: Client, id: string, circumstances: Session['circumstances']) =>
  run(
    client,
    sql`update pen_session set circumstances = ${JSON.stringify(circumstances)}::jsonb where id = ${id}`,
  )

/** How each session of a horse was, oldest first, as its evidence is told apart. */
export const circumstancesOf = (client: Client, horseId: string) =>
  rows<EvidenceSession>(
    client,
    sql`select id, day, place, circumstances, promised from pen_session
        where horse_id = ${horseId} order by started_at, id`,
  )

/** How each session was in which a step of a horse was asked, by the answers that stand. */
export const circumstancesOfStep = (client: Client, horseId: string, step: string) =>
  rows<Pick<EvidenceSession, 'id' | 'circumstances'>>(
    client,
    sql`select id, circumstances from pen_session
        where id in (select a.session_id from answer a left join voiding v on v.answer_id = a.id
                     where a.horse_id = ${horseId} and a.step = ${step} and v.id is null)
        order by started_at, id`,
  )
