import type { FieldProblem, ProblemType } from '@still-pine/contract'

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
  'database-away': 503,
  unexpected: 500,
}

interface Extras {
  readonly fields?: readonly FieldProblem[]
  readonly currentVersion?: number
  /** A status of its own, where HTTP has one that says more. */
  readonly status?: number
}

/** A request that cannot be met, with a sentence a starter can act on. */
export class Refusal extends Error {
  readonly status: number

  constructor(
    readonly type: ProblemType,
    readonly title: string,
    readonly extras: Extras = {},
  ) {
    super(title)
    this.status = extras.status ?? STATUS[type]
  }
}

export const notFound = (what: string): Refusal => new Refusal('not-found', `${what} is not in your yard.`)
