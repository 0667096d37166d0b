import type { Check, Incident, Overrule, PutCheck, PutIncident } from '@still-pine/contract'
import type { Confirmation } from '@still-pine/core/facts'
import type { z } from 'zod'
import { maybeRow, rows, run, sql, type Client } from './sql'

export type NewCheck = z.output<typeof PutCheck>
export type NewIncident = z.output<typeof PutIncident>

/** Whose record it is, and who writes it. */
export interface Owner {
  readonly yardId: string
  readonly horseId: string
  readonly personId: string
}

interface Withdrawal {
  readonly at: string
  readonly person: string
  readonly because: string
}

type Stored<T> = Omit<T, 'withdrawn' | 'earlier'> & { readonly withdrawn: Withdrawal | null }

interface Corrected {
  readonly record: string
  readonly at: Date
  readonly byName: string
  readonly because: string
  readonly was: object
}

const correctionsOf = (client: Client, of: 'check' | 'incident', horseId: string) =>
  rows<Corrected>(
    client,
    of === 'check'
      ? sql`select c.record_id as record, c.at, p.name as "byName", c.because, c.was
            from correction c join person p on p.id = c.person_id join care_check r on r.id = c.record_id
            where c.of = 'check' and r.horse_id = ${horseId} order by c.at`
      : sql`select c.record_id as record, c.at, p.name as "byName", c.because, c.was
            from correction c join person p on p.id = c.person_id join incident r on r.id = c.record_id
            where c.of = 'incident' and r.horse_id = ${horseId} order by c.at`,
  )

interface Name {
  readonly id: string
  readonly name: string
}

const namesOf = async (client: Client, ids: readonly string[]): Promise<ReadonlyMap<string, string>> => {
  if (ids.length === 0) return new Map()
  const found = await rows<Name>(client, sql`select id, name from person where id = any(${ids})`)
  return new Map(found.map(({ id, name }) => [id, name]))
}

/** Records with who took them back, and how they were worded before. */
const told = async <T extends Stored<{ id: string }>>(
  client: Client,
  records: readonly T[],
  corrections: readonly Corrected[],
) => {
  const names = await namesOf(
    client,
    records.flatMap(({ withdrawn }) => (withdrawn ? [withdrawn.person] : [])),
  )
  return records.map((record) => ({
    ...record,
    withdrawn: record.withdrawn && {
      at: record.withdrawn.at,
      byName: names.get(record.withdrawn.person) ?? '',
      because: record.withdrawn.because,
    },
    earlier: corrections
      .filter((one) => one.record === record.id)
      .map(({ at, byName, because, was }) => ({ at: at.toISOString(), byName, because, was })),
  }))
}

export const checksOf = async (client: Client, horseId: string): Promise<Check[]> => {
  const found = await rows<Stored<Check>>(
    client,
    sql`select id, kind, on_day as "on", until_day as "until", passed, leaves, note, withdrawn
        from care_check where horse_id = ${horseId} order by on_day, id`,
  )
  return (await told(client, found, await correctionsOf(client, 'check', horseId))) as Check[]
}

export const incidentsOf = async (client: Client, horseId: string): Promise<Incident[]> => {
  const found = await rows<Omit<Stored<Incident>, 'at'> & { at: Date | null }>(
    client,
    sql`select id, kind, on_day as "on", happened_at as at, step, side, rung, mounted, fell, hurt, place as "where",
               before, after, withdrawn
        from incident where horse_id = ${horseId} order by on_day, id`,
  )
  const incidents = found.map(({ at, ...one }) => ({ ...one, at: at?.toISOString() ?? null }))
  return (await told(client, incidents, await correctionsOf(client, 'incident', horseId))) as Incident[]
}

export const insertCheck = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  { id, c }: { id: string; c: NewCheck },
) =>
  run(
    client,
    sql`insert into care_check (id, yard_id, horse_id, person_id, kind, on_day, until_day, passed, leaves, note)
        values (${id}, ${yardId}, ${horseId}, ${personId}, ${c.kind}, ${c.on}, ${c.until}, ${c.passed}, ${c.leaves},
                ${c.note})
        on conflict (yard_id, id) do nothing`,
  )

