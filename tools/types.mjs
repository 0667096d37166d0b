// Type-checks every workspace with the fast native compiler.
import { spawnSync } from 'node:child_process'

const projects = [
  'core',
  'core/tsconfig.test.json',
  'contract',
  'use-cases',
  'device',
  'server',
  'demo',
  'web',
  'web/tsconfig.worker.json',
  'stand-ins',
  'e2e',
  'bench',
]
const failed = projects.filter(
  (project) =>
    spawnSync(process.execPath, ['node_modules/ts7/bin/tsc', '-p', project], { stdio: 'inherit' }).status !==
    0,
)
if (failed.length > 0) {
  console.error(`Types do not hold in: ${failed.join(', ')}`)
  process.exit(1)
}
