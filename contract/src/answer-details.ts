import { ENDINGS, type Ending } from '@still-pine/core/answer'
import { ZONE_KEYS, type Zone } from '@still-pine/core/coverage'
import { z } from 'zod'
import { measure, words } from './primitives'

const maybe = <T extends z.ZodType>(part: T) => part.nullable().default(null as never)

/** What may be told of an answer besides the answer; none of it is needed, and none of it moves a chance. */
export const ANSWER_DETAILS = {
  /** How an accept ended. */
  ending: maybe(z.enum(ENDINGS as [Ending, ...Ending[]])),
  /** What the handler did wrong. */
  slip: maybe(words(60).trim().min(1)),
  /** Where on the animal. */
  zone: maybe(z.enum(ZONE_KEYS as [Zone, ...Zone[]])),
  /** Aids pressed after the cue. */
  aids: maybe(z.number().int().min(0).max(20)),
  /** The most that was on the rope, where a gauge was on it. */
  peakNewtons: maybe(measure(20_000)),
  /** Why it was not to be asked that day, in the permit's words; null where it was. */
  against: maybe(words(500).trim().min(1)),
  /** What the person says of it. */
  why: maybe(words(200).trim().min(1)),
  /** Seconds from the try to a slack rope. */
  releaseSeconds: maybe(measure(600)),
} as const

export type AnswerDetails = z.output<z.ZodObject<typeof ANSWER_DETAILS>>
