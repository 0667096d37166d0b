import { execFileSync } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')

/** The tests drive what ships: build it first if anything changed. */
export default function buildProduct(): void {
  execFileSync(process.execPath, [join(ROOT, 'tools/build.mjs')], { cwd: ROOT, stdio: 'inherit' })
}
