import type { Day, Side } from '../answer'
import type { SidePlan } from './sides'

/** Why a burst is in the plan. */
export type Purpose = 'check' | 'mend' | 'work' | 'begin' | 'close'

/** A burst ends after about two minutes (common practice, no source). */
export const BURST_MINUTES = 2

/** One step worked for about two minutes. */
export interface Burst {
  readonly step: string
  readonly name: string
  readonly purpose: Purpose
  readonly sides: readonly SidePlan[]
  readonly firstSide: Side
  readonly minutes: number
  /** A second visit to a step of this session. */
  readonly again: boolean
  readonly reasons: readonly string[]
  /** The rule that bound it, where one did. */
  readonly rule: string | null
  /** A person has put it where it is. */
  readonly pinned: boolean
  readonly kit: readonly string[]
  readonly cautions: readonly string[]
  /** What has to be confirmed on the day before it is begun, in words. */
  readonly provided: readonly string[]
  /** A Solid ask to put in after an accept, to see that the feet still listen. */
  readonly lightAsk: {
    readonly step: string
    readonly name: string
    readonly rung: number
    readonly rungName: string
  } | null
}

/** Today's plan for one horse. */
export interface SessionPlan {
  readonly day: Day
  readonly rests: boolean
  /** Why it works today, or rests. */
  readonly reason: string
  readonly minutes: number
  readonly bursts: readonly Burst[]
  readonly kit: readonly string[]
  readonly closed: readonly { readonly step: string; readonly name: string; readonly words: string }[]
  /** Open steps that would be worth most and are not in it, and the rule that kept each out. */
  readonly left: readonly {
    readonly step: string
    readonly name: string
    readonly words: string
    /** Whether a person may put it in all the same. */
    readonly mayBeIn: boolean
  }[]
  /** What a person asked for that could not be done, or that breaks a rule. */
  readonly remarks: readonly string[]
  /** Work days this session is expected to save on the way to the gates ahead. */
  readonly worth: number
}

/** What a person wants of today's plan. */
export interface Wishes {
  /** Bursts put in a place, counted from 0; `asks` where they were made shorter or longer. */
  readonly pinned: readonly { readonly step: string; readonly at: number; readonly asks?: number }[]
  /** Steps that are not to be worked today. */
  readonly without: readonly string[]
}

export const NO_WISHES: Wishes = { pinned: [], without: [] }
