import type { PoolClient, QueryResultRow } from 'pg'

/** A piece of SQL with its values apart: they only ever travel as parameters. */
export class Sql {
  constructor(
    private readonly parts: readonly string[],
    readonly values: readonly unknown[],
  ) {}

  get text(): string {
    return this.parts.reduce((text, part, i) => `${text}$${i}${part}`)
  }

  followedBy(value: unknown, text: string): Sql {
    const [last, earlier] = [this.parts.at(-1)!, this.parts.slice(0, -1)]
    if (!(value instanceof Sql)) return new Sql([...this.parts, text], [...this.values, value])
    const [first, ...more] = value.parts
    const joined = [...earlier, last + first, ...more]
    return new Sql([...joined.slice(0, -1), joined.at(-1)! + text], [...this.values, ...value.values])
  }
}

/** Tagged SQL: a piece of SQL is put in as it is, and every other `${value}` becomes a parameter. */
export const sql = (strings: TemplateStringsArray, ...values: readonly unknown[]): Sql =>
  values.reduce<Sql>((made, value, i) => made.followedBy(value, strings[i + 1]!), new Sql([strings[0]!], []))

/** SQL written down here, with nothing in it that anybody entered. */
export const plain = (text: string): Sql => new Sql([text], [])

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

/** Classes of what PostgreSQL says against a value or a row, and not against itself or the moment (appendix A). */
const ABOUT_THE_DATA = ['22', '23']

const isAboutTheData = (error: unknown): boolean => {
  const code = String((error as { code?: unknown } | null)?.code ?? '')
  return ABOUT_THE_DATA.includes(code.slice(0, 2)) || code === '42501'
}

/** Does `work` so that it is undone alone where the database cannot hold what it writes; gives that error, or nothing. */
export const apart = async (client: Client, work: () => Promise<unknown>): Promise<unknown> => {
  await client.query('savepoint apart')
  try {
    await work()
    await client.query('release savepoint apart')
    return null
  } catch (error) {
    if (!isAboutTheData(error)) throw error
    await client.query('rollback to savepoint apart')
    return error
  }
}
