import type { CarriedAnswer, EvidenceAnswer, SavedAnswer, StepAnswer, Worked } from '@still-pine/contract'
import type { Spot } from '@still-pine/core/coverage'
import type { TrackedAnswer } from '@still-pine/core/readiness'
import type { AnswerToSave, DayCount, KnownAnswer } from '@still-pine/use-cases'
import { maybeRow, plain, rows, run, sql, type Client } from './sql'

export interface Evidence extends TrackedAnswer {
  readonly id: string
  readonly sessionId: string
  readonly personId: string
  readonly at: Date
  readonly seq: number
}

/** Adds answers in their order, each once; gives the place in the order of keeping of those that were not there. */
export const insertAnswers = async (
  client: Client,
  yardId: string,
  answers: readonly AnswerToSave[],
): Promise<ReadonlyMap<string, number>> => {
  if (answers.length === 0) return new Map()
  const inserted = await rows<{ id: string; seq: number }>(
    client,
    sql`insert into answer (id, yard_id, horse_id, session_id, person_id, step, side, rung, grade, calm, at, day,
                            phone_at, ahead, by_chance, recalled, uncued, place, moving, seconds, fault, sign, ending, slip,
                            zone, aids, peak_newtons, release_seconds, against, why, replaces)
        select a.id, ${yardId}, a."horseId", a."sessionId", a."personId", a.step, a.side, a.rung, a.grade, a.calm,
               a.at, a.day, a."phoneAt", a.ahead, a."byChance", a.recalled, a.uncued, a.place, a.moving, a.seconds,
               a.fault, a.sign, a.ending, a.slip, a.zone, a.aids, a."peakNewtons", a."releaseSeconds", a.against, a.why, a.replaces
        from json_to_recordset(${JSON.stringify(answers.map((a, n) => ({ ...a, n })))}::json) as a(
          n int, id uuid, "horseId" uuid, "sessionId" uuid, "personId" uuid, step text, side text, rung real,
          grade int, calm int, at timestamptz, day date, "phoneAt" timestamptz, ahead boolean, "byChance" boolean,
          recalled boolean, uncued boolean, place int, moving boolean, seconds real, fault text, sign text,
          ending text, slip text, zone text, aids int, "peakNewtons" real, "releaseSeconds" real, against text, why text, replaces uuid)
        order by a.n
        on conflict (yard_id, id) do nothing returning id, seq`,
  )
  return new Map(inserted.map(({ id, seq }) => [id, seq]))
}

/** Days on which a horse was asked one of these steps from a rung on, after a day. */
export const countRides = async (
  client: Client,
  horseId: string,
  {
    asked,
    after,
  }: { asked: readonly { readonly step: string; readonly mark: number }[]; after: string | null },
): Promise<number> => {
  const row = await maybeRow<{ days: number }>(
    client,
    sql`select count(distinct a.day)::int as days
        from answer a
          join unnest(${asked.map(({ step }) => step)}::text[], ${asked.map(({ mark }) => mark)}::real[]) as o(step, mark)
            on o.step = a.step and a.rung >= o.mark
          left join voiding v on v.answer_id = a.id
        where a.horse_id = ${horseId} and v.id is null and not a.uncued
          and (${after}::date is null or a.day > ${after}::date)`,
  )
  return row?.days ?? 0
}

/** What was asked of a horse between two days though it was not to be, once a step and day. */
export const againstBetween = (
  client: Client,
  horseId: string,
  { from, until }: { from: string; until: string },
) =>
  rows<{ day: string; step: string; words: string; why: string | null }>(
    client,
    sql`select a.day, a.step, min(a.against) as words, min(a.why) as why
        from answer a left join voiding v on v.answer_id = a.id
        where a.horse_id = ${horseId} and a.day between ${from} and ${until} and a.against is not null and v.id is null
        group by a.day, a.step order by a.day, a.step limit 500`,
  )

/** What is known of answers that are named, by id. */
export const namedAnswers = async (
  client: Client,
  ids: readonly string[],
): Promise<ReadonlyMap<string, KnownAnswer>> => {
  if (ids.length === 0) return new Map()
  const found = await rows<KnownAnswer & { readonly id: string }>(
    client,
    sql`select a.id, a.horse_id as "horseId", a.day, a.person_id as "personId", v.id is not null as voided
        from answer a left join voiding v on v.answer_id = a.id where a.id = any(${ids})`,
  )
  return new Map(found.map(({ id, ...answer }) => [id, answer]))
}

interface Voiding {
  readonly id: string
  readonly answerId: string
  readonly at: Date
  readonly reason: string
}

