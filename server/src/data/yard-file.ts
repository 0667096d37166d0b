import type { YardPart, YardRecord } from '@still-pine/contract'
import { BELONGS_TO } from './attachments'
import { plain, rows, run, sql, type Client, type Sql } from './sql'

// Instants are written as ISO 8601 in UTC with milliseconds, as the clients make them.
const instant = (column: string): string =>
  `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`

/** How each part is read: every column under its name in the document, in its order. */
const READ: Readonly<Record<YardPart, Sql>> = {
  programs: plain(`select document from program p
    where exists (select from horse h where h.program_id = p.id) order by school, version`),
  people: plain(`select id, name, role from person p where exists (
      select from pen_session r where r.person_id = p.id union all select from answer r where r.person_id = p.id
      union all select from voiding r where r.person_id = p.id union all select from care_check r where r.person_id = p.id
      union all select from incident r where r.person_id = p.id
      union all select from correction r where r.person_id = p.id
      union all select from day_confirmation r where r.person_id = p.id
      union all select from overrule r where r.person_id = p.id
      union all select from attachment r where r.person_id = p.id
      union all select from measurement r where r.person_id = p.id
      union all select from entry r where r.person_id = p.id
      union all select from arrival r where r.person_id = p.id union all select from block r where r.person_id = p.id
      union all select from horse_owner r where r.person_id = p.id
      union all select from planned_week r where r.person_id = p.id
      union all select from visit r where r.lead_id = p.id or r.helper_id = p.id
      union all select from arranged_part r where r.id = p.id) order by id`),
  horses:
    plain(`select h.name, h.born, h.sex, h.kind, h.marks, h.origin, h.handled, h.arrived, h.estimate, h.feral, h.bitted,
      h.height_cm as "heightCm", h.archived, h.id, p.school,
      p.version as "schoolVersion", h.hand_over as "handOver", h.version, ${instant('h.created_at')} as "createdAt"
    from horse h join program p on p.id = h.program_id order by h.created_at, h.id`),
  sessions:
    plain(`select id, horse_id as horse, person_id as person, ${instant('started_at')} as "startedAt", day, place,
      note, ${instant('confirmed_at')} as "confirmedAt", circumstances, promised
    from pen_session order by pen_session.started_at, id`),
  answers:
    plain(`select id, horse_id as horse, session_id as session, person_id as person, step, side, rung, grade, calm,
      ${instant('at')} as at, day, ${instant('phone_at')} as "phoneAt", ahead, by_chance as "byChance", recalled,
      uncued, place, moving, seconds, fault, sign, ending, slip, zone, aids, peak_newtons as "peakNewtons",
      release_seconds as "releaseSeconds", against, why, replaces
    from answer order by seq`),
  voidings: plain(`select id, answer_id as answer, person_id as person, ${instant('at')} as at, reason
    from voiding order by voiding.at, id`),
  checks:
    plain(`select id, horse_id as horse, person_id as person, kind, on_day as "on", until_day as until, passed,
      leaves, note, withdrawn
    from care_check order by on_day, id`),
  incidents: plain(`select id, horse_id as horse, person_id as person, kind, on_day as "on",
      ${instant('happened_at')} as at, step, side, rung, mounted, fell, hurt, place as "where", before, after, withdrawn
    from incident order by on_day, id`),
  corrections:
    plain(`select id, of, record_id as record, person_id as person, ${instant('at')} as at, because, was
    from correction order by correction.at, id`),
  confirmations: plain(`select horse_id as horse, day, confirmed, person_id as person
    from day_confirmation order by day, horse_id`),
  overrules: plain(`select id, horse_id as horse, person_id as person, gate, day, verdict, reason,
      ${instant('at')} as at, taken_back_at is not null as "takenBack"
    from overrule order by overrule.at, id`),
  attachments:
    plain(`select id, horse_id as horse, person_id as person, ${BELONGS_TO.text}, kind, bytes, sha256,
      ${instant('at')} as at, day, words, in_report as "inReport", taken_back_at is not null as "takenBack", type
    from attachment order by attachment.at, id`),
  measurements:
    plain(`select id, horse_id as horse, person_id as person, on_day as "on", girth_cm as "girthCm",
      length_cm as "lengthCm", withers_cm as "withersCm", croup_cm as "croupCm", condition, scale_kg as "scaleKg", note,
      taken_back as "takenBack"
    from measurement order by on_day, id`),
  entries: plain(`select id, horse_id as horse, person_id as person,
      facts || jsonb_build_object('kind', kind, 'on', on_day, 'ofYard', of_yard, 'takenBack', taken_back) as entry
    from entry order by on_day, id`),
  owners: plain('select horse_id as horse, person_id as person from horse_owner order by horse_id'),
  places: plain('select id, name, suits, home, note, version from place order by name, id'),
  arrivals: plain(`select id, horse_id as horse, person_id as person, on_day as "on", result
    from arrival order by on_day, id`),
  blocks:
    plain(`select id, horse_id as horse, person_id as person, kind, from_day as "from", until_day as until, worries,
      reward, note, snapshot, version
    from block order by from_day, id`),
  arranged: plain('select id, arranged, version from arranged_part order by id'),
  weeks:
    plain(`select first_day as "firstDay", person_id as person, ${instant('at')} as at, document as week, version
    from planned_week order by first_day`),
  visits: plain(`select id, day, start_at as start, minutes, part, use, load, due, reasons, first_day as week,
      horse_id as horse, lead_id as lead, helper_id as helper, place_id as place, sequence,
      ${instant('changed_at')} as "changedAt", taken_off as "takenOff"
    from visit order by day, start_at, id`),
}

