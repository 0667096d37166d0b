import type {
  Arranged,
  ArrangedPart,
  BusyTime,
  PlannedVisit,
  PlannedWeek,
  PutPlannedWeek,
  VisitTold,
} from '@still-pine/contract'
import { addDays, type Day } from '@still-pine/core/answer'
import { maybeRow, plain, rows, run, sql, type Client } from './sql'

export const arrangedParts = (client: Client) =>
  rows<ArrangedPart>(client, sql`select id, arranged, version from arranged_part order by id`)

/** Arranges a part anew, or changes it if it is still at the version the edit was made from. */
export const saveArranged = (
  client: Client,
  yardId: string,
  { id, arranged, version }: { id: string; arranged: Arranged; version: number },
) =>
  version === 0
    ? run(
        client,
        sql`insert into arranged_part (yard_id, id, about, arranged, version)
            values (${yardId}, ${id}, ${arranged.about}, ${JSON.stringify(arranged)}, 1) on conflict do nothing`,
      )
    : run(
        client,
        sql`update arranged_part set arranged = ${JSON.stringify(arranged)}, version = version + 1
            where id = ${id} and version = ${version}`,
      )

const VISIT =
  plain(`v.id, v.horse_id as "horseId", v.day, v.start_at as start, v.minutes, v.part, v.use, v.load, v.due,
  v.lead_id as "leadId", v.helper_id as "helperId", v.place_id as "placeId"`)

/** A week as it is planned, where one is. */
export const plannedWeek = async (client: Client, firstDay: Day): Promise<PlannedWeek | null> => {
  const week = await maybeRow<{
    readonly document: Omit<PutPlannedWeek, 'version' | 'visits'>
    readonly version: number
    readonly byName: string
    readonly at: Date
  }>(
    client,
    sql`select w.document, w.version, p.name as "byName", w.at
        from planned_week w join person p on p.id = w.person_id where w.first_day = ${firstDay}`,
  )
  if (!week) return null
  const visits = await rows<PlannedVisit>(
    client,
    sql`select ${VISIT}, v.reasons from visit v where v.first_day = ${firstDay} and not v.taken_off
        order by v.day, v.start_at, v.id`,
  )
  const { document, version, byName, at } = week
  return { ...document, visits, version, byName, at: at.toISOString() } as PlannedWeek
}

export const plannedWeeks = async (client: Client, from: Day, until: Day): Promise<Day[]> =>
  (
    await rows<{ firstDay: Day }>(
      client,
      sql`select first_day as "firstDay" from planned_week
          where first_day between ${addDays(from, -6)} and ${until} order by first_day`,
    )
  ).map(({ firstDay }) => firstDay)

/** The visits that stand from a day to another, with the names that belong to them. */
export const visitsBetween = (client: Client, from: Day, until: Day) =>
  rows<VisitTold>(
    client,
    sql`select ${VISIT}, h.name as "horseName", l.name as "leadName", e.name as "helperName", o.name as "placeName"
        from visit v join horse h on h.id = v.horse_id join person l on l.id = v.lead_id
        left join person e on e.id = v.helper_id left join place o on o.id = v.place_id
        where v.day between ${from} and ${until} and not v.taken_off order by v.day, v.start_at, v.id`,
  )

interface Saving {
  readonly yardId: string
  readonly personId: string
  readonly now: Date
}

/**
 * Keeps a week: its visits are put, those of it that are not in it any more are taken off and stay, so that calendars
 * hear of it.
 */
