import { z } from 'zod'
import { Day, Id, Instant, Name, StepKey, Text, versionFrom, words } from './primitives'

export const SEXES = ['filly', 'mare', 'colt', 'gelding', 'entire'] as const
export const KINDS = ['horse', 'pony', 'cob', 'mule', 'donkey'] as const

/** An age nobody has papers for: its bounds on the day they were said, and how they are known. */
export const Estimate = z
  .object({
    lowMonths: z.number().int().min(0, 'Not below nought.').max(600, 'At most fifty years.'),
    highMonths: z.number().int().min(0, 'Not below nought.').max(600, 'At most fifty years.'),
    on: Day,
    how: words(200).trim(),
  })
  .refine(({ lowMonths, highMonths }) => lowMonths <= highMonths, {
    message: 'The bounds are turned round: at least is more than at most.',
    path: ['highMonths'],
  })

export const GONE = ['sold', 'home', 'died', 'other'] as const

/** Why a horse is not in the yard any more, and since when. */
export const Archived = z.object({
  on: Day,
  reason: z.enum(GONE),
  note: words(200).trim(),
})

export const PutArchived = z.object({ archived: Archived.nullable(), version: versionFrom(1) })

/** What a person writes of a horse. */
export const HorseForm = z.object({
  name: Name,
  born: Day.nullable(),
  sex: z.enum(SEXES, 'Filly, mare, colt, gelding or entire.'),
  kind: z.enum(KINDS, 'Horse, pony, cob, mule or donkey.'),
  marks: Text,
  origin: Text,
  handled: z.boolean(),
  arrived: Day,
  /** Read where the day of birth is not known. */
  estimate: Estimate.nullable().default(null),
  /** Feral, or taken off a herd. */
  feral: z.boolean().default(false),
  /** Ridden in a bit. */
  bitted: z.boolean().default(false),
  /** At the wither. */
  heightCm: z.number().min(30, 'From 30 to 230 cm.').max(230, 'From 30 to 230 cm.').nullable().default(null),
})

export const PutHorse = HorseForm.extend({
  /** The version this edit was made from; 0 for a new horse. */
  version: versionFrom(0),
  /** The school it is to be worked by; as it is, or Feet First for a new horse, where none is said. */
  school: StepKey.optional(),
})

/** The steps it is to leave with. */
const HandOverSteps = z.array(StepKey).max(200)

export const PutHandOver = z.object({ steps: HandOverSteps, version: versionFrom(1) })

/** Values that a yard's log has moved from the defaults. */
export const FittedValues = z.object({
  startMean: z.number(),
  startSd: z.number(),
  talentSd: z.number(),
  speedMean: z.number(),
  noise: z.number(),
  cold: z.number(),
  rungStep: z.number(),
})

export const Horse = HorseForm.extend({
  id: Id,
  version: z.number().int(),
  programId: Id,
  school: StepKey,
  schoolName: z.string(),
  handOver: HandOverSteps,
  archived: Archived.nullable().default(null),
  /** The version of the yard's own values that it is judged by; `null` for the defaults. */
  judgedBy: z.object({ version: z.number().int(), values: FittedValues }).nullable().default(null),
  createdAt: Instant,
})

export type HorseForm = z.infer<typeof HorseForm>
export type PutHorse = z.infer<typeof PutHorse>
export type Horse = z.infer<typeof Horse>
