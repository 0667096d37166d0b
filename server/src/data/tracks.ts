import type { Side } from '@still-pine/core/answer'
import { GRID, unknownHorse, type Belief, type HorseStanding, type Model } from '@still-pine/core/judgement'
import {
  trackKey,
  trackOf,
  type Records,
  type Tally,
  type TrackKey,
  type TrackRecord,
} from '@still-pine/core/readiness'
import type { CountedTrack } from '@still-pine/use-cases'
import { rows, run, sql, type Client } from './sql'

interface TrackRow {
  readonly step: string
  readonly side: Side
  readonly ability: Buffer
  readonly calm: Buffer
  readonly logLikelihood: number
  readonly lastDay: string
  readonly daysWorked: number
  readonly start: Belief['start']
  readonly covariance: Belief['covariance']
  readonly tally: Tally
}

const DENSITY_BYTES = GRID.size * Float64Array.BYTES_PER_ELEMENT

// A posterior is stored as its 281 doubles, lowest ability first, as this machine writes them (little-endian).
const toBytes = (density: Float64Array): Buffer =>
  Buffer.from(density.buffer, density.byteOffset, density.byteLength)
const fromBytes = (bytes: Buffer): Float64Array => new Float64Array(new Uint8Array(bytes).buffer)

const toRecord = (row: TrackRow): TrackRecord => ({
  belief: {
    ability: fromBytes(row.ability),
    calm: fromBytes(row.calm),
    logLikelihood: row.logLikelihood,
    lastDay: row.lastDay,
    daysWorked: row.daysWorked,
    start: row.start,
    covariance: row.covariance,
  },
  tally: row.tally,
})

/** A track as one piece: its two densities, and then the rest as JSON. */
export const recordToBytes = ({ belief: { ability, calm, ...belief }, tally }: TrackRecord): Buffer =>
  Buffer.concat([toBytes(ability), toBytes(calm), Buffer.from(JSON.stringify({ belief, tally }))])

export const recordFromBytes = (bytes: Buffer): TrackRecord => {
  const rest = JSON.parse(bytes.subarray(2 * DENSITY_BYTES).toString()) as {
    readonly belief: Omit<Belief, 'ability' | 'calm'>
    readonly tally: Tally
  }
  const ability = fromBytes(bytes.subarray(0, DENSITY_BYTES))
  const calm = fromBytes(bytes.subarray(DENSITY_BYTES, 2 * DENSITY_BYTES))
  return { belief: { ...rest.belief, ability, calm }, tally: rest.tally }
}

/** A horse with all its tracks, as its answers so far have left them. */
export const recordsOf = async (
  client: Client,
  horseId: string,
  model: Model,
): Promise<Records & { readonly isOfEarlierLaw: boolean }> => {
  const [kept] = await rows<{ readonly standing: HorseStanding | null }>(
    client,
    sql`select standing from horse where id = ${horseId}`,
  )
  const tracks = await tracksOf(client, horseId)
  const standing = kept?.standing ?? null
  return {
    horse: standing ?? unknownHorse(model),
    tracks,
    isOfEarlierLaw: standing === null && tracks.size > 0,
  }
}

/** How the horse stands after its last answer: its own numbers, and what was asked last. */
export const saveStanding = (client: Client, horseId: string, standing: HorseStanding) =>
  run(client, sql`update horse set standing = ${JSON.stringify(standing)}::jsonb where id = ${horseId}`)

const asRecords = (found: readonly TrackRow[]): Map<TrackKey, TrackRecord> =>
  new Map(found.map((row) => [trackKey(row.step, row.side), toRecord(row)]))

/** What is kept of a horse's tracks, or of those of one step. */
export const tracksOf = async (
  client: Client,
  horseId: string,
  step: string | null = null,
): Promise<Map<TrackKey, TrackRecord>> => {
  const found = await rows<TrackRow>(
    client,
    sql`select step, side, ability, calm, log_likelihood as "logLikelihood", last_day as "lastDay",
               days_worked as "daysWorked", start, covariance, tally
        from track where horse_id = ${horseId} and (${step}::text is null or step = ${step})`,
  )
  return asRecords(found)
}

