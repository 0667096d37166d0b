import { LAW_AGES } from '@still-pine/core/facts'
import type { SessionPlan } from '@still-pine/core/plan'
import type { Facts, GateVerdict, Notice, TrackView } from '@still-pine/core/readiness'
import { z } from 'zod'
import { PERMIT_RULES, type Shut } from '@still-pine/core/permit'
import { CHECK_KINDS, CONFIRMATIONS, HURT, INCIDENT_KINDS, LEAVES } from './care'
import { Arrangement } from './arrangement'
import { BurstSchema } from './burst'
import { Horse } from './horses'
import { STOP_RULES } from './stop-rules'
import { CalmSchema, Day, GradeSchema, Id, PlaceSchema, SideSchema } from './primitives'

const ChancesSchema = z.object({
  chance: z.number(),
  low: z.number(),
  high: z.number(),
  calmChance: z.number(),
})

export const STATE_NAMES = ['new', 'started', 'slipped', 'coming', 'rusty', 'solid'] as const
const MISS_RULES = ['chance', 'low', 'calm', 'days', 'answers', 'fought', 'cold', 'places', 'moving'] as const

export const TrackViewSchema = ChancesSchema.extend({
  state: z.enum(STATE_NAMES),
  answers: z.number().int(),
  daysWorked: z.number().int(),
  byRung: z.array(ChancesSchema),
  beyond: z.array(ChancesSchema),
  workRung: z.number().int(),
  holdsToRung: z.number().int(),
  openAt: z.number().int(),
  asksNeeded: z.number().int().nullable(),
  placesMissing: z.array(PlaceSchema),
  movingMissing: z.number().int(),
  misses: z.array(z.object({ rule: z.enum(MISS_RULES), words: z.string() })),
  lastDay: Day.nullable(),
  passedColdToday: z.boolean(),
  foretoldToday: z
    .object({
      chance: z.number(),
      light: z.boolean(),
      calmChance: z.number(),
      tight: z.boolean().nullable(),
    })
    .nullable(),
  lastCold: z.object({ day: Day, passed: z.boolean() }).nullable(),
  recent: z.array(z.object({ grade: GradeSchema, calm: CalmSchema.nullable() })),
  recentDays: z.array(
    z.object({
      day: Day,
      answers: z.number().int(),
      first: z.object({ rung: z.number().int(), passed: z.boolean() }).nullable(),
    }),
  ),
  hardest: z.number().int(),
  lastStood: z
    .object({
      state: z.enum(STATE_NAMES),
      rung: z.number().int(),
      chance: z.number(),
      calmChance: z.number(),
    })
    .nullable(),
  awayDays: z.number().int(),
  behind: z.record(z.string(), z.object({ went: Day, last: Day })),
  temper: z.enum(['soft', 'reactive', 'worried', 'learning', 'dull']).nullable(),
  logLikelihood: z.number(),
  meanAbility: z.number(),
  speed: z.number().optional(),
}) satisfies z.ZodType<TrackView>

const GateTrackSchema = z.object({
  step: z.string(),
  name: z.string(),
  side: SideSchema,
  rung: z.number().int(),
  must: z.enum(['solid', 'met']),
  holds: z.boolean(),
  chance: z.number(),
  calmChance: z.number(),
  state: z.enum(STATE_NAMES),
  words: z.string(),
  missing: z.string(),
})

export const GateVerdictSchema = z.object({
  gate: z.string(),
  name: z.string(),
  day: Day,
  verdict: z.enum(['go', 'check-first', 'not-yet', 'stop']),
  ready: z.enum(['go', 'check-first', 'not-yet']),
  sentence: z.string(),
  stops: z.array(z.object({ rule: z.enum(STOP_RULES), words: z.string(), measured: z.boolean().optional() })),
  tracks: z.array(GateTrackSchema),
  due: z.array(
    z.object({
      step: z.string(),
      name: z.string(),
      side: SideSchema,
      rung: z.number().int(),
      asks: z.number().int(),
      places: z.array(PlaceSchema),
      reason: z.string(),
    }),
  ),
  likelyMisses: z.number(),
  likelyMissesWords: z.string(),
  weakest: z.array(GateTrackSchema),
  kit: z.array(z.string()),
  cautions: z.array(z.string()),
}) satisfies z.ZodType<GateVerdict>

/** What is shut today, why, and what opens it. */
const ShutSchema = z.object({
  what: z.string(),
  rule: z.enum(PERMIT_RULES),
  gate: z.string().nullable(),
  because: z.string(),
  opens: z.string(),
}) satisfies z.ZodType<Shut>

export const SessionPlanSchema = z.object({
  day: Day,
  rests: z.boolean(),
  reason: z.string(),
  minutes: z.number(),
  bursts: z.array(BurstSchema),
  kit: z.array(z.string()),
  closed: z.array(z.object({ step: z.string(), name: z.string(), words: z.string() })),
  left: z.array(z.object({ step: z.string(), name: z.string(), words: z.string(), mayBeIn: z.boolean() })),
  remarks: z.array(z.string()),
  worth: z.number(),
}) satisfies z.ZodType<SessionPlan>

const NoticeSchema = z.object({
  tone: z.enum(['stop', 'due', 'soon']),
  about: z.enum([...CHECK_KINDS, 'incident', 'itself', 'care', 'measuring']),
  words: z.string(),
}) satisfies z.ZodType<Notice>

