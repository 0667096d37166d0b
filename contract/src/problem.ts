import { z } from 'zod'

/** What can go wrong, each with a stable type; RFC 9457 problem details. */
export const PROBLEM_TYPES = [
  'bad-input',
  'broken-json',
  'too-large',
  'signed-out',
  'cut-off',
  'other-person',
  'wrong-sign-in',
  'not-allowed',
  'other-origin',
  'not-found',
  'stale',
  'already-there',
  'too-many-tries',
  'not-kept',
  'no-room',
  'database-away',
  'unexpected',
] as const

export type ProblemType = (typeof PROBLEM_TYPES)[number]

export const FieldProblem = z.object({
  /** Path of the field, `items.0.answer.rung`. */
  path: z.string(),
  message: z.string(),
})

export const Problem = z.object({
  type: z.enum(PROBLEM_TYPES),
  status: z.number().int(),
  /** A sentence a starter can act on. */
  title: z.string(),
  detail: z.string().optional(),
  fields: z.array(FieldProblem).optional(),
  /** On a stale write: the version that is there now. */
  currentVersion: z.number().int().optional(),
  requestId: z.string().optional(),
})

export type Problem = z.infer<typeof Problem>
export type FieldProblem = z.infer<typeof FieldProblem>
