import type { Fit } from '@still-pine/core/fit'
import type { FittedValues } from '@still-pine/core/judgement'
import { maybeRow, rows, run, sql, type Client } from './sql'

interface FitRow {
  readonly version: number
  readonly madeAt: Date
  readonly answers: number
  readonly values: FittedValues
  readonly heldOut: number
  readonly inUse: number
}

/** Every set of values the yard's log was ever asked for, newest first. */
export const fitsOf = (client: Client) =>
  rows<FitRow>(
    client,
    sql`select version, made_at as "madeAt", answers, fitted as values, held_out as "heldOut", in_use as "inUse"
        from fit order by version desc`,
  )

/** What the yard judges by, and from how many answers it was last asked what would suit it. */
export const fitInUse = async (
  client: Client,
): Promise<{ readonly version: number; readonly values: FittedValues } | null> =>
  (await maybeRow<{ version: number; values: FittedValues }>(
    client,
    sql`select f.version, f.fitted as values from yard y join fit f on f.yard_id = y.id and f.version = y.fit_version`,
  )) ?? null

/** Keeps what was found as the next version, and gives its number. */
export const insertFit = async (
  client: Client,
  yardId: string,
  { fit, at }: { fit: Fit; at: Date },
): Promise<number> => {
  const row = await maybeRow<{ version: number }>(
    client,
    sql`insert into fit (yard_id, version, made_at, answers, fitted, held_out, in_use)
        select ${yardId}, coalesce(max(version), 0) + 1, ${at}, ${fit.answers}, ${JSON.stringify(fit.values)}::jsonb,
               ${fit.heldOut}, ${fit.inUse}
        from fit returning version`,
  )
  return row!.version
}

/** What the yard judges by from now on; its horses follow one by one. */
export const chooseFit = (client: Client, version: number | null) =>
  run(client, sql`update yard set fit_version = ${version}`)

/** By which version a horse is worked out now: the yard's. */
export const followYard = (client: Client, horseId: string) =>
  run(client, sql`update horse set fit_version = (select fit_version from yard) where id = ${horseId}`)

/** Answers that stand, in the whole yard. */
export const countAnswers = async (client: Client): Promise<number> =>
  (await maybeRow<{ n: number }>(
    client,
    sql`select (count(*) filter (where v.id is null and not a.uncued))::int as n
        from answer a left join voiding v on v.answer_id = a.id`,
  ))!.n
