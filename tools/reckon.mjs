// `npm run --silent reckon -- permit FILE.json`: what may be asked of a horse on a day,
// `npm run --silent reckon -- week FILE.json`: the week of a yard as it is planned,
// `npm run --silent reckon -- forecast FILE.json`: when a horse stands before a gate, and
// `npm run --silent reckon -- RULE 'JSON'`: what a rule says, without server or database.
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

const FILES = ['permit', 'week', 'forecast']
const USAGE =
  "Usage: npm run --silent reckon -- permit FILE.json, -- week FILE.json, -- forecast FILE.json, or -- RULE 'JSON'"

const documentIn = (file) => {
  try {
    // npm runs from the project's folder; the path is the caller's.
    return JSON.parse(readFileSync(resolve(process.env.INIT_CWD ?? '.', file), 'utf8'))
  } catch (error) {
    return refuse([`${file} cannot be read: ${error.message}`])
  }
}

const print = (reply) => process.stdout.write(`${JSON.stringify(reply, null, 2)}\n`)

const byFile = async (what, file) => {
  const document = documentIn(file)
  ensurePackages(ROOT)
  const { buildReckon } = await import('./build.mjs')
  const { reckonDocument } = await import(pathToFileURL(join(ROOT, await buildReckon())).href)
  const result = await reckonDocument(what, document)
  if (!result.ok) refuse(result.faults.map(({ field, words }) => `${field}: ${words}`))
  print(result.reply)
}

const valueOf = (text) => {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

const byRule = async (rule, text) => {
  ensurePackages(ROOT)
  const { buildRules } = await import('./build.mjs')
  const { reckon } = await import(pathToFileURL(join(ROOT, await buildRules())).href)
  const result = reckon(rule, valueOf(text))
  print(result.ok ? result.reply : { error: result.error })
  if (!result.ok) process.exitCode = BAD_INPUT
}

const [what, given, ...more] = process.argv.slice(2)
if (what === undefined || given === undefined || more.length > 0) refuse([USAGE])
await (FILES.includes(what) ? byFile(what, given) : byRule(what, given))
