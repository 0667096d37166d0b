import type { Arrangement } from '@still-pine/contract'
import { maybeRow, run, sql, type Client } from './sql'
import type { Owner } from './care'

/** What was arranged for a horse's session on a day, the newest word of it. */
export const arrangedOn = async (client: Client, horseId: string, day: string): Promise<Arrangement | null> =>
  (
    await maybeRow<{ arrangement: Arrangement }>(
      client,
      sql`select arrangement from arrangement where horse_id = ${horseId} and day = ${day}`,
    )
  )?.arrangement ?? null

interface ToSave {
  readonly day: string
  readonly at: Date
  readonly arrangement: Arrangement
}

/** A word that was said before the one that stands is left. */
export const saveArranged = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  { day, at, arrangement }: ToSave,
) =>
  run(
    client,
    sql`insert into arrangement (yard_id, horse_id, day, person_id, at, arrangement)
        values (${yardId}, ${horseId}, ${day}, ${personId}, ${at}, ${JSON.stringify(arrangement)})
        on conflict (yard_id, horse_id, day) do update set person_id = excluded.person_id, at = excluded.at,
          arrangement = excluded.arrangement where arrangement.at <= excluded.at`,
  )
