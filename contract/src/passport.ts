import { CHANNELS, RHYTHMS } from '@still-pine/core/cues'
import { HURT, INCIDENT_KINDS } from '@still-pine/core/facts'
import { z } from 'zod'
import { STATE_NAMES } from './judgement'
import { KINDS, SEXES } from './horses'
import { Day, SideSchema, StepKey, Text, words } from './primitives'

const Said = words(500)
const measured = (most: number) => z.number().min(0).max(most).nullable()

const Age = z.object({
  lowMonths: z.number().int().min(0).max(600),
  highMonths: z.number().int().min(0).max(600),
})

/** What goes with a horse to its next hands: what was promised and what holds, how it is asked, what it wears, what happened. */
export const Passport = z.object({
  format: z.literal('still-pine-passport', 'This is no passport of a horse.'),
  version: z.literal(1, 'This passport was made by a newer Still Pine.'),
  horse: z.object({
    name: words(80),
    born: Day.nullable(),
    /** Where the day of birth is not known: on the day of the passport. */
    age: Age.nullable(),
    sex: z.enum(SEXES),
    kind: z.enum(KINDS),
    marks: Text,
    bitted: z.boolean(),
  }),
  /** Who signed it, of which yard, on which day. */
  signed: z.object({ by: words(80), yard: words(80), on: Day }),
  school: z.object({ key: StepKey, name: words(80) }),
  promised: z
    .array(
      z.object({
        step: StepKey,
        name: words(120),
        side: SideSchema,
        rung: words(300),
        state: z.enum(STATE_NAMES),
        holds: z.boolean(),
        lastAsked: Day.nullable(),
        why: words(300),
      }),
    )
    .max(400),
  verdict: z.object({ of: z.number().int(), held: z.number().int(), says: z.enum(['go', 'not-yet']) }),
  cues: z
    .array(
      z.object({
        meaning: words(200),
        channel: z.enum(CHANNELS),
        place: words(200),
        side: z.enum(['left', 'right', 'both']),
        rhythm: z.enum(RHYTHMS),
        count: z.number().int().min(1).max(9),
        gapSeconds: z.number().min(0).max(10),
        where: z.enum(['ground', 'ridden', 'both']),
        groundOnly: z.boolean(),
      }),
    )
    .max(300),
  kit: z.object({
    saddle: words(120),
    pad: words(120),
    bridle: words(120),
    bit: words(120),
    girthHole: z.number().int().min(0).max(30).nullable(),
    lineM: measured(30),
    mouthMm: measured(190),
  }),
  sizes: z.object({ withersCm: measured(230), girthCm: measured(260), weightKg: measured(1_200) }),
  rides: z.object({
    ridden: z.number().int().min(0).max(10_000),
    lastOn: Day.nullable(),
    /** How long the next one may be. */
    nextMinutes: measured(240),
    nextTrotMinutes: measured(240),
    nextCanterMinutes: measured(240),
  }),
  incidents: z
    .array(
      z.object({
        kind: z.enum(INCIDENT_KINDS),
        on: Day,
        step: StepKey.nullable(),
        side: SideSchema.nullable(),
        mounted: z.boolean(),
        fell: z.boolean(),
        hurt: z.enum(HURT),
        where: Text,
        before: Text,
        after: Text,
      }),
    )
    .max(500),
  /** What to do in the first week, and what not to. */
  firstWeek: z.array(Said).max(50),
  notTo: z.array(Said).max(50),
})

export type Passport = z.infer<typeof Passport>
