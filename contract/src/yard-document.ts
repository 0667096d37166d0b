import { BLOCK_KINDS } from '@still-pine/core/blocks'
import { z } from 'zod'
import { ANSWER_DETAILS } from './answer-details'
import { ArrivalResult, Snapshot } from './blocks'
import { CHECK_TOLD, CONFIRMATIONS, INCIDENT_TOLD } from './care'
import { CircumstancesSchema, Promised } from './circumstances'
import { MEDIA_TYPES, PutAttachment } from './attachments'
import { PutEntry } from './entries'
import { Archived, HorseForm } from './horses'
import { PutMeasurement } from './measurements'
import { TimeZone } from './people'
import { PlaceForm } from './places'
import {
  CalmSchema,
  Day,
  GradeSchema,
  Id,
  Instant,
  Name,
  PlaceSchema,
  RungMark,
  SideSchema,
  Sign,
  StepKey,
  Text,
  AnyRecord,
  measure,
  versionFrom,
  words,
} from './primitives'
import { ProgramSchema } from './program'
import { ROLES } from './rights'
import { ArrangedPart, PlannedVisit, PlannedWeekWords } from './weeks'

/** The name and the version of the format; a reader refuses a version it does not know. */
export const YARD_FORMAT = 'still-pine-yard'
export const YARD_FORMAT_VERSION = 7

/** Who took a record back, when and why. */
const WithdrawnRecord = z
  .object({ at: Instant, person: Id, because: words(200) })
  .nullable()
  .default(null)

/** The parts of a yard's document, in the order in which they stand: each names only what stands before it. */
export const YARD_PARTS = {
  programs: z.object({ document: ProgramSchema }),
  people: z.object({ id: Id, name: Name, role: z.enum(ROLES) }),
  places: PlaceForm.extend({ id: Id, version: versionFrom(1) }),
  horses: HorseForm.extend({
    id: Id,
    school: StepKey,
    schoolVersion: versionFrom(1),
    archived: Archived.nullable().default(null),
    handOver: z.array(StepKey).max(200),
    version: versionFrom(1),
    createdAt: Instant,
  }),
  owners: z.object({ horse: Id, person: Id }),
  sessions: z.object({
    id: Id,
    horse: Id,
    person: Id,
    startedAt: Instant,
    day: Day,
    place: words(80).nullable(),
    note: Text,
    confirmedAt: Instant.nullable(),
    circumstances: CircumstancesSchema,
    promised: Promised,
  }),
  answers: z.object({
    id: Id,
    horse: Id,
    session: Id,
    person: Id,
    step: StepKey,
    side: SideSchema,
    rung: RungMark,
    grade: GradeSchema,
    calm: CalmSchema.nullable(),
    at: Instant,
    day: Day,
    phoneAt: Instant,
    ahead: z.boolean(),
    byChance: z.boolean(),
    recalled: z.boolean(),
    uncued: z.boolean(),
    place: PlaceSchema.nullable(),
    moving: z.boolean(),
    seconds: measure(86_400).nullable(),
    fault: words(200).nullable(),
    sign: Sign.nullable(),
    ...ANSWER_DETAILS,
    replaces: Id.nullable(),
  }),
  voidings: z.object({ id: Id, answer: Id, person: Id, at: Instant, reason: words(200) }),
  checks: z.object({ id: Id, horse: Id, person: Id, ...CHECK_TOLD, withdrawn: WithdrawnRecord }),
  incidents: z.object({ id: Id, horse: Id, person: Id, ...INCIDENT_TOLD, withdrawn: WithdrawnRecord }),
  /** How checks and incidents were worded before they were corrected. */
  corrections: z.object({
    id: Id,
    of: z.enum(['check', 'incident']),
    record: Id,
    person: Id,
    at: Instant,
    because: words(200),
    was: AnyRecord,
  }),
  confirmations: z.object({
    horse: Id,
    day: Day,
    confirmed: z.array(z.enum(CONFIRMATIONS)),
    person: Id,
  }),
  overrules: z.object({
    id: Id,
    horse: Id,
    person: Id,
    gate: StepKey,
    day: Day,
    verdict: z.enum(['check-first', 'not-yet']),
    reason: words(1000),
    at: Instant,
    takenBack: z.boolean().default(false),
  }),
  /** Their files stand beside the document, in the ZIP it comes in, each under its id. */
  attachments: PutAttachment.safeExtend({
    id: Id,
    horse: Id,
    person: Id,
    day: Day,
    /** What its file is by its own content; null where it has not come. */
    type: z.enum(MEDIA_TYPES).nullable().default(null),
  }),
  measurements: PutMeasurement.safeExtend({ id: Id, horse: Id, person: Id }),
  entries: z.object({ id: Id, horse: Id, person: Id, entry: PutEntry }),
  arrivals: z.object({ id: Id, horse: Id, person: Id, on: Day, result: ArrivalResult }),
  blocks: z.object({
    id: Id,
    horse: Id,
    person: Id,
    kind: z.enum(BLOCK_KINDS),
    from: Day,
    until: Day.nullable(),
    worries: Text,
    reward: Text,
    note: Text,
    snapshot: Snapshot.nullable(),
    version: versionFrom(1),
  }),
  /** What is arranged for every week; the rules are those of the yard, whatever their id. */
  arranged: ArrangedPart,
  weeks: z.object({
    firstDay: Day,
    person: Id,
    at: Instant,
    week: PlannedWeekWords,
    version: versionFrom(1),
  }),
  visits: PlannedVisit.omit({ horseId: true, leadId: true, helperId: true, placeId: true }).extend({
    week: Day,
    horse: Id,
    lead: Id,
    helper: Id.nullable(),
    place: Id.nullable(),
    sequence: z.number().int().min(0).max(1_000_000),
    changedAt: Instant,
    takenOff: z.boolean(),
  }),
} as const

