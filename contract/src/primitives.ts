import { isDay } from '@still-pine/core/answer'
import { z } from 'zod'

/** Ids are made by the client (UUID v7), so that sending twice does no harm. */
export const Id = z.uuid('This is not an id.')

export const Day = z.string().refine(isDay, 'This is not a day of the calendar (YYYY-MM-DD).')

/** An instant with its offset, as ISO 8601. */
export const Instant = z.iso.datetime({
  offset: true,
  error: 'This is not a time (ISO 8601 with its offset).',
})

const CONTROL = /[\p{Cc}\p{Zl}\p{Zp}]/u

/** Any script, emoji and quotes are fine; control characters are not. */
export const Name = z
  .string()
  .trim()
  .min(1, 'Please write a name.')
  .max(80, 'At most 80 characters.')
  .refine((text) => !CONTROL.test(text), 'Line breaks and control characters are not part of a name.')

export const Text = z.string().trim().max(2000, 'At most 2000 characters.')

export const SideSchema = z.enum(['left', 'right', 'none'], 'The side is left, right or none.')
export const GradeSchema = z.union(
  [z.literal(0), z.literal(1), z.literal(2), z.literal(3), z.literal(4)],
  'The grade is 0, 1, 2, 3 or 4.',
)
export const CalmSchema = z.union([z.literal(0), z.literal(1), z.literal(2)], 'The calm is 0, 1 or 2.')
export const PlaceSchema = z.union(
  [z.literal(1), z.literal(2), z.literal(3), z.literal(4), z.literal(5)],
  'The place is 1 to 5.',
)
export const StepKey = z.string().regex(/^[a-z][a-z0-9-]{1,60}$/, 'This is not the key of a step.')
/** What an answer calls a rung: 1, 2, 3 … on the ladders that ship, between them on a yard's own. */
export const RungMark = z.number().positive('The first rung is 1.').max(40)
/** A word or two on what was seen of the horse. */
export const Sign = z.string().trim().min(1).max(60, 'At most 60 characters.')

export const KindSchema = z.enum(['ask', 'accept', 'hold'])
