import type { Device } from '@still-pine/contract'
import { maybeRow, rows, run, sql, type Client } from './sql'

/** Before a yard is known: whose sign-in this is, and whether its device was cut off. */
export const findYardOfSignIn = async (
  client: Client,
  personId: string,
  deviceId: string | null,
): Promise<{ yardId: string | null; cutOff: boolean }> =>
  (await maybeRow<{ yardId: string | null; cutOff: boolean }>(
    client,
    sql`select yard_id as "yardId", cut_off as "cutOff" from find_yard_of_sign_in(${personId}, ${deviceId})`,
  )) ?? { yardId: null, cutOff: false }

/** Remembers that a person uses a device; one that was cut off stays so. Says whether it is. */
export const saveDevice = async (
  client: Client,
  { yardId, personId }: { readonly yardId: string; readonly personId: string },
  device: { readonly id: string; readonly words: string },
  at: Date,
): Promise<boolean> =>
  (await maybeRow<{ cutOff: boolean }>(
    client,
    sql`insert into device (person_id, id, yard_id, words, seen_at)
        values (${personId}, ${device.id}, ${yardId}, ${device.words}, ${at})
        on conflict (person_id, id) do update set words = excluded.words, seen_at = excluded.seen_at
        returning cut_off_at is not null as "cutOff"`,
  ))!.cutOff

export const deviceSeen = (client: Client, personId: string, deviceId: string, at: Date) =>
  run(client, sql`update device set seen_at = ${at} where person_id = ${personId} and id = ${deviceId}`)

type Row = Omit<Device, 'seenAt' | 'cutOffAt' | 'isThis'> & {
  readonly seenAt: Date
  readonly cutOffAt: Date | null
}

/** The devices of one person, or of everybody, newest first. */
export const devicesOf = (client: Client, personId: string | null) =>
  rows<Row>(
    client,
    sql`select d.id, d.person_id as "personId", p.name as "personName", d.words, d.seen_at as "seenAt",
               d.cut_off_at as "cutOffAt"
        from device d join person p on p.id = d.person_id
        where ${personId}::uuid is null or d.person_id = ${personId}::uuid
        order by d.seen_at desc, d.id`,
  )

/** Cuts a device off, or lets it back; says whether there is such a device. */
export const setCutOff = async (
  client: Client,
  personId: string,
  deviceId: string,
  at: Date | null,
): Promise<boolean> =>
  (await maybeRow(
    client,
    sql`update device set cut_off_at = ${at} where person_id = ${personId} and id = ${deviceId} returning id`,
  )) !== undefined
