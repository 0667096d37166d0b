import type { ArrangedOf, HorseInWeek, Hours, PlannedVisit, WeekPin } from '@still-pine/contract'
import { addDays, daysBetween, type Day } from '@still-pine/core/answer'
import { USES } from '@still-pine/core/program'
import {
  isLoadVisit,
  type Person,
  type Place,
  type Visit,
  type WeekAsked,
  type WeekHorse,
  type Window,
} from '@still-pine/core/week'
import type { Reply } from './query'

type Week = Reply<'plannedWeek'>
type Told<T> = Omit<T, 'about'>

const WEEK_DAYS = 7

/** What holds where nobody arranged anything: the cautious default of a yard. */
export const ARRANGED_AT_FIRST = {
  rules: {
    slotMinutes: 15,
    changeoverMinutes: 5,
    parts: [
      { id: 'morning', from: '08:00', to: '12:00' },
      { id: 'afternoon', from: '13:00', to: '17:00' },
    ],
    noTwoLoadDaysBelowMonths: 36,
    restAfterHardDay: 'noLoad',
    mostDaysUntouched: 3,
    wishes: [],
    namesInCalendars: true,
  },
  /** Of a helper nobody knows when they are there before somebody says so. */
  helper: { roles: ['help', 'hold'], hours: [], mostMinutesPerDay: null, remindMinutes: null },
  starter: {
    roles: ['start', 'ride', 'help', 'hold'],
    hours: [1, 2, 3, 4, 5].flatMap((weekday) => [
      { weekday, from: '08:00', to: '12:00' },
      { weekday, from: '13:00', to: '17:00' },
    ]),
    mostMinutesPerDay: null,
    remindMinutes: null,
  },
  place: { hours: null, travelMinutes: 0 },
  horse: { wantedVisits: 3, visitsAtMost: null, wantedBy: null, wantedGate: null, notFree: [] },
} satisfies {
  rules: Told<ArrangedOf<'rules'>>
  helper: Told<ArrangedOf<'person'>>
  starter: Told<ArrangedOf<'person'>>
  place: Told<ArrangedOf<'place'>>
  horse: Told<ArrangedOf<'horse'>>
}

type About = 'rules' | 'person' | 'place' | 'horse'

/** What is arranged of something, or what holds at first. */
export const arrangedOf = <A extends About>(
  { arranged }: Pick<Week, 'arranged'>,
  about: A,
  id: string,
): Extract<Week['arranged'][number]['arranged'], { about: A }> | undefined =>
  arranged.find((one) => one.id === id && one.arranged.about === about)?.arranged as
    Extract<Week['arranged'][number]['arranged'], { about: A }> | undefined

/** The rules of a yard's weeks. */
export const rulesIn = (week: Pick<Week, 'arranged' | 'yardId'>): Told<ArrangedOf<'rules'>> =>
  (arrangedOf(week, 'rules', week.yardId) as ArrangedOf<'rules'> | undefined) ?? ARRANGED_AT_FIRST.rules

/** A person's roles and hours. */
export const personIn = (
  week: Pick<Week, 'arranged'>,
  { id, role }: Pick<Week['people'][number], 'id' | 'role'>,
): Told<ArrangedOf<'person'>> =>
  (arrangedOf(week, 'person', id) as ArrangedOf<'person'> | undefined) ??
  ARRANGED_AT_FIRST[role === 'starter' ? 'starter' : 'helper']

export const horseIn = (week: Pick<Week, 'arranged'>, id: string): Told<ArrangedOf<'horse'>> =>
  (arrangedOf(week, 'horse', id) as ArrangedOf<'horse'> | undefined) ?? ARRANGED_AT_FIRST.horse

/** The first day of a week from which something can still be planned. */
export const plannedFrom = ({ firstDay, today }: Pick<Week, 'firstDay' | 'today'>): Day =>
  firstDay < today ? today : firstDay

const SUNDAY = 7

const weekdayOf = (day: Day): number => new Date(`${day}T00:00:00Z`).getUTCDay() || SUNDAY

const windowsOn = (days: readonly Day[], hours: readonly Told<Hours>[]): Window[] =>
  days.flatMap((day) =>
    hours.filter(({ weekday }) => weekday === weekdayOf(day)).map(({ from, to }) => ({ day, from, to })),
  )

/** A visit that has begun, or is over: it stays as it is. */
export const isBehind = (
  { today, time }: Pick<Week, 'today' | 'time'>,
  { day, start }: Pick<PlannedVisit, 'day' | 'start'>,
): boolean => day < today || (day === today && start < time)

/** Of today only what is left. */
const stillToCome = ({ today, time }: Pick<Week, 'today' | 'time'>, windows: readonly Window[]): Window[] =>
  windows
    .filter(({ day, to }) => day !== today || to > time)
    .map((window) => (window.day === today && window.from < time ? { ...window, from: time } : window))

