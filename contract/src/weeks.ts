import { USES } from '@still-pine/core/program'
import { z } from 'zod'
import { Day, Id, Instant, Name, StepKey, versionFrom, words } from './primitives'

/** What somebody does in a week's plan; farriers, vets and fitters are people with hours of their own. */
export const WEEK_ROLES = ['start', 'ride', 'help', 'hold', 'farrier', 'vet', 'fitter'] as const

export const WeekTime = z.string().regex(/^(([01]\d|2[0-3]):[0-5]\d|24:00)$/, 'This is not a time (HH:MM).')

const inOrder = ({ from, to }: { from: string; to: string }): boolean => from < to
const ENDS_FIRST = { message: 'It ends before it begins.', path: ['to'] }

const MOST_HOURS = 60
const MOST_MINUTES = 24 * 60

/** A stretch that comes back every week; 1 is Monday. */
export const Hours = z
  .object({ weekday: z.number().int().min(1).max(7), from: WeekTime, to: WeekTime })
  .refine(inOrder, ENDS_FIRST)

export const BusyTime = z.object({ day: Day, from: WeekTime, to: WeekTime }).refine(inOrder, ENDS_FIRST)

const hours = z.array(Hours).max(MOST_HOURS, `At most ${MOST_HOURS} stretches.`)
const minutes = z.number().int('A whole number of minutes.').min(0).max(MOST_MINUTES)
const visits = z.number().int('A whole number.').min(0).max(14, 'At most 14.')

const names = z.array(words(64)).max(200)

/** What of a visit a wish speaks of; a list that is not there speaks of all. */
export const WeekMatch = z.strictObject({
  horses: names.optional(),
  uses: names.optional(),
  days: names.optional(),
  parts: names.optional(),
  leads: names.optional(),
  helpers: names.optional(),
  people: names.optional(),
  places: names.optional(),
  conditions: names.optional(),
})

const WISH = {
  id: Id,
  weight: z.union([z.literal('must'), z.number().min(0).max(100)]),
  match: WeekMatch,
} as const

export const WeekWish = z.discriminatedUnion('kind', [
  z.strictObject({ ...WISH, kind: z.literal('pin') }),
  z.strictObject({ ...WISH, kind: z.literal('avoid') }),
  z.strictObject({ ...WISH, kind: z.literal('only'), then: WeekMatch }),
  z.strictObject({
    ...WISH,
    kind: z.literal('count'),
    least: z.number().int().min(0).max(500).nullable(),
    most: z.number().int().min(0).max(500).nullable(),
  }),
])

/** A visit that somebody put there by hand. */
export const WeekPin = z.strictObject({
  id: Id,
  horse: Id,
  day: Day,
  due: words(64).nullable().default(null),
  part: words(64).nullable().default(null),
  start: WeekTime.nullable().default(null),
  use: words(40).nullable().default(null),
  lead: Id.nullable().default(null),
  helper: Id.nullable().default(null),
  place: Id.nullable().default(null),
})

const PartOfDay = z
  .object({ id: words(40).trim().min(1), from: WeekTime, to: WeekTime })
  .refine(inOrder, ENDS_FIRST)

const RulesArranged = z.object({
  about: z.literal('rules'),
  slotMinutes: z.union([z.literal(5), z.literal(10), z.literal(15), z.literal(30)]),
  changeoverMinutes: minutes.max(60),
  parts: z.array(PartOfDay).min(1, 'A day has one part at least.').max(4, 'At most four parts.'),
  noTwoLoadDaysBelowMonths: z.number().int().min(0).max(600).nullable(),
  restAfterHardDay: z.enum(['none', 'noLoad', 'untouched']),
  mostDaysUntouched: z.number().int().min(1).max(7),
  /** Wishes of every week, the most wanted first. */
  wishes: z.array(WeekWish).max(100),
  /** Whether calendars tell the names of the horses. */
  namesInCalendars: z.boolean(),
})

const PersonArranged = z.object({
  about: z.literal('person'),
  roles: z.array(z.enum(WEEK_ROLES)).max(WEEK_ROLES.length),
  hours,
  mostMinutesPerDay: minutes.nullable(),
  /** Minutes before a visit at which their calendar reminds them; nothing where it never does. */
  remindMinutes: minutes.nullable(),
})

const PlaceArranged = z.object({
  about: z.literal('place'),
  /** Nothing: free all day. */
  hours: hours.nullable(),
  travelMinutes: minutes.max(240),
})

const HorseArranged = z.object({
  about: z.literal('horse'),
  wantedVisits: visits,
  visitsAtMost: visits.nullable(),
  /** By when its owner wants it to stand before which gate. */
  wantedBy: Day.nullable(),
  wantedGate: StepKey.nullable(),
  notFree: hours,
})

/** What is arranged for every week: the rules, or what holds of a person, a place or a horse. */
export const Arranged = z.discriminatedUnion('about', [
  RulesArranged,
  PersonArranged,
  PlaceArranged,
  HorseArranged,
])

