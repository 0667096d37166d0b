// `npm run backup -- FILE`: everything in the database as one file, by pg_dump.
import { renameSync, rmSync, statSync } from 'node:fs'
import { resolve } from 'node:path'
import { fileAndFlags } from './file-and-flags.mjs'
import { ensurePackages } from './install.mjs'
import { ROOT } from './folders.mjs'
import { runMain, say } from './say.mjs'

await runMain(async () => {
  const { file, flags } = fileAndFlags('npm run backup -- FILE [--demo]', ['demo'])
  ensurePackages(ROOT)
  const { withDatabase } = await import('./with-cluster.mjs')
  const { client } = await import('./postgres.mjs')
  const target = resolve(file)
  await withDatabase(flags.demo ? 'demo' : 'yard', {}, async (url) => {
    // Complete or not there: a half-written file never has the name.
    const part = `${target}.part`
    try {
      client('pg_dump', ['--format=custom', '--file', part, '--dbname', url])
    } catch (error) {
      rmSync(part, { force: true })
      throw error
    }
    renameSync(part, target)
  })
  say(
    `Kept in ${target} (${Math.ceil(statSync(target).size / 1024)} kB). Try it on another machine now and then.`,
  )
})