const PAGE = 5_000

/** A part of the yard, a page at a time; a cursor, so that neither side holds all of it. */
export async function* partOf<P extends YardPart>(client: Client, part: P): AsyncGenerator<YardRecord<P>[]> {
  await run(client, plain(`declare part_cursor no scroll cursor for ${READ[part].text}`))
  for (;;) {
    const page = await rows<YardRecord<P>>(client, plain(`fetch ${PAGE} from part_cursor`))
    if (page.length > 0) yield page
    if (page.length < PAGE) break
  }
  await run(client, plain('close part_cursor'))
}

export interface LogLine {
  readonly horseId: string
  readonly horse: string
  readonly step: string
  readonly side: string
  readonly at: string
  readonly rung: number
  readonly grade: number
  readonly calm: number | null
  readonly byChance: boolean
  readonly recalled: boolean
  readonly uncued: boolean
  readonly place: number | null
  readonly moving: boolean
  readonly session: string
  readonly person: string
  readonly where: string | null
  readonly sign: string | null
  readonly fault: string | null
  readonly ending: string | null
  readonly slip: string | null
  readonly zone: string | null
}

/** The answers that stand, of one horse or all, as a log: times in the yard's own zone, with its offset. */
export async function* logOf(
  client: Client,
  horseId: string | null,
  timeZone: string,
): AsyncGenerator<LogLine[]> {
  // The zone is set for the transaction, and the text of a timestamptz then follows it.
  await run(client, sql`select set_config('timezone', ${timeZone}, true)`)
  await run(
    client,
    sql`declare log_cursor no scroll cursor for
    select a.horse_id as "horseId", h.name as horse, a.step, a.side,
           to_char(a.at, 'YYYY-MM-DD"T"HH24:MI:SS.MSTZH:TZM') as at, a.rung, a.grade, a.calm,
           a.by_chance as "byChance", a.recalled, a.uncued, a.place, a.moving, a.session_id as session,
           p.name as person, s.place as "where", a.sign, a.fault,
           a.ending, a.slip, a.zone
    from answer a join horse h on h.id = a.horse_id join person p on p.id = a.person_id
    join pen_session s on s.id = a.session_id left join voiding v on v.answer_id = a.id
    where v.id is null and (${horseId}::uuid is null or a.horse_id = ${horseId})
    order by h.created_at, h.id, a.at, a.seq`,
  )
  for (;;) {
    const page = await rows<LogLine>(client, plain(`fetch ${PAGE} from log_cursor`))
    if (page.length > 0) yield page
    if (page.length < PAGE) break
  }
  await run(client, plain('close log_cursor'))
}