export const Overrule = z.object({
  id: Id,
  gate: z.string(),
  day: Day,
  verdict: z.enum(['check-first', 'not-yet']),
  reason: z.string(),
  byName: z.string(),
  takenBack: z.boolean().default(false),
})

/** What stops and plans read beside the tracks. */
export const FactsSchema = z.object({
  born: Day.nullable(),
  checks: z.array(
    z.object({
      kind: z.enum(CHECK_KINDS),
      on: Day,
      until: Day.nullable(),
      passed: z.boolean(),
      leaves: z.enum(LEAVES).nullable().default(null),
    }),
  ),
  incidents: z.array(
    z.object({
      kind: z.enum(INCIDENT_KINDS),
      on: Day,
      step: z.string().nullable(),
      rung: z.number().nullable().default(null),
      mounted: z.boolean().default(false),
      fell: z.boolean().default(false),
      hurt: z.enum(HURT).default('none'),
    }),
  ),
  /** What was confirmed at the pen today. */
  confirmed: z.array(z.enum(CONFIRMATIONS)),
  handOver: z.array(z.string()),
  known: z.array(z.object({ step: z.string(), rung: z.number().int(), on: Day })),
  offWork: z.string().nullable(),
  age: z.object({ lowMonths: z.number(), highMonths: z.number(), on: Day }).nullable().default(null),
  sex: z.string().default(''),
  kind: z.string().default(''),
  feral: z.boolean().default(false),
  bitted: z.boolean().default(false),
  rides: z.number().int().default(0),
  rideMinutes: z.number().nullable().default(null),
  loadDays: z.number().int().default(0),
  rider: z.object({ kg: z.number(), tackKg: z.number() }).nullable().default(null),
  weightKg: z.number().nullable().default(null),
  conditionScore: z.number().nullable().default(null),
  heat: z.enum(['go-on', 'shorter', 'walk-only', 'not-today']).nullable().default(null),
  leastAges: z
    .array(z.object({ about: z.enum(LAW_AGES), months: z.number().int(), source: z.string() }))
    .default([]),
  overruled: z.array(z.object({ gate: z.string(), byName: z.string() })).default([]),
}) satisfies z.ZodType<Facts>

/** A horse's whole path on one day. */
export const Line = z.object({
  horse: Horse,
  day: Day,
  tracks: z.array(z.object({ step: z.string(), side: SideSchema, view: TrackViewSchema })),
  gates: z.array(GateVerdictSchema),
  overrules: z.array(Overrule),
  plan: SessionPlanSchema,
  /** What somebody has arranged of it, on whichever device. */
  arranged: Arrangement.nullable().default(null),
  facts: FactsSchema,
  /** What keeps the horse from more than it may be asked today, the gravest first. */
  shut: z.array(ShutSchema).default([]),
  /** What checks and incidents say today. */
  notices: z.array(NoticeSchema),
  /** Days with answers, and days since it came: two counters that never mix. */
  workDays: z.number().int(),
  calendarDays: z.number().int(),
  /** Load days among the six before this one. */
  loadDays: z.number().int(),
})

/** What Today tells of a plan. */
export const PlannedDay = SessionPlanSchema.pick({ rests: true, reason: true, minutes: true })
export type PlannedDay = z.infer<typeof PlannedDay>

/** One row of today's running order. */
export const TodayRow = z.object({
  horse: Horse,
  /** As it was arranged; nothing while it is still being worked out, on a morning when a large yard asks first. */
  plan: PlannedDay.nullable(),
  /** Answers kept today. */
  answersToday: z.number().int(),
})

export const Change = z.object({
  step: z.string(),
  side: SideSchema,
  from: z.enum(STATE_NAMES),
  to: z.enum(STATE_NAMES),
  chanceBefore: z.number(),
  chanceAfter: z.number(),
  answers: z.number().int(),
  /** Nobody asked it on that day, in this session or another. */
  timeAlone: z.boolean().default(false),
})

export const SessionChanges = z.object({
  changes: z.array(Change),
  /** What the plan of that day held and the session did not: sides, steps. */
  leftOut: z.array(z.string()),
  next: z.string(),
})

export const WeekRow = z.object({
  horseId: Id,
  horseName: z.string(),
  days: z.array(z.object({ day: Day, answers: z.number().int() })),
  goingStale: z.array(z.object({ name: z.string(), side: SideSchema, days: z.number().int() })),
})

/** What a horse waits for: what is due or shut, its next gate, and who worked it last. */
export const DueRow = z.object({
  horseId: Id,
  horseName: z.string(),
  notices: z.array(NoticeSchema),
  gate: z
    .object({
      gate: z.string(),
      name: z.string(),
      verdict: z.enum(['go', 'check-first', 'not-yet', 'stop']),
      holding: z.number().int(),
      tracks: z.number().int(),
    })
    .nullable(),
  lastBy: Id.nullable(),
})

export type DueRow = z.infer<typeof DueRow>
export type Line = z.infer<typeof Line>
export type TodayRow = z.infer<typeof TodayRow>
export type Overrule = z.infer<typeof Overrule>
export type Change = z.infer<typeof Change>
export type SessionChanges = z.infer<typeof SessionChanges>
export type WeekRow = z.infer<typeof WeekRow>
