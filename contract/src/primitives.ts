import { isDay } from '@still-pine/core/answer'
import { isMark } from '@still-pine/core/program'
import { z } from 'zod'

/** Ids are made by the client (UUID v7), so that sending twice does no harm. */
export const Id = z.uuid('This is not an id.')

/** Nothing of ours is older; how far back and ahead a day may lie is for what it is the day of to say. */
const FIRST_YEAR = 1900

const isNear = (time: string): boolean => Number(time.slice(0, 4)) >= FIRST_YEAR

const FAR = `This lies before ${FIRST_YEAR}.`

export const Day = z
  .string()
  .refine(isDay, { error: 'This is not a day of the calendar (YYYY-MM-DD).', abort: true })
  .refine(isNear, FAR)

/** What a clock says, however wrong it goes: ISO 8601 with its offset. */
export const ClockTime = z.iso.datetime({
  offset: true,
  error: 'This is not a time (ISO 8601 with its offset).',
})

/** An instant at which something happened. */
export const Instant = ClockTime.refine(isNear, FAR)

/** NUL, which PostgreSQL cannot hold, and half of a character, which nobody can read. */
const UNSOUND = /[\0\p{Surrogate}]/u

const isSound = (text: string): boolean => !UNSOUND.test(text)

const CANNOT_BE_WRITTEN = 'This holds a character that cannot be written down.'

/** Text as somebody writes it. */
export const words = (most: number) =>
  z.string().max(most, `At most ${most} characters.`).refine(isSound, CANNOT_BE_WRITTEN)

/** Whatever JSON holds, with nothing in it that cannot be written down. */
export const AnyRecord = z
  .record(z.string(), z.unknown())
  .refine(
    (record) => isSound(JSON.stringify(record).replace(/\\u(0000|d[89ab]..|d[c-f]..)/gi, '\0')),
    CANNOT_BE_WRITTEN,
  )

/** As small as anything here is measured; less would not fit its column, and is nothing. */
const SMALLEST = 1e-6

/** A measure from nought, in whatever its field says. */
export const measure = (most: number, tooMuch = `At most ${most}.`) =>
  z
    .number()
    .min(0, 'Not below nought.')
    .max(most, tooMuch)
    .refine((value) => value === 0 || value >= SMALLEST, 'This is too little to be measured.')

const MOST_VERSIONS = 2_147_483_647

/** Which version something is, from a first one on. */
export const versionFrom = (first: 0 | 1) => z.number().int().min(first).max(MOST_VERSIONS)

const CONTROL = /[\p{Cc}\p{Zl}\p{Zp}]/u

/** What leaves no mark on the page: joiners, fillers, spaces of every width. */
const UNSEEN = /[\p{DI}\p{Cf}\p{Z}\u2800]/gu

/** Any script, emoji and quotes are fine; control characters are not. */
export const Name = words(80)
  .trim()
  .min(1, 'Please write a name.')
  .refine((text) => text.replace(UNSEEN, '') !== '', 'Please write a name that can be seen.')
  .refine((text) => !CONTROL.test(text), 'Line breaks and control characters are not part of a name.')

export const Text = words(2000).trim()

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
export const RungMark = measure(40)
  .positive('The first rung is 1.')
  .refine(isMark, 'This is not the mark of a rung.')
/** A word or two on what was seen of the horse. */
export const Sign = words(60).trim().min(1)

export const KindSchema = z.enum(['ask', 'accept', 'hold'])
