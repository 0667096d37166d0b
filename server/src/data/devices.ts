import type { Device, Role } from '@still-pine/contract'
import { maybeRow, rows, run, sql, type Client } from './sql'

interface SignInFound {
  readonly yardId: string
  readonly timeZone: string
  readonly role: Role
  /** Raised by a change of password, address or part: sign-ins of an earlier one have ended. */
  readonly epoch: number
  readonly cutOff: boolean
}

/** Before a yard is known: whose sign-in this is, and whether its device was cut off. */
export const findSignIn = async (
  client: Client,
  personId: string,
  deviceId: string | null,
): Promise<SignInFound | null> => {
  const found = await maybeRow<SignInFound>(
    client,
    sql`select yard_id as "yardId", time_zone as "timeZone", role, epoch, cut_off as "cutOff"
        from find_sign_in(${personId}, ${deviceId})`,
  )
  return found?.yardId ? found : null
}

/** Remembers that a person uses a device; one that was cut off stays so. Says whether it is. */
export const saveDevice = async (
  client: Client,
  { yardId, personId }: { yardId: string; personId: string },
  { device, at }: { device: { readonly id: string; readonly words: string }; at: Date },
): Promise<boolean> =>
  (await maybeRow<{ cutOff: boolean }>(
    client,
    sql`insert into device (person_id, id, yard_id, words, seen_at)
        values (${personId}, ${device.id}, ${yardId}, ${device.words}, ${at})
        on conflict (person_id, id) do update set words = excluded.words, seen_at = excluded.seen_at
        returning cut_off_at is not null as "cutOff"`,
  ))!.cutOff

export const deviceSeen = (
  client: Client,
  personId: string,
  { deviceId, at }: { deviceId: string; at: Date },
) => run(client, sql`update device set seen_at = ${at} where person_id = ${personId} and id = ${deviceId}`)

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
  { deviceId, at }: { deviceId: string; at: Date | null },
): Promise<boolean> =>
  (await maybeRow(
    client,
    sql`update device set cut_off_at = ${at} where person_id = ${personId} and id = ${deviceId} returning id`,
  )) !== undefined
