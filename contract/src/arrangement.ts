import { z } from 'zod'
import { BurstSchema } from './burst'
import { CircumstancesSchema } from './circumstances'
import { Id, StepKey } from './primitives'

const MOST_BURSTS = 100

/** What a person has said of one horse's session on a day, and the bursts it came to. */
export const Arrangement = z.object({
  /** The entry it was said with: a page knows its own words by it. */
  id: Id.optional(),
  /** The program it was arranged by; of another it says nothing. */
  programId: Id,
  minutes: z.number().int().min(1).max(600).nullable(),
  /** How the day is, as far as it was said. */
  said: CircumstancesSchema,
  wishes: z.object({
    pinned: z
      .array(
        z.object({
          step: StepKey,
          at: z.number().int().min(0).max(MOST_BURSTS),
          asks: z.number().int().min(1).max(200).optional(),
        }),
      )
      .max(MOST_BURSTS),
    without: z.array(StepKey).max(200),
  }),
  /** `null` where the plan is that of an ordinary day. */
  bursts: z.array(BurstSchema).max(MOST_BURSTS).nullable(),
})

export type Arrangement = z.infer<typeof Arrangement>
