import { addDays, count, daysBetween, monthsOld, type Day } from '../answer'
import { sidesOf, stepOf, type Gate, type Program, type StopRule } from '../program'
import { trackKey, type Views } from './horse'

export type CheckKind = 'mouth' | 'saddle' | 'veterinary-hold' | 'feet' | 'worming'

/** A look that somebody took, or a hold that a vet put on. */
export interface Check {
  readonly kind: CheckKind
  readonly on: Day
  /** The day a hold ends or the next look is due; `null` where it is open. */
  readonly until: Day | null
  /** For a look: whether all was well. A hold is never "well". */
  readonly passed: boolean
}

export type IncidentKind = 'kick' | 'strike' | 'rear' | 'bolt' | 'buck' | 'pull-back' | 'fall' | 'bite'

export interface Incident {
  readonly kind: IncidentKind
  readonly on: Day
  readonly step: string | null
  /** A buck or bolt counts when a person was up, a pull-back when the horse fell. */
  readonly serious: boolean
}

/** What a person confirms at the pen on the day itself. */
export type Confirmation = 'helper' | 'helmet' | 'safe-rail' | 'company' | 'rider-share'

/** What the stops read beside the tracks. */
export interface Facts {
  readonly born: Day | null
  readonly checks: readonly Check[]
  readonly incidents: readonly Incident[]
  readonly confirmed: readonly Confirmation[]
  /** The steps the yard has ticked for handing this horse over. */
  readonly handOver: readonly string[]
  /** What an arrival check showed; it opens steps for work, and never a gate. */
  readonly known?: readonly KnownRung[]
  /** Why it is off work altogether, where its block says so. */
  readonly offWork?: string | null
}

/** A rung that an arrival check showed, or that lies below what it showed. */
export interface KnownRung {
  readonly step: string
  readonly rung: number
  /** The day of the check. */
  readonly on: Day
}

/** Nothing is known beside the tracks. */
export const NO_FACTS: Facts = { born: null, checks: [], incidents: [], confirmed: [], handOver: [] }

export interface Stop {
  readonly rule: StopRule
  readonly words: string
}

/** Days after an incident during which the gates above it stay shut. */
export const INCIDENT_DAYS = 3

/** Days a saddle check holds while a horse grows (common practice, no source). */
export const SADDLE_CHECK_DAYS = 60

/** What is confirmed, as it stands behind "nobody has confirmed". */
export const CONFIRM_WORDS: Record<Confirmation, string> = {
  helper: 'a second person in the pen',
  helmet: 'a helmet on',
  'safe-rail': 'a safe rail and a quick release',
  company: 'company for the first time out',
  // At most 20 % with tack (Powell et al. 2008); 15 % for the first rides is the product's own judgement.
  'rider-share': 'that rider and saddle weigh at most 15 % of the horse',
}

/** The newest look of a kind up to a day. */
export const latestCheck = (checks: readonly Check[], kind: CheckKind, on: Day): Check | undefined =>
  checks
    .filter((check) => check.kind === kind && check.on <= on)
    .sort((a, b) => a.on.localeCompare(b.on))
    .at(-1)

/** The veterinary hold in force on a day, if any. */
export const holdOn = (checks: readonly Check[], on: Day): Check | undefined =>
  checks.find(
    (check) =>
      check.kind === 'veterinary-hold' && check.on <= on && (check.until === null || check.until >= on),
  )

const holdStop = ({ checks }: Facts, on: Day): string | null => {
  const hold = holdOn(checks, on)
  if (!hold) return null
  return hold.until === null
    ? 'The vet holds this horse until further word.'
    : `The vet holds this horse to ${hold.until}.`
}

const mouthStop = ({ checks }: Facts, on: Day): string | null => {
  const look = latestCheck(checks, 'mouth', on)
  if (!look) return 'No vet or equine dentist has looked in the mouth yet.'
  return look.passed ? null : `The mouth was not right on ${look.on}: the vet first.`
}

const saddleStop = ({ checks }: Facts, on: Day): string | null => {
  const look = latestCheck(checks, 'saddle', on)
  if (!look) return 'The saddle was never checked on this horse.'
  return look.passed ? null : `The saddle did not fit on ${look.on}: the fitter first.`
}

const ageStop = ({ born }: Facts, on: Day, leastMonths: number): string | null => {
  if (born === null) return 'Its age is not known: enter when it was born.'
  const months = monthsOld(born, on)
  return months >= leastMonths
    ? null
    : `It is ${count(months, 'month')} old; the yard's rule is ${leastMonths}, and local law comes first.`
}

const stageOf = (program: Program, key: string | null): number =>
  key === null ? 0 : (stepOf(program, key)?.stage ?? 0)

const isRechecked = (program: Program, views: Views, incident: Incident): boolean => {
  const step = incident.step === null ? undefined : stepOf(program, incident.step)
  if (!step) return true
  return sidesOf(step).every((side) => {
    const cold = views.get(trackKey(step.key, side))?.lastCold
    return cold != null && cold.passed && cold.day > incident.on
  })
}

const guardedStage = (program: Program, { guards }: Gate): number =>
  stageOf(program, guards.kind === 'step' ? guards.step : guards.after)

const incidentStop = (
  program: Program,
  gate: Gate,
  views: Views,
  { incidents }: Facts,
  on: Day,
): string | null => {
  const above = incidents.filter(
    (incident) =>
      incident.serious && incident.on <= on && guardedStage(program, gate) >= stageOf(program, incident.step),
  )
  const recent = above.find((incident) => daysBetween(incident.on, on) < INCIDENT_DAYS)
  if (recent) return `A ${recent.kind} on ${recent.on}: shut to ${addDays(recent.on, INCIDENT_DAYS)}.`
  const open = above.find((incident) => !isRechecked(program, views, incident))
  return open ? `A ${open.kind} on ${open.on}: ${open.step} has not passed a first ask since.` : null
}

const stopWords = (
  program: Program,
  gate: Gate,
  rule: StopRule,
  views: Views,
  facts: Facts,
  on: Day,
): string | null => {
  switch (rule) {
    case 'veterinary-hold':
      return holdStop(facts, on)
    case 'mouth-check':
      return mouthStop(facts, on)
    case 'saddle-check':
      return saddleStop(facts, on)
    case 'age':
      return ageStop(facts, on, gate.leastMonths ?? 0)
    case 'incident':
      return incidentStop(program, gate, views, facts, on)
    default:
      return facts.confirmed.includes(rule) ? null : `Nobody has confirmed ${CONFIRM_WORDS[rule]} today.`
  }
}

/** The stop rules of a gate that hold on a day. */
export const stopsOf = (program: Program, gate: Gate, views: Views, facts: Facts, on: Day): readonly Stop[] =>
  gate.stops.flatMap((rule) => {
    const words = stopWords(program, gate, rule, views, facts, on)
    return words === null ? [] : [{ rule, words }]
  })
