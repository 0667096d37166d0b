import type { Side } from '../answer'
import type { CardWords } from './card-words'
import type { Effort } from './exposure'
import type { JudgedStep } from './judged-step'
import type { RungsData, Service, Use } from './step-data'

/** A role names an end that schools reach by different steps. */
export type Role = 'stand-caught' | 'go-loose'

/** What must be met before a step opens: a step, or any step of a role, at a rung (its required one if not said). */
export interface NeedRef {
  readonly step?: string
  readonly role?: Role
  readonly rung?: number
  /** The need holds only from this rung of the needing step on. */
  readonly fromRung?: number
}

/** One step of a program: a ladder of rungs, easiest first. */
export interface Step extends JudgedStep {
  /** Kebab-case and never changed: the history hangs on it. */
  readonly key: string
  readonly name: string
  readonly stage: number
  readonly sided: boolean
  readonly rungs: readonly string[]
  /** What answers call its rungs, where the ladder is not the one that ships: see `ladder`. */
  readonly marks?: readonly number[]
  /** The yard's own words on its card, in the place of those that ship. */
  readonly card?: CardWords
  readonly needs: readonly NeedRef[]
  readonly roles: readonly Role[]
  /** How much it asks of legs and nerves; free where it is not said. */
  readonly effort?: Effort
  /** What each rung is beyond its words; documents from before this was told have it filled in when they are read. */
  readonly does?: RungsData
  readonly serves?: readonly Service[]
  /** What a place must suit; where it is not said, what its rungs put at risk tells. */
  readonly use?: Use
  /** What is brought to the horse by it. */
  readonly shows?: string
  /** May be begun in the wind. */
  readonly newInWind?: boolean
}

export const STAGES: readonly string[] = [
  'Meeting',
  'Halter, lead, tie, feet',
  'Things and noises',
  'Moving the parts',
  'Body, bit, long lines',
  'Saddling',
  'First time up',
  'First rides',
  'Early rides',
]

export const sidesOf = (step: Pick<Step, 'sided'>): readonly Side[] =>
  step.sided ? ['left', 'right'] : ['none']

export const rungName = (step: Pick<Step, 'rungs'>, rung: number): string =>
  step.rungs[rung - 1] ?? `rung ${rung}`