export const hasHorses = async (client: Client): Promise<boolean> =>
  (await rows(client, sql`select from horse limit 1`)).length > 0

export const renameYard = (client: Client, yard: { name: string; timeZone: string }) =>
  run(client, sql`update yard set name = ${yard.name}, time_zone = ${yard.timeZone}`)

/** Programs nobody works by make room for those of a document. */
export const clearPrograms = (client: Client) => run(client, sql`delete from program`)

const json = (records: readonly unknown[]): string =>
  JSON.stringify(records.map((record, n) => ({ ...(record as object), n })))

type Insert = (yardId: string, records: readonly unknown[]) => Sql

/** How each part is written, many records in one statement, in their order. Programs are written by the caller. */
const WRITE: Readonly<Record<Exclude<YardPart, 'programs'>, Insert>> = {
  people: (yardId, records) => sql`
    insert into person (id, yard_id, name, email, role, password_hash, settings, created_at)
    select r.id, ${yardId}, r.name, null, r.role, null, '{}'::jsonb, now()
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, name text, role text) order by n`,
  horses: (yardId, records) => sql`
    insert into horse (id, yard_id, program_id, name, born, sex, kind, marks, origin, handled, arrived, hand_over,
                       estimate, feral, bitted, height_cm, archived, version, created_at)
    select r.id, ${yardId}, p.id, r.name, r.born, r.sex, r.kind, r.marks, r.origin, r.handled, r.arrived,
           r."handOver", nullif(r.estimate, 'null'::jsonb), r.feral, r.bitted, r."heightCm",
           nullif(r.archived, 'null'::jsonb), r.version, r."createdAt"
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, school text, "schoolVersion" int, name text,
      born date, sex text, kind text, marks text, origin text, handled boolean, arrived date, "handOver" text[],
      estimate jsonb, feral boolean, bitted boolean, "heightCm" real, archived jsonb, version int,
      "createdAt" timestamptz)
    join program p on p.school = r.school and p.version = r."schoolVersion" order by n`,
  sessions: (yardId, records) => sql`
    insert into pen_session (id, yard_id, horse_id, person_id, started_at, day, place, note, confirmed_at,
                             circumstances, promised)
    select r.id, ${yardId}, r.horse, r.person, r."startedAt", r.day, r.place, r.note, r."confirmedAt",
           r.circumstances, nullif(r.promised, 'null'::jsonb)
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid,
      "startedAt" timestamptz, day date, place text, note text, "confirmedAt" timestamptz, circumstances jsonb,
      promised jsonb) order by n`,
  answers: (yardId, records) => sql`
    insert into answer (id, yard_id, horse_id, session_id, person_id, step, side, rung, grade, calm, at, day,
                        phone_at, ahead, by_chance, recalled, uncued, place, moving, seconds, fault, sign, ending,
                        slip, zone, aids, peak_newtons, release_seconds, against, why, replaces)
    select r.id, ${yardId}, r.horse, r.session, r.person, r.step, r.side, r.rung, r.grade, r.calm, r.at, r.day,
           r."phoneAt", r.ahead, r."byChance", r.recalled, r.uncued, r.place, r.moving, r.seconds, r.fault, r.sign,
           r.ending, r.slip, r.zone, r.aids, r."peakNewtons", r."releaseSeconds", r.against, r.why, r.replaces
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, session uuid, person uuid,
      step text, side text, rung real, grade int, calm int, at timestamptz, day date, "phoneAt" timestamptz,
      ahead boolean, "byChance" boolean, recalled boolean, uncued boolean, place int, moving boolean, seconds real,
      fault text, sign text, ending text, slip text, zone text, aids int, "peakNewtons" real, "releaseSeconds" real,
      against text, why text, replaces uuid) order by n`,
  voidings: (yardId, records) => sql`
    insert into voiding (id, yard_id, answer_id, person_id, at, reason)
    select r.id, ${yardId}, r.answer, r.person, r.at, r.reason
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, answer uuid, person uuid, at timestamptz,
      reason text) order by n`,
  checks: (yardId, records) => sql`
    insert into care_check (id, yard_id, horse_id, person_id, kind, on_day, until_day, passed, leaves, note, withdrawn)
    select r.id, ${yardId}, r.horse, r.person, r.kind, r."on", r.until, r.passed, r.leaves, r.note,
           nullif(r.withdrawn, 'null'::jsonb)
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, kind text, "on" date,
      until date, passed boolean, leaves text, note text, withdrawn jsonb) order by n`,
  incidents: (yardId, records) => sql`
    insert into incident (id, yard_id, horse_id, person_id, kind, on_day, happened_at, step, side, rung, mounted, fell,
                          hurt, place, before, after, withdrawn)
    select r.id, ${yardId}, r.horse, r.person, r.kind, r."on", r.at, r.step, r.side, r.rung, r.mounted, r.fell, r.hurt,
           r."where", r.before, r.after, nullif(r.withdrawn, 'null'::jsonb)
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, kind text, "on" date,
      at timestamptz, step text, side text, rung real, mounted boolean, fell boolean, hurt text, "where" text, before text, after text,
      withdrawn jsonb) order by n`,
  corrections: (yardId, records) => sql`
    insert into correction (id, yard_id, of, record_id, person_id, at, because, was)
    select r.id, ${yardId}, r.of, r.record, r.person, r.at, r.because, r.was
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, of text, record uuid, person uuid,
      at timestamptz, because text, was jsonb) order by n`,
  confirmations: (yardId, records) => sql`
    insert into day_confirmation (yard_id, horse_id, day, confirmed, person_id)
    select ${yardId}, r.horse, r.day, r.confirmed, r.person
    from json_to_recordset(${json(records)}::json) as r(n int, horse uuid, day date, confirmed text[], person uuid)
    order by n`,
  overrules: (yardId, records) => sql`
    insert into overrule (id, yard_id, horse_id, person_id, gate, day, verdict, reason, at, taken_back_at)
    select r.id, ${yardId}, r.horse, r.person, r.gate, r.day, r.verdict, r.reason, r.at,
           case when r."takenBack" then r.at end
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, gate text, day date,
      verdict text, reason text, at timestamptz, "takenBack" boolean) order by n`,
  attachments: (yardId, records) => sql`
    insert into attachment (yard_id, id, horse_id, person_id, session_id, answer_id, check_id, incident_id, kind, bytes,
                            sha256, at, day, words, in_report, taken_back_at, type)
    select ${yardId}, r.id, r.horse, r.person, case when r."to" = 'session' then r."recordId" end,
           case when r."to" = 'answer' then r."recordId" end, case when r."to" = 'check' then r."recordId" end,
           case when r."to" = 'incident' then r."recordId" end, r.kind, r.bytes, r.sha256, r.at, r.day, r.words, r."inReport",
           case when r."takenBack" then r.at end, r.type
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, "to" text,
      "recordId" uuid, kind text, bytes int, sha256 text, at timestamptz, day date, words text, "inReport" boolean,
      "takenBack" boolean, type text) order by n`,
  measurements: (yardId, records) => sql`
    insert into measurement (yard_id, id, horse_id, person_id, on_day, girth_cm, length_cm, withers_cm, croup_cm,
                             condition, scale_kg, note, taken_back)
    select ${yardId}, r.id, r.horse, r.person, r."on", r."girthCm", r."lengthCm", r."withersCm", r."croupCm",
           r.condition, r."scaleKg", r.note, r."takenBack"
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, "on" date,
      "girthCm" float8, "lengthCm" float8, "withersCm" float8, "croupCm" float8, condition float8, "scaleKg" float8,
      note text, "takenBack" boolean) order by n`,
  entries: (yardId, records) => sql`
    insert into entry (yard_id, id, horse_id, person_id, on_day, kind, of_yard, taken_back, facts)
    select ${yardId}, r.id, r.horse, r.person, (r.entry ->> 'on')::date, r.entry ->> 'kind',
           (r.entry ->> 'ofYard')::boolean, (r.entry ->> 'takenBack')::boolean,
           r.entry - array['kind', 'on', 'ofYard', 'takenBack']
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, entry jsonb) order by n`,
  owners: (yardId, records) => sql`
    insert into horse_owner (horse_id, yard_id, person_id)
    select r.horse, ${yardId}, r.person
    from json_to_recordset(${json(records)}::json) as r(n int, horse uuid, person uuid) order by n`,
  places: (yardId, records) => sql`
    insert into place (id, yard_id, name, suits, home, note, version)
    select r.id, ${yardId}, r.name, r.suits, r.home, r.note, r.version
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, name text, suits text[], home boolean,
      note text, version int) order by n`,
  arrivals: (yardId, records) => sql`
    insert into arrival (id, yard_id, horse_id, person_id, on_day, result)
    select r.id, ${yardId}, r.horse, r.person, r."on", r.result
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, "on" date,
      result jsonb) order by n`,
  blocks: (yardId, records) => sql`
    insert into block (id, yard_id, horse_id, person_id, kind, from_day, until_day, worries, reward, note, snapshot,
                       version)
    select r.id, ${yardId}, r.horse, r.person, r.kind, r."from", r.until, r.worries, r.reward, r.note,
           r.snapshot, r.version
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, horse uuid, person uuid, kind text,
      "from" date, until date, worries text, reward text, note text, snapshot jsonb, version int) order by n`,
  // The rules are the yard's, and known by its id.
  arranged: (yardId, records) => sql`
    insert into arranged_part (yard_id, id, about, arranged, version)
    select ${yardId}, case when r.arranged ->> 'about' = 'rules' then ${yardId}::uuid else r.id end,
           r.arranged ->> 'about', r.arranged, r.version
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, arranged jsonb, version int) order by n`,
  weeks: (yardId, records) => sql`
    insert into planned_week (yard_id, first_day, person_id, at, document, version)
    select ${yardId}, r."firstDay", r.person, r.at, r.week, r.version
    from json_to_recordset(${json(records)}::json) as r(n int, "firstDay" date, person uuid, at timestamptz,
      week jsonb, version int) order by n`,
  visits: (yardId, records) => sql`
    insert into visit (yard_id, id, first_day, horse_id, day, start_at, minutes, part, use, load, due, lead_id,
                       helper_id, place_id, reasons, sequence, changed_at, taken_off)
    select ${yardId}, r.id, r.week, r.horse, r.day, r.start, r.minutes, r.part, r.use, r.load, r.due, r.lead,
           r.helper, r.place, r.reasons, r.sequence, r."changedAt", r."takenOff"
    from json_to_recordset(${json(records)}::json) as r(n int, id uuid, week date, horse uuid, day date, start text,
      minutes int, part text, use text, load boolean, due text, lead uuid, helper uuid, place uuid, reasons jsonb,
      sequence int, "changedAt" timestamptz, "takenOff" boolean) order by n`,
}

/** Writes records of a part; gives how many were written. */
export const insertPart = (
  client: Client,
  yardId: string,
  { part, records }: { part: Exclude<YardPart, 'programs'>; records: readonly unknown[] },
): Promise<number> => run(client, WRITE[part](yardId, records))

/** Brings the tips of all horses of the yard to their newest answer. */
export const saveAllTips = (client: Client) =>
  run(
    client,
    sql`update horse h set last_at = a.at, last_seq = a.seq
        from (select distinct on (horse_id) horse_id, at, seq from answer order by horse_id, at desc, seq desc) a
        where a.horse_id = h.id`,
  )