const peopleIn = (week: Week, days: readonly Day[]): Person[] =>
  week.people.map((person) => {
    const { roles, hours, mostMinutesPerDay } = personIn(week, person)
    const { id, name, busy } = person
    return {
      id,
      name,
      roles,
      windows: stillToCome(week, windowsOn(days, hours)),
      busy: [...busy],
      mostMinutesPerDay,
    }
  })

/** What is nowhere in particular happens in the yard. */
export const ANYWHERE = 'yard'

const placesIn = (week: Week, days: readonly Day[]): Place[] =>
  week.places.length === 0
    ? week.people.map((_, i) => ({
        id: `${ANYWHERE}-${i}`,
        name: 'the yard',
        suits: USES,
        windows: null,
        travelMinutes: 0,
      }))
    : week.places.map(({ id, name, suits }) => {
        const arranged =
          (arrangedOf(week, 'place', id) as ArrangedOf<'place'> | undefined) ?? ARRANGED_AT_FIRST.place
        return {
          id,
          name,
          suits: suits.length === 0 ? USES : suits,
          windows: arranged.hours === null ? null : windowsOn(days, arranged.hours),
          travelMinutes: arranged.travelMinutes,
        }
      })

/** Whether it was visited today, or is at this moment: then it is not worked again on this day. */
const isVisitedToday = (week: Week, horseId: string, previous: Deciding['previous']): boolean =>
  week.worked.some((one) => one.horseId === horseId && one.day === week.today) ||
  previous.some(
    (one) => one.horseId === horseId && one.due === null && one.day === week.today && isBehind(week, one),
  )

const WHOLE_DAY = { from: '00:00', to: '24:00' } as const

/** The most visits the rest of a week may have; nothing where they are as many as are wanted. */
const mostOf = (week: Week, { horseId, sessionsLeft }: HorseInWeek, had: number): number | null => {
  const { wantedVisits, visitsAtMost } = horseIn(week, horseId)
  const said = arrangedOf(week, 'horse', horseId) ? (visitsAtMost ?? wantedVisits) : visitsAtMost
  const most = [
    ...(said === null ? [] : [Math.max(0, said - had)]),
    ...(sessionsLeft === null ? [] : [sessionsLeft]),
  ]
  return most.length === 0 ? null : Math.min(...most)
}

const horseAsked = (
  week: Week,
  horse: HorseInWeek,
  { days, previous }: { days: readonly Day[]; previous: Deciding['previous'] },
): WeekHorse => {
  const { wantedVisits, notFree } = horseIn(week, horse.horseId)
  const before = new Set(
    week.worked
      .filter(({ horseId, day }) => horseId === horse.horseId && day < week.today)
      .map(({ day }) => day),
  ).size
  const isToday = isVisitedToday(week, horse.horseId, previous)
  const had = before + Number(isToday)
  const left = Math.max(0, wantedVisits - had)
  return {
    id: horse.horseId,
    name: horse.name,
    born: horse.born,
    block: horse.block,
    wantedVisits: horse.options.length === 0 ? 0 : left,
    visitsAtMost: mostOf(week, horse, had),
    urgency: 1 + (horse.missing ?? 0),
    lastTouchedDay: horse.lastTouchedDay,
    loadDays: horse.loadDays,
    hardDays: horse.hardDays,
    holds: horse.holds,
    notFree: [...windowsOn(days, notFree), ...(isToday ? [{ day: week.today, ...WHOLE_DAY }] : [])],
    options: horse.options,
  }
}

/** A pin as somebody left it, where its day can still be planned. */
const pinsFrom = (week: Week, from: Day): readonly WeekPin[] =>
  (week.planned?.pins ?? []).filter(({ day }) => day >= from) as readonly WeekPin[]

const LIMITS = { relativeGap: 0.02, nodes: 2_000, seconds: 30 }

/** What of a plan is still to be decided anew: its pins, its wishes, what its days are like, what was planned before. */
export interface Deciding {
  readonly pins: readonly WeekPin[]
  readonly wishes: NonNullable<Week['planned']>['wishes']
  readonly conditions: NonNullable<Week['planned']>['conditions']
  readonly previous: readonly Pick<PlannedVisit, 'horseId' | 'day' | 'start' | 'due' | 'leadId' | 'placeId'>[]
}

export const decidingIn = (week: Week): Deciding => ({
  pins: pinsFrom(week, plannedFrom(week)),
  wishes: week.planned?.wishes ?? [],
  conditions: week.planned?.conditions ?? {},
  previous: week.planned?.visits ?? [],
})

/** A role that nobody has who is there in these days. */
const lacksRole = (people: readonly Person[], roles: readonly string[]): string | null =>
  roles.find((role) => !people.some((one) => one.roles.includes(role) && one.windows.length > 0)) ?? null

