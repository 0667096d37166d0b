import type { Burst } from '@still-pine/core/plan'
import { z } from 'zod'
import { PlaceSchema, SideSchema } from './primitives'

/** One step of a session, asked a few times. */
export const BurstSchema = z.object({
  step: z.string(),
  name: z.string(),
  purpose: z.enum(['check', 'mend', 'work', 'begin', 'close']),
  sides: z.array(
    z.object({
      side: SideSchema,
      rung: z.number().int(),
      asks: z.number().int(),
      places: z.array(PlaceSchema),
    }),
  ),
  firstSide: SideSchema,
  minutes: z.number(),
  again: z.boolean(),
  reasons: z.array(z.string()),
  rule: z.string().nullable(),
  pinned: z.boolean(),
  kit: z.array(z.string()),
  cautions: z.array(z.string()),
  provided: z.array(z.string()).default([]),
  lightAsk: z
    .object({ step: z.string(), name: z.string(), rung: z.number().int(), rungName: z.string() })
    .nullable(),
}) satisfies z.ZodType<Burst>
