// `npm run --silent judge -- FILE.csv --on YYYY-MM-DD`: judges a log of answers without server or database.
import { readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { parseArgs } from 'node:util'
import { ROOT } from './folders.mjs'
import { ensurePackages } from './install.mjs'

const BAD_INPUT = 2

const refuse = (lines) => {
  for (const line of lines) console.error(line)
  process.exit(BAD_INPUT)
}

const USAGE = 'Usage: npm run --silent judge -- FILE.csv --on YYYY-MM-DD'

const asked = () => {
  try {
    const { values, positionals } = parseArgs({ allowPositionals: true, options: { on: { type: 'string' } } })
    if (positionals.length === 1 && values.on !== undefined) return { file: positionals[0], on: values.on }
  } catch (error) {
    refuse([error.message, USAGE])
  }
  return refuse([USAGE])
}

const bytesOf = (file) => {
  try {
    // npm runs from the project's folder; the path is the caller's.
    return readFileSync(resolve(process.env.INIT_CWD ?? '.', file))
  } catch (error) {
    return refuse([`${file} cannot be read: ${error.message}`])
  }
}

const { file, on } = asked()
ensurePackages(ROOT)
const { buildJudge } = await import('./build.mjs')
const { isDay, judgeFile, faultInWords } = await import(pathToFileURL(join(ROOT, await buildJudge())).href)
if (!isDay(on)) refuse([`--on: “${on}”; expected a day of the calendar, such as 2026-05-14`])
const result = judgeFile(bytesOf(file), on)
if (!result.ok) refuse(result.faults.map(faultInWords))
process.stdout.write(`${JSON.stringify(result.tracks, null, 2)}\n`)