const withdrawal = (withdrawn: Withdrawal | null): string | null =>
  withdrawn === null ? null : JSON.stringify(withdrawn)

export const updateCheck = (
  client: Client,
  id: string,
  { c, withdrawn }: { c: NewCheck; withdrawn: Withdrawal | null },
) =>
  run(
    client,
    sql`update care_check set kind = ${c.kind}, on_day = ${c.on}, until_day = ${c.until}, passed = ${c.passed},
               leaves = ${c.leaves}, note = ${c.note}, withdrawn = ${withdrawal(withdrawn)}
        where id = ${id}`,
  )

export const insertIncident = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  { id, i }: { id: string; i: NewIncident },
) =>
  run(
    client,
    sql`insert into incident (id, yard_id, horse_id, person_id, kind, on_day, happened_at, step, side, rung,
                              mounted, fell, hurt, place, before, after)
        values (${id}, ${yardId}, ${horseId}, ${personId}, ${i.kind}, ${i.on}, ${i.at}, ${i.step}, ${i.side},
                ${i.rung}, ${i.mounted}, ${i.fell}, ${i.hurt}, ${i.where}, ${i.before}, ${i.after})
        on conflict (yard_id, id) do nothing`,
  )

export const updateIncident = (
  client: Client,
  id: string,
  { i, withdrawn }: { i: NewIncident; withdrawn: Withdrawal | null },
) =>
  run(
    client,
    sql`update incident set kind = ${i.kind}, on_day = ${i.on}, happened_at = ${i.at}, step = ${i.step},
               side = ${i.side}, rung = ${i.rung}, mounted = ${i.mounted}, fell = ${i.fell}, hurt = ${i.hurt}, place = ${i.where}, before = ${i.before},
               after = ${i.after}, withdrawn = ${withdrawal(withdrawn)}
        where id = ${id}`,
  )

/** Whose horse's each of these incidents is. */
export const horsesOfRecords = async (
  client: Client,
  of: 'check' | 'incident',
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> => {
  if (ids.length === 0) return new Map()
  const found = await rows<{ id: string; horseId: string }>(
    client,
    of === 'check'
      ? sql`select id, horse_id as "horseId" from care_check where id = any(${ids})`
      : sql`select id, horse_id as "horseId" from incident where id = any(${ids})`,
  )
  return new Map(found.map(({ id, horseId }) => [id, horseId]))
}

export interface NewCorrection {
  readonly id: string
  readonly of: 'check' | 'incident'
  readonly record: string
  readonly personId: string
  readonly at: Date
  readonly because: string
  readonly was: object
}

/** Remembers how a record was worded. */
export const insertCorrection = (client: Client, yardId: string, c: NewCorrection) =>
  run(
    client,
    sql`insert into correction (id, yard_id, of, record_id, person_id, at, because, was)
        values (${c.id}, ${yardId}, ${c.of}, ${c.record}, ${c.personId}, ${c.at}, ${c.because},
                ${JSON.stringify(c.was)})`,
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
  { day, confirmed }: { day: string; confirmed: readonly Confirmation[] },
) =>
  run(
    client,
    sql`insert into day_confirmation (yard_id, horse_id, day, confirmed, person_id)
        values (${yardId}, ${horseId}, ${day}, ${confirmed}, ${personId})
        on conflict (yard_id, horse_id, day) do update set confirmed = excluded.confirmed, person_id = excluded.person_id`,
  )

export const overrulesOn = (client: Client, horseId: string, day: string) =>
  rows<Overrule>(
    client,
    sql`select o.id, o.gate, o.day, o.verdict, o.reason, p.name as "byName",
               o.taken_back_at is not null as "takenBack"
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
        on conflict (yard_id, id) do nothing`,
  )

export const takeBackOverrule = (client: Client, id: string, at: Date) =>
  run(client, sql`update overrule set taken_back_at = ${at} where id = ${id} and taken_back_at is null`)
