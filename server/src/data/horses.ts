import type { Horse, PutHorse } from '@still-pine/contract'
import { maybeRow, rows, run, sql, type Client, type Sql } from './sql'

interface Row extends Omit<Horse, 'createdAt'> {
  readonly createdAt: Date
}

const select = (where: Sql): Sql =>
  sql`select h.id, h.name, h.born, h.sex, h.kind, h.marks, h.origin, h.handled, h.arrived, h.estimate, h.feral, h.bitted, h.height_cm as "heightCm",
                h.archived, h.version, h.hand_over as "handOver",
                h.program_id as "programId", p.school, p.name as "schoolName", h.created_at as "createdAt",
                case when f.version is not null then json_build_object('version', f.version, 'values', f.fitted) end as "judgedBy"
         from horse h join program p on p.id = h.program_id
           left join fit f on f.yard_id = h.yard_id and f.version = h.fit_version ${where}`

const toHorse = ({ createdAt, ...row }: Row): Horse => ({ ...row, createdAt: createdAt.toISOString() })

/** The horses of the yard, or some of them, in the order in which they were added. */
export const allHorses = async (client: Client, ids: readonly string[] | null = null): Promise<Horse[]> =>
  (
    await rows<Row>(
      client,
      select(sql`where ${ids}::uuid[] is null or h.id = any(${ids}) order by h.created_at, h.id`),
    )
  ).map(toHorse)

export const horseById = async (client: Client, id: string): Promise<Horse | undefined> => {
  const row = await maybeRow<Row>(client, select(sql`where h.id = ${id}`))
  return row && toHorse(row)
}

const asJson = (value: unknown): string | null => (value === null ? null : JSON.stringify(value))

/** Says that a horse has left, or is back. */
export const updateArchived = (client: Client, id: string, archived: Horse['archived']) =>
  run(client, sql`update horse set archived = ${asJson(archived)}, version = version + 1 where id = ${id}`)

interface ToInsert {
  readonly id: string
  readonly programId: string
  readonly form: PutHorse
  readonly at: Date
}

export const insertHorse = (client: Client, yardId: string, { id, programId, form: horse, at }: ToInsert) =>
  run(
    client,
    sql`insert into horse (id, yard_id, program_id, name, born, sex, kind, marks, origin, handled, arrived, estimate,
                           feral, bitted, height_cm, version, created_at)
        values (${id}, ${yardId}, ${programId}, ${horse.name}, ${horse.born}, ${horse.sex}, ${horse.kind},
                ${horse.marks}, ${horse.origin}, ${horse.handled}, ${horse.arrived}, ${asJson(horse.estimate)},
                ${horse.feral}, ${horse.bitted}, ${horse.heightCm}, 1, ${at})
        on conflict (yard_id, id) do nothing`,
  )

export const updateHorse = (client: Client, id: string, horse: PutHorse) =>
  run(
    client,
    sql`update horse set name = ${horse.name}, born = ${horse.born}, sex = ${horse.sex}, kind = ${horse.kind},
               marks = ${horse.marks}, origin = ${horse.origin}, handled = ${horse.handled},
               arrived = ${horse.arrived}, estimate = ${asJson(horse.estimate)}, feral = ${horse.feral},
               bitted = ${horse.bitted}, height_cm = ${horse.heightCm}, version = version + 1
        where id = ${id}`,
  )

/** Puts a horse under another program; as an edit of its own it counts as one. */
export const moveHorse = (
  client: Client,
  id: string,
  { programId, isEdit }: { readonly programId: string; readonly isEdit: boolean },
) =>
  run(
    client,
    sql`update horse set program_id = ${programId}, version = version + ${isEdit ? 1 : 0} where id = ${id}`,
  )

export const updateHandOver = (client: Client, id: string, steps: readonly string[]) =>
  run(client, sql`update horse set hand_over = ${steps}, version = version + 1 where id = ${id}`)

export interface HorseTip {
  readonly lastAt: Date | null
  readonly lastSeq: number | null
}

/** Holds the history of horses for this transaction, in the one order that everybody takes, so that writers take turns. */
export const lockHorses = async (
  client: Client,
  ids: readonly string[],
): Promise<ReadonlyMap<string, HorseTip>> => {
  const found = await rows<HorseTip & { readonly id: string }>(
    client,
    sql`select id, last_at as "lastAt", last_seq as "lastSeq" from horse where id = any(${ids}) order by id
        for no key update`,
  )
  return new Map(found.map(({ id, ...tip }) => [id, tip]))
}

export const lockHorse = async (client: Client, id: string): Promise<HorseTip | undefined> =>
  (await lockHorses(client, [id])).get(id)

/** Says that something of a horse has changed that is not written in its own row. */
export const touchHorse = (client: Client, id: string) =>
  run(client, sql`update horse set revision = revision where id = ${id}`)

export const saveTip = (client: Client, id: string, tip: HorseTip) =>
  run(client, sql`update horse set last_at = ${tip.lastAt}, last_seq = ${tip.lastSeq} where id = ${id}`)
