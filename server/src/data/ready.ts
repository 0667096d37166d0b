import { maybeRow, sql, type Client } from './sql'

/** Whether the database answers and has its tables. */
export const isReady = async (client: Client): Promise<boolean> =>
  (await maybeRow<{ ready: boolean }>(client, sql`select to_regclass('horse_day') is not null as ready`))
    ?.ready ?? false
