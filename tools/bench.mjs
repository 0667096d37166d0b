// `npm run bench`: figures as ratios within one run, as a table and as JSON.
import { spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ROOT } from './folders.mjs'
import { ensureChromium, ensurePackages, isRoot } from './install.mjs'
import { runMain } from './say.mjs'

await runMain(async () => {
  ensurePackages(ROOT)
  ensureChromium()
  const { buildAll, buildBench, buildServer } = await import('./build.mjs')
  const { removeCluster, startCluster } = await import('./postgres.mjs')
  await buildAll()
  await buildServer()
  await buildBench()
  // Root's clusters must lie where the user postgres reaches them.
  const folder = join(isRoot ? '/var/lib' : tmpdir(), `still-pine-bench-${process.pid}`)
  const cluster = await startCluster(folder, { throwaway: true })
  const end = async () => {
    await cluster.stop()
    await removeCluster(folder)
  }
  process.once('SIGINT', () => void end().then(() => process.exit(130)))
  try {
    process.exitCode = spawnSync(process.execPath, ['bench/dist/main.js', ...process.argv.slice(2)], {
      cwd: ROOT,
      stdio: 'inherit',
      env: {
        ...process.env,
        DATABASE_URL: cluster.url,
        STILL_PINE_MIGRATIONS: join(ROOT, 'server/migrations'),
      },
    }).status
  } finally {
    await end()
  }
})
