import { addDays, daysBetween, type Day } from '../answer'
import { loadDaysMost, wholeMonths } from '../body'
import type { Option, WeekAsked, WeekHorse } from './asked'

/** A rule that binds a horse or a person, or that places have windows and uses at all; what clashes with a wish. */
export type RuleId = string

export const HORSE_RULES = [
  'hold',
  'block',
  'loadDays',
  'hardDay',
  'twoLoadDays',
  'visitsAtMost',
  'notFree',
] as const
export const PERSON_RULES = ['window', 'roles', 'mostMinutes'] as const
export const PLACE_RULE: RuleId = 'place'

export const ruleId = (
  rule: (typeof HORSE_RULES)[number] | (typeof PERSON_RULES)[number],
  of: string,
): RuleId => `${rule}:${of}`

/** Every rule of a week, in the order in which they are switched off to find what clashes. */
export const rulesOf = ({ horses, people }: Pick<WeekAsked, 'horses' | 'people'>): readonly RuleId[] => [
  ...horses.flatMap(({ id }) => HORSE_RULES.map((rule) => ruleId(rule, id))),
  ...people.flatMap(({ id }) => PERSON_RULES.map((rule) => ruleId(rule, id))),
  PLACE_RULE,
]

/** Blocks in which a horse is left alone. */
const LEFT_ALONE: readonly string[] = ['grow', 'rest']

const LOAD_MINUTES = 20
const HARD_USES: readonly string[] = ['mounting', 'ridden']
const HANDLING_MONTHS = 24
const HANDLING_MINUTES = 15
/** Of an age nobody knows. */
const UNKNOWN_LOAD_DAYS = 2
const LOAD_WINDOW = 7

export const isLoadVisit = ({ load, minutes }: Option): boolean => load || minutes > LOAD_MINUTES

export const isHardVisit = ({ hard, use }: Option): boolean => hard || HARD_USES.includes(use)

export const isLeftAlone = ({ block }: WeekHorse): boolean => LEFT_ALONE.includes(block)

export const isHeld = ({ holds }: WeekHorse, day: Day): boolean =>
  holds.some(({ from, until }) => from <= day && (until === null || day <= until))

const monthsOn = ({ born }: WeekHorse, day: Day): number | null =>
  born === null ? null : wholeMonths(born, day)

/** Load days in any seven days running, at the age of a day; two while the age is not known. */
export const loadDaysAllowed = (horse: WeekHorse, day: Day): number => {
  const months = monthsOn(horse, day)
  return months === null ? UNKNOWN_LOAD_DAYS : loadDaysMost(months)
}

/** Under two years old: handling, and short. */
export const isTooLong = (horse: WeekHorse, day: Day, minutes: number): boolean => {
  const months = monthsOn(horse, day)
  return months !== null && months < HANDLING_MONTHS && minutes > HANDLING_MINUTES
}

/** Too young for two load days running, or perhaps so. */
export const sparesSecondDay = (
  { rules }: Pick<WeekAsked, 'rules'>,
  horse: WeekHorse,
  second: Day,
): boolean => {
  const below = rules.noTwoLoadDaysBelowMonths
  if (below === null) return false
  const months = monthsOn(horse, second)
  return months === null || months < below
}

/** Load days left in the seven days that end on a day, after those before the week. */
export const loadDaysLeft = (horse: WeekHorse, firstDay: Day, day: Day): number => {
  const before = horse.loadDays.filter((one) => one < firstDay && daysBetween(one, day) < LOAD_WINDOW).length
  return Math.max(0, loadDaysAllowed(horse, day) - before)
}

/** Days of the week that are among the seven that end on a day. */
export const loadWindow = (days: readonly Day[], end: number): readonly number[] =>
  days.flatMap((_, i) => (i <= end && end - i < LOAD_WINDOW ? [i] : []))

/** What the day before the week leaves of its first day. */
export const firstDayLeaves = (
  asked: Pick<WeekAsked, 'rules' | 'firstDay'>,
  horse: WeekHorse,
): { readonly load: boolean; readonly work: boolean; readonly by: 'hardDay' | 'twoLoadDays' | null } => {
  const before = addDays(asked.firstDay, -1)
  const rest = asked.rules.restAfterHardDay
  if (rest !== 'none' && horse.hardDays.includes(before))
    return { load: false, work: rest === 'noLoad', by: 'hardDay' }
  if (horse.loadDays.includes(before) && sparesSecondDay(asked, horse, asked.firstDay))
    return { load: false, work: true, by: 'twoLoadDays' }
  return { load: true, work: true, by: null }
}

/** Visits that are wanted of what was agreed: days on hold take their share off, rounded up. */
export const wantedOf = (horse: WeekHorse, days: readonly Day[]): number => {
  if (isLeftAlone(horse)) return 0
  const held = days.filter((day) => isHeld(horse, day)).length
  return Math.ceil((horse.wantedVisits * (days.length - held)) / days.length)
}

/** Free hours are not filled for their own sake: no more visits than are wanted, unless the horse says so. */
export const visitsMost = (horse: WeekHorse, days: readonly Day[]): number =>
  horse.visitsAtMost ?? wantedOf(horse, days)

/** Runs of days that are one too long without work, by the days of the week in them; those with work before it are none. */
export const untouchedRuns = (
  { rules, firstDay }: Pick<WeekAsked, 'rules' | 'firstDay'>,
  horse: WeekHorse,
  days: readonly Day[],
): readonly (readonly number[])[] => {
  if (isLeftAlone(horse)) return []
  return days.flatMap((_, end) => {
    const run = Array.from({ length: rules.mostDaysUntouched + 1 }, (_, i) => end - i).reverse()
    const calendar = run.map((i) => addDays(firstDay, i))
    const wasTouched = calendar.some(
      (day) => day < firstDay && horse.lastTouchedDay !== null && day === horse.lastTouchedDay,
    )
    return wasTouched || calendar.some((day) => isHeld(horse, day)) ? [] : [run.filter((i) => i >= 0)]
  })
}
