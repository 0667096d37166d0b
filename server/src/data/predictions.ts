import type { Prediction } from '@still-pine/core/evidence'
import { rows, run, sql, type Client } from './sql'

/** A prediction with the answer that put it to the test. */
export interface PredictionToKeep extends Prediction {
  readonly answer: { readonly id: string }
}

/** Keeps predictions; their answers must be there already. */
export const savePredictions = async (
  client: Client,
  yardId: string,
  horseId: string,
  predictions: readonly PredictionToKeep[],
): Promise<void> => {
  if (predictions.length === 0) return
  const column = <T>(value: (prediction: PredictionToKeep) => T): T[] => predictions.map(value)
  await run(
    client,
    sql`insert into prediction (yard_id, horse_id, answer_id, session_id, person_id, step, side, day, chance, light,
                                tight)
        select ${yardId}, ${horseId}, p.id, a.session_id, a.person_id, p.step, p.side, p.day, p.chance, p.light, p.tight
        from unnest(${column(({ answer }) => answer.id)}::uuid[], ${column(({ step }) => step)}::text[],
                    ${column(({ side }) => side)}::text[], ${column(({ day }) => day)}::date[],
                    ${column(({ chance }) => chance)}::double precision[], ${column(({ light }) => light)}::boolean[],
                    ${column(({ tight }) => tight)}::boolean[]) as p(id, step, side, day, chance, light, tight)
        join answer a on a.id = p.id
        on conflict (answer_id, side) do update set chance = excluded.chance, light = excluded.light,
          tight = excluded.tight`,
  )
}

export const deletePredictions = (client: Client, horseId: string, steps: readonly string[]) =>
  run(client, sql`delete from prediction where horse_id = ${horseId} and step = any(${steps})`)

/** All predictions of a horse, in place of those that were kept. */
export const replacePredictions = async (
  client: Client,
  yardId: string,
  horseId: string,
  predictions: readonly PredictionToKeep[],
): Promise<void> => {
  await run(client, sql`delete from prediction where horse_id = ${horseId}`)
  await savePredictions(client, yardId, horseId, predictions)
}

export interface TalliedPredictions {
  readonly school: string
  readonly step: string
  readonly personId: string
  readonly personName: string
  readonly tenth: number
  readonly predictions: number
  readonly said: number
  readonly light: number
  readonly squared: number
}

/** Predictions of the yard, or of one horse, summed up by school, step, handler and tenth. */
export const tallied = (client: Client, horseId: string | null) =>
  rows<TalliedPredictions>(
    client,
    sql`select g.school, p.step, p.person_id as "personId", w.name as "personName",
               least(9, floor(p.chance * 10))::int as tenth, count(*)::int as predictions, sum(p.chance) as said,
               (count(*) filter (where p.light))::int as light, sum((p.chance - p.light::int) ^ 2) as squared
        from prediction p join horse h on h.id = p.horse_id join program g on g.id = h.program_id
        join person w on w.id = p.person_id
        where ${horseId}::uuid is null or p.horse_id = ${horseId}::uuid
        group by 1, 2, 3, 4, 5 order by 1, 2, 4, 3, 5`,
  )

export interface TalliedCircumstance {
  readonly kind: string
  readonly value: string
  readonly sessions: number
  readonly asks: number
  readonly light: number
  readonly said: number
}

/** First asks of the yard, or of one horse, summed up by what was noted of their sessions. */
export const talliedByCircumstance = (client: Client, horseId: string | null) =>
  rows<TalliedCircumstance>(
    client,
    sql`with of_session as (
          select p.session_id, count(*)::int as asks, (count(*) filter (where p.light))::int as light,
                 sum(p.chance) as said
          from prediction p where ${horseId}::uuid is null or p.horse_id = ${horseId}::uuid
          group by p.session_id)
        select c.key as kind, case c.key when 'kit' then lower(regexp_replace(c.value, '\\s+', ' ', 'g')) else c.value end
                 as value,
               count(*)::int as sessions, sum(o.asks)::int as asks, sum(o.light)::int as light, sum(o.said) as said
        from of_session o join pen_session s on s.id = o.session_id
        cross join lateral jsonb_each_text(s.circumstances) c
        where c.value is not null and c.value <> ''
        group by 1, 2 order by 1, 2`,
  )
