import type { ListedPerson, Settings, Person } from '@still-pine/contract'
import { maybeRow, rows, run, sql, type Client } from './sql'

export interface PersonRow {
  readonly id: string
  readonly name: string
  readonly role: Person['role']
  readonly settings: Settings
  readonly passwordHash: string | null
}

export type Standing = ListedPerson['standing']

export interface YardRow {
  readonly id: string
  readonly name: string
  readonly timeZone: string
  readonly demo: boolean
  /** Whose made-up yard it is, where it is one. */
  readonly madeUpFor?: string
}

/** Before a yard is known: whose address this is. */
export const findPersonByEmail = (client: Client, email: string) =>
  maybeRow<{ personId: string | null; yardId: string | null }>(
    client,
    sql`select person_id as "personId", yard_id as "yardId" from find_person_by_email(${email})`,
  )

export const anyYard = async (client: Client): Promise<string | null> =>
  (await maybeRow<{ id: string | null }>(client, sql`select any_yard() as id`))?.id ?? null

/** The made-up yard beside one, and its starter. */
export const madeUpYardOf = async (client: Client, own: string) => {
  const found = await maybeRow<{ yardId: string | null; personId: string | null }>(
    client,
    sql`select yard_id as "yardId", person_id as "personId" from made_up_yard_of(${own})`,
  )
  return found?.yardId && found.personId ? { yardId: found.yardId, personId: found.personId } : null
}

export const allYards = async (client: Client): Promise<string[]> =>
  (await rows<{ id: string }>(client, sql`select id from all_yards() as id`)).map(({ id }) => id)

/** Lets one change at a time be made of what the whole yard shares: its people, its schools. */
export const lockYard = (client: Client, yardId: string) =>
  run(client, sql`select 1 from yard where id = ${yardId} for no key update`)

/** Lets one first run at a time look and make. */
export const lockFirstRun = (client: Client) => run(client, sql`select pg_advisory_xact_lock(7166001)`)

export const insertYard = (client: Client, yard: YardRow, at: Date) =>
  run(
    client,
    sql`insert into yard (id, name, time_zone, demo, created_at, made_up_for)
        values (${yard.id}, ${yard.name}, ${yard.timeZone}, ${yard.demo}, ${at}, ${yard.madeUpFor ?? null})`,
  )

export const insertPerson = (
  client: Client,
  yardId: string,
  { person, at }: { person: PersonRow & { email: string | null }; at: Date },
) =>
  run(
    client,
    sql`insert into person (id, yard_id, name, email, role, password_hash, settings, created_at)
        values (${person.id}, ${yardId}, ${person.name}, ${person.email}, ${person.role},
                ${person.passwordHash}, ${JSON.stringify(person.settings)}, ${at})`,
  )

export const yardNow = (client: Client) =>
  maybeRow<YardRow>(client, sql`select id, name, time_zone as "timeZone", demo from yard`)

export const personById = (client: Client, id: string) =>
  maybeRow<PersonRow & { readonly epoch: number; readonly standing: Standing }>(
    client,
    sql`select id, name, role, settings, password_hash as "passwordHash", epoch, standing from person where id = ${id}`,
  )

export const firstStarter = (client: Client) =>
  maybeRow<{ id: string }>(
    client,
    sql`select id from person where role = 'starter' and standing = 'here' order by created_at, id limit 1`,
  )

export const allPeople = (client: Client) =>
  rows<ListedPerson>(
    client,
    sql`select id, name, role, email, standing from person order by name collate "und-x-icu", id`,
  )

/** Changes a person; no password hash leaves the password as it is. What somebody signs in by or may do ends sign-ins. */
export const updatePerson = (
  client: Client,
  id: string,
  p: { name: string; role: Person['role']; email: string | null; passwordHash: string | null },
) =>
  run(
    client,
    sql`update person set name = ${p.name}, role = ${p.role}, email = ${p.email},
               password_hash = coalesce(${p.passwordHash}, password_hash),
               epoch = epoch + case when ${p.passwordHash}::text is null and role = ${p.role}
                                     and email is not distinct from ${p.email} then 0 else 1 end
        where id = ${id}`,
  )

/** Suspends a person, removes them or lets them back: their sign-ins end with it. */
export const updateStanding = (client: Client, id: string, standing: Standing) =>
  run(client, sql`update person set standing = ${standing}, epoch = epoch + 1 where id = ${id}`)

/** Gives a person another password and ends their sign-ins; says the epoch of the next ones. */
export const updatePassword = async (client: Client, id: string, passwordHash: string): Promise<number> =>
  (await maybeRow<{ epoch: number }>(
    client,
    sql`update person set password_hash = ${passwordHash}, epoch = epoch + 1 where id = ${id} returning epoch`,
  ))!.epoch

export const saveSettings = (client: Client, personId: string, settings: Settings) =>
  run(client, sql`update person set settings = ${JSON.stringify(settings)} where id = ${personId}`)
