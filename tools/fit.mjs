// `npm run fit`: asks each yard’s log whether its horses differ from what is assumed, and says what came of it.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from './folders.mjs'
import { ensurePackages } from './install.mjs'
import { runMain } from './say.mjs'

await runMain(async () => {
  ensurePackages(ROOT)
  const { buildServer } = await import('./build.mjs')
  const { withDatabase } = await import('./with-cluster.mjs')
  await buildServer()
  await withDatabase(process.argv.includes('--demo') ? 'demo' : 'yard', {}, async (url) => {
    const env = { ...process.env, DATABASE_URL: url, STILL_PINE_MIGRATIONS: join(ROOT, 'server/migrations') }
    process.exitCode = spawnSync(process.execPath, ['--enable-source-maps', 'server/dist/fit.js'], {
      cwd: ROOT,
      env,
      stdio: 'inherit',
    }).status
  })
})
