import { z } from 'zod'
import { ANSWER_DETAILS } from './answer-details'
import { Arrangement } from './arrangement'
import { PutAttachment } from './attachments'
import { CONFIRMATIONS, PutIncident } from './care'
import { CircumstancesSchema, Promised } from './circumstances'
import { PutEntry } from './entries'
import { PutMeasurement } from './measurements'
import {
  CalmSchema,
  ClockTime,
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
  measure,
  words,
} from './primitives'

const ANSWER = {
  id: Id,
  horseId: Id,
  sessionId: Id,
  step: StepKey,
  side: SideSchema,
  rung: RungMark,
  grade: GradeSchema,
  calm: CalmSchema.nullable(),
  /** The phone's clock when the answer was given. */
  at: Instant,
  byChance: z.boolean().default(false),
  recalled: z.boolean().default(false),
  uncued: z.boolean().default(false),
  place: PlaceSchema.nullable().default(null),
  moving: z.boolean().default(false),
  /** Seconds to the answer, to settle, or of a hold; none lasts longer than four hours. */
  seconds: measure(14_400, 'At most four hours, in seconds.').nullable().default(null),
  fault: words(200).nullable().default(null),
  sign: Sign.nullable().default(null),
  ...ANSWER_DETAILS,
  /** The answer this one corrects. */
  replaces: Id.nullable().default(null),
} as const

/** One answer as it is logged. */
export const NewAnswer = z.object(ANSWER).refine(({ id, replaces }) => id !== replaces, {
  message: 'An answer cannot correct itself.',
  path: ['replaces'],
})

export const NewSession = z.object({
  id: Id,
  horseId: Id,
  startedAt: Instant,
  place: Name.nullable().default(null),
  circumstances: CircumstancesSchema,
  promised: Promised,
})

/** One thing to keep; a batch is kept item by item, in order, and says of each what became of it. */
export const BatchItem = z.discriminatedUnion('do', [
  z.object({ do: z.literal('session'), session: NewSession }),
  z.object({ do: z.literal('add'), answer: NewAnswer }),
  z.object({
    do: z.literal('void'),
    id: Id,
    answerId: Id,
    reason: words(200).trim().min(1),
    at: Instant,
  }),
  z.object({ do: z.literal('incident'), id: Id, horseId: Id, incident: PutIncident }),
  /** A session is confirmed, with what is noted on it. */
  z.object({ do: z.literal('note'), id: Id, sessionId: Id, note: Text, at: Instant }),
  /** How a session was; the newest word stands. */
  z.object({
    do: z.literal('circumstances'),
    id: Id,
    sessionId: Id,
    circumstances: CircumstancesSchema,
    at: Instant,
  }),
  /** How a horse's session is arranged for a day; the newest word stands. */
  z.object({
    do: z.literal('arrange'),
    id: Id,
    horseId: Id,
    day: Day,
    arrangement: Arrangement,
    at: Instant,
  }),
  /** A picture, clip or spoken note of a horse; the newest word on it stands, its file follows by itself. */
  z.object({ do: z.literal('attach'), id: Id, horseId: Id, attachment: PutAttachment }),
  /** What was measured of a horse; the newest word on it stands. */
  z.object({ do: z.literal('measure'), id: Id, horseId: Id, measurement: PutMeasurement }),
  /** What is told of a horse beside its answers; the newest word on it stands. */
  z.object({ do: z.literal('enter'), id: Id, horseId: Id, entry: PutEntry }),
  /** What was confirmed at the pen on a day; the newest word stands. */
  z.object({
    do: z.literal('confirm'),
    id: Id,
    horseId: Id,
    day: Day,
    confirmed: z.array(z.enum(CONFIRMATIONS)),
  }),
])

export const Batch = z.object({
  /** Whose batch it is; refused where somebody else is signed in by now. */
  personId: Id.optional(),
  /** The phone's clock when the batch was sent; the server's clock less this corrects a wrong one. */
  sentAt: ClockTime,
  items: z.array(z.unknown()).min(1).max(500, 'At most 500 items in one batch.'),
})

export const BatchReply = z.object({
  items: z.array(
    z.object({
      /** The id of what was sent; empty when it could not be read. */
      id: z.string(),
      status: z.enum(['kept', 'already', 'refused']),
      /** Why it was refused, for a person to read. */
      reason: z.string().optional(),
      path: z.string().optional(),
      /** The answer lies ahead of the server's clock and was kept all the same. */
      ahead: z.boolean().optional(),
    }),
  ),
})

export const SavedAnswer = z.object({
  ...ANSWER,
  day: Day,
  personName: z.string(),
  ahead: z.boolean(),
  voided: z.object({ at: Instant, byName: z.string(), reason: z.string() }).nullable(),
})

/** An answer that stands, as evidence is read from it. */
export const EvidenceAnswer = SavedAnswer.omit({
  horseId: true,
  zone: true,
  slip: true,
  aids: true,
  replaces: true,
  ahead: true,
  voided: true,
})

/** An answer that was asked for, as a page of one step draws it: there may be thousands. */
export const StepAnswer = EvidenceAnswer.pick({
  sessionId: true,
  side: true,
  rung: true,
  grade: true,
  calm: true,
  day: true,
  place: true,
  seconds: true,
  fault: true,
  ending: true,
  peakNewtons: true,
  releaseSeconds: true,
  personName: true,
  against: true,
  why: true,
})

/** What evidence is told apart by: the session it is of. */
export const EvidenceSession = z.object({
  id: Id,
  day: Day,
  place: z.string().nullable(),
  circumstances: CircumstancesSchema,
  promised: Promised,
})

export const Session = z.object({
  id: Id,
  horseId: Id,
  horseName: z.string(),
  personName: z.string(),
  startedAt: Instant,
  day: Day,
  place: z.string().nullable(),
  note: z.string(),
  confirmedAt: Instant.nullable(),
  circumstances: CircumstancesSchema,
  promised: Promised,
  answers: z.number().int(),
  /** Answers of it that were not to be asked that day. */
  against: z.number().int().default(0),
  /** Another session of this horse runs over the same minutes. */
  overlaps: z.boolean(),
})

export type NewAnswer = z.infer<typeof NewAnswer>
export type NewSession = z.infer<typeof NewSession>
export type BatchItem = z.infer<typeof BatchItem>
export type BatchReply = z.infer<typeof BatchReply>
export type EvidenceAnswer = z.infer<typeof EvidenceAnswer>
export type StepAnswer = z.infer<typeof StepAnswer>
export type EvidenceSession = z.infer<typeof EvidenceSession>
export type SavedAnswer = z.infer<typeof SavedAnswer>
export type Session = z.infer<typeof Session>
