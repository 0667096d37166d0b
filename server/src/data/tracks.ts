import type { Side } from '@still-pine/core/answer'
import { trackKey, trackOf, type Tally, type TrackKey, type TrackRecord } from '@still-pine/core/readiness'
import type { CountedTrack } from '@still-pine/use-cases'
import { rows, run, sql, type Client } from './sql'

interface Row {
  readonly step: string
  readonly side: Side
  readonly ability: Buffer
  readonly calm: Buffer
  readonly logLikelihood: number
  readonly lastDay: string
  readonly daysWorked: number
  readonly tally: Tally
}

// A posterior is stored as its 281 doubles, lowest ability first, as this machine writes them (little-endian).
const toBytes = (density: Float64Array): Buffer =>
  Buffer.from(density.buffer, density.byteOffset, density.byteLength)
const fromBytes = (bytes: Buffer): Float64Array => new Float64Array(new Uint8Array(bytes).buffer)

const toRecord = (row: Row): TrackRecord => ({
  belief: {
    ability: fromBytes(row.ability),
    calm: fromBytes(row.calm),
    logLikelihood: row.logLikelihood,
    lastDay: row.lastDay,
    daysWorked: row.daysWorked,
  },
  tally: row.tally,
})

/** What is kept of a horse's tracks, or of those of one step. */
export const tracksOf = async (
  client: Client,
  horseId: string,
  step: string | null = null,
): Promise<Map<TrackKey, TrackRecord>> => {
  const found = await rows<Row>(
    client,
    sql`select step, side, ability, calm, log_likelihood as "logLikelihood", last_day as "lastDay",
               days_worked as "daysWorked", tally
        from track where horse_id = ${horseId} and (${step}::text is null or step = ${step})`,
  )
  return new Map(found.map((row) => [trackKey(row.step, row.side), toRecord(row)]))
}

export const saveTracks = async (
  client: Client,
  yardId: string,
  { horseId, records }: { horseId: string; records: ReadonlyMap<TrackKey, TrackRecord> },
): Promise<void> => {
  const all = [...records]
  if (all.length === 0) return
  const column = <T>(value: (key: TrackKey, record: TrackRecord) => T): T[] =>
    all.map(([key, record]) => value(key, record))
  await run(
    client,
    sql`insert into track (yard_id, horse_id, step, side, ability, calm, log_likelihood, last_day, days_worked, tally)
        select ${yardId}, ${horseId}, t.*
        from unnest(${column((key) => trackOf(key).step)}::text[], ${column((key) => trackOf(key).side)}::text[],
                    ${column((_, { belief }) => toBytes(belief.ability))}::bytea[],
                    ${column((_, { belief }) => toBytes(belief.calm))}::bytea[],
                    ${column((_, { belief }) => belief.logLikelihood)}::double precision[],
                    ${column((_, { belief }) => belief.lastDay)}::date[],
                    ${column((_, { belief }) => belief.daysWorked)}::integer[],
                    ${column((_, { tally }) => JSON.stringify(tally))}::jsonb[]) as t
          on conflict (yard_id, horse_id, step, side) do update set ability = excluded.ability, calm = excluded.calm,
            log_likelihood = excluded.log_likelihood, last_day = excluded.last_day,
            days_worked = excluded.days_worked, tally = excluded.tally`,
  )
}

export const deleteTracks = (client: Client, horseId: string, steps: readonly string[]) =>
  run(client, sql`delete from track where horse_id = ${horseId} and step = any(${steps})`)

/** What was counted of every track of the yard. */
export const countedTracks = (client: Client) =>
  rows<CountedTrack>(
    client,
    sql`select t.horse_id as "horseId", t.step, t.side, t.tally,
               coalesce(p.first_day, t.last_day) as "firstDay"
        from track t left join (select horse_id, step, side, min(day) as first_day from prediction group by 1, 2, 3) p
          on p.horse_id = t.horse_id and p.step = t.step and p.side = t.side`,
  )
