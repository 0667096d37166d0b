import type { CircumstanceGroup, Difference, Group, NearestGate, TenthTally } from '@still-pine/core/evidence'
import { CIRCUMSTANCE_KINDS } from '@still-pine/core/circumstances'
import { z } from 'zod'
import { EvidenceSession, StepAnswer } from './answers'
import { STATE_NAMES } from './judgement'
import { FittedValues, Horse } from './horses'
import { Day, Id, Instant, SideSchema } from './primitives'

const TenthTallySchema = z.object({
  tenth: z.number().int().min(0).max(9),
  predictions: z.number().int(),
  said: z.number(),
  came: z.number().int(),
  squared: z.number(),
}) satisfies z.ZodType<TenthTally>

const GroupSchema = z.object({
  value: z.string(),
  sessions: z.number().int(),
  asks: z.number().int(),
  light: z.number().int(),
  said: z.number(),
}) satisfies z.ZodType<Group>

const CircumstanceGroupSchema = GroupSchema.extend({
  kind: z.enum([...CIRCUMSTANCE_KINDS, 'kit']),
}) satisfies z.ZodType<CircumstanceGroup>

/** One step over its whole history, as it stands. */
export const StepEvidence = z.object({
  day: Day,
  /** Oldest first. */
  answers: z.array(StepAnswer),
  /** How the sessions of these answers were. */
  sessions: z.array(EvidenceSession.pick({ id: true, circumstances: true })),
  /** The chance of a light first ask over the days, up to today and with rest alone after it; one list a side. */
  sides: z.array(
    z.object({ side: SideSchema, moments: z.array(z.object({ day: Day, chance: z.number() })) }),
  ),
  circumstances: z.array(CircumstanceGroupSchema),
})

/** Predictions against what came, summed up; and first asks by what was noted of their sessions. */
export const PREDICTIONS_ABOUT = ['light', 'calm', 'earlier'] as const
/** Light answers, answers that are not tight, and light ones as an earlier law said them. */
export type PredictionsAbout = (typeof PREDICTIONS_ABOUT)[number]

/** Values found in a yard's log, with how well they said the days that were held out. */
export const FitVersion = z.object({
  version: z.number().int(),
  madeAt: Instant,
  answers: z.number().int(),
  values: FittedValues,
  /** Mean log-likelihood of an answer on the days held out: with these values, and with those in use then. */
  heldOut: z.number(),
  inUse: z.number(),
  isInUse: z.boolean(),
})

/** The version the yard judges by from now on; `null` goes back to the defaults. */
export const PutFit = z.object({ version: z.number().int().min(1).max(1_000_000).nullable() })

export const Judging = z.object({
  day: Day,
  groups: z.array(
    z.object({
      about: z.enum(PREDICTIONS_ABOUT),
      school: z.string(),
      schoolName: z.string(),
      stage: z.number().int(),
      personId: Id,
      personName: z.string(),
      tallies: z.array(TenthTallySchema),
    }),
  ),
  circumstances: z.array(CircumstanceGroupSchema),
  /** What the yard's own log was found to say of its horses, newest first. */
  fits: z.array(FitVersion).default([]),
  /** Forecasts that were shown, the newest first, to be held against what came. */
  forecasts: z
    .array(
      z.object({
        horseId: Id,
        horseName: z.string(),
        name: z.string(),
        on: Day,
        horizonDays: z.number().int(),
        days: z.array(z.number().int().nullable()),
        cameOn: Day.nullable(),
      }),
    )
    .default([]),
  /** Horses that are being worked out anew, by another law or other values; until then they stand as they did. */
  toRemake: z.number().int().default(0),
})

const NearestGateSchema = z.object({
  gate: z.string(),
  name: z.string(),
  verdict: z.enum(['go', 'check-first', 'not-yet', 'stop']),
  sentence: z.string(),
  holding: z.number().int(),
  tracks: z.number().int(),
  heldBy: z.array(
    z.object({
      step: z.string(),
      name: z.string(),
      side: SideSchema,
      state: z.enum(STATE_NAMES),
      daysWorked: z.number().int(),
      since: Day.nullable(),
    }),
  ),
}) satisfies z.ZodType<NearestGate>

const IntervalSchema = z.object({ low: z.number(), high: z.number() }) satisfies z.ZodType<
  Difference['spread']
>

/** Every horse's nearest gate, and the steps that several horses are weak on. */
export const YardReading = z.object({
  day: Day,
  horses: z.array(
    z.object({
      horseId: Id,
      horseName: z.string(),
      programId: Id,
      judgedBy: Horse.shape.judgedBy,
      nearest: NearestGateSchema.nullable(),
    }),
  ),
  gaps: z.array(
    z.object({
      step: z.string(),
      name: z.string(),
      horses: z.number().int(),
      weak: z.array(z.string()),
      spread: IntervalSchema,
      /** First asks of this step by each person who gave any. */
      handlers: z.array(GroupSchema.omit({ sessions: true })),
    }),
  ),
})

export type StepEvidence = z.infer<typeof StepEvidence>
export type FitVersion = z.infer<typeof FitVersion>
export type Judging = z.infer<typeof Judging>
export type YardReading = z.infer<typeof YardReading>
