// `npm run restore -- FILE`: a backup back into the database, whole or not at all.
import { existsSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { FILES, filesUnder, roomFor, unpack } from './backup-file.mjs'
import { fileAndFlags } from './file-and-flags.mjs'
import { filesFolder, ROOT } from './folders.mjs'
import { ensurePackages } from './install.mjs'
import { CannotGoOn, runMain, say } from './say.mjs'

const RESTORING = 'still_pine_restoring'
const BEFORE = 'still_pine_before'

const ROLES = `do $$ begin
  if not exists (select from pg_roles where rolname = 'still_pine_app') then create role still_pine_app login; end if;
  if not exists (select from pg_roles where rolname = 'still_pine_lookup') then create role still_pine_lookup nologin; end if;
  execute format('grant still_pine_lookup to %I', current_user);
end $$`

/** The same server, another database. */
const at = (url, database) => Object.assign(new URL(url), { pathname: `/${database}` }).href

await runMain(async () => {
  const { file, flags } = fileAndFlags('npm run restore -- FILE [--over] [--demo]', ['over', 'demo'])
  if (!existsSync(file)) throw new CannotGoOn(`${file} is not there.`)
  ensurePackages(ROOT)
  const { withDatabase } = await import('./with-cluster.mjs')
  const { client } = await import('./postgres.mjs')
  const ask = (url, sql) =>
    client('psql', ['-X', '-q', '-A', '-t', '-v', 'ON_ERROR_STOP=1', '-c', sql, url]).trim()
  /** The names of the yards in a database; an owner whom row-level security binds sees only that there is one. */
  const yardsIn = (url) => {
    if (ask(url, "select to_regclass('public.yard') is not null") !== 't') return []
    const names = ask(url, 'select name from yard order by created_at').split('\n').filter(Boolean)
    return names.length > 0 ? names : ask(url, 'select all_yards() limit 1') === '' ? [] : ['a yard']
  }
  const known = new Set(
    readdirSync(join(ROOT, 'server/migrations')).map((name) => name.replace(/\.sql$/, '')),
  )

  const name = flags.demo ? 'demo' : 'yard'
  const kept = filesFolder(name)
  const unpacked = `${kept}.restoring`
  /** Files of the backup beside those that are here: their ids differ, or they are the same file. */
  const putFiles = (files) => {
    for (const path of files) renameSync(join(unpacked, FILES, path), roomFor(join(kept, path)))
  }
  /** Once the database is back, what it does not speak of goes. */
  const dropOtherFiles = (files) => {
    const ours = new Set(files)
    for (const path of filesUnder(kept)) if (!ours.has(path)) rmSync(join(kept, path))
  }

  await withDatabase(name, { mayMake: true }, async (url) => {
    const database = new URL(url).pathname.slice(1)
    const maintenance = at(url, 'postgres')
    const restoring = at(url, RESTORING)
    const { dump, files } = await unpack(file, unpacked)
    ask(maintenance, `drop database if exists ${RESTORING}`)
    ask(maintenance, `create database ${RESTORING}`)
    try {
      ask(maintenance, ROLES)
      try {
        client('pg_restore', ['--exit-on-error', '--dbname', restoring, dump])
      } catch (error) {
        throw new CannotGoOn(`${file} is not a whole backup; nothing was changed.\n${error.message}`)
      }
      const newer = ask(restoring, 'select name from migration')
        .split('\n')
        .filter((name) => name && !known.has(name))
      if (newer.length > 0)
        throw new CannotGoOn('This backup is from a newer Still Pine; nothing was changed. Update first.')
      const theirs = yardsIn(restoring).join(', ')
      const ours = yardsIn(url).join(', ')
      if (ours && !flags.over)
        throw new CannotGoOn(
          `${ours === theirs ? `“${ours}” is here already` : `This backup is of “${theirs}”, and here is “${ours}”`}; ` +
            'nothing was changed. To put the backup in its place, add --over. What is here now would be gone.',
        )
      try {
        ask(maintenance, `alter database "${database}" rename to ${BEFORE}`)
      } catch {
        throw new CannotGoOn('Still Pine runs on this database: stop it first. Nothing was changed.')
      }
      if (files) putFiles(files)
      ask(maintenance, `alter database ${RESTORING} rename to "${database}"`)
      ask(maintenance, `drop database ${BEFORE}`)
      if (files) dropOtherFiles(files)
      say(`“${theirs}” is back, as it was when ${file} was made.`)
    } finally {
      ask(maintenance, `drop database if exists ${RESTORING}`)
      rmSync(unpacked, { recursive: true, force: true })
    }
  })
})
