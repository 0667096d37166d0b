import type { Day } from '../answer'
import type { ValueOf } from '../circumstances'
import { isLoad } from '../counters'
import { monthsAtLeast, mostLoadDays, type Facts } from '../facts'
import type { Permit } from '../permit'
import type { Program, Step, Use } from '../program'

export type Weather = ValueOf<'weather'>

/** What is known of a session before it begins. */
export interface Outlook {
  /** Minutes there are; `null` for what suits the horse. */
  readonly minutes: number | null
  /** Whether somebody else is there to hold, lead or call for help. */
  readonly helper: boolean
  /** What the place suits; `null` where no place is chosen. */
  readonly suits: readonly Use[] | null
  readonly weather: Weather
  /** Load days in the six days before this one. */
  readonly loadDays: number
}

export const ORDINARY: Outlook = { minutes: null, helper: true, suits: null, weather: 'fair', loadDays: 0 }

/** A ground session, a yearling's, and one in the heat; nothing is planned beyond the longest (common practice, no source). */
const GROUND_MINUTES = 25
const LONGEST_MINUTES = 30
const SHORT_MINUTES = 15

export const YEARLING_MONTHS = 24

type Aged = Pick<Facts, 'born' | 'age'>

/** Under two years old, or perhaps under: what is not known to be older than that is spared. */
export const isYoung = (facts: Aged, on: Day): boolean => {
  const months = monthsAtLeast(facts, on)
  return months !== null && months < YEARLING_MONTHS
}

/** Minutes to fill, and the rule that cut them where one did. */
export const minutesFor = (
  { minutes, weather }: Outlook,
  facts: Aged,
  on: Day,
): { readonly minutes: number; readonly rule: string | null } => {
  const wanted = minutes ?? GROUND_MINUTES
  const capped = (most: number, rule: string) =>
    wanted > most ? { minutes: most, rule } : { minutes: Math.max(0, wanted), rule: null }
  if (isYoung(facts, on)) return capped(SHORT_MINUTES, 'under two years old, so short')
  if (weather === 'heat') return capped(SHORT_MINUTES, 'short in the heat')
  return capped(LONGEST_MINUTES, 'more than half an hour teaches little; the rest is for another horse')
}

const useOf = ({ use, exposures = [], roles }: Step): Use => {
  if (use) return use
  const exposed = new Set(exposures.flat())
  if (exposed.has('off-lead')) return 'ridden'
  if (exposed.has('weight') || exposed.has('mounted')) return 'mounting'
  if (exposed.has('loading')) return 'loading'
  if (exposed.has('tied')) return 'tying'
  if (exposed.has('lines')) return 'lines'
  return roles.includes('go-loose') ? 'loose' : 'ground'
}

const USE_WORDS: Record<Use, string> = {
  loose: 'to work a horse loose',
  ground: 'for groundwork',
  lines: 'for long lines',
  mounting: 'for getting up',
  ridden: 'to ride',
  loading: 'to load',
  tying: 'to tie',
}

/** Rungs that only want a second person, and go without one today for want of one. */
const rungWithoutHelper = (permits: readonly Permit[]): number => {
  const first = permits.findIndex(({ because }) => because.some(({ confirm }) => confirm === 'helper'))
  return first === -1 ? permits.length : first
}

/** Why a step is left out today whatever its rung, or nothing. */
export const leftOutBy = (
  outlook: Outlook,
  step: Step,
  { permits, isNew }: { permits: readonly Permit[]; isNew: boolean },
): string | null => {
  const use = useOf(step)
  if (outlook.suits !== null && outlook.suits.length > 0 && !outlook.suits.includes(use))
    return `the place does not suit it: nowhere ${USE_WORDS[use]}`
  if (!outlook.helper && rungWithoutHelper(permits) < 1) return 'needs a helper'
  if (outlook.weather === 'wind' && isNew && step.newInWind !== true) return 'nothing new in the wind'
  return null
}

/** The hardest rung for which nobody else has to be there, where nobody is. */
export const highestAlone = (
  outlook: Outlook,
  permits: readonly Permit[],
): { readonly rung: number; readonly rule: string } | null => {
  const rung = rungWithoutHelper(permits)
  return outlook.helper || rung === permits.length ? null : { rung, rule: 'needs a helper above it' }
}

/** The hardest rung that today allows, and the rule that lowers it; `rung` 0 where it allows none. */
export const highestToday = (
  outlook: Outlook,
  program: Program,
  { step, facts, on }: { step: Step; facts: Aged; on: Day },
): { readonly rung: number; readonly rule: string } | null => {
  const rule =
    outlook.weather === 'slippery'
      ? 'slippery ground: walk only'
      : outlook.weather === 'heat'
        ? 'heat: nothing that makes it sweat'
        : outlook.loadDays >= mostLoadDays(facts, on)
          ? `${outlook.loadDays} load days this week are enough at its age`
          : null
  if (rule === null) return null
  const first = step.rungs.findIndex((_, i) => isLoad(program, step.key, i + 1))
  return first < 0 ? null : { rung: first, rule }
}