export const PutArranged = z.object({ arranged: Arranged, version: versionFrom(0) })

export const ArrangedPart = z.object({ id: Id, arranged: Arranged, version: versionFrom(1) })

/** A visit of a week as it is planned. */
export const PlannedVisit = z.object({
  /** Its own as long as its horse and day are, and through every move by hand. */
  id: Id,
  horseId: Id,
  day: Day,
  start: WeekTime,
  minutes: z.number().int().min(1).max(MOST_MINUTES),
  part: words(64),
  use: words(40),
  load: z.boolean(),
  /** What is due, where it is not work. */
  due: words(64).nullable(),
  leadId: Id,
  helperId: Id.nullable(),
  placeId: Id.nullable(),
  reasons: z.array(words(300)).max(10),
})

const MOST_VISITS = 600

/** How good a week is, as the solver left it. */
export const PlanTold = z.object({
  objective: z.number().min(-100_000).max(100_000),
  bound: z.number().min(-100_000).max(100_000).nullable(),
  status: z.enum(['at once', 'proved', 'within the gap', 'stopped']),
  words: words(300),
  /** Who gets less than was wanted, and by which rule. */
  lacking: z.array(words(300)).max(200),
  /** Musts that could not be had, and what they clash with. */
  clashes: z.array(z.object({ must: words(64), words: words(1000) })).max(300),
})

/** What is said of a week beside its visits. */
export const PlannedWeekWords = z.object({
  pins: z.array(WeekPin).max(200),
  /** Wishes of this week alone. */
  wishes: z.array(WeekWish).max(100),
  /** What each day is like. */
  conditions: z.record(Day, names),
  told: PlanTold,
})

export const PutPlannedWeek = PlannedWeekWords.extend({
  visits: z.array(PlannedVisit).max(MOST_VISITS),
  version: versionFrom(0),
}).refine(({ visits }) => new Set(visits.map(({ id }) => id)).size === visits.length, {
  message: 'A visit stands twice.',
  path: ['visits'],
})

export const PlannedWeek = PutPlannedWeek.safeExtend({ byName: Name, at: Instant })

/** What of one horse goes into a week. */
export const HorseInWeek = z.object({
  horseId: Id,
  name: z.string(),
  /** The youngest it may be, where only an estimate is known. */
  born: Day.nullable(),
  block: z.string(),
  lastTouchedDay: Day.nullable(),
  loadDays: z.array(Day),
  hardDays: z.array(Day),
  holds: z.array(z.object({ from: Day, until: Day.nullable() })),
  /** What it may be worked at, by the composer. */
  options: z.array(
    z.object({
      use: z.enum(USES),
      minutes: z.number().int(),
      load: z.boolean(),
      hard: z.boolean(),
      roles: z.array(z.enum(WEEK_ROLES)),
      savedDays: z.number(),
    }),
  ),
  /** Why there are none. */
  nothing: z.string().nullable(),
  /** Sessions left of a block that has only so many. */
  sessionsLeft: z.number().int().nullable(),
  dues: z.array(
    z.object({
      id: z.string(),
      kind: z.enum(['vet', 'farrier', 'saddle', 'worming', 'other']),
      name: z.string(),
      minutes: z.number().int(),
      earliestDay: Day,
      dueDay: Day,
      roles: z.array(z.enum(WEEK_ROLES)),
    }),
  ),
  /** The chance of missing the date its owner asked for, by the newest forecast that was kept. */
  missing: z.number().nullable(),
})

/** The newest week of each visit, and what was worked, on some days. */
export const VisitTold = PlannedVisit.omit({ reasons: true }).extend({
  horseName: z.string(),
  leadName: z.string(),
  helperName: z.string().nullable(),
  placeName: z.string().nullable(),
})

export const FeedMade = z.object({ token: z.string() })

/** Busy times read from a calendar file; of the file only its hash is kept. */
export const PutBusy = z.object({
  hash: z.string().regex(/^[0-9a-f]{64}$/, 'This is not a SHA-256.'),
  times: z.array(BusyTime).max(10_000, 'At most 10 000 busy times.'),
})

export type Arranged = z.infer<typeof Arranged>
export type ArrangedOf<About extends Arranged['about']> = Extract<Arranged, { about: About }>
export type ArrangedPart = z.infer<typeof ArrangedPart>
export type PlannedVisit = z.infer<typeof PlannedVisit>
export type PlannedWeek = z.infer<typeof PlannedWeek>
export type PutPlannedWeek = z.infer<typeof PutPlannedWeek>
export type HorseInWeek = z.infer<typeof HorseInWeek>
export type VisitTold = z.infer<typeof VisitTold>
export type BusyTime = z.infer<typeof BusyTime>
export type WeekPin = z.infer<typeof WeekPin>
export type WeekWish = z.infer<typeof WeekWish>
export type Hours = z.infer<typeof Hours>
