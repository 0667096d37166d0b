import type { SavedDayEnds } from '@still-pine/core/evidence'
import type { HorseStanding } from '@still-pine/core/judgement'
import { trackKey, type Records } from '@still-pine/core/readiness'
import { maybeRow, rows, run, sql, type Client } from './sql'
import { toRecord, trackRows, type TrackRow } from './tracks'

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
  const found = await rows<TrackRow>(
    client,
    sql`select distinct on (step, side) * from (
          select step, side, ability, calm, log_likelihood as "logLikelihood", last_day as "lastDay",
                 days_worked as "daysWorked", start, covariance, tally
          from track where horse_id = ${horseId} and last_day <= ${end.day}
          union all
          select step, side, ability, calm, log_likelihood, last_day, days_worked, start, covariance, tally
          from track_day_end where horse_id = ${horseId} and last_day <= ${end.day}) as stood
        order by step, side, "lastDay" desc`,
  )
  return {
    day: end.day,
    horse: end.standing,
    tracks: new Map(found.map((row) => [trackKey(row.step, row.side), toRecord(row)])),
  }
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
  await run(
    client,
    sql`insert into track_day_end (yard_id, horse_id, step, side, ability, calm, log_likelihood, last_day, days_worked,
                                   start, covariance, tally)
        ${trackRows(
          yardId,
          horseId,
          ends.tracks.map(({ key, record }) => [key, record] as const),
        )}
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
