import { isDay } from '@still-pine/core/answer'
import type { Solver } from '@still-pine/core/solver'
import {
  clashWords,
  gapWords,
  lackingIn,
  lackingWords,
  planWeek,
  reasonsOf,
  type WeekAsked,
} from '@still-pine/core/week'
import { z } from 'zod'
import { faultOf, type FileFault } from './file-faults'
import { Day, words } from './primitives'

const WeekId = words(64).trim().min(1, 'An id says something.')
const Name = words(80).trim().min(1, 'Please name it.')
const Role = words(40).trim().min(1)

const Time = z.string().regex(/^([01]\d|2[0-4]):[0-5]\d$/, 'This is not a time (HH:MM).')
const inOrder = ({ from, to }: { from: string; to: string }): boolean => from < to
const ENDS_FIRST = { message: 'It ends before it begins.', path: ['to'] }

const WindowPart = z.strictObject({ day: Day, from: Time, to: Time }).refine(inOrder, ENDS_FIRST)
const MOST_MINUTES = 24 * 60
const Minutes = z.number().int('A whole number of minutes.').min(0).max(MOST_MINUTES)

const MOST_HORSES = 60
const MOST_DAYS = 14

const PersonPart = z.strictObject({
  id: WeekId,
  name: Name,
  roles: z.array(Role).max(20),
  windows: z.array(WindowPart).max(200),
  busy: z.array(WindowPart).max(2_000).default([]),
  mostMinutesPerDay: Minutes.nullable().default(null),
})

const PlacePart = z.strictObject({
  id: WeekId,
  name: Name,
  suits: z.array(Role).max(20),
  windows: z.array(WindowPart).max(200).nullable().default(null),
  travelMinutes: Minutes.default(0),
})

const OptionPart = z.strictObject({
  use: Role,
  minutes: Minutes.min(1, 'A visit lasts a minute at least.'),
  load: z.boolean(),
  hard: z.boolean(),
  roles: z.array(Role).min(1, 'Somebody leads it.').max(2, 'A lead and a helper at most.'),
  savedDays: z.number().min(0).max(1.2),
  days: z.array(Day).max(MOST_DAYS).optional(),
})

const Hold = z
  .strictObject({ from: Day, until: Day.nullable().default(null) })
  .refine(({ from, until }) => until === null || from <= until, {
    message: 'It ends before it begins.',
    path: ['until'],
  })

const HorsePart = z.strictObject({
  id: WeekId,
  name: Name,
  born: Day.nullable().default(null),
  block: Role,
  wantedVisits: z.number().int().min(0).max(MOST_DAYS).default(3),
  visitsAtMost: z.number().int().min(0).max(MOST_DAYS).nullable().default(null),
  urgency: z.number().min(1).max(2).default(1),
  lastTouchedDay: Day.nullable().default(null),
  loadDays: z.array(Day).max(31).default([]),
  hardDays: z.array(Day).max(31).default([]),
  holds: z.array(Hold).max(50).default([]),
  notFree: z.array(WindowPart).max(200).default([]),
  options: z.array(OptionPart).min(1, 'Nothing is open: look at its steps.').max(40),
})

const DuePart = z.strictObject({
  id: WeekId,
  horse: WeekId,
  kind: z.enum(['vet', 'farrier', 'saddle', 'worming', 'other']),
  minutes: Minutes.min(1),
  earliestDay: Day,
  dueDay: Day,
  roles: z.array(Role).min(1).max(2),
  places: z.array(WeekId).max(50).default([]),
})

const list = z.array(words(64)).max(200)
const MatchPart = z.strictObject({
  horses: list.optional(),
  uses: list.optional(),
  days: list.optional(),
  parts: list.optional(),
  leads: list.optional(),
  helpers: list.optional(),
  people: list.optional(),
  places: list.optional(),
  conditions: list.optional(),
})

const WISH = {
  id: WeekId,
  weight: z.union([z.literal('must'), z.number().min(0).max(1_000)]).default(1),
  match: MatchPart,
} as const

const WishPart = z.discriminatedUnion('kind', [
  z.strictObject({ ...WISH, kind: z.literal('pin') }),
  z.strictObject({ ...WISH, kind: z.literal('avoid') }),
  z.strictObject({ ...WISH, kind: z.literal('only'), then: MatchPart }),
  z.strictObject({
    ...WISH,
    kind: z.literal('count'),
    least: z.number().int().min(0).max(500).nullable().default(null),
    most: z.number().int().min(0).max(500).nullable().default(null),
  }),
])

const PinPart = z.strictObject({
  id: WeekId,
  horse: WeekId,
  day: Day,
  due: WeekId.nullable().optional(),
  part: WeekId.nullable().optional(),
  start: Time.nullable().optional(),
  use: Role.nullable().optional(),
  lead: WeekId.nullable().optional(),
  helper: WeekId.nullable().optional(),
  place: WeekId.nullable().optional(),
})

