// `npm run backup -- FILE`: everything as one file: the database, and the pictures, clips and spoken notes beside it.
import { mkdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { DUMP, pack } from './backup-file.mjs'
import { fileAndFlags } from './file-and-flags.mjs'
import { ensurePackages } from './install.mjs'
import { filesFolder, ROOT } from './folders.mjs'
import { runMain, say } from './say.mjs'

await runMain(async () => {
  const { file, flags } = fileAndFlags('npm run backup -- FILE [--demo]', ['demo'])
  ensurePackages(ROOT)
  const { withDatabase } = await import('./with-cluster.mjs')
  const { client } = await import('./postgres.mjs')
  const target = resolve(file)
  const name = flags.demo ? 'demo' : 'yard'
  await withDatabase(name, {}, async (url) => {
    // Complete or not there: a half-written file never has the name.
    const part = `${target}.part`
    const folder = `${target}.folder`
    try {
      rmSync(folder, { recursive: true, force: true })
      mkdirSync(folder, { mode: 0o700 })
      // The database first: a file it speaks of is there by then, and never changes.
      client('pg_dump', ['--format=custom', '--file', join(folder, DUMP), '--dbname', url])
      await pack(folder, filesFolder(name), part)
      renameSync(part, target)
    } finally {
      rmSync(part, { force: true })
      rmSync(folder, { recursive: true, force: true })
    }
  })
  say(
    `Kept in ${target} (${Math.ceil(statSync(target).size / 1024)} kB). Try it on another machine now and then.`,
  )
})
