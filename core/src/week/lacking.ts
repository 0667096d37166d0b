import { addDays } from '../answer'
import type { Option, Visit, WeekAsked, WeekHorse } from './asked'
import { inOrder, weekOf, type Week } from './columns'
import { minutesAt, startsIn } from './grid'
import {
  firstDayLeaves,
  isHardVisit,
  isHeld,
  isLeftAlone,
  isLoadVisit,
  isTooLong,
  loadDaysLeft,
  loadWindow,
  PLACE_RULE,
  ruleId,
  sparesSecondDay,
  wantedOf,
  type RuleId,
} from './rules'
import { savedBy } from './worth'

/** Everybody who may do it, or every place that suits it, is taken by other visits of the plan. */
export type TakenRule = 'people' | 'places'

/** A horse that gets fewer visits than were wanted, and the rule that forbade its next best one. */
export interface Lacking {
  readonly horse: string
  readonly got: number
  readonly wanted: number
  readonly rule: RuleId | TakenRule | null
}

interface Candidate {
  readonly horse: WeekHorse
  readonly option: Option
  readonly day: number
}

/** The rules of the horse itself that forbid a visit beside those of a plan. */
const forbiddenBy = (
  week: Week,
  { horse, option, day }: Candidate,
  visits: readonly Visit[],
): readonly RuleId[] => {
  const { asked, grid } = week
  const on = grid.days[day]!
  const work = visits.filter(({ horse: id, due }) => id === horse.id && due === null)
  const optionOn = (other: number): Option | undefined => {
    const visit = work.find((one) => one.day === grid.days[other])
    return visit && horse.options[visit.option!]
  }
  const isLoadOn = (other: number): boolean => {
    const there = optionOn(other)
    return there !== undefined && isLoadVisit(there)
  }
  const isLoad = isLoadVisit(option)
  const { restAfterHardDay } = asked.rules
  const spares = (one: Option | undefined): boolean =>
    one !== undefined && (restAfterHardDay === 'untouched' || isLoadVisit(one))
  const before = optionOn(day - 1)
  const first = day === 0 ? firstDayLeaves(asked, horse) : null
  const isFull = grid.days.some((end, i) => {
    const window = loadWindow(grid.days, i)
    return (
      window.includes(day) && window.filter(isLoadOn).length + 1 > loadDaysLeft(horse, asked.firstDay, end)
    )
  })
  const rules: readonly (readonly [Parameters<typeof ruleId>[0], boolean])[] = [
    ['hold', isHeld(horse, on)],
    ['block', isLeftAlone(horse)],
    ['loadDays', isTooLong(horse, on, option.minutes) || (isLoad && isFull)],
    [
      'hardDay',
      restAfterHardDay !== 'none' &&
        ((before !== undefined && isHardVisit(before) && spares(option)) ||
          (isHardVisit(option) && spares(optionOn(day + 1))) ||
          (first?.by === 'hardDay' && (!first.work || isLoad))),
    ],
    [
      'twoLoadDays',
      isLoad &&
        ((isLoadOn(day - 1) && sparesSecondDay(asked, horse, on)) ||
          (isLoadOn(day + 1) && sparesSecondDay(asked, horse, addDays(on, 1))) ||
          first?.by === 'twoLoadDays'),
    ],
  ]
  return rules.flatMap(([rule, does]) => (does ? [ruleId(rule, horse.id)] : []))
}

/** Why no part of a day has room for a visit beside those of a plan: who is not there, or what is taken. */
const roomFor = (
  week: Week,
  { horse, option, day }: Candidate,
  visits: readonly Visit[],
): Lacking['rule'] => {
  const { asked, grid } = week
  const [role] = option.roles
  const h = asked.horses.indexOf(horse)
  const leads = asked.people.flatMap(({ roles }, p) => (roles.includes(role!) ? [p] : []))
  if (leads.length === 0) return null
  const slots = Math.ceil((option.minutes + asked.changeoverMinutes) / grid.slotMinutes)
  const taken = (is: (visit: Visit) => boolean): readonly boolean[] => {
    const free = new Array<boolean>((24 * 60) / grid.slotMinutes).fill(true)
    for (const visit of visits.filter((one) => one.day === grid.days[day] && is(one))) {
      const slot = minutesAt(visit.start) / grid.slotMinutes
      free.fill(false, slot, slot + visit.slots)
    }
    return free
  }
  const parts = [...grid.parts.keys()]
  const fits = (all: (part: number) => readonly (readonly boolean[])[]): boolean =>
    parts.some((part) => startsIn(all(part), slots).length > 0)
  if (!fits((part) => [week.horses[h]![day]![part]!])) return ruleId('notFree', horse.id)
  if (!leads.some((p) => fits((part) => [week.people[p]![day]![part]!])))
    return ruleId('window', asked.people[leads[0]!]!.id)
  const isWith = (p: number) => (visit: Visit) =>
    visit.lead === asked.people[p]!.id || visit.helper === asked.people[p]!.id
  if (!leads.some((p) => fits((part) => [week.people[p]![day]![part]!, taken(isWith(p))]))) return 'people'
  const places = asked.places.flatMap(({ suits }, l) => (suits.includes(option.use) ? [l] : []))
  if (!places.some((l) => fits((part) => [week.places[l]![day]![part]!]))) return PLACE_RULE
  const isAt = (l: number) => (visit: Visit) => visit.place === asked.places[l]!.id
  return places.some((l) => fits((part) => [week.places[l]![day]![part]!, taken(isAt(l))])) ? null : 'places'
}

const bindingRule = (week: Week, horse: WeekHorse, visits: readonly Visit[]): Lacking['rule'] => {
  const busy = new Set(visits.flatMap((one) => (one.horse === horse.id && one.due === null ? [one.day] : [])))
  const candidates = horse.options
    .flatMap((option) =>
      week.grid.days.flatMap((on, day) =>
        busy.has(on) || (option.days && !option.days.includes(on)) ? [] : [{ horse, option, day }],
      ),
    )
    .toSorted((a, b) => savedBy(b.option.savedDays, horse, b.day) - savedBy(a.option.savedDays, horse, a.day))
  const [best] = candidates
  if (!best) return null
  return roomFor(week, best, visits) ?? forbiddenBy(week, best, visits).at(-1) ?? null
}

/** Who gets less than was wanted in a plan, and which rule bound. */
export const lackingIn = (given: WeekAsked, visits: readonly Visit[]): readonly Lacking[] => {
  const week = weekOf(inOrder(given))
  return week.asked.horses.flatMap((horse) => {
    const got = visits.filter((one) => one.horse === horse.id && one.due === null).length
    const wanted = wantedOf(horse, week.grid.days)
    return got < wanted ? [{ horse: horse.id, got, wanted, rule: bindingRule(week, horse, visits) }] : []
  })
}
