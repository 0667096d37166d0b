import type { Express } from 'express'
import { isReady } from '../data/ready'
import type { Dependencies } from './dependencies'

/** `/healthz`: the process lives. `/readyz`: the database answers and has its tables. */
export const health = (app: Express, { pool }: Dependencies): void => {
  app.get('/healthz', (_request, reply) => void reply.json({ ok: true }))
  app.get('/readyz', async (_request, reply) => {
    const ready = await isReady(pool).catch(() => false)
    reply.status(ready ? 200 : 503).json({ ready })
  })
}
