import type { AnswerDetails } from '@still-pine/contract'

/** An answer of which nothing is told but the answer. */
export const PLAIN_ANSWER = {
  byChance: false,
  recalled: false,
  uncued: false,
  place: null,
  moving: false,
  seconds: null,
  fault: null,
  sign: null,
  ending: null,
  slip: null,
  zone: null,
  aids: null,
  peakNewtons: null,
  releaseSeconds: null,
  against: null,
  why: null,
} as const satisfies AnswerDetails & Readonly<Record<string, unknown>>
