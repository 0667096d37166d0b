import { monthsOld, type Day } from '../answer'
import type { ValueOf } from '../circumstances'
import { isLoad } from '../counters'
import type { Program, Step } from '../program'

/** What the ground and the hands at the pen are good for. */
export const USES = ['loose', 'ground', 'lines', 'mounting', 'ridden', 'loading', 'tying'] as const
export type Use = (typeof USES)[number]

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

const MOST_LOAD_DAYS = 5
const TWO_YEAR_OLD_LOAD_DAYS = 2

const isYoung = (born: Day | null, on: Day): boolean => born !== null && monthsOld(born, on) < YEARLING_MONTHS

/** Minutes to fill, and the rule that cut them where one did. */
export const minutesFor = (
  { minutes, weather }: Outlook,
  born: Day | null,
  on: Day,
): { readonly minutes: number; readonly rule: string | null } => {
  const wanted = minutes ?? GROUND_MINUTES
  const capped = (most: number, rule: string) =>
    wanted > most ? { minutes: most, rule } : { minutes: Math.max(0, wanted), rule: null }
  if (isYoung(born, on)) return capped(SHORT_MINUTES, 'under two years old, so short')
  if (weather === 'heat') return capped(SHORT_MINUTES, 'short in the heat')
  return capped(LONGEST_MINUTES, 'more than half an hour teaches little; the rest is for another horse')
}

/** Load days a week: no more than it has years, five at most, a couple for a two-year-old (common practice, no source). */
export const mostLoadDays = (born: Day | null, on: Day): number => {
  if (born === null) return MOST_LOAD_DAYS
  const years = Math.floor(monthsOld(born, on) / 12)
  return years <= 2 ? Math.min(years, TWO_YEAR_OLD_LOAD_DAYS) : Math.min(years, MOST_LOAD_DAYS)
}

const FIRST_WEIGHT = 7
const FIRST_RIDES = 8

const useOf = ({ key, stage, roles }: Step): Use => {
  if (stage >= FIRST_RIDES) return 'ridden'
  if (stage >= FIRST_WEIGHT || key === 'come-to-block') return 'mounting'
  if (key === 'load') return 'loading'
  if (key === 'tie') return 'tying'
  if (['drive', 'drive-on-bit', 'rope-behind'].includes(key)) return 'lines'
  return roles.includes('go-loose') || key === 'loose-turn-in' ? 'loose' : 'ground'
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

const needsHelper = ({ key, stage }: Step, rung: number): boolean =>
  stage >= FIRST_WEIGHT || (key === 'drive' && rung === 1)

const THINGS_AND_NOISES = 3

/** Why a step is left out today whatever its rung, or nothing. */
export const leftOutBy = (outlook: Outlook, step: Step, rung: number, isNew: boolean): string | null => {
  const use = useOf(step)
  if (outlook.suits !== null && outlook.suits.length > 0 && !outlook.suits.includes(use))
    return `the place does not suit it: nowhere ${USE_WORDS[use]}`
  if (!outlook.helper && needsHelper(step, rung)) return 'needs a helper'
  if (outlook.weather === 'wind' && isNew && step.stage >= THINGS_AND_NOISES) return 'nothing new in the wind'
  return null
}

/** The hardest rung that today allows, and the rule that lowers it; `rung` 0 where it allows none. */
export const highestToday = (
  outlook: Outlook,
  program: Program,
  step: Step,
  born: Day | null,
  on: Day,
): { readonly rung: number; readonly rule: string } | null => {
  const rule =
    outlook.weather === 'slippery'
      ? 'slippery ground: walk only'
      : outlook.weather === 'heat'
        ? 'heat: nothing that makes it sweat'
        : outlook.loadDays >= mostLoadDays(born, on)
          ? `${outlook.loadDays} load days this week are enough at its age`
          : null
  if (rule === null) return null
  const first = step.rungs.findIndex((_, i) => isLoad(program, step.key, i + 1))
  return first < 0 ? null : { rung: first, rule }
}
