import type { Attachment, PutAttachment } from '@still-pine/contract'
import type { KnownAttachment } from '@still-pine/use-cases'
import type { Owner } from './care'
import { maybeRow, plain, rows, run, sql, type Client } from './sql'

/** What an attachment belongs to, as its columns say it. */
export const BELONGS_TO = plain(`
  case when session_id is not null then 'session' when answer_id is not null then 'answer'
       when check_id is not null then 'check' else 'incident' end as "to",
  coalesce(session_id, answer_id, check_id, incident_id) as "recordId"`)

type Row = Omit<Attachment, 'at'> & { readonly at: Date }

export const attachmentsOf = async (client: Client, horseId: string): Promise<Attachment[]> =>
  (
    await rows<Row>(
      client,
      sql`select a.id, ${BELONGS_TO}, a.kind, a.bytes, a.sha256, a.at, a.day, a.words, a.in_report as "inReport",
                 a.person_id as "personId", p.name as "byName", a.taken_back_at is not null as "takenBack",
                 case when a.type is not null then 'here' when a.refused is not null then 'refused'
                      else 'coming' end as file, a.refused
          from attachment a join person p on p.id = a.person_id
          where a.horse_id = ${horseId} order by a.at, a.id`,
    )
  ).map(({ at, ...one }) => ({ ...one, at: at.toISOString() }))

/** Those of the named ones that are known. */
export const namedAttachments = async (
  client: Client,
  ids: readonly string[],
): Promise<Map<string, KnownAttachment>> => {
  const found = await rows<KnownAttachment & { id: string }>(
    client,
    sql`select id, horse_id as "horseId", person_id as "personId", ${BELONGS_TO}, kind, bytes, sha256,
               in_report as "inReport" from attachment where id = any(${ids})`,
  )
  return new Map(found.map(({ id, ...known }) => [id, known]))
}

/** Puts an attachment, or other words on one; its file and whose it is never change. */
export const saveAttachment = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  {
    id,
    attachment,
    at,
    day,
    now,
  }: { id: string; attachment: PutAttachment; at: Date; day: string; now: Date },
) => {
  const { to, recordId, kind, bytes, sha256, words, inReport, takenBack } = attachment
  const of = (record: PutAttachment['to']): string | null => (to === record ? recordId : null)
  return run(
    client,
    sql`insert into attachment (yard_id, id, horse_id, person_id, session_id, answer_id, check_id, incident_id, kind,
                                bytes, sha256, at, day, words, in_report, taken_back_at)
        values (${yardId}, ${id}, ${horseId}, ${personId}, ${of('session')}, ${of('answer')}, ${of('check')},
                ${of('incident')}, ${kind}, ${bytes}, ${sha256}, ${at}, ${day}, ${words}, ${inReport},
                ${takenBack ? now : null})
        on conflict (yard_id, id) do update set words = excluded.words, in_report = excluded.in_report,
          taken_back_at = case when excluded.taken_back_at is null then null
                               else coalesce(attachment.taken_back_at, excluded.taken_back_at) end`,
  )
}

/** What the file of an attachment must be, and what became of it. */
export interface ExpectedFile extends Pick<PutAttachment, 'kind' | 'bytes' | 'sha256'> {
  readonly id: string
  readonly type: string | null
  readonly refused: string | null
  readonly takenBack: boolean
}

const EXPECTED = plain('id, kind, bytes, sha256, type, refused, taken_back_at is not null as "takenBack"')

export const expectedFile = (client: Client, id: string) =>
  maybeRow<ExpectedFile>(client, sql`select ${EXPECTED} from attachment where id = ${id}`)

/** The same, held until the end of the transaction: two who send the same file take turns. */
export const holdExpectedFile = (client: Client, id: string) =>
  maybeRow<ExpectedFile>(client, sql`select ${EXPECTED} from attachment where id = ${id} for update`)

/** The files that are here, and those that were taken back before a moment. */
export const filesHere = (client: Client) =>
  rows<ExpectedFile>(client, sql`select ${EXPECTED} from attachment where type is not null order by id`)

export const filesTakenBack = async (client: Client, before: Date): Promise<string[]> =>
  (
    await rows<{ id: string }>(
      client,
      sql`select id from attachment where taken_back_at < ${before} and type is not null`,
    )
  ).map(({ id }) => id)

export const fileCame = (client: Client, id: string, type: string) =>
  run(client, sql`update attachment set type = ${type}, refused = null where id = ${id}`)

export const fileRefused = (client: Client, id: string, reason: string) =>
  run(client, sql`update attachment set refused = ${reason} where id = ${id} and type is null`)

export const fileRemoved = (client: Client, id: string) =>
  run(
    client,
    sql`update attachment set type = null, refused = 'It was taken back, and removed.' where id = ${id}`,
  )

const MISSING = 'Its file did not come along when the yard was brought in.'

export const fileMissing = (client: Client, id: string) =>
  run(client, sql`update attachment set type = null, refused = ${MISSING} where id = ${id}`)

/** A document without the ZIP it came in says of files that it does not bring. */
export const allFilesMissing = (client: Client) =>
  run(client, sql`update attachment set type = null, refused = ${MISSING} where refused is null`)

/** Whether an owner may see it: it is of a horse of theirs, and was chosen for the report. */
export const isChosenFor = async (client: Client, personId: string, id: string): Promise<boolean> =>
  (await maybeRow(
    client,
    sql`select from attachment a join horse_owner o on o.horse_id = a.horse_id
        where a.id = ${id} and o.person_id = ${personId} and a.in_report and a.taken_back_at is null`,
  )) !== undefined
