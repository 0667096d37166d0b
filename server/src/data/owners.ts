import { maybeRow, rows, run, sql, type Client } from './sql'

export const ownerOf = (client: Client, horseId: string) =>
  maybeRow<{ id: string; name: string }>(
    client,
    sql`select p.id, p.name from horse_owner o join person p on p.id = o.person_id where o.horse_id = ${horseId}`,
  )

export const saveOwner = (
  client: Client,
  yardId: string,
  { horseId, personId }: { horseId: string; personId: string },
) =>
  run(
    client,
    sql`insert into horse_owner (horse_id, yard_id, person_id) values (${horseId}, ${yardId}, ${personId})
        on conflict (yard_id, horse_id) do update set person_id = excluded.person_id`,
  )

export const dropOwner = (client: Client, horseId: string) =>
  run(client, sql`delete from horse_owner where horse_id = ${horseId}`)

/** The horses of an owner, by name. */
export const horsesOfOwner = (client: Client, personId: string) =>
  rows<{ id: string; name: string }>(
    client,
    sql`select h.id, h.name from horse_owner o join horse h on h.id = o.horse_id
        where o.person_id = ${personId} order by h.name collate "und-x-icu", h.id`,
  )