export const savePlannedWeek = async (
  client: Client,
  { yardId, personId, now }: Saving,
  { firstDay, week: { visits, version, ...document } }: { firstDay: Day; week: PutPlannedWeek },
): Promise<void> => {
  await run(
    client,
    sql`insert into planned_week (yard_id, first_day, person_id, at, document, version)
        values (${yardId}, ${firstDay}, ${personId}, ${now}, ${JSON.stringify(document)}, ${version + 1})
        on conflict (yard_id, first_day) do update set person_id = excluded.person_id, at = excluded.at,
          document = excluded.document, version = excluded.version`,
  )
  await run(
    client,
    sql`update visit set taken_off = true, sequence = sequence + 1, changed_at = ${now}
        where first_day = ${firstDay} and not taken_off and id <> all(${visits.map(({ id }) => id)})`,
  )
  await run(
    client,
    sql`insert into visit (yard_id, id, first_day, horse_id, day, start_at, minutes, part, use, load, due, lead_id,
                           helper_id, place_id, reasons, sequence, changed_at, taken_off)
        select ${yardId}, r.id, ${firstDay}, r."horseId", r.day, r.start, r.minutes, r.part, r.use, r.load, r.due,
               r."leadId", r."helperId", r."placeId", r.reasons, 0, ${now}, false
        from jsonb_to_recordset(${JSON.stringify(visits)}) as r(id uuid, "horseId" uuid, day date, start text,
          minutes integer, part text, use text, load boolean, due text, "leadId" uuid, "helperId" uuid,
          "placeId" uuid, reasons jsonb)
        on conflict (yard_id, id) do update set first_day = excluded.first_day, horse_id = excluded.horse_id,
          day = excluded.day, start_at = excluded.start_at, minutes = excluded.minutes, part = excluded.part,
          use = excluded.use, load = excluded.load, due = excluded.due, lead_id = excluded.lead_id,
          helper_id = excluded.helper_id, place_id = excluded.place_id, reasons = excluded.reasons, taken_off = false,
          -- Only what a calendar shows raises its sequence.
          sequence = visit.sequence + case when (visit.day, visit.start_at, visit.minutes, visit.taken_off,
              visit.place_id) is distinct from (excluded.day, excluded.start_at, excluded.minutes, false,
              excluded.place_id) then 1 else 0 end,
          changed_at = case when (visit.day, visit.start_at, visit.minutes, visit.taken_off, visit.place_id)
              is distinct from (excluded.day, excluded.start_at, excluded.minutes, false, excluded.place_id)
            then excluded.changed_at else visit.changed_at end`,
  )
}

export const busyTimes = (client: Client) =>
  rows<{ personId: string; times: BusyTime[] }>(
    client,
    sql`select person_id as "personId", times from busy order by person_id`,
  )

export const saveBusy = (
  client: Client,
  yardId: string,
  { personId, hash, times }: { personId: string; hash: string; times: readonly BusyTime[] },
) =>
  run(
    client,
    sql`insert into busy (yard_id, person_id, hash, times)
        values (${yardId}, ${personId}, ${hash}, ${JSON.stringify(times)})
        on conflict (yard_id, person_id) do update set hash = excluded.hash, times = excluded.times`,
  )

/** A visit as its person's calendar tells it, those that were taken off lately among them. */
export interface FeedVisit {
  readonly id: string
  readonly sequence: number
  readonly changedAt: Date
  readonly day: Day
  readonly start: string
  readonly minutes: number
  readonly use: string
  readonly due: string | null
  readonly horseName: string
  readonly placeName: string | null
  readonly takenOff: boolean
}

export const visitsOfPerson = (
  client: Client,
  personId: string,
  { from, takenOffSince }: { from: Day; takenOffSince: Date },
) =>
  rows<FeedVisit>(
    client,
    sql`select v.id, v.sequence, v.changed_at as "changedAt", v.day, v.start_at as start, v.minutes, v.use, v.due,
               h.name as "horseName", o.name as "placeName", v.taken_off as "takenOff"
        from visit v join horse h on h.id = v.horse_id left join place o on o.id = v.place_id
        where (v.lead_id = ${personId} or v.helper_id = ${personId}) and v.day >= ${from}
          and (not v.taken_off or v.changed_at >= ${takenOffSince})
        order by v.day, v.start_at, v.id`,
  )

export const feedsOf = async (client: Client) =>
  (
    await rows<{ personId: string; since: Date }>(
      client,
      sql`select person_id as "personId", since from feed order by person_id`,
    )
  ).map(({ personId, since }) => ({ personId, since: since.toISOString() }))

export const saveFeed = (
  client: Client,
  yardId: string,
  { personId, hash, since }: { personId: string; hash: Buffer; since: Date },
) =>
  run(
    client,
    sql`insert into feed (yard_id, person_id, token_hash, since) values (${yardId}, ${personId}, ${hash}, ${since})
        on conflict (yard_id, person_id) do update set token_hash = excluded.token_hash, since = excluded.since`,
  )

export const dropFeed = (client: Client, personId: string) =>
  run(client, sql`delete from feed where person_id = ${personId}`)

/** Before a yard is known: whose calendar has this address. */
export const findFeed = async (client: Client, hash: Buffer) => {
  const found = await maybeRow<{ yardId: string | null; personId: string }>(
    client,
    sql`select yard_id as "yardId", person_id as "personId" from find_feed(${hash})`,
  )
  return found?.yardId ? { yardId: found.yardId, personId: found.personId } : null
}
