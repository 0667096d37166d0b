// `npm run --silent reckon -- permit FILE.json`: what may be asked of a horse on a day, without server or database.
import { readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ROOT } from './folders.mjs'
import { ensurePackages } from './install.mjs'

const BAD_INPUT = 2

const refuse = (lines) => {
  for (const line of lines) console.error(line)
  process.exit(BAD_INPUT)
}

const USAGE = 'Usage: npm run --silent reckon -- permit FILE.json'

const documentIn = (file) => {
  try {
    // npm runs from the project's folder; the path is the caller's.
    return JSON.parse(readFileSync(resolve(process.env.INIT_CWD ?? '.', file), 'utf8'))
  } catch (error) {
    return refuse([`${file} cannot be read: ${error.message}`])
  }
}

const [what, file, ...more] = process.argv.slice(2)
if (what !== 'permit') refuse([what === undefined ? USAGE : `“${what}” is not known here. ${USAGE}`])
if (file === undefined || more.length > 0) refuse([USAGE])
const document = documentIn(file)
ensurePackages(ROOT)
const { buildReckon } = await import('./build.mjs')
const { reckonFile } = await import(pathToFileURL(join(ROOT, await buildReckon())).href)
const result = reckonFile(document)
if (!result.ok) refuse(result.faults.map(({ field, words }) => `${field}: ${words}`))
process.stdout.write(`${JSON.stringify(result.reply, null, 2)}\n`)
