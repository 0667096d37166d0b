import type { Measurement, PutMeasurement } from '@still-pine/contract'
import type { Owner } from './care'
import { rows, run, sql, type Client } from './sql'

/** What was measured of a horse, the oldest first. */
export const measurementsOf = (client: Client, horseId: string) =>
  rows<Measurement>(
    client,
    sql`select m.id, m.on_day as "on", m.girth_cm as "girthCm", m.length_cm as "lengthCm", m.withers_cm as "withersCm",
               m.croup_cm as "croupCm", m.condition, m.scale_kg as "scaleKg", m.note, m.taken_back as "takenBack",
               p.name as "byName"
        from measurement m join person p on p.id = m.person_id
        where m.horse_id = ${horseId} order by m.on_day, m.id`,
  )

/** Puts a measurement, or corrects one; whose it is does not change. */
export const saveMeasurement = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  { id, measurement: m }: { id: string; measurement: PutMeasurement },
) =>
  run(
    client,
    sql`insert into measurement (yard_id, id, horse_id, person_id, on_day, girth_cm, length_cm, withers_cm, croup_cm,
                                 condition, scale_kg, note, taken_back)
        values (${yardId}, ${id}, ${horseId}, ${personId}, ${m.on}, ${m.girthCm}, ${m.lengthCm}, ${m.withersCm},
                ${m.croupCm}, ${m.condition}, ${m.scaleKg}, ${m.note}, ${m.takenBack})
        on conflict (yard_id, id) do update set on_day = excluded.on_day, girth_cm = excluded.girth_cm,
          length_cm = excluded.length_cm, withers_cm = excluded.withers_cm, croup_cm = excluded.croup_cm,
          condition = excluded.condition, scale_kg = excluded.scale_kg, note = excluded.note,
          taken_back = excluded.taken_back`,
  )

/** Whose horse's each measurement is, and who took it. */
export const namedMeasurements = async (client: Client, ids: readonly string[]) => {
  const found = await rows<{ id: string; horseId: string; personId: string }>(
    client,
    sql`select id, horse_id as "horseId", person_id as "personId" from measurement where id = any(${ids})`,
  )
  return new Map(found.map(({ id, ...known }) => [id, known]))
}
