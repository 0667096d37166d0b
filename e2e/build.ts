import { execFileSync } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { makeDemo } from './product'

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')

/** The tests drive what ships: build it first if anything changed, and make the demo once for all of them. */
export default async function buildProduct(): Promise<() => Promise<void>> {
  execFileSync(process.execPath, [join(ROOT, 'tools/build.mjs')], { cwd: ROOT, stdio: 'inherit' })
  return makeDemo()
}
