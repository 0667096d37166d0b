import type { Day } from '../answer'
import { stepOf } from '../program'
import type { Ask, PermitHorse } from './ask'
import { isPermitted, nearestPermitted, permit } from './permit'
import type { Permit } from './reason'

/** What the pen may offer from where it stands. */
export interface Offers {
  /** What is said to the ask itself. */
  readonly permit: Permit
  /** The hardest rung up to this one that may be asked, where this one may not; `null` where none may. */
  readonly instead: number | null
  /** A rung bigger and a rung smaller, where they may be asked. */
  readonly bigger: number | null
  readonly smaller: number | null
}

/** The pen's offers for an ask: nothing among them is refused by the permit. */
export const offersFor = (horse: PermitHorse, { step: key, rung }: Ask, on: Day): Offers => {
  const step = stepOf(horse.program, key)
  const said = permit(horse, { step: key, rung }, on)
  const offered = (at: number): number | null =>
    step && at >= 1 && at <= step.rungs.length && isPermitted(permit(horse, { step: key, rung: at }, on))
      ? at
      : null
  return {
    permit: said,
    instead: isPermitted(said) ? null : nearestPermitted(horse, { step: key, rung }, on),
    bigger: offered(rung + 1),
    smaller: offered(rung - 1),
  }
}

/** The steps that may be asked at their first rung, in the order of the path. */
export const stepsOffered = (horse: PermitHorse, on: Day): readonly string[] =>
  horse.program.steps
    .filter(({ key }) => isPermitted(permit(horse, { step: key, rung: 1 }, on)))
    .map(({ key }) => key)
