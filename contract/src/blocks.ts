import { BLOCK_KINDS } from '@still-pine/core/blocks'
import { z } from 'zod'
import { STATE_NAMES } from './judgement'
import { Report } from './reports'
import { Day, Id, SideSchema, StepKey, Text, versionFrom } from './primitives'

export const Snapshot = z.object({
  day: Day,
  school: z.string(),
  schoolVersion: z.number().int(),
  workDays: z.number().int(),
  calendarDays: z.number().int(),
  tracks: z
    .array(
      z.object({
        step: StepKey,
        name: z.string(),
        side: SideSchema,
        state: z.enum(STATE_NAMES),
        holdsToRung: z.number().int(),
        holds: z.string(),
        chance: z.number(),
        calmChance: z.number(),
        answers: z.number().int(),
        lastDay: Day.nullable(),
      }),
    )
    .max(2000),
  worries: z.array(z.string()).max(2000),
  keepChecking: z.array(z.string()).max(200),
  /** What was asked though it was not to be, and what was said of it. */
  against: z
    .array(z.object({ day: Day, name: z.string(), words: z.string(), why: z.string().nullable() }))
    .max(500)
    .default([]),
})

const BlockForm = z.object({
  kind: z.enum(BLOCK_KINDS),
  from: Day,
  until: Day.nullable(),
  /** In the words of who worked it, told when it is closed. */
  worries: Text,
  reward: Text,
  note: Text,
})

export const PutBlock = BlockForm.extend({
  /** The version this edit was made from; 0 for a new block. */
  version: versionFrom(0),
}).refine(({ from, until }) => until === null || until >= from, {
  message: 'It ends before it begins.',
  path: ['until'],
})

export const Block = BlockForm.extend({
  id: Id,
  version: z.number().int(),
  byName: z.string(),
  /** Frozen when it was closed. */
  snapshot: Snapshot.nullable(),
})

const NamedStep = z.object({ step: StepKey, name: z.string() })

/** What an arrival check showed. */
export const ArrivalResult = z.object({
  school: z.string(),
  asked: z.number().int(),
  failed: z.array(NamedStep),
  known: z.array(
    NamedStep.extend({
      rung: z.number().int(),
      rungName: z.string(),
      how: z.enum(['shown', 'below']),
    }),
  ),
  opens: z.array(NamedStep),
  end: z.string(),
})

export const Arrival = z.object({ id: Id, on: Day, byName: z.string(), result: ArrivalResult })

/** Keeps what the answers of a day show, asked as an arrival check. */
export const PutArrival = z.object({ on: Day })

/** Whose horse it is, where somebody’s. */
export const HorseOwner = z.object({ owner: z.object({ id: Id, name: z.string() }).nullable() })
export const PutOwner = z.object({ personId: Id.nullable() })

/** What an owner is told of a horse: how it arrived, its blocks, and how it stood at the end of each. */
export const OwnersReport = z.object({
  id: Id,
  name: z.string(),
  arrival: Arrival.nullable(),
  blocks: z.array(Block),
  /** How it stands today, and what was done of late. */
  now: Report.nullable().default(null),
})

export type OwnersReport = z.infer<typeof OwnersReport>
export type Block = z.infer<typeof Block>
export type PutBlock = z.infer<typeof PutBlock>
export type Arrival = z.infer<typeof Arrival>
export type ArrivalResult = z.infer<typeof ArrivalResult>
