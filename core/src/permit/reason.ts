import type { Day } from '../answer'
import type { Confirmation } from '../facts'

/** The rules a permit may name, the worst first: the order in which reasons are told. */
export const PERMIT_RULES = [
  'veterinary-hold',
  'heat',
  'block',
  'age',
  'incident',
  'mouth-check',
  'saddle-check',
  'rider-share',
  'gate',
  'needs',
  'kind',
  'load-days',
  'helper',
  'helmet',
  'safe-rail',
  'company',
] as const

export type PermitRule = (typeof PERMIT_RULES)[number]

export type PermitAnswer = 'yes' | 'confirm' | 'no'

/** Why an ask is not simply permitted. */
export interface Reason {
  readonly rule: PermitRule
  readonly answer: Exclude<PermitAnswer, 'yes'>
  readonly words: string
  /** The gate, where it is one. */
  readonly gate: string | null
  /** What a press today would settle; `null` where something else has to come first. */
  readonly confirm: Confirmation | null
  /** The day it opens again by itself, where it does. */
  readonly until: Day | null
}

/** What is said to an ask: yes; yes, once these are confirmed today; or no. All reasons, the worst first. */
export interface Permit {
  readonly answer: PermitAnswer
  readonly because: readonly Reason[]
}

export const reason = (
  rule: PermitRule,
  answer: Reason['answer'],
  { words, more = {} }: { words: string; more?: Partial<Pick<Reason, 'gate' | 'confirm' | 'until'>> },
): Reason => ({ rule, answer, words, gate: null, confirm: null, until: null, ...more })

const rank = ({ answer, rule }: Reason): number =>
  (answer === 'no' ? 0 : PERMIT_RULES.length) + PERMIT_RULES.indexOf(rule)

const isSame = (a: Reason, b: Reason): boolean =>
  a.rule === b.rule &&
  a.gate === b.gate &&
  (a.words === b.words || (a.confirm !== null && a.confirm === b.confirm))

/** A permit from all its reasons: each once, those that say no first. */
export const permitFrom = (reasons: readonly Reason[]): Permit => {
  const because = reasons
    .filter((one, i) => !reasons.slice(0, i).some((before) => isSame(before, one)))
    .sort((a, b) => rank(a) - rank(b))
  return {
    answer: because.some(({ answer }) => answer === 'no') ? 'no' : because.length > 0 ? 'confirm' : 'yes',
    because,
  }
}
