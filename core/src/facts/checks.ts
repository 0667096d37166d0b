import { addDays, daysBetween, type Day } from '../answer'
import { monthsAtLeast } from './age'
import { LEAVES, type Check, type CheckKind, type Leaves } from './check'
import type { Facts } from './facts'

/** Days a saddle check holds: while a horse grows, below six years, and after (common practice, no source). */
export const SADDLE_CHECK_DAYS = 60
const GROWN_SADDLE_CHECK_DAYS = 180
const GROWN_MONTHS = 72

/** A look in the mouth holds for twelve months. */
export const MOUTH_CHECK_DAYS = 365

/** The newest look of a kind up to a day; of two on one day the one recorded later. */
export const latestCheck = (checks: readonly Check[], kind: CheckKind, on: Day): Check | undefined =>
  checks
    .filter((check) => check.kind === kind && check.on <= on)
    .sort((a, b) => a.on.localeCompare(b.on))
    .at(-1)

/** Days a check of the saddle holds for this horse on a day. */
export const saddleCheckDays = (facts: Pick<Facts, 'born' | 'age'>, on: Day): number =>
  (monthsAtLeast(facts, on) ?? 0) < GROWN_MONTHS ? SADDLE_CHECK_DAYS : GROWN_SADDLE_CHECK_DAYS

const isOver = ({ on: looked, until }: Check, days: number, on: Day): boolean =>
  daysBetween(looked, on) > days || (until !== null && until < on)

/** Why the mouth holds a bit back on a day, or nothing. */
export const mouthStop = ({ checks }: Pick<Facts, 'checks'>, on: Day): string | null => {
  const look = latestCheck(checks, 'mouth', on)
  if (!look) return 'No vet or equine dentist has looked in the mouth yet.'
  if (!look.passed) return `The mouth was not right on ${look.on}: the vet first.`
  return isOver(look, MOUTH_CHECK_DAYS, on) ? `The mouth was last looked at on ${look.on}: look again.` : null
}

/** Why the saddle holds back on a day, or nothing. A check that failed holds until one passes. */
export const saddleStop = (facts: Pick<Facts, 'checks' | 'born' | 'age'>, on: Day): string | null => {
  const look = latestCheck(facts.checks, 'saddle', on)
  if (!look) return 'The saddle was never checked on this horse.'
  if (!look.passed) return `The saddle did not fit on ${look.on}: the fitter first.`
  const days = saddleCheckDays(facts, on)
  return isOver(look, days, on)
    ? `The saddle was last checked on ${look.on}; a check holds ${days} days at its age.`
    : null
}

/** A vet's hold in force, or the one that a hurt horse opens by itself. */
export interface Hold {
  readonly on: Day
  readonly until: Day | null
  readonly leaves: Leaves
  readonly words: string
}

const putOn = ({ checks }: Pick<Facts, 'checks'>, on: Day): Check | undefined =>
  checks
    .filter(
      ({ kind, on: from, until }) =>
        kind === 'veterinary-hold' && from <= on && (until === null || until >= on),
    )
    .sort((a, b) => LEAVES.indexOf(a.leaves ?? 'nothing') - LEAVES.indexOf(b.leaves ?? 'nothing'))[0]

/** A vet has had their say: a look that passed, or a hold of their own, on the day or later. */
const hasVetSpoken = (checks: readonly Check[], since: Day, on: Day): boolean =>
  checks.some(
    ({ kind, on: day, passed }) =>
      day >= since && day <= on && (kind === 'veterinary-hold' || (kind === 'vet-look' && passed)),
  )

const hurtUnseen = ({ incidents, checks }: Pick<Facts, 'incidents' | 'checks'>, on: Day) =>
  incidents.find(
    (incident) =>
      incident.on <= on &&
      (incident.hurt === 'horse' || incident.kind === 'lame') &&
      !hasVetSpoken(checks, incident.on, on),
  )

/** The hold in force on a day, if any: the strictest of what the vet put on, or one that waits for the vet's word. */
export const holdOn = (facts: Pick<Facts, 'incidents' | 'checks'>, on: Day): Hold | undefined => {
  const hold = putOn(facts, on)
  if (hold) {
    const { until, leaves } = hold
    const left =
      leaves === 'handling'
        ? ' It leaves handling.'
        : leaves === 'walking'
          ? ' It leaves handling and walking in hand.'
          : ''
    return {
      on: hold.on,
      until,
      leaves: leaves ?? 'nothing',
      words: `The vet holds this horse ${until === null ? 'until further word' : `to ${until}`}.${left}`,
    }
  }
  const hurt = hurtUnseen(facts, on)
  return (
    hurt && {
      on: hurt.on,
      until: null,
      leaves: 'nothing',
      words: `It was hurt or lame on ${hurt.on}: nothing until a vet has looked.`,
    }
  )
}

/** The day after which a look is due again. */
export const dueAfter = (facts: Pick<Facts, 'born' | 'age'>, check: Check): Day | null => {
  if (check.until !== null) return check.until
  if (check.kind === 'saddle') return addDays(check.on, saddleCheckDays(facts, check.on))
  if (check.kind === 'mouth') return addDays(check.on, MOUTH_CHECK_DAYS)
  return null
}
