import type { ProblemType } from '@still-pine/contract'
import type { Refusal } from '@still-pine/use-cases'

const STATUS: Record<ProblemType, number> = {
  'bad-input': 400,
  'broken-json': 400,
  'too-large': 413,
  'signed-out': 401,
  'cut-off': 401,
  'other-person': 409,
  'wrong-sign-in': 401,
  'not-allowed': 403,
  'other-origin': 403,
  'not-found': 404,
  stale: 412,
  'already-there': 409,
  'too-many-tries': 429,
  'not-kept': 422,
  'no-room': 507,
  'database-away': 503,
  unexpected: 500,
}

/** How HTTP says that something cannot be done. */
export const statusOf = ({ type, extras }: Refusal): number => extras.status ?? STATUS[type]
