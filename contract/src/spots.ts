import { ZONE_KEYS, type Zone } from '@still-pine/core/coverage'
import { z } from 'zod'
import { CalmSchema, Day, GradeSchema, PlaceSchema, RungMark, SideSchema, StepKey } from './primitives'

/** The last answer of a step on a rung, somewhere on the animal and from somewhere. */
export const Spot = z.object({
  step: StepKey,
  side: SideSchema,
  rung: RungMark,
  grade: GradeSchema,
  calm: CalmSchema.nullable(),
  day: Day,
  place: PlaceSchema.nullable(),
  zone: z.enum(ZONE_KEYS as [Zone, ...Zone[]]).nullable(),
  moving: z.boolean(),
})

export const SpotsReply = z.object({ day: Day, spots: z.array(Spot) })
