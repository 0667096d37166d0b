import { fitInWords } from '@still-pine/core/fit'
import { STANDARD_MODEL, valuesOf } from '@still-pine/core/judgement'
import { pino } from 'pino'
import { fileURLToPath } from 'node:url'
import { allYards } from './data/people'
import { appUrl, makePool, migrate, NO_LIMITS } from './data/pool'
import { fitYard } from './records/fit-yard'
import type { Workings } from './records/in-yard'
import { remakeYard } from './records/remake'
import { workOnThreads } from './threads'

// `npm run fit`: asks each yard's log whether its horses differ from what is assumed, and says what came of it.
const { env } = process
const ownerUrl = env.DATABASE_URL!
await migrate(ownerUrl, env.STILL_PINE_MIGRATIONS!)
const pool = makePool(env.APP_DATABASE_URL ?? appUrl(ownerUrl), NO_LIMITS)
const threads = workOnThreads(fileURLToPath(new URL('./work.js', import.meta.url)))

const workings: Workings = {
  pool,
  threads,
  now: () => new Date(),
  engine: 'fit',
  logger: pino({ level: 'warn' }),
  wantDay: () => undefined,
}

for (const yardId of await allYards(pool)) {
  const fit = await fitYard(workings, yardId, { evenIfNotGrown: true })
  if (!fit) {
    console.log('The log is too short: it speaks from 2000 answers on 20 work days on.')
    continue
  }
  const words = fitInWords(valuesOf(STANDARD_MODEL), fit.values)
  console.log(`Version ${fit.version}, from ${fit.answers} answers:`)
  for (const line of words.length === 0 ? ['your horses are as we assumed'] : words) console.log(`  ${line}`)
  console.log(
    `  the days held out: ${fit.heldOut.toFixed(4)} an answer, ${fit.inUse.toFixed(4)} with the values in use`,
  )
  if (!fit.isWorthIt) {
    console.log('  Not taken up: it does not say the days held out clearly better.')
    continue
  }
  console.log('  Taken up.')
  console.log(`  ${await remakeYard(workings, yardId)} horses worked out anew.`)
}
await threads.end()
await pool.end()
