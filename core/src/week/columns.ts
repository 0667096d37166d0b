import type { Due, Option, Pin, Previous, WeekAsked, WeekHorse } from './asked'
import { freeIn, gridOf, minutesAt, startsIn, type Free, type Grid } from './grid'
import {
  firstDayLeaves,
  isHardVisit,
  isHeld,
  isLeftAlone,
  isLoadVisit,
  isTooLong,
  loadDaysLeft,
  PLACE_RULE,
  ruleId,
  type RuleId,
} from './rules'
import { conditionsOn, fits, keepsBy, lateBy, misses, savedBy, type Told } from './worth'

/** One way in which a visit could be: everything but its time in the part. */
export interface Column {
  readonly horse: number
  readonly due: number | null
  readonly day: number
  readonly part: number
  readonly option: number | null
  readonly use: string
  readonly lead: number
  readonly helper: number | null
  readonly slots: number
  /** Places that make no difference to it, by number. */
  readonly places: readonly number[]
  readonly isLoad: boolean
  readonly isHard: boolean
  /** By place, the slots at which it can begin. */
  readonly starts: readonly (readonly number[])[]
  readonly saved: number
  readonly late: number
  readonly wishes: number
  readonly keep: number
}

/** A column as wishes see it, at one of its places. */
export const toldOf = (week: Week, column: Column, place: number): Told => ({
  horse: week.asked.horses[column.horse]!.id,
  day: week.grid.days[column.day]!,
  part: week.grid.parts[column.part]!.id,
  due: column.due === null ? null : week.asked.dues[column.due]!.id,
  use: column.use,
  lead: week.asked.people[column.lead]!.id,
  helper: column.helper === null ? null : week.asked.people[column.helper]!.id,
  place: week.asked.places[place]!.id,
})

/** What is asked with its grid and when everybody and everything is free, some rules perhaps left off. */
export interface Week {
  readonly asked: WeekAsked
  readonly grid: Grid
  readonly off: ReadonlySet<RuleId>
  readonly people: readonly Free[]
  readonly places: readonly Free[]
  readonly horses: readonly Free[]
}

const byId = <T extends { readonly id: string }>(list: readonly T[]): readonly T[] =>
  list.toSorted((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0))

/** The same week in one order, so that the same input gives the same plan however it was listed. */
export const inOrder = (asked: WeekAsked): WeekAsked => ({
  ...asked,
  people: byId(asked.people),
  places: byId(asked.places),
  horses: byId(asked.horses),
  dues: byId(asked.dues),
})

export const weekOf = (asked: WeekAsked, off: ReadonlySet<RuleId> = new Set()): Week => {
  const grid = gridOf(asked)
  const free = (windows: Parameters<typeof freeIn>[1]): Free => freeIn(grid, windows)
  return {
    asked,
    grid,
    off,
    people: asked.people.map(({ id, windows, busy }) =>
      off.has(ruleId('window', id)) ? free({ windows: null, busy: [] }) : free({ windows, busy }),
    ),
    places: asked.places.map(({ windows }) =>
      free({ windows: off.has(PLACE_RULE) ? null : windows, busy: [] }),
    ),
    horses: asked.horses.map(({ id, notFree }) =>
      free({ windows: null, busy: off.has(ruleId('notFree', id)) ? [] : notFree }),
    ),
  }
}

interface Crew {
  readonly lead: number
  readonly helper: number | null
}

/** Everybody who could lead and help, each in their roles, two people. */
const crewsFor = ({ asked, off }: Week, roles: readonly string[]): readonly Crew[] => {
  const may = (role: string): readonly number[] =>
    asked.people.flatMap((person, i) =>
      person.roles.includes(role) || off.has(ruleId('roles', person.id)) ? [i] : [],
    )
  const [lead, helper] = roles as [string, string | undefined]
  return may(lead).flatMap((first): readonly Crew[] =>
    helper === undefined
      ? [{ lead: first, helper: null }]
      : may(helper).flatMap((second) => (second === first ? [] : [{ lead: first, helper: second }])),
  )
}

/** Why work of an option is not to be had on a day; nothing where it is. */
const barredBy = (
  { asked, grid, off }: Week,
  horse: WeekHorse,
  { option, day }: { option: Option; day: number },
): boolean => {
  const on = grid.days[day]!
  const isOff = (rule: Parameters<typeof ruleId>[0]): boolean => off.has(ruleId(rule, horse.id))
  if (!isOff('hold') && isHeld(horse, on)) return true
  if (!isOff('block') && isLeftAlone(horse)) return true
  if (option.days && !option.days.includes(on)) return true
  if (!isOff('loadDays')) {
    if (isTooLong(horse, on, option.minutes)) return true
    if (isLoadVisit(option) && loadDaysLeft(horse, asked.firstDay, on) < 1) return true
  }
  if (day > 0) return false
  const leaves = firstDayLeaves(asked, horse)
  if (leaves.by === null || isOff(leaves.by)) return false
  return !leaves.work || (isLoadVisit(option) && !leaves.load)
}

interface Wanted {
  readonly horse: number
  readonly due: number | null
  readonly option: number | null
  readonly minutes: number
  readonly use: string
  readonly roles: readonly string[]
  readonly suits: readonly number[]
  readonly isLoad: boolean
  readonly isHard: boolean
  readonly days: readonly number[]
}

