import type { Day } from '../answer'
import type { Facts, KnownRung } from '../facts'
import type { Exposure, Program, Step } from '../program'
import type { Views } from '../readiness'

/** A horse as the permit sees it: what is known of it, its path, and its tracks judged for the day. */
export interface PermitHorse {
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
  /** What was shown in the arrival check that runs, beside what an earlier one showed. */
  readonly shown?: readonly KnownRung[]
}

/** A rung of a step that is to be asked. */
export interface Ask {
  readonly step: string
  readonly rung: number
}

/** An ask with all that the rules read of it. */
export interface Asking extends PermitHorse {
  readonly step: Step
  readonly rung: number
  readonly exposed: readonly Exposure[]
  readonly on: Day
}

export const exposes = ({ exposed }: Pick<Asking, 'exposed'>, ...any: readonly Exposure[]): boolean =>
  exposed.some((one) => any.includes(one))
