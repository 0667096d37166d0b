import PgBoss from 'pg-boss'

export const JOBS_SCHEMA = 'job'
export const MORNINGS = 'mornings'
export const FITS = 'fits'

/** Makes the queue's tables, as the owner of the database, and lets the application work with them. */
export const prepareJobs = async (ownerUrl: string): Promise<void> => {
  const boss = new PgBoss({ connectionString: ownerUrl, schema: JOBS_SCHEMA, supervise: false })
  boss.on('error', () => undefined)
  await boss.start()
  await boss.createQueue(MORNINGS, { name: MORNINGS, policy: 'short', retryLimit: 2, expireInSeconds: 3600 })
  await boss.createQueue(FITS, { name: FITS, policy: 'short', retryLimit: 1, expireInSeconds: 4 * 3600 })
  await boss.stop({ graceful: false, wait: false })
}
