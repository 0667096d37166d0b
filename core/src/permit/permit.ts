import type { Day } from '../answer'
import { exposuresAt, stepOf } from '../program'
import type { Views } from '../readiness'
import type { Ask, PermitHorse } from './ask'
import { gates } from './gates'
import { permitFrom, reason, type Permit } from './reason'
import { RULES } from './rules'

const judge = (horse: PermitHorse, { step: key, rung }: Ask, on: Day): Permit => {
  const step = stepOf(horse.program, key)
  if (!step) return permitFrom([reason('needs', 'no', { words: `“${key}” is not on this horse’s path.` })])
  const asking = { ...horse, step, rung, exposed: exposuresAt(step, rung), on }
  return permitFrom([...RULES.flatMap((rule) => rule(asking)), ...gates(asking)])
}

interface RememberedPermits extends PermitHorse {
  readonly on: Day
  readonly permits: Map<string, Permit>
}

/** A plan asks the same again and again: what was said of a horse on a day is remembered with its views. */
const judged = new WeakMap<Views, RememberedPermits>()

/**
 * Whether a horse may be asked a rung of a step on a day: yes; yes, once what it names is confirmed today; or no. Pure:
 * the same horse, ask and day give the same answer in a browser and on a server. Everything that proposes, plans,
 * forecasts or starts an ask goes through here.
 */
export const permit = (horse: PermitHorse, ask: Ask, on: Day): Permit => {
  const before = judged.get(horse.views)
  const isSame =
    before?.program === horse.program &&
    before.facts === horse.facts &&
    before.shown === horse.shown &&
    before.on === on
  const known = isSame ? before : { ...horse, on, permits: new Map<string, Permit>() }
  if (!isSame) judged.set(horse.views, known)
  const key = `${ask.step}@${ask.rung}`
  const found = known.permits.get(key)
  if (found) return found
  const made = judge(horse, ask, on)
  known.permits.set(key, made)
  return made
}

export const isPermitted = ({ answer }: Permit): boolean => answer !== 'no'

/** The hardest rung up to `from` that may be asked; `null` where none may. */
export const nearestPermitted = (horse: PermitHorse, { step, rung }: Ask, on: Day): number | null => {
  for (let at = rung; at >= 1; at--) if (isPermitted(permit(horse, { step, rung: at }, on))) return at
  return null
}