export type YardPart = keyof typeof YARD_PARTS
export type YardRecord<P extends YardPart> = z.output<(typeof YARD_PARTS)[P]>

export const YARD_PART_NAMES = Object.keys(YARD_PARTS) as YardPart[]

export const YardHead = z.object({
  format: z.literal(YARD_FORMAT),
  version: z.literal(YARD_FORMAT_VERSION),
  yard: z.object({ name: Name, timeZone: TimeZone }),
})

/** A whole yard as one JSON document. */
export const YardDocument = YardHead.extend({
  programs: z.array(YARD_PARTS.programs),
  people: z.array(YARD_PARTS.people),
  places: z.array(YARD_PARTS.places),
  horses: z.array(YARD_PARTS.horses),
  owners: z.array(YARD_PARTS.owners),
  sessions: z.array(YARD_PARTS.sessions),
  answers: z.array(YARD_PARTS.answers),
  voidings: z.array(YARD_PARTS.voidings),
  checks: z.array(YARD_PARTS.checks),
  incidents: z.array(YARD_PARTS.incidents),
  corrections: z.array(YARD_PARTS.corrections).default([]),
  confirmations: z.array(YARD_PARTS.confirmations),
  overrules: z.array(YARD_PARTS.overrules),
  attachments: z.array(YARD_PARTS.attachments).default([]),
  measurements: z.array(YARD_PARTS.measurements).default([]),
  entries: z.array(YARD_PARTS.entries).default([]),
  arrivals: z.array(YARD_PARTS.arrivals),
  blocks: z.array(YARD_PARTS.blocks),
  arranged: z.array(YARD_PARTS.arranged).default([]),
  weeks: z.array(YARD_PARTS.weeks).default([]),
  visits: z.array(YARD_PARTS.visits).default([]),
})

/** One answer of a log from elsewhere, as it is brought in: a horse is named by its id here. */
export const ImportedAnswer = YARD_PARTS.answers
  .pick({
    step: true,
    side: true,
    rung: true,
    grade: true,
    calm: true,
    at: true,
    byChance: true,
    recalled: true,
    uncued: true,
    place: true,
    moving: true,
    fault: true,
    sign: true,
    ending: true,
    slip: true,
    zone: true,
  })
  .extend({
    id: Id,
    horseId: Id,
    /** Answers of one session share this. */
    sessionId: Id,
  })

export const ImportedSession = z.object({
  id: Id,
  horseId: Id,
  startedAt: Instant,
  place: words(80).nullable(),
  note: Text,
})

/** One line of a log that is brought in; sessions stand before their answers. */
export const ImportedLine = z.discriminatedUnion('do', [
  z.object({ do: z.literal('session'), session: ImportedSession }),
  z.object({ do: z.literal('answer'), line: z.number().int(), answer: ImportedAnswer }),
])

/** What a long bringing-in says while it runs, one line at a time; the last is `done` or `problem`. */
export type Progress =
  | { readonly step: 'reading'; readonly answers: number }
  | { readonly step: 'judging'; readonly horses: number; readonly of: number }
  | { readonly step: 'done'; readonly answers: number; readonly horses: number }
  | { readonly step: 'problem'; readonly title: string; readonly reasons: readonly string[] }

export type ImportedLine = z.infer<typeof ImportedLine>
