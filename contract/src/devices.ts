import { z } from 'zod'
import { Id, Instant, Name } from './primitives'

/** What a browser says of itself when somebody signs in on it. */
export const DeviceTold = z.object({ id: Id, words: Name })

/** A browser that somebody signed in on. */
export const Device = z.object({
  id: Id,
  personId: Id,
  personName: z.string(),
  words: z.string(),
  seenAt: Instant,
  cutOffAt: Instant.nullable(),
  /** The one that asks. */
  isThis: z.boolean(),
})

export const PutCutOff = z.object({ cutOff: z.boolean() })

export type Device = z.infer<typeof Device>
