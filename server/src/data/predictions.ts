import type { CircumstanceGroup, DayTold, Evening, Prediction } from '@still-pine/core/evidence'
import type { Side } from '@still-pine/core/answer'
import type { TalliedPredictions } from '@still-pine/use-cases'
import { rows, run, sql, type Client } from './sql'

/** A prediction with the answer that put it to the test, and how the track stood that evening. */
export interface PredictionToSave extends Prediction, Evening {
  readonly answer: { readonly id: string; readonly sessionId: string; readonly personId: string }
}

/**
 * Keeps predictions; their answers must be there already. One that was made before stays as it was said, whatever law says
 * it otherwise now; only the days as they are drawn follow.
 */
export const savePredictions = async (
  client: Client,
  yardId: string,
  { horseId, predictions }: { horseId: string; predictions: readonly PredictionToSave[] },
): Promise<void> => {
  if (predictions.length === 0) return
  const asJson = JSON.stringify(
    predictions.map(({ answer: { id, sessionId, personId }, ...told }) => ({
      ...told,
      id,
      sessionId,
      personId,
    })),
  )
  await run(
    client,
    sql`insert into prediction (yard_id, horse_id, answer_id, session_id, person_id, step, side, day, chance, light,
                                calm_chance, tight, morning, evening)
        select ${yardId}, ${horseId}, p.*
        from json_to_recordset(${asJson}::json) as p(
          id uuid, "sessionId" uuid, "personId" uuid, step text, side text, day date, chance float8, light boolean,
          "calmChance" float8, tight boolean, morning float8, evening float8)
        on conflict (yard_id, answer_id, side) do update set morning = excluded.morning, evening = excluded.evening`,
  )
}

/** Keeps how tracks stand on the evening of days that are there already. */
export const saveEvenings = async (
  client: Client,
  horseId: string,
  evenings: readonly Evening[],
): Promise<void> => {
  if (evenings.length === 0) return
  const column = <T>(value: (evening: Evening) => T): T[] => evenings.map(value)
  await run(
    client,
    sql`update prediction p set evening = e.evening
        from unnest(${column(({ step }) => step)}::text[], ${column(({ side }) => side)}::text[],
                    ${column(({ day }) => day)}::date[], ${column(({ evening }) => evening)}::double precision[])
             as e(step, side, day, evening)
        where p.horse_id = ${horseId} and p.step = e.step and p.side = e.side and p.day = e.day`,
  )
}

/** How a step's tracks stood before and after each day they were worked, oldest first. */
export const daysTold = (client: Client, horseId: string, step: string) =>
  rows<DayTold & { readonly side: Side }>(
    client,
    sql`select side, day, morning, evening from prediction
        where horse_id = ${horseId} and step = ${step} and morning is not null order by day`,
  )

/** Lets go what was predicted from a day on: the answers it was made from have changed. */
export const deletePredictions = (client: Client, horseId: string, from: string) =>
  run(client, sql`delete from prediction where horse_id = ${horseId} and day >= ${from}`)

/** Lets go what was predicted of first asks that stand no more, and of steps that are not of the program. */
export const deleteStrayPredictions = (client: Client, horseId: string, steps: readonly string[]) =>
  run(
    client,
    sql`delete from prediction p where p.horse_id = ${horseId}
        and (p.step <> all(${steps}) or exists (select from voiding v where v.answer_id = p.answer_id))`,
  )

/**
 * Predictions of the yard, or of one horse, summed up by what they are about, school, step, handler and tenth. Those of an
 * earlier law, which did not keep what it said of the calm, stand apart.
 */
export const tallied = (client: Client, horseId: string | null) =>
  rows<TalliedPredictions>(
    client,
    sql`select s.about, g.school, p.step, p.person_id as "personId", w.name as "personName",
               least(9, floor(s.chance * 10))::int as tenth, count(*)::int as predictions, sum(s.chance) as said,
               (count(*) filter (where s.came))::int as came, sum((s.chance - s.came::int) ^ 2) as squared
        from prediction p join horse h on h.id = p.horse_id join program g on g.id = h.program_id
        join person w on w.id = p.person_id
        cross join lateral (values (case when p.calm_chance is null then 'earlier' else 'light' end, p.chance, p.light),
                                   ('calm', p.calm_chance, not p.tight)) as s(about, chance, came)
        where (${horseId}::uuid is null or p.horse_id = ${horseId}::uuid) and s.chance is not null and s.came is not null
        group by 1, 2, 3, 4, 5, 6 order by 1, 2, 3, 5, 4, 6`,
  )

/** First asks of the yard, of one horse or of one step of it, summed up by what was noted of their sessions. */
export const talliedByCircumstance = (client: Client, horseId: string | null, step: string | null = null) =>
  rows<CircumstanceGroup>(
    client,
    sql`with of_session as (
          select p.session_id, count(*)::int as asks, (count(*) filter (where p.light))::int as light,
                 sum(p.chance) as said
          from prediction p
          where (${horseId}::uuid is null or p.horse_id = ${horseId}::uuid) and (${step}::text is null or p.step = ${step})
          group by p.session_id)
        select c.key as kind, case c.key when 'kit' then lower(regexp_replace(c.value, '\\s+', ' ', 'g')) else c.value end
                 as value,
               count(*)::int as sessions, sum(o.asks)::int as asks, sum(o.light)::int as light, sum(o.said) as said
        from of_session o join pen_session s on s.id = o.session_id
        cross join lateral jsonb_each_text(s.circumstances) c
        where c.value is not null and c.value <> ''
        group by 1, 2 order by 1, 2`,
  )
