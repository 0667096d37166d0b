import type { Day } from '@still-pine/core/answer'
import { maybeRow, plain, rows, run, sql, type Client } from './sql'

interface LinkFound {
  readonly yardId: string
  readonly personId: string
}

export interface ReportLinkRow {
  readonly id: string
  readonly horseId: string
  readonly byName: string
  readonly madeAt: Date
  readonly until: Day
  readonly revokedAt: Date | null
  readonly wrongCodes: number
  readonly readAt: Date | null
}

/** Before a yard is known: whose link this is. */
export const findReportLink = async (client: Client, id: string): Promise<LinkFound | null> => {
  const found = await maybeRow<{ yardId: string | null; personId: string }>(
    client,
    sql`select yard_id as "yardId", person_id as "personId" from find_report_link(${id})`,
  )
  return found?.yardId ? { yardId: found.yardId, personId: found.personId } : null
}

const COLUMNS = `l.id, l.horse_id as "horseId", p.name as "byName", l.made_at as "madeAt", l.until_day as "until",
  l.revoked_at as "revokedAt", l.wrong_codes as "wrongCodes", l.read_at as "readAt"`

export const reportLinksOf = (client: Client, horseId: string) =>
  rows<ReportLinkRow>(
    client,
    sql`select ${plain(COLUMNS)} from report_link l join person p on p.id = l.person_id
        where l.horse_id = ${horseId} order by l.made_at desc, l.id`,
  )

export const reportLinkById = (client: Client, id: string) =>
  maybeRow<ReportLinkRow>(
    client,
    sql`select ${plain(COLUMNS)} from report_link l join person p on p.id = l.person_id where l.id = ${id}`,
  )

/** Makes a link, gives it another end, or revokes it; one that is revoked stays so. */
export const saveReportLink = (
  client: Client,
  { yardId, personId, now }: { yardId: string; personId: string; now: Date },
  link: { id: string; horseId: string; until: Day; revoked: boolean },
) =>
  run(
    client,
    sql`insert into report_link (yard_id, id, horse_id, person_id, made_at, until_day, revoked_at)
        values (${yardId}, ${link.id}, ${link.horseId}, ${personId}, ${now}, ${link.until},
                ${link.revoked ? now : null})
        on conflict (yard_id, id) do update set until_day = excluded.until_day,
          revoked_at = coalesce(report_link.revoked_at, excluded.revoked_at)`,
  )

export const reportRead = (client: Client, id: string, at: Date) =>
  run(client, sql`update report_link set read_at = ${at} where id = ${id}`)

/** Counts a wrong code; after so many the link is revoked. */
export const codeWasWrong = (client: Client, id: string, { at, most }: { at: Date; most: number }) =>
  run(
    client,
    sql`update report_link set wrong_codes = wrong_codes + 1,
          revoked_at = case when wrong_codes + 1 >= ${most} then coalesce(revoked_at, ${at}) else revoked_at end
        where id = ${id}`,
  )
