import { z } from 'zod'
import { Day, Id, SideSchema, StepKey, Text } from './primitives'

export const CHECK_KINDS = ['mouth', 'saddle', 'veterinary-hold', 'feet', 'worming'] as const
export const INCIDENT_KINDS = ['kick', 'strike', 'rear', 'bolt', 'buck', 'pull-back', 'fall', 'bite'] as const

export const PutCheck = z
  .object({
    kind: z.enum(CHECK_KINDS),
    on: Day,
    until: Day.nullable(),
    passed: z.boolean(),
    note: Text,
  })
  .refine(({ on, until }) => until === null || until >= on, {
    message: 'It ends before it begins.',
    path: ['until'],
  })

export const Check = z.object({
  id: Id,
  kind: z.enum(CHECK_KINDS),
  on: Day,
  until: Day.nullable(),
  passed: z.boolean(),
  note: z.string(),
})

export const PutIncident = z.object({
  kind: z.enum(INCIDENT_KINDS),
  on: Day,
  step: StepKey.nullable(),
  side: SideSchema.nullable(),
  /** A person was up, or the horse fell: the gates above it shut. */
  serious: z.boolean(),
  where: Text,
  before: Text,
  after: Text,
})

export const Incident = PutIncident.extend({ id: Id })

export const CONFIRMATIONS = ['helper', 'helmet', 'safe-rail', 'company', 'rider-share'] as const

/** What was confirmed at the pen, for that day only. */
export const PutConfirmations = z.object({
  confirmed: z.array(z.enum(CONFIRMATIONS)),
})

export const PutOverrule = z.object({
  gate: StepKey,
  reason: z.string().trim().min(10, 'Say in a sentence why: at least 10 characters.').max(1000),
})

export type Check = z.infer<typeof Check>
export type Incident = z.infer<typeof Incident>