/** Of a horse's tracks those that nobody has asked since a day. */
export const tracksLeftSince = async (
  client: Client,
  horseId: string,
  day: string,
): Promise<Map<TrackKey, TrackRecord>> =>
  asRecords(
    await rows<TrackRow>(
      client,
      sql`select step, side, ability, calm, log_likelihood as "logLikelihood", last_day as "lastDay",
                 days_worked as "daysWorked", start, covariance, tally
          from track where horse_id = ${horseId} and last_day <= ${day}`,
    ),
  )

/** Saves tracks; their densities travel as they lie in memory, one after another, and the rest as JSON. */
export const saveTracks = async (
  client: Client,
  yardId: string,
  { horseId, records }: { horseId: string; records: ReadonlyMap<TrackKey, TrackRecord> },
): Promise<void> => {
  if (records.size === 0) return
  const all = [...records]
  const densities = Buffer.concat(
    all.flatMap(([, { belief }]) => [toBytes(belief.ability), toBytes(belief.calm)]),
  )
  const rest = all.map(([key, { belief, tally }], i) => {
    const { logLikelihood, lastDay, daysWorked, start, covariance } = belief
    const from = 1 + 2 * i * DENSITY_BYTES
    return { ...trackOf(key), from, logLikelihood, lastDay, daysWorked, start, covariance, tally }
  })
  await run(
    client,
    sql`insert into track (yard_id, horse_id, step, side, ability, calm, log_likelihood, last_day, days_worked,
                           start, covariance, tally)
        select ${yardId}, ${horseId}, t.step, t.side, substr(d.densities, t."from", ${DENSITY_BYTES}),
               substr(d.densities, t."from" + ${DENSITY_BYTES}, ${DENSITY_BYTES}), t."logLikelihood", t."lastDay",
               t."daysWorked", t.start, t.covariance, t.tally
        from json_to_recordset(${JSON.stringify(rest)}::json) as t(
               step text, side text, "from" int, "logLikelihood" float8, "lastDay" date, "daysWorked" int, start jsonb,
               covariance jsonb, tally jsonb),
             (select ${densities}::bytea as densities) as d
          on conflict (yard_id, horse_id, step, side) do update set ability = excluded.ability, calm = excluded.calm,
            log_likelihood = excluded.log_likelihood, last_day = excluded.last_day,
            days_worked = excluded.days_worked, start = excluded.start, covariance = excluded.covariance,
            tally = excluded.tally`,
  )
}

/** What was made of a horse, in the place of all that was kept of it. */
export const replaceRecords = async (
  client: Client,
  yardId: string,
  { horseId, records }: { horseId: string; records: Records },
): Promise<void> => {
  await run(client, sql`delete from track where horse_id = ${horseId}`)
  await saveTracks(client, yardId, { horseId, records: records.tracks })
  await saveStanding(client, horseId, records.horse)
}

/** Horses that are not worked out as the yard judges now: by an earlier law, or by other values than are in use. */
export const horsesToRemake = (client: Client) =>
  rows<{ readonly id: string }>(
    client,
    sql`select id from horse h
        where (standing is null and exists (select from track t where t.horse_id = h.id))
           or fit_version is distinct from (select fit_version from yard)
        order by id`,
  )

/** What was counted of every track of the yard. */
export const countedTracks = (client: Client) =>
  rows<CountedTrack>(
    client,
    sql`select t.horse_id as "horseId", t.step, t.side, t.tally,
               coalesce(p.first_day, t.last_day) as "firstDay"
        from track t left join (select horse_id, step, side, min(day) as first_day from prediction group by 1, 2, 3) p
          on p.horse_id = t.horse_id and p.step = t.step and p.side = t.side`,
  )
