import { z } from 'zod'
import { STATE_NAMES } from './judgement'
import { Id, Instant, SideSchema, StepKey, versionFrom } from './primitives'
import { ProgramSchema } from './program'

/** One version of a school in this yard. */
export const SchoolVersion = z.object({
  programId: Id,
  version: z.number().int(),
  madeAt: Instant.nullable(),
  madeBy: z.string().nullable(),
  /** Horses that are worked by this version now. */
  horses: z.array(z.object({ id: Id, name: z.string(), version: z.number().int() })),
})

/** A school that ships, or one of the yard’s own; versions newest first, none of a shipped one nobody has used. */
export const School = z.object({
  school: StepKey,
  name: z.string(),
  ships: z.boolean(),
  copyOf: StepKey.nullable(),
  /** The version that came with a newer product, where the yard works by an older one. */
  offered: z.number().int().nullable(),
  versions: z.array(SchoolVersion),
})

export const PutProgram = z.object({
  /** The version the edit was made from; 0 for a new school. */
  basedOn: versionFrom(0),
  program: ProgramSchema,
})

const Standing = z.object({ state: z.enum(STATE_NAMES), holdsToRung: z.number().int() }).nullable()

/** What becomes of a horse’s tracks when it moves to another program; what stays as it is is left out. */
export const MoveOver = z.object({
  programId: Id,
  name: z.string(),
  version: z.number().int(),
  steps: z.array(
    z.object({
      step: StepKey,
      name: z.string(),
      changes: z.array(z.string()),
      tracks: z.array(
        z.object({ side: SideSchema, answers: z.number().int(), before: Standing, after: Standing }),
      ),
    }),
  ),
})

export const PutHorseProgram = z.object({ programId: Id, version: versionFrom(1) })

export type School = z.infer<typeof School>
export type SchoolVersion = z.infer<typeof SchoolVersion>
export type PutProgram = z.infer<typeof PutProgram>
export type MoveOver = z.infer<typeof MoveOver>

export const SCHOOL_FORMAT = 'still-pine-school'

/** One school as a file of its own. */
export const SchoolDocument = z.object({
  format: z.literal(SCHOOL_FORMAT, 'This is not a school of Still Pine.'),
  version: z.literal(1, 'This version of the format is not known here.'),
  program: ProgramSchema,
})

export type SchoolDocument = z.infer<typeof SchoolDocument>
