import type { Side } from '@still-pine/core/answer'
import type { SavedDayEnds } from '@still-pine/core/evidence'
import type { HorseStanding } from '@still-pine/core/judgement'
import { trackKey, trackOf, type Records } from '@still-pine/core/readiness'
import { maybeRow, rows, run, sql, type Client } from './sql'
import { recordFromBytes, recordToBytes, tracksLeftSince } from './tracks'

/** A horse as it stood at the end of a day. */
export interface StoodThen extends Records {
  readonly day: string
}

/** How a horse stood at the end of its last day before `day`, or nothing where that is not saved. */
export const stoodBefore = async (
  client: Client,
  horseId: string,
  day: string,
): Promise<StoodThen | undefined> => {
  const end = await maybeRow<{ readonly day: string; readonly standing: HorseStanding }>(
    client,
    sql`select day, standing from horse_day_end where horse_id = ${horseId} and day < ${day} order by day desc limit 1`,
  )
  if (!end) return undefined
  const found = await rows<{ readonly step: string; readonly side: Side; readonly record: Buffer }>(
    client,
    sql`select distinct on (step, side) step, side, record
        from track_day_end where horse_id = ${horseId} and last_day <= ${end.day}
        order by step, side, last_day desc`,
  )
  const then = found.map(({ step, side, record }) => [trackKey(step, side), recordFromBytes(record)] as const)
  const left = await tracksLeftSince(client, horseId, end.day)
  return { day: end.day, horse: end.standing, tracks: new Map([...then, ...left]) }
}

/** Saves ends of days; those that are there already are the same. */
export const saveDayEnds = async (
  client: Client,
  yardId: string,
  { horseId, ends }: { horseId: string; ends: SavedDayEnds },
): Promise<void> => {
  if (ends.horses.length === 0) return
  await run(
    client,
    sql`insert into horse_day_end (yard_id, horse_id, day, standing)
        select ${yardId}, ${horseId}, e.*
        from unnest(${ends.horses.map(({ day }) => day)}::date[],
                    ${ends.horses.map(({ horse }) => JSON.stringify(horse))}::jsonb[]) as e
        on conflict do nothing`,
  )
  const pieces = ends.tracks.map(({ record }) => recordToBytes(record))
  let from = 1
  const told = ends.tracks.map(({ key, record }, i) => {
    const { length } = pieces[i]!
    from += length
    return { ...trackOf(key), lastDay: record.belief.lastDay, from: from - length, length }
  })
  await run(
    client,
    sql`insert into track_day_end (yard_id, horse_id, step, side, last_day, record)
        select ${yardId}, ${horseId}, t.step, t.side, t."lastDay", substr(p.pieces, t."from", t.length)
        from json_to_recordset(${JSON.stringify(told)}::json) as t(
               step text, side text, "lastDay" date, "from" int, length int),
             (select ${Buffer.concat(pieces)}::bytea as pieces) as p
        on conflict do nothing`,
  )
}

/** Lets go the ends of days after one, or of all days: they are made again. */
export const deleteDayEnds = async (client: Client, horseId: string, after: string | null): Promise<void> => {
  await run(
    client,
    sql`delete from horse_day_end where horse_id = ${horseId} and (${after}::date is null or day > ${after}::date)`,
  )
  await run(
    client,
    sql`delete from track_day_end
        where horse_id = ${horseId} and (${after}::date is null or last_day > ${after}::date)`,
  )
}

/** Lets go the ends of days before `since` but the last one of the horse and of each track. */
export const thinDayEnds = async (client: Client, horseId: string, since: string): Promise<void> => {
  await run(
    client,
    sql`delete from horse_day_end where horse_id = ${horseId}
        and day < (select max(day) from horse_day_end where horse_id = ${horseId} and day < ${since})`,
  )
  await run(
    client,
    sql`delete from track_day_end t where t.horse_id = ${horseId} and t.last_day < ${since}
        and exists (select from track_day_end n where n.horse_id = t.horse_id and n.step = t.step and n.side = t.side
                    and n.last_day > t.last_day and n.last_day < ${since})`,
  )
}
