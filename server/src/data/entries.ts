import type { Entry, PutEntry, ReplyOf } from '@still-pine/contract'
import type { CareKind } from '@still-pine/core/care-calendar'
import type { KnownRecord } from '@still-pine/use-cases'
import type { Owner } from './care'
import { rows, run, sql, type Client } from './sql'

type KeptForecast = ReplyOf<'judging'>['forecasts'][number]

type Row = Pick<Entry, 'id' | 'on' | 'kind' | 'ofYard' | 'takenBack' | 'byName'> & { readonly facts: object }

/** What is told of a horse, the oldest first, with what holds for every horse of its yard. */
export const entriesOf = async (client: Client, horseId: string): Promise<Entry[]> =>
  (
    await rows<Row>(
      client,
      sql`select e.id, e.on_day as "on", e.kind, e.of_yard as "ofYard", e.taken_back as "takenBack", e.facts,
                 p.name as "byName"
          from entry e join person p on p.id = e.person_id
          where e.horse_id = ${horseId} or e.of_yard order by e.on_day, e.id`,
    )
  ).map(({ facts, ...one }) => ({ ...facts, ...one }) as Entry)

/** Forecasts that were shown, of one horse or of all, the newest first. */
export const keptForecasts = (client: Client, horseId: string | null) =>
  rows<KeptForecast>(
    client,
    sql`select e.horse_id as "horseId", h.name as "horseName", e.facts ->> 'name' as name, e.on_day as "on",
               (e.facts ->> 'horizonDays')::int as "horizonDays", e.facts -> 'days' as days,
               e.facts ->> 'cameOn' as "cameOn"
        from entry e join horse h on h.id = e.horse_id
        where e.kind = 'forecast' and not e.taken_back and (${horseId}::uuid is null or e.horse_id = ${horseId})
        order by e.on_day desc, e.id desc limit 200`,
  )

/** Says of forecasts that their horse stands before their gate, the first day on which it does. */
export const forecastsCame = (
  client: Client,
  horseId: string,
  { gates, day }: { gates: readonly string[]; day: string },
) =>
  run(
    client,
    sql`update entry set facts = facts || jsonb_build_object('cameOn', ${day}::text)
        where kind = 'forecast' and horse_id = ${horseId} and not taken_back and facts ->> 'cameOn' is null
          and on_day < ${day}::date and facts ->> 'gate' = any(${gates})`,
  )

interface CareRow {
  readonly horseId: string
  readonly care: CareKind
  readonly on: string
  readonly minDays: number | null
  readonly maxDays: number | null
}

/** Care that was done, of every horse: told, or looked at as a check. */
export const careDoneInYard = (client: Client) =>
  rows<CareRow>(
    client,
    sql`select horse_id as "horseId", facts ->> 'care' as care, on_day as "on", (facts ->> 'minDays')::int as "minDays",
               (facts ->> 'maxDays')::int as "maxDays"
        from entry where kind = 'care' and not taken_back
        union all
        select horse_id, case kind when 'feet' then 'hooves' when 'worming' then 'worm-count' when 'mouth' then 'teeth'
                 else kind end, on_day, null, null
        from care_check where kind in ('feet', 'worming', 'mouth', 'saddle') and withdrawn is null
        order by "on"`,
  )

/** Puts an entry, or other words on one; whose it is does not change. */
export const saveEntry = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  { id, entry: { kind, on, ofYard, takenBack, ...facts } }: { id: string; entry: PutEntry },
) =>
  run(
    client,
    sql`insert into entry (yard_id, id, horse_id, person_id, on_day, kind, of_yard, taken_back, facts)
        values (${yardId}, ${id}, ${horseId}, ${personId}, ${on}, ${kind}, ${ofYard}, ${takenBack},
                ${JSON.stringify(facts)})
        on conflict (yard_id, id) do update set on_day = excluded.on_day, kind = excluded.kind,
          of_yard = excluded.of_yard, taken_back = excluded.taken_back, facts = excluded.facts`,
  )

/** Whose horse's each entry is, and who told it. */
export const namedEntries = async (client: Client, ids: readonly string[]) => {
  const found = await rows<KnownRecord & { id: string }>(
    client,
    sql`select id, horse_id as "horseId", person_id as "personId" from entry where id = any(${ids})`,
  )
  return new Map(found.map(({ id, ...known }) => [id, known]))
}
