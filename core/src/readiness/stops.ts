import { count, type Day } from '../answer'
import {
  ageBounds,
  holdOn,
  isWeighed,
  mouthStop,
  riderStop,
  saddleStop,
  type Confirmation,
  type Facts,
  strictestAge,
  type Least,
} from '../facts'
import type { Gate, Program, StopRule } from '../program'
import { closingsOf } from './closings'
import type { Views } from './track-key'

export interface Stop {
  readonly rule: StopRule
  readonly words: string
  /** It is known by measuring: no press lifts it. */
  readonly measured?: boolean | undefined
}

/** What is confirmed, as it stands behind "nobody has confirmed". */
export const CONFIRM_WORDS: Record<Confirmation, string> = {
  helper: 'a second person in the pen',
  helmet: 'a helmet on',
  'safe-rail': 'a safe rail and a quick release',
  company: 'company outside',
  // At most 20 % with tack (Powell et al. 2008); 15 % for the first rides is the product's own judgement.
  'rider-share': 'that rider and saddle weigh at most 15 % of the horse, 20 % after thirty rides',
  whereabouts: 'that somebody knows where it goes and until when',
  'load-day': 'one more load day than its age has this week',
}

/** Why a least age says no on a day, or nothing. An estimate must reach it at its lower end. */
export const ageStop = (
  facts: Pick<Facts, 'born' | 'age'>,
  on: Day,
  { months, source }: Least,
): string | null => {
  const age = ageBounds(facts, on)
  if (age === null) return 'Its age is not known. Say what is known: “about four, give or take one”.'
  if (age.low >= months) return null
  const is =
    age.low === age.high
      ? `It is ${count(age.low, 'month')} old`
      : `It may be only ${count(age.low, 'month')} old`
  return source === null
    ? `${is}; the least age is ${months}, and local law comes first.`
    : `${is}; the least age is ${months}, by ${source}.`
}

/** The least age of a gate, or of the law for what lies behind it. */
const leastOf = ({ leastMonths = 0, exposures = [] }: Gate, { leastAges = [] }: Facts): Least =>
  strictestAge(leastMonths, leastAges, (about) => exposures.flat().includes(about))

const incidentStop = (
  program: Program,
  gate: Gate,
  { views, facts, on }: { views: Views; facts: Facts; on: Day },
): string | null => {
  const { guards } = gate
  if (guards.kind !== 'step') return null
  return (
    closingsOf(program, views, { facts, on }).find((closing) => closing.closes(guards.step, guards.fromRung))
      ?.words ?? null
  )
}

/** A rule that a person confirms on the day. */
export const isConfirmation = (rule: StopRule): rule is StopRule & Confirmation => rule in CONFIRM_WORDS

/** A stop that a press on the day lifts; all others need something done or some days gone. */
export const isToConfirm = (
  stop: Pick<Stop, 'rule' | 'measured'>,
): stop is Stop & { readonly rule: StopRule & Confirmation } =>
  isConfirmation(stop.rule) && stop.measured !== true

interface GateOnDay {
  readonly program: Program
  readonly gate: Gate
  readonly views: Views
  readonly facts: Facts
  readonly on: Day
}

const unconfirmed = ({ confirmed }: Facts, rule: Confirmation): string | null =>
  confirmed.includes(rule) ? null : `Nobody has confirmed ${CONFIRM_WORDS[rule]} today.`

const stopWords = ({ program, gate, views, facts, on }: GateOnDay, rule: StopRule): string | null => {
  switch (rule) {
    case 'veterinary-hold':
      return holdOn(facts, on)?.words ?? null
    case 'mouth-check':
      return mouthStop(facts, on)
    case 'saddle-check':
      return saddleStop(facts, on)
    case 'age':
      return ageStop(facts, on, leastOf(gate, facts))
    case 'incident':
      return incidentStop(program, gate, { views, facts, on })
    case 'rider-share':
      return isWeighed(facts) ? riderStop(facts) : unconfirmed(facts, rule)
    default:
      return unconfirmed(facts, rule)
  }
}

/** The stop rules of a gate that hold on a day. */
export const stopsOf = (asked: GateOnDay): readonly Stop[] =>
  asked.gate.stops.flatMap((rule) => {
    const words = stopWords(asked, rule)
    const measured = rule === 'rider-share' && isWeighed(asked.facts)
    return words === null ? [] : [{ rule, words, ...(measured ? { measured } : {}) }]
  })
