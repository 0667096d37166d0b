import type { Arrival, ArrivalResult, Block, PutBlock } from '@still-pine/contract'
import type { Snapshot } from '@still-pine/core/blocks'
import type { KnownRung } from '@still-pine/core/readiness'
import type { Owner } from './care'
import { maybeRow, rows, run, sql, type Client } from './sql'

export const blocksOf = (client: Client, horseId: string) =>
  rows<Block>(
    client,
    sql`select b.id, b.kind, b.from_day as "from", b.until_day as "until", b.worries, b.reward, b.note, b.snapshot,
               b.version, p.name as "byName"
        from block b join person p on p.id = b.person_id where b.horse_id = ${horseId} order by b.from_day, b.id`,
  )

export const openBlock = (client: Client, horseId: string) =>
  maybeRow<{ kind: Block['kind']; from: string }>(
    client,
    sql`select kind, from_day as "from" from block where horse_id = ${horseId} and until_day is null`,
  )

interface ToWrite {
  readonly id: string
  readonly block: PutBlock
  readonly snapshot: Snapshot | null
}

export const insertBlock = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  { id, block: b, snapshot }: ToWrite,
) =>
  run(
    client,
    sql`insert into block (id, yard_id, horse_id, person_id, kind, from_day, until_day, worries, reward, note, snapshot, version)
        values (${id}, ${yardId}, ${horseId}, ${personId}, ${b.kind}, ${b.from}, ${b.until}, ${b.worries}, ${b.reward},
                ${b.note}, ${snapshot === null ? null : JSON.stringify(snapshot)}, 1)
        on conflict (yard_id, id) do nothing`,
  )

export const updateBlock = (client: Client, { id, block: b, snapshot }: ToWrite) =>
  run(
    client,
    sql`update block set kind = ${b.kind}, from_day = ${b.from}, until_day = ${b.until}, worries = ${b.worries},
               reward = ${b.reward}, note = ${b.note},
               snapshot = ${snapshot === null ? null : JSON.stringify(snapshot)}, version = version + 1
        where id = ${id}`,
  )

export const arrivalsOf = (client: Client, horseId: string) =>
  rows<Arrival>(
    client,
    sql`select a.id, a.on_day as "on", a.result, p.name as "byName"
        from arrival a join person p on p.id = a.person_id
        where a.horse_id = ${horseId} order by a.on_day desc, a.id desc`,
  )

export const insertArrival = (
  client: Client,
  { yardId, horseId, personId }: Owner,
  arrival: { readonly id: string; readonly on: string; readonly result: ArrivalResult },
) =>
  run(
    client,
    sql`insert into arrival (id, yard_id, horse_id, person_id, on_day, result)
        values (${arrival.id}, ${yardId}, ${horseId}, ${personId}, ${arrival.on}, ${JSON.stringify(arrival.result)})
        on conflict (yard_id, id) do nothing`,
  )

/** What the last arrival check of a horse showed. */
export const knownOf = async (client: Client, horseId: string): Promise<KnownRung[]> => {
  const [last] = await arrivalsOf(client, horseId)
  return last?.result.known.map(({ step, rung }) => ({ step, rung, on: last.on })) ?? []
}