export const insertVoidings = (
  client: Client,
  { yardId, personId }: { yardId: string; personId: string },
  voidings: readonly Voiding[],
) =>
  run(
    client,
    sql`insert into voiding (id, yard_id, answer_id, person_id, at, reason)
        select v.id, ${yardId}, v."answerId", ${personId}, v.at, v.reason
        from json_to_recordset(${JSON.stringify(voidings)}::json) as v(id uuid, "answerId" uuid, at timestamptz, reason text)
        on conflict do nothing`,
  )

/** A horse's answers on some steps that still stand, in the order they were given; of days after one and up to another. */
export const evidence = (
  client: Client,
  horseId: string,
  {
    steps,
    after = null,
    upTo = null,
  }: { steps: readonly string[]; after?: string | null; upTo?: string | null },
) =>
  rows<Evidence>(
    client,
    sql`select a.id, a.session_id as "sessionId", a.person_id as "personId", a.seq, a.at, a.day, a.step, a.side,
               a.rung, a.grade, a.calm, a.by_chance as "byChance", a.recalled, a.uncued, a.place, a.moving
        from answer a left join voiding v on v.answer_id = a.id
        where a.horse_id = ${horseId} and a.step = any(${steps}) and v.id is null
          and (${after}::date is null or a.day > ${after}::date)
          and (${upTo}::date is null or a.day <= ${upTo}::date)
        order by a.at, a.seq`,
  )

interface SavedRow extends Omit<SavedAnswer, 'at' | 'voided'> {
  readonly at: Date
  readonly voidedAt: Date | null
  readonly voidedBy: string | null
  readonly voidReason: string | null
}

const toSaved = ({ at, voidedAt, voidedBy, voidReason, ...row }: SavedRow): SavedAnswer => ({
  ...row,
  at: at.toISOString(),
  voided: voidedAt && { at: voidedAt.toISOString(), byName: voidedBy ?? '', reason: voidReason ?? '' },
})

const KEPT =
  plain(`select a.id, a.horse_id as "horseId", a.session_id as "sessionId", a.step, a.side, a.rung, a.grade,
    a.calm, a.at, a.day, a.by_chance as "byChance", a.recalled, a.uncued, a.place, a.moving, a.seconds, a.fault,
    a.sign, a.ending, a.slip, a.zone, a.aids, a.peak_newtons as "peakNewtons", a.release_seconds as "releaseSeconds", a.against, a.why,
    a.replaces, a.ahead, p.name as "personName", v.at as "voidedAt", vp.name as "voidedBy", v.reason as "voidReason"
  from answer a join person p on p.id = a.person_id
  left join voiding v on v.answer_id = a.id left join person vp on vp.id = v.person_id`)

export const answersOfSession = async (client: Client, sessionId: string): Promise<SavedAnswer[]> =>
  (await rows<SavedRow>(client, sql`${KEPT} where a.session_id = ${sessionId} order by a.at, a.seq`)).map(
    toSaved,
  )

export interface CarriedRow extends Omit<CarriedAnswer, 'at'> {
  readonly at: Date
}

/** A horse's standing answers kept after a place in the order of keeping, in that order. */
export const answersAfter = (client: Client, horseId: string, { seq, most }: { seq: number; most: number }) =>
  rows<CarriedRow>(
    client,
    sql`select a.id, a.seq, a.session_id as "sessionId", a.step, a.side, a.rung, a.grade, a.calm, a.at, a.day,
               a.by_chance as "byChance", a.recalled, a.uncued, a.place, a.moving, a.seconds, a.fault, a.sign, a.ending,
               a.slip, a.zone, a.aids, a.peak_newtons as "peakNewtons", a.release_seconds as "releaseSeconds", a.against, a.why,
               a.replaces, a.ahead, p.name as "personName"
        from answer a join person p on p.id = a.person_id left join voiding v on v.answer_id = a.id
        where a.horse_id = ${horseId} and a.seq > ${seq} and v.id is null
        order by a.seq limit ${most}`,
  )

/** Answers of a horse taken back after a place in the order of taking back. */
export const voidedAfter = (client: Client, horseId: string, seq: number) =>
  rows<{ answerId: string; seq: number }>(
    client,
    sql`select v.answer_id as "answerId", v.seq from voiding v join answer a on a.id = v.answer_id
        where v.seq > ${seq} and a.horse_id = ${horseId} order by v.seq`,
  )

/** How many answers of a step are shown at once. */
export const STEP_PAGE = 60

