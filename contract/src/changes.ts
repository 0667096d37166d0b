import { z } from 'zod'
import { Id } from './primitives'

/** One event of the stream of changes. */
export const Changed = z.object({
  /** The horses that changed; empty where it was something of the yard, `null` where anything may have. */
  horseIds: z.array(Id).nullable(),
})
export type Changed = z.infer<typeof Changed>
