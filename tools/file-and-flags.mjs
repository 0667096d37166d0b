// The one file and the flags a command is called with.
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { CannotGoOn } from './say.mjs'

/** npm runs from the project's folder; the path is the caller's. */
export const fileAndFlags = (usage, flags) => {
  try {
    const options = Object.fromEntries(flags.map((flag) => [flag, { type: 'boolean' }]))
    const { values, positionals } = parseArgs({ allowPositionals: true, options })
    if (positionals.length === 1)
      return { file: resolve(process.env.INIT_CWD ?? '.', positionals[0]), flags: values }
  } catch (error) {
    throw new CannotGoOn(`${error.message}\nUsage: ${usage}`)
  }
  throw new CannotGoOn(`Usage: ${usage}`)
}
