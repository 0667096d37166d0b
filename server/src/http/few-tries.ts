import { Refusal } from '@still-pine/use-cases'
import { rateLimit } from 'express-rate-limit'
import type { Dependencies } from './dependencies'

const QUARTER_HOUR_MS = 15 * 60_000

/** So many tries that fail in a quarter of an hour from one address, and no more. */
export const fewTries = ({ signInTries }: Dependencies) =>
  rateLimit({
    windowMs: QUARTER_HOUR_MS,
    limit: signInTries,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    handler: (_request, _reply, next) =>
      next(new Refusal('too-many-tries', 'Too many tries. Wait a quarter of an hour and try again.')),
  })
