import type { Place, PutPlace } from '@still-pine/contract'
import { rows, run, sql, type Client } from './sql'

export const allPlaces = (client: Client) =>
  rows<Place>(
    client,
    sql`select id, name, suits, home, note, version from place order by name collate "und-x-icu", id`,
  )

/** Adds a place, or changes it if it is still at the version the edit was made from; gives how many rows that was. */
export const savePlace = (client: Client, yardId: string, { id, p }: { id: string; p: PutPlace }) =>
  p.version === 0
    ? run(
        client,
        sql`insert into place (id, yard_id, name, suits, home, note, version)
            values (${id}, ${yardId}, ${p.name}, ${p.suits}, ${p.home}, ${p.note}, 1) on conflict do nothing`,
      )
    : run(
        client,
        sql`update place set name = ${p.name}, suits = ${p.suits}, home = ${p.home}, note = ${p.note},
                   version = version + 1
            where id = ${id} and version = ${p.version}`,
      )
