import { maybeRow, run, sql, type Client } from './sql'

interface LinkFound {
  readonly yardId: string
  readonly personId: string
}

/** Before a yard is known: whose link this is. */
export const findResetLink = async (client: Client, id: string): Promise<LinkFound | null> => {
  const found = await maybeRow<{ yardId: string | null; personId: string }>(
    client,
    sql`select yard_id as "yardId", person_id as "personId" from find_reset_link(${id})`,
  )
  return found?.yardId ? { yardId: found.yardId, personId: found.personId } : null
}

/** Makes a link; one made before for the same person is worth nothing from now on. */
export const insertResetLink = async (
  client: Client,
  yardId: string,
  { id, personId, at, until }: { id: string; personId: string; at: Date; until: Date },
): Promise<void> => {
  await run(
    client,
    sql`update reset_link set used_at = ${at} where person_id = ${personId} and used_at is null`,
  )
  await run(
    client,
    sql`insert into reset_link (yard_id, id, person_id, made_at, until)
        values (${yardId}, ${id}, ${personId}, ${at}, ${until})`,
  )
}

/** Uses a link up; says whether it was still good. */
export const takeResetLink = async (client: Client, id: string, at: Date): Promise<boolean> =>
  (await maybeRow(
    client,
    sql`update reset_link set used_at = ${at} where id = ${id} and used_at is null and until > ${at} returning id`,
  )) !== undefined
