import { ENDINGS, type Ending } from '@still-pine/core/answer'
import { ZONE_KEYS, type Zone } from '@still-pine/core/coverage'
import { z } from 'zod'

const maybe = <T extends z.ZodType>(part: T) => part.nullable().default(null as never)

/** What may be told of an answer besides the answer; none of it is needed, and none of it moves a chance. */
export const ANSWER_DETAILS = {
  /** How an accept ended. */
  ending: maybe(z.enum(ENDINGS as [Ending, ...Ending[]])),
  /** What the handler did wrong. */
  slip: maybe(z.string().trim().min(1).max(60)),
  /** Where on the animal. */
  zone: maybe(z.enum(ZONE_KEYS as [Zone, ...Zone[]])),
  /** Aids pressed after the cue. */
  aids: maybe(z.number().int().min(0).max(20)),
  /** The most that was on the rope, where a gauge was on it. */
  peakNewtons: maybe(z.number().min(0).max(20_000)),
  /** Why it was not to be asked that day, in the permit's words; null where it was. */
  against: maybe(z.string().trim().min(1).max(500)),
  /** What the person says of it. */
  why: maybe(z.string().trim().min(1).max(200)),
  /** Seconds from the try to a slack rope. */
  releaseSeconds: maybe(z.number().min(0).max(600)),
} as const

export type AnswerDetails = z.output<z.ZodObject<typeof ANSWER_DETAILS>>
