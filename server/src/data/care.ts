import type { Check, Incident, Overrule, PutCheck, PutIncident } from '@still-pine/contract'
import type { Confirmation } from '@still-pine/core/readiness'
import type { z } from 'zod'
import { maybeRow, rows, run, sql, type Client } from './sql'

type NewCheck = z.infer<typeof PutCheck>
type NewIncident = z.infer<typeof PutIncident>

/** Whose record it is, and who writes it. */
export interface Owner {
  readonly yardId: string
  readonly horseId: string
  readonly personId: string
}

export const checksOf = (client: Client, horseId: string) =>
  rows<Check>(
    client,
    sql`select id, kind, on_day as "on", until_day as "until", passed, note
        from care_check where horse_id = ${horseId} order by on_day, id`,
  )

/** Records a check; sent again it takes a new last day and note: so a hold is lifted. */
export const saveCheck = (client: Client, { yardId, horseId, personId }: Owner, id: string, c: NewCheck) =>
  run(
    client,
    sql`insert into care_check (id, yard_id, horse_id, person_id, kind, on_day, until_day, passed, note)
        values (${id}, ${yardId}, ${horseId}, ${personId}, ${c.kind}, ${c.on}, ${c.until}, ${c.passed}, ${c.note})
        on conflict (id) do update set until_day = excluded.until_day, note = excluded.note`,
  )

export const incidentsOf = (client: Client, horseId: string) =>
  rows<Incident>(
    client,
    sql`select id, kind, on_day as "on", step, side, serious, place as "where", before, after
        from incident where horse_id = ${horseId} order by on_day, id`,
  )

/** Records an incident; sent again it takes what was written since, and never what it was or when. */
export const saveIncident = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  id: string,
  i: NewIncident,
) =>
  run(
    client,
    sql`insert into incident (id, yard_id, horse_id, person_id, kind, on_day, step, side, serious, place, before, after)
        values (${id}, ${yardId}, ${horseId}, ${personId}, ${i.kind}, ${i.on}, ${i.step}, ${i.side}, ${i.serious},
                ${i.where}, ${i.before}, ${i.after})
        on conflict (id) do update set side = excluded.side, place = excluded.place, before = excluded.before,
          after = excluded.after`,
  )

export const confirmedOn = async (client: Client, horseId: string, day: string): Promise<Confirmation[]> =>
  (
    await maybeRow<{ confirmed: Confirmation[] }>(
      client,
      sql`select confirmed from day_confirmation where horse_id = ${horseId} and day = ${day}`,
    )
  )?.confirmed ?? []

export const saveConfirmed = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  day: string,
  confirmed: readonly Confirmation[],
) =>
  run(
    client,
    sql`insert into day_confirmation (yard_id, horse_id, day, confirmed, person_id)
        values (${yardId}, ${horseId}, ${day}, ${confirmed}, ${personId})
        on conflict (horse_id, day) do update set confirmed = excluded.confirmed, person_id = excluded.person_id`,
  )

export const overrulesOn = (client: Client, horseId: string, day: string) =>
  rows<Overrule>(
    client,
    sql`select o.id, o.gate, o.day, o.verdict, o.reason, p.name as "byName"
        from overrule o join person p on p.id = o.person_id
        where o.horse_id = ${horseId} and o.day = ${day} order by o.at`,
  )

export const insertOverrule = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  o: { id: string; gate: string; day: string; verdict: string; reason: string; at: Date },
) =>
  run(
    client,
    sql`insert into overrule (id, yard_id, horse_id, person_id, gate, day, verdict, reason, at)
        values (${o.id}, ${yardId}, ${horseId}, ${personId}, ${o.gate}, ${o.day}, ${o.verdict}, ${o.reason}, ${o.at})
        on conflict (id) do nothing`,
  )
