import { withSafety, type Program } from '@still-pine/core/program'
import { maybeRow, rows, run, sql, type Client } from './sql'

interface Stored {
  readonly id: string
  readonly document: Program
}

/** A document from before today's rules of safety reads as one that keeps them. */
const safe = (row: Stored | undefined): Stored | undefined =>
  row && { ...row, document: withSafety(row.document) }

export const programById = async (client: Client, id: string) =>
  safe(await maybeRow<Stored>(client, sql`select id, document from program where id = ${id}`))

export const newestProgram = async (client: Client, school: string) =>
  safe(
    await maybeRow<Stored>(
      client,
      sql`select id, document from program where school = ${school} order by version desc limit 1`,
    ),
  )

interface ToInsert extends Stored {
  /** Who made it, and when; nobody where it ships. */
  readonly made?: { readonly by: string; readonly at: Date } | null
}

export const insertProgram = (client: Client, yardId: string, { id, document, made = null }: ToInsert) =>
  run(
    client,
    sql`insert into program (id, yard_id, school, version, document, made_at, made_by)
        values (${id}, ${yardId}, ${document.school}, ${document.version}, ${JSON.stringify(document)},
                ${made?.at ?? null}, ${made?.by ?? null})
        on conflict do nothing`,
  )

interface VersionRow {
  readonly programId: string
  readonly school: string
  readonly name: string
  readonly copyOf: string | null
  readonly version: number
  readonly madeAt: Date | null
  readonly madeBy: string | null
}

/** Every version of every school of the yard, newest first. */
export const allPrograms = (client: Client) =>
  rows<VersionRow>(
    client,
    sql`select g.id as "programId", g.school, g.document->>'name' as name, g.document->>'copyOf' as "copyOf",
               g.version, g.made_at as "madeAt", p.name as "madeBy"
        from program g left join person p on p.id = g.made_by order by g.school, g.version desc`,
  )
