// One line to the person at the terminal; a plain ending when something cannot be done.
export const say = (text) => process.stdout.write(`${text}\n`)

/** Progress beside what a command prints. */
export const note = (text) => process.stderr.write(`${text}\n`)

export class CannotGoOn extends Error {}

/** Runs `main` and turns a CannotGoOn into its own words and exit code 1. */
export const runMain = async (main) => {
  try {
    await main()
  } catch (error) {
    if (!(error instanceof CannotGoOn)) throw error
    process.stderr.write(`${error.message}\n`)
    process.exit(1)
  }
}
