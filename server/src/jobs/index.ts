import PgBoss from 'pg-boss'
import { FITS, JOBS_SCHEMA, MORNINGS } from '../data/jobs'
import { allYards } from '../data/people'
import type { AttachmentFiles } from '../disk/attachment-files'
import type { Workings } from '../records/in-yard'
import { fitYard } from '../records/fit-yard'
import { makeDay } from '../records/make-days'
import { remakeYard } from '../records/remake'
import { sweepYard } from '../records/sweep-files'

/** Four times an hour, for yards lie in many time zones; where a day is made already there is nothing to do. */
const CRON = '*/15 * * * *'

/** Once a night, when few work. */
const FIT_CRON = '40 1 * * *'

interface JobWorkings extends Workings {
  readonly attachments: AttachmentFiles
}

export interface Jobs {
  readonly end: () => Promise<void>
}

const makeMornings = async (workings: Workings): Promise<void> => {
  const { logger, pool } = workings
  for (const yardId of await allYards(pool)) {
    const remade = await remakeYard(workings, yardId)
    if (remade > 0) logger.info({ remade }, 'horses were worked out by the new law')
    const judged = await makeDay(workings, yardId)
    if (judged > 0) logger.info({ judged }, 'a day was judged beforehand')
  }
}

/** What was taken back for good takes no room any more. */
const sweepYards = async (workings: JobWorkings): Promise<void> => {
  for (const yardId of await allYards(workings.pool)) {
    const swept = await sweepYard(workings, yardId)
    if (swept > 0) workings.logger.info({ swept }, 'files that were taken back were removed')
  }
}

/** Looks in each yard whether its own log says other values; horses follow where they are taken up. */
const fitYards = async (workings: Workings): Promise<void> => {
  const { logger, pool } = workings
  for (const yardId of await allYards(pool)) {
    const fit = await fitYard(workings, yardId)
    if (!fit) continue
    const { version, heldOut, inUse, isWorthIt } = fit
    logger.info({ version, heldOut, inUse, isWorthIt }, 'a yard was fitted to its log')
    if (isWorthIt) await remakeYard(workings, yardId)
  }
}

/**
 * Works the yards' days out before anybody asks: by a job that one of the servers takes each time, and once when this
 * server starts, for another version of the product judges anew.
 */
export const startJobs = async (databaseUrl: string, workings: JobWorkings): Promise<Jobs> => {
  const { logger } = workings
  const boss = new PgBoss({ connectionString: databaseUrl, schema: JOBS_SCHEMA, migrate: false, max: 3 })
  boss.on('error', (error) => logger.warn({ err: error }, 'a job could not be taken'))
  await boss.start()
  await boss.work(MORNINGS, () => makeMornings(workings))
  await boss.schedule(MORNINGS, CRON)
  await boss.work(FITS, async () => {
    await fitYards(workings)
    await sweepYards(workings)
  })
  await boss.schedule(FITS, FIT_CRON)
  const atStart = makeMornings(workings).catch((error: unknown) =>
    logger.warn({ err: error }, 'the day was not judged beforehand'),
  )
  return {
    end: async () => {
      await boss.stop({ graceful: false, wait: true })
      await atStart
    },
  }
}
