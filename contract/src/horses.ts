import { z } from 'zod'
import { Day, Id, Instant, Name, StepKey, Text } from './primitives'

export const SEXES = ['mare', 'gelding', 'entire'] as const
export const KINDS = ['horse', 'pony', 'cob', 'mule', 'donkey'] as const

/** What a person writes of a horse. */
export const HorseForm = z.object({
  name: Name,
  born: Day.nullable(),
  sex: z.enum(SEXES, 'Mare, gelding or entire.'),
  kind: z.enum(KINDS, 'Horse, pony, cob, mule or donkey.'),
  marks: Text,
  origin: Text,
  handled: z.boolean(),
  arrived: Day,
})

export const PutHorse = HorseForm.extend({
  /** The version this edit was made from; 0 for a new horse. */
  version: z.number().int().min(0),
  /** The school it is to be worked by; as it is, or Feet First for a new horse, where none is said. */
  school: StepKey.optional(),
})

/** The steps it is to leave with. */
const HandOverSteps = z.array(StepKey).max(200)

export const PutHandOver = z.object({ steps: HandOverSteps, version: z.number().int().min(1) })

export const Horse = HorseForm.extend({
  id: Id,
  version: z.number().int(),
  programId: Id,
  school: StepKey,
  schoolName: z.string(),
  handOver: HandOverSteps,
  createdAt: Instant,
})

export type HorseForm = z.infer<typeof HorseForm>
export type PutHorse = z.infer<typeof PutHorse>
export type Horse = z.infer<typeof Horse>
