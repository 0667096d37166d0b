import { pino } from 'pino'
import { fileURLToPath } from 'node:url'
import { allHorses } from './data/horses'
import { allYards, yardNow } from './data/people'
import { appUrl, makePool, migrate, NO_LIMITS } from './data/pool'
import { inYardOf, nobodyIn, type Workings } from './records/in-yard'
import { rebuildAll, type Rebuilt } from './records/rebuild'
import type { Yard } from './records/yard'
import { workOnThreads } from './threads'

// `npm run rebuild`: works every track of every yard out again from its answers, and says which were stored otherwise.
const { env } = process
const ownerUrl = env.DATABASE_URL!
await migrate(ownerUrl, env.STILL_PINE_MIGRATIONS!)
const pool = makePool(env.APP_DATABASE_URL ?? appUrl(ownerUrl), NO_LIMITS)
const threads = workOnThreads(
  fileURLToPath(new URL('./work.js', import.meta.url)),
  env.THREADS ? Number(env.THREADS) : undefined,
)

const workings: Workings = {
  pool,
  threads,
  now: () => new Date(),
  engine: 'rebuild',
  logger: pino({ level: 'warn' }),
  wantDay: () => undefined,
}

const inYard = async <T>(yardId: string, work: (yard: Yard) => Promise<T>): Promise<T> =>
  inYardOf(workings, { asker: await nobodyIn(workings, yardId), view: 'as it goes' }, work)

/** A few horses at a time, so that nobody who logs waits long. */
const rebuildYard = async (yardId: string): Promise<Rebuilt & { name: string }> => {
  const { name, ids } = await inYard(yardId, async ({ client }) => ({
    name: (await yardNow(client))!.name,
    ids: (await allHorses(client)).map(({ id }) => id),
  }))
  const parts: Rebuilt[] = []
  const atOnce = 4 * threads.atOnce
  for (let from = 0; from < ids.length; from += atOnce) {
    const some = new Set(ids.slice(from, from + atOnce))
    parts.push(await inYard(yardId, (yard) => rebuildAll(yard, () => undefined, some)))
    if (process.stderr.isTTY) process.stderr.write(`\r${name}: ${from + some.size} of ${ids.length} horses`)
  }
  if (process.stderr.isTTY) process.stderr.write('\n')
  const sum = (of: (part: Rebuilt) => number): number => parts.reduce((total, part) => total + of(part), 0)
  return {
    name,
    horses: ids.length,
    answers: sum(({ answers }) => answers),
    tracks: sum(({ tracks }) => tracks),
    differences: parts.flatMap(({ differences }) => differences),
  }
}

const began = performance.now()
let differed = 0
for (const yardId of await allYards(pool)) {
  const { name, horses, answers, tracks, differences } = await rebuildYard(yardId)
  console.log(`${name}: ${tracks} tracks of ${horses} horses worked out again from ${answers} answers.`)
  for (const { horse, tracks } of differences)
    console.log(`  ${horse}: stored otherwise, now mended: ${tracks.join(', ')}`)
  differed += differences.reduce((sum, { tracks }) => sum + tracks.length, 0)
}
const seconds = ((performance.now() - began) / 1000).toFixed(1)
console.log(
  differed === 0
    ? `Every stored track was as worked out (${seconds} s).`
    : `${differed} tracks were stored otherwise and are mended (${seconds} s).`,
)
await threads.end()
await pool.end()
process.exitCode = differed === 0 ? 0 : 1