/** The newest answers of a step, newest first; `before` goes on from an answer of the page before. */
export const answersOfStep = async (
  client: Client,
  horseId: string,
  { step, before }: { step: string; before: string | undefined },
): Promise<SavedAnswer[]> =>
  (
    await rows<SavedRow>(
      client,
      sql`${KEPT} where a.horse_id = ${horseId} and a.step = ${step}
          and (${before ?? null}::uuid is null
               or (a.at, a.seq) < (select at, seq from answer where id = ${before ?? null}::uuid))
          order by a.at desc, a.seq desc limit ${STEP_PAGE}`,
    )
  ).map(toSaved)

interface EvidenceRow extends Omit<EvidenceAnswer, 'at'> {
  readonly at: Date
}

/** A horse's standing answers as evidence is read from them, oldest first. */
export const evidenceOf = async (client: Client, horseId: string): Promise<EvidenceAnswer[]> =>
  (
    await rows<EvidenceRow>(
      client,
      sql`select a.id, a.session_id as "sessionId", a.step, a.side, a.rung, a.grade, a.calm, a.at, a.day,
                 a.by_chance as "byChance", a.recalled, a.uncued, a.place, a.moving, a.seconds, a.fault, a.sign, a.ending,
                 a.peak_newtons as "peakNewtons", a.release_seconds as "releaseSeconds", a.against, a.why, p.name as "personName"
          from answer a join person p on p.id = a.person_id left join voiding v on v.answer_id = a.id
          where a.horse_id = ${horseId} and v.id is null
          order by a.at, a.seq`,
    )
  ).map(({ at, ...row }) => ({ ...row, at: at.toISOString() }))

/** The standing answers that a step was asked for, oldest first, no more of each than is drawn of it. */
export const drawnOf = (client: Client, horseId: string, step: string) =>
  rows<StepAnswer>(
    client,
    sql`select a.session_id as "sessionId", a.side, a.rung, a.grade, a.calm, a.day, a.place, a.seconds, a.fault, a.ending,
               a.peak_newtons as "peakNewtons", a.release_seconds as "releaseSeconds", a.against, a.why, p.name as "personName"
        from answer a join person p on p.id = a.person_id left join voiding v on v.answer_id = a.id
        where a.horse_id = ${horseId} and a.step = ${step} and v.id is null and not a.uncued
        order by a.at, a.seq`,
  )

/** The last standing answer of every step, rung, zone, place and movement that was told, oldest first. */
export const lastSpots = (client: Client, horseId: string) =>
  rows<Spot>(
    client,
    sql`select s.step, s.side, s.rung, s.grade, s.calm, s.day, s.place, s.zone, s.moving from (
          select distinct on (a.step, a.side, a.rung, a.place, a.zone, a.moving) a.*
          from answer a left join voiding v on v.answer_id = a.id
          where a.horse_id = ${horseId} and v.id is null and not a.uncued
            and (a.place is not null or a.zone is not null)
          order by a.step, a.side, a.rung, a.place, a.zone, a.moving, a.at desc, a.seq desc) s
        order by s.at, s.seq`,
  )

/** Standing answers counted by track and session, oldest first; from a day on and before another, where they are given. */
export const workedRows = (
  client: Client,
  horseId: string,
  { from = '0001-01-01', before = '9999-12-31' }: { from?: string; before?: string } = {},
) =>
  rows<Worked>(
    client,
    sql`select a.session_id as session, s.place, a.day, a.step, a.side, count(*)::int as answers,
               count(*) filter (where a.grade <= 1 and a.calm < 2 and not a.by_chance and not a.recalled)::int as clean,
               max(a.rung) as "hardestRung", (extract(epoch from min(a.at)) * 1000)::float8 as "from",
               (extract(epoch from max(a.at)) * 1000)::float8 as "to"
        from answer a join pen_session s on s.id = a.session_id left join voiding v on v.answer_id = a.id
        where a.horse_id = ${horseId} and a.day >= ${from} and a.day < ${before} and v.id is null and not a.uncued
        group by a.session_id, s.place, a.day, a.step, a.side
        order by a.day, min(a.at), a.session_id, a.step, a.side`,
  )

/** Standing answers per horse and day, from one day to another. */
export const answersPerDay = (client: Client, from: string, to: string) =>
  rows<DayCount>(
    client,
    sql`select a.horse_id as "horseId", a.day, count(*)::int as answers
        from answer a left join voiding v on v.answer_id = a.id
        where a.day between ${from} and ${to} and v.id is null
        group by a.horse_id, a.day`,
  )

/** Days on which a horse was worked, counted over all its answers. */
export const countWorkDays = async (client: Client, horseId: string, upTo: string): Promise<number> =>
  (await maybeRow<{ days: number }>(
    client,
    sql`select count(distinct a.day)::int as days
        from answer a left join voiding v on v.answer_id = a.id
        where a.horse_id = ${horseId} and a.day <= ${upTo} and v.id is null`,
  ))!.days