const wantedWork = (week: Week): readonly Wanted[] =>
  week.asked.horses.flatMap((horse, h) =>
    horse.options.map((option, o) => ({
      horse: h,
      due: null,
      option: o,
      minutes: option.minutes,
      use: option.use,
      roles: option.roles,
      suits: week.asked.places.flatMap(({ suits }, p) =>
        week.off.has(PLACE_RULE) || suits.includes(option.use) ? [p] : [],
      ),
      isLoad: isLoadVisit(option),
      isHard: isHardVisit(option),
      days: week.grid.days.flatMap((_, day) => (barredBy(week, horse, { option, day }) ? [] : [day])),
    })),
  )

const wantedDues = ({ asked, grid }: Week): readonly Wanted[] =>
  asked.dues.flatMap((due: Due, d) => {
    const horse = asked.horses.findIndex(({ id }) => id === due.horse)
    if (horse < 0) return []
    return [
      {
        horse,
        due: d,
        option: null,
        minutes: due.minutes,
        use: due.kind,
        roles: due.roles,
        suits: asked.places.flatMap(({ id }, p) =>
          due.places.length === 0 || due.places.includes(id) ? [p] : [],
        ),
        isLoad: false,
        isHard: false,
        days: grid.days.flatMap((day, i) => (day >= due.earliestDay ? [i] : [])),
      },
    ]
  })

/** The part of a day that a time lies in. */
export const partAt = ({ parts, slotMinutes }: Grid, time: string): string | null => {
  const slot = minutesAt(time) / slotMinutes
  return parts.find(({ first, end }) => slot >= first && slot < end)?.id ?? null
}

const previousOf = (
  { asked, grid }: Week,
  horse: string,
  { day, due }: { day: string; due: string | null },
): (Previous & { readonly part: string | null }) | undefined => {
  const was = asked.previous.find(
    (one) => one.horse === horse && one.day === day && (one.due ?? null) === due,
  )
  return was && { ...was, part: partAt(grid, was.start) }
}

/** Columns of one wanted visit with one crew in one part: places that make no difference are one. */
const columnsOf = (
  week: Week,
  wanted: Wanted,
  { day, part, crew }: { day: number; part: number; crew: Crew },
): readonly Column[] => {
  const { asked, grid } = week
  const horse = asked.horses[wanted.horse]!
  const on = grid.days[day]!
  const conditions = conditionsOn(asked, on)
  const groups = new Map<string, { places: number[]; starts: (readonly number[])[]; base: Column }>()
  for (const place of wanted.suits) {
    const minutes = wanted.minutes + asked.changeoverMinutes + 2 * asked.places[place]!.travelMinutes
    const slots = Math.ceil(minutes / asked.slotMinutes)
    const busy = [
      week.horses[wanted.horse]![day]![part]!,
      week.people[crew.lead]![day]![part]!,
      ...(crew.helper === null ? [] : [week.people[crew.helper]![day]![part]!]),
      week.places[place]![day]![part]!,
    ]
    const starts = startsIn(busy, slots)
    if (starts.length === 0) continue
    const base: Column = {
      ...wanted,
      ...crew,
      day,
      part,
      slots,
      places: [],
      starts: [],
      saved: wanted.option === null ? 0 : savedBy(horse.options[wanted.option]!.savedDays, horse, day),
      late: wanted.due === null ? 0 : lateBy(asked.dues[wanted.due]!, on),
      wishes: 0,
      keep: 0,
    }
    const told = toldOf(week, base, place)
    const missed = asked.wishes.filter((wish) => misses(wish, told, conditions))
    const wishes = -missed.reduce((sum, { weight }) => sum + (weight === 'must' ? 0 : weight), 0)
    const keep = keepsBy(previousOf(week, horse.id, { day: on, due: told.due }), told)
    const named = asked.wishes.map(({ match }) => match.places !== undefined && fits(match, told, conditions))
    const pinned = asked.pins.map((pin) => pin.place === asked.places[place]!.id)
    const musts = missed.filter(({ weight }) => weight === 'must').map(({ id }) => id)
    const key = JSON.stringify([slots, wishes, keep, named, pinned, musts])
    const group = groups.get(key) ?? { places: [], starts: [], base: { ...base, wishes, keep } }
    group.places.push(place)
    group.starts.push(starts)
    groups.set(key, group)
  }
  return [...groups.values()].map(({ places, starts, base }) => ({ ...base, places, starts }))
}

/** Every column of a week that its rules allow. */
export const everyColumn = (week: Week): readonly Column[] =>
  [...wantedWork(week), ...wantedDues(week)].flatMap((wanted) => {
    const crews = crewsFor(week, wanted.roles)
    return wanted.days.flatMap((day) =>
      week.grid.parts.flatMap((_, part) =>
        crews.flatMap((crew) => columnsOf(week, wanted, { day, part, crew })),
      ),
    )
  })

/** Whether a column at a place and, where it is said, a slot is what somebody pinned. */
export const isPinned = (
  week: Week,
  column: Column,
  { pin, place, slot }: { pin: Pin; place: number; slot: number | null },
): boolean => {
  const told = toldOf(week, column, place)
  const same = (wanted: string | null | undefined, value: string | null): boolean =>
    wanted === undefined || wanted === null || wanted === value
  return (
    told.horse === pin.horse &&
    told.day === pin.day &&
    told.due === (pin.due ?? null) &&
    same(pin.part, told.part) &&
    same(pin.use, told.use) &&
    same(pin.lead, told.lead) &&
    same(pin.helper, told.helper) &&
    same(pin.place, told.place) &&
    (pin.start === undefined ||
      pin.start === null ||
      slot === null ||
      slot * week.grid.slotMinutes === minutesAt(pin.start))
  )
}
