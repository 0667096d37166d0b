import { BLOCK_KINDS } from '@still-pine/core/blocks'
import { z } from 'zod'
import { SavedAnswer } from './answers'
import { Arrangement } from './arrangement'
import { Attachment } from './attachments'
import { Check, CONFIRMATIONS, Incident } from './care'
import { Entry } from './entries'
import { Horse } from './horses'
import { Overrule } from './judgement'
import { Measurement } from './measurements'
import { Day, Id, StepKey } from './primitives'

/** How far a device has read a horse's history: the last answer and the last taking back it knows. */
export const Cursor = z.object({
  answers: z.coerce.number().int().min(0).default(0),
  voidings: z.coerce.number().int().min(0).default(0),
})

/** An answer that stands, with its place in the order of keeping. */
export const CarriedAnswer = SavedAnswer.omit({ horseId: true, voided: true }).extend({
  seq: z.number().int(),
})

/** What a device takes along of a horse, so that it can judge it without signal. */
export const Carry = z.object({
  horse: Horse,
  day: Day,
  checks: z.array(Check),
  incidents: z.array(Incident),
  attachments: z.array(Attachment).default([]),
  measurements: z.array(Measurement).default([]),
  entries: z.array(Entry).default([]),
  /** What was confirmed at the pen on that day. */
  confirmed: z.array(z.enum(CONFIRMATIONS)),
  overrules: z.array(Overrule),
  /** How its session is arranged for that day. */
  arranged: Arrangement.nullable().default(null),
  /** Days it was ridden off the lead since the last incident that closed it. */
  rides: z.number().int().default(0),
  /** The block it is in, where one is open. */
  block: z.object({ kind: z.enum(BLOCK_KINDS), from: Day }).nullable(),
  /** What its last arrival check showed. */
  known: z.array(z.object({ step: StepKey, rung: z.number().int(), on: Day })),
  /** Answers kept since the cursor, in the order they were kept. */
  answers: z.array(CarriedAnswer),
  /** Answers taken back since the cursor, whether the device knows them or not. */
  voided: z.array(Id),
  cursor: z.object({ answers: z.number().int(), voidings: z.number().int() }),
  /** There is more: ask again from the cursor. */
  more: z.boolean(),
})

export type Cursor = z.infer<typeof Cursor>
export type CarriedAnswer = z.infer<typeof CarriedAnswer>
export type Carry = z.infer<typeof Carry>
