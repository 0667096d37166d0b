import type { PoolClient, QueryResultRow } from 'pg'

/** A piece of SQL with its values apart: they only ever travel as parameters. */
export interface Sql {
  readonly text: string
  readonly values: readonly unknown[]
}

/** Tagged SQL: every `${value}` becomes a parameter. */
export const sql = (strings: TemplateStringsArray, ...values: readonly unknown[]): Sql => ({
  text: strings.reduce((text, part, i) => `${text}$${i}${part}`),
  values,
})

/** What the functions of this folder run on: a client inside the yard's transaction. */
export type Client = Pick<PoolClient, 'query'>

export const rows = async <Row extends QueryResultRow>(
  client: Client,
  { text, values }: Sql,
): Promise<Row[]> => (await client.query<Row>(text, [...values])).rows

export const maybeRow = async <Row extends QueryResultRow>(
  client: Client,
  query: Sql,
): Promise<Row | undefined> => (await rows<Row>(client, query))[0]

/** How many rows a write touched. */
export const run = async (client: Client, { text, values }: Sql): Promise<number> =>
  (await client.query(text, [...values])).rowCount ?? 0

const UNIQUE_VIOLATION = '23505'

/** Whether a write failed because somebody has that name, address or number already. */
export const isTaken = (error: unknown): boolean =>
  (error as { code?: unknown } | null)?.code === UNIQUE_VIOLATION