const ROLE_WORDS: Readonly<Record<string, string>> = {
  start: 'starts horses',
  hold: 'holds a horse',
  farrier: 'is a farrier',
  vet: 'is a vet',
  fitter: 'fits saddles',
}

const DUE_WORDS = {
  vet: 'the vet is due',
  farrier: 'the farrier is due',
  saddle: 'its saddle is due',
  worming: 'a worm count is due',
  other: 'something is due',
} as const

/** What no plan can do anything about: horses with nothing open, and dues that nobody is there for. */
export const beyondPlanning = (horses: readonly HorseInWeek[], asked: WeekAsked): string[] =>
  horses.flatMap(({ name, nothing, dues }) => [
    ...(nothing === null ? [] : [`${name}: ${nothing}`]),
    ...dues.flatMap(({ kind, dueDay, roles }) => {
      const role = lacksRole(asked.people, roles)
      return role === null
        ? []
        : [
            `${name}: ${DUE_WORDS[kind]} by ${dueDay}, and nobody who ${ROLE_WORDS[role] ?? role} has hours this week.`,
          ]
    }),
  ])

/** All that a week is planned from, of the days that are still to come; a horse at which nothing is open is in it for what is due alone. */
export const weekAskedFrom = (
  week: Week,
  horses: readonly HorseInWeek[],
  { pins, wishes, conditions, previous }: Deciding,
): WeekAsked => {
  const from = plannedFrom(week)
  const days = Array.from({ length: WEEK_DAYS - daysBetween(week.firstDay, from) }, (_, i) =>
    addDays(from, i),
  )
  const rules = rulesIn(week)
  const people = peopleIn(week, days)
  const able = horses.filter(({ options, dues }) => options.length > 0 || dues.length > 0)
  const isAble = (id: string): boolean => able.some(({ horseId }) => horseId === id)
  return {
    firstDay: from,
    days: days.length,
    slotMinutes: rules.slotMinutes,
    changeoverMinutes: rules.changeoverMinutes,
    parts: rules.parts,
    conditions,
    rules: {
      noTwoLoadDaysBelowMonths: rules.noTwoLoadDaysBelowMonths,
      restAfterHardDay: rules.restAfterHardDay,
      mostDaysUntouched: rules.mostDaysUntouched,
    },
    people,
    places: placesIn(week, days),
    horses: able.map((horse) => horseAsked(week, horse, { days, previous })),
    dues: able.flatMap(({ horseId, dues }) =>
      dues
        .filter(({ roles }) => lacksRole(people, roles) === null)
        .map(({ id, kind, minutes, earliestDay, dueDay, roles }) => ({
          id: `${horseId}/${id}`,
          horse: horseId,
          kind,
          minutes,
          earliestDay,
          dueDay,
          roles,
          places: [],
        })),
    ),
    wishes: [...wishes, ...rules.wishes] as WeekAsked['wishes'],
    pins: pins.filter(({ horse }) => isAble(horse)),
    previous: previous
      .filter((one) => !isBehind(week, one) && isAble(one.horseId))
      .map(({ horseId, day, start, due, leadId, placeId }) => ({
        horse: horseId,
        day,
        start,
        due,
        lead: leadId,
        place: placeId,
      })),
    limits: LIMITS,
  }
}

/** A visit of the solver as it is kept: under the id it has had, by hand or in the plan before. */
export const plannedVisit = (
  asked: WeekAsked,
  visit: Visit & { readonly reasons: readonly string[] },
  {
    known,
    newId,
  }: { known: readonly Pick<PlannedVisit, 'id' | 'horseId' | 'day' | 'due'>[]; newId: () => string },
): PlannedVisit => {
  const isSame = (one: {
    readonly horse: string
    readonly day: Day
    readonly due?: string | null
  }): boolean => one.horse === visit.horse && one.day === visit.day && (one.due ?? null) === visit.due
  const horse = asked.horses.find(({ id }) => id === visit.horse)!
  const due = asked.dues.find(({ id }) => id === visit.due)
  const option = visit.option === null ? undefined : horse.options[visit.option]
  return {
    id:
      asked.pins.find(isSame)?.id ??
      known.find((one) => isSame({ ...one, horse: one.horseId }))?.id ??
      newId(),
    horseId: visit.horse,
    day: visit.day,
    start: visit.start,
    minutes: option?.minutes ?? due?.minutes ?? visit.slots * asked.slotMinutes,
    part: visit.part,
    use: visit.use,
    load: option !== undefined && isLoadVisit(option),
    due: visit.due,
    leadId: visit.lead,
    helperId: visit.helper,
    placeId: visit.place.startsWith(ANYWHERE) ? null : visit.place,
    reasons: [...visit.reasons],
  }
}