/** Of a plan before only what keeping it is about; the rest of a visit may stand beside it. */
const PreviousPart = z.object({
  horse: WeekId,
  day: Day,
  start: Time,
  due: WeekId.nullable().default(null),
  lead: WeekId,
  place: WeekId.nullable().default(null),
})

const Limits = z
  .strictObject({
    relativeGap: z.number().min(0).max(1).default(0.02),
    nodes: z.number().int().min(1).max(1_000_000).default(2_000),
    seconds: z.number().min(0.1).max(600).default(30),
  })
  .prefault({})

const unique = (names: readonly string[]): boolean => new Set(names).size === names.length

type Named = readonly { readonly id: string }[]
const twice = (parts: readonly (readonly [string, Named])[], say: (field: string) => void): void => {
  for (const [field, all] of parts) if (!unique(all.map(({ id }) => id))) say(field)
}

const WeekFile = z
  .strictObject({
    firstDay: Day,
    days: z.number().int().min(1).max(MOST_DAYS).default(7),
    slotMinutes: z.union([z.literal(5), z.literal(10), z.literal(15), z.literal(30)]).default(15),
    changeoverMinutes: Minutes.default(5),
    parts: z
      .array(z.strictObject({ id: WeekId, from: Time, to: Time }).refine(inOrder, ENDS_FIRST))
      .min(1)
      .max(6),
    conditions: z
      .record(z.string().refine(isDay, 'This is not a day of the calendar (YYYY-MM-DD).'), list)
      .default({}),
    rules: z
      .strictObject({
        noTwoLoadDaysBelowMonths: z.number().int().min(0).max(600).nullable().default(36),
        restAfterHardDay: z.enum(['none', 'noLoad', 'untouched']).default('noLoad'),
        mostDaysUntouched: z.number().int().min(1).max(MOST_DAYS).default(3),
      })
      .prefault({}),
    people: z.array(PersonPart).min(1, 'Nobody is here to work.').max(100),
    places: z.array(PlacePart).min(1, 'There is no place to work in.').max(100),
    horses: z
      .array(HorsePart)
      .min(1, 'There is no horse.')
      .max(MOST_HORSES, `At most ${MOST_HORSES} horses in one week.`),
    dues: z.array(DuePart).max(300).default([]),
    wishes: z.array(WishPart).max(300).default([]),
    pins: z.array(PinPart).max(500).default([]),
    previous: z.array(PreviousPart).max(1_000).default([]),
    limits: Limits,
  })
  .superRefine((file, ctx) => {
    const say = (path: (string | number)[], message: string): void =>
      ctx.addIssue({ code: 'custom', path, message })
    const { people, places, horses, dues, parts } = file
    twice(
      [
        ['people', people],
        ['places', places],
        ['horses', horses],
        ['dues', dues],
        ['parts', parts],
      ],
      (field) => say([field], 'An id stands twice.'),
    )
    if (!unique([...file.pins, ...file.wishes].map(({ id }) => id)))
      say(['pins'], 'An id of a pin or a wish stands twice.')
    const known = new Set(horses.map(({ id }) => id))
    const GONE = 'This horse is not here.'
    dues.forEach(({ horse }, i) => {
      if (!known.has(horse)) say(['dues', i, 'horse'], GONE)
    })
    file.pins.forEach(({ horse }, i) => {
      if (!known.has(horse)) say(['pins', i, 'horse'], GONE)
    })
    file.wishes.forEach(({ match }, i) => {
      if (match.horses?.some((id) => !known.has(id))) say(['wishes', i, 'match', 'horses'], GONE)
    })
  })

export type PlannedFile =
  | { readonly ok: true; readonly reply: object }
  | { readonly ok: false; readonly faults: readonly FileFault[] }

/** The week of a file (docs/formats/week.md) as it is planned, or every fault in it with its field. */
export const planFile = (document: unknown, solve: Solver): PlannedFile => {
  const read = WeekFile.safeParse(document)
  if (!read.success) return { ok: false, faults: read.error.issues.flatMap(faultOf) }
  const asked = read.data as WeekAsked
  const { clashes, visits, ...plan } = planWeek(asked, solve)
  return {
    ok: true,
    reply: {
      visits: visits.map((visit) => ({ ...visit, reasons: reasonsOf(asked, visit, visits) })),
      ...plan,
      shortOfBestDays: Math.max(0, plan.bound - plan.objective),
      words: gapWords(plan),
      lacking: lackingIn(asked, visits).map((one) => ({ ...one, words: lackingWords(asked, one) })),
      clashes: clashes.map((clash) => ({
        must: clash.must.id,
        with: clash.with.map((one) => (typeof one === 'string' ? one : one.id)),
        words: clashWords(asked, clash),
      })),
    },
  }
}
