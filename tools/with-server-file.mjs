// Runs one built file of the server beside the yard's database, or the demo's, and ends as it ended.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from './folders.mjs'
import { ensurePackages } from './install.mjs'
import { runMain } from './say.mjs'

export const runServerFile = (file) =>
  runMain(async () => {
    ensurePackages(ROOT)
    const { buildServer } = await import('./build.mjs')
    const { withDatabase } = await import('./with-cluster.mjs')
    await buildServer()
    await withDatabase(process.argv.includes('--demo') ? 'demo' : 'yard', {}, async (url) => {
      const env = {
        ...process.env,
        DATABASE_URL: url,
        STILL_PINE_MIGRATIONS: join(ROOT, 'server/migrations'),
      }
      process.exitCode = spawnSync(process.execPath, ['--enable-source-maps', join('server/dist', file)], {
        cwd: ROOT,
        env,
        stdio: 'inherit',
      }).status
    })
  })
