import { CARE_KINDS } from '@still-pine/core/care-calendar'
import { CHANNELS, RHYTHMS } from '@still-pine/core/cues'
import { isLawAge, LAW_AGES, LAW_NOTES } from '@still-pine/core/facts'
import { CHANGED } from '@still-pine/core/jumping'
import { TIRED_SIGNS } from '@still-pine/core/leave-off'
import { GAITS, REINS } from '@still-pine/core/load'
import { z } from 'zod'
import { Day, Id, Instant, StepKey, Text, words } from './primitives'

/** A number in its bounds. */
const between = (least: number, most: number, unit = '') => {
  const says = `From ${least} to ${most}${unit && ` ${unit}`}.`
  return z.number(says).min(least, says).max(most, says)
}

const whole = (least: number, most: number) => between(least, most).int('A whole number.')

/** A short text that says something. */
const Said = words(200).trim().min(1, 'Please write it down.')

const Rein = z.enum(['left', 'right'], 'The rein is left or right.')
const MOST_SECONDS = 86_400
const Second = between(0, MOST_SECONDS, 'seconds')
const Minute = between(0, 240, 'minutes')
const Mark = whole(0, 3).nullable().default(null)

/** How it went on a rein at a minute; what was not looked at is left out. */
const GoingNote = z.object({
  minute: Minute,
  rein: Rein,
  stretch: Mark,
  swing: Mark,
  rhythm: Mark,
  behindVertical: Mark,
  hollow: Mark,
  braces: Mark,
})

/** What every entry says beside what is its own. */
const ENTRY = {
  on: Day,
  note: Text.default(''),
  /** It holds for every horse of the yard. */
  ofYard: z.boolean().default(false),
  takenBack: z.boolean().default(false),
} as const

const entry = <Kind extends string, Facts extends z.ZodRawShape>(kind: Kind, facts: Facts) =>
  z.object({ kind: z.literal(kind), ...ENTRY, ...facts })

const LineWork = entry('line-work', {
  way: z.enum(['lunge', 'lines']),
  /** The rein it began on, and what was pressed at which second. */
  rein: Rein,
  presses: z
    .array(z.object({ at: Second, key: z.enum(['forward', 'back', 'side']) }))
    .min(1, 'Nothing was pressed.')
    .max(2_000, 'At most 2000 presses.'),
  endAt: Second,
  /** Across the circle. */
  diameterM: between(4, 60, 'm'),
  going: z.array(GoingNote).max(500).default([]),
  signs: z
    .array(z.object({ sign: z.enum(TIRED_SIGNS), minute: Minute }))
    .max(100)
    .default([]),
  /** Seconds from the beginning of a rein to its first stretch; nothing where none was seen. */
  stretchSeconds: z
    .object({ left: between(0, 7_200, 'seconds').nullable(), right: between(0, 7_200, 'seconds').nullable() })
    .default({ left: null, right: null }),
})
  .refine(({ presses }) => presses.every(({ at }, i) => i === 0 || at >= presses[i - 1]!.at), {
    message: 'The times of the presses fall.',
    path: ['presses'],
  })
  .refine(({ presses, endAt }) => endAt >= (presses.at(-1)?.at ?? 0), {
    message: 'It ends before the last press.',
    path: ['endAt'],
  })

const CueEntry = entry('cue', {
  channel: z.enum(CHANNELS),
  /** Where it is felt; of the voice, the word. */
  place: Said,
  side: z.enum(['left', 'right', 'both']).default('both'),
  rhythm: z.enum(RHYTHMS),
  count: whole(1, 9).default(1),
  gapSeconds: between(0, 10, 'seconds').default(0),
  meaning: Said,
  where: z.enum(['ground', 'ridden', 'both']),
  groundOnly: z.boolean().default(false),
  /** The step it is asked with. */
  step: StepKey.nullable().default(null),
})

const ToolEntry = entry('tool', {
  tool: Said,
  drives: z.boolean(),
  accepted: z.boolean(),
  tellApart: z.array(Said).max(9, 'At most nine.').default([]),
})

/** A thing of the yard was shown. */
const ThingShowing = entry('thing', {
  thing: Said,
  where: words(200).trim().default(''),
  side: z.enum(['left', 'right', 'both']).default('both'),
  good: z.boolean(),
})

/** A fault of the yard's own at a step, beside those the cards name. */
const OwnFault = entry('own-fault', {
  step: StepKey,
  /** Where it is one of this school only. */
  school: StepKey.nullable().default(null),
  fault: Said,
  repair: Said,
})

const RepairTried = entry('repair', {
  step: StepKey,
  fault: Said,
  repair: Said,
  /** When it was tried, where it was in the pen. */
  at: Instant.nullable().default(null),
  /** The fault was gone in the next three asks; nothing while they are still to come. */
  worked: z.boolean().nullable(),
})

const CareDone = entry('care', {
  care: z.enum(CARE_KINDS),
  /** Days to the next time, where somebody said so. */
  minDays: whole(0, 3_650).nullable().default(null),
  maxDays: whole(0, 3_650).nullable().default(null),
})
  .refine(({ minDays, maxDays }) => (minDays === null) === (maxDays === null), {
    message: 'From and by: both, or neither.',
    path: ['maxDays'],
  })
  .refine(({ minDays, maxDays }) => minDays === null || maxDays === null || minDays <= maxDays, {
    message: 'This ends before it begins.',
    path: ['maxDays'],
  })
  .refine(({ care, minDays }) => minDays !== null || !['vaccination', 'hold'].includes(care), {
    message: 'The vet says in how many days.',
    path: ['minDays'],
  })

const GoalEntry = entry('goal', {
  goal: Said,
  bursts: whole(1, 50),
  /** The most wanted has the lowest. */
  place: whole(0, 1_000),
})

const HeatEntry = entry('heat', {
  airC: between(-40, 55, '°C'),
  humidityPercent: between(0, 100, '%'),
  usedToHeat: z.boolean().default(true),
})

const RiderEntry = entry('rider', {
  who: words(80).trim().default(''),
  kg: between(15, 200, 'kg'),
  tackKg: between(0, 40, 'kg'),
})

const plain = (name: string): string => name.trim().toLowerCase()

/** Somebody sat up: what was ridden, as it is told after. */
const RideEntry = entry('ride', {
  rider: words(80).trim().min(1, 'Who rode it?'),
  /** Who was on the ground; empty where nobody was. */
  helper: words(80).trim().default(''),
  beganAt: Instant.nullable().default(null),
  /** Worked from the ground before, that day. */
  groundMinutes: Minute.default(0),
  rows: z
    .array(z.object({ rein: z.enum(REINS), gait: z.enum(GAITS), minutes: Minute }))
    .min(1, 'Nothing was ridden.')
    .max(500),
  went: z.enum(['well', 'so-so', 'badly']),
  /** What ended it. */
  ended: words(200).trim().default(''),
  /** Asks of the leg, those at which the extra aid was used, and the most taps at one; nothing where none was carried. */
  aid: z
    .object({ asks: whole(1, 10_000), tapped: whole(0, 10_000), mostTaps: whole(0, 1_000) })
    .refine(({ asks, tapped }) => tapped <= asks, { message: 'More taps than asks.', path: ['tapped'] })
    .nullable()
    .default(null),
}).refine(({ rider, helper }) => helper === '' || plain(rider) !== plain(helper), {
  message: 'The rider cannot be the helper.',
  path: ['helper'],
})

/** Two people go through a first time up: who does what, and that getting off was rehearsed. */
const RunSheetBegun = entry('run-sheet', {
  rider: words(80).trim().min(1, 'Who sits up?'),
  helper: words(80).trim().min(1, 'Nobody sits up for the first time without a helper on the ground.'),
  /** The session its answers are in. */
  sessionId: Id,
  startedAt: Instant,
  rehearsed: z.literal(true, 'Rehearse it first: down on “down”, and who lets go of what.'),
}).refine(({ rider, helper }) => plain(rider) !== plain(helper), {
  message: 'The rider cannot be the helper.',
  path: ['helper'],
})

/** What the yard’s country or body asks, with where it stands; what is about an age says from which month. */
const LawEntry = entry('law', {
  about: z.enum([...LAW_AGES, ...LAW_NOTES]),
  months: whole(1, 600).nullable().default(null),
  says: words(500).trim().default(''),
  source: Said,
})
  .refine(({ about, months }) => !isLawAge(about) || months !== null, {
    message: 'From which month on?',
    path: ['months'],
  })
  .refine(({ about, says }) => isLawAge(about) || says !== '', {
    message: 'Please write it down.',
    path: ['says'],
  })

const Worn = words(120).trim().default('')

/** What it wears from this day on; the newest stands. */
const TackEntry = entry('tack', {
  saddle: Worn,
  pad: Worn,
  bridle: Worn,
  bit: Worn,
  cheek: z.enum(['loose', 'fixed']).default('loose'),
  /** From corner to corner. */
  mouthMm: between(70, 190, 'mm').nullable().default(null),
  girthHole: whole(0, 30).nullable().default(null),
  lineM: between(2, 30, 'm').nullable().default(null),
})

const BitCarried = entry('bit-carry', { minutes: Minute, quietMinutes: Minute }).refine(
  ({ minutes, quietMinutes }) => quietMinutes <= minutes,
  { message: 'More quiet minutes than minutes.', path: ['quietMinutes'] },
)

/** A session over fences, small as they are. */
const JumpsDone = entry('jumps', {
  heightCm: between(0, 130, 'cm'),
  efforts: whole(1, 200),
  goodLeft: whole(0, 200).default(0),
  goodRight: whole(0, 200).default(0),
  /** On which lead it landed, of those that were seen. */
  landedLeft: whole(0, 200).default(0),
  landedRight: whole(0, 200).default(0),
  /** Poles before, that day, on both reins. */
  polesBothReins: z.boolean().default(false),
  changed: z.array(z.enum(CHANGED)).max(7).default([]),
})
  .refine(({ efforts, goodLeft, goodRight }) => goodLeft + goodRight <= efforts, {
    message: 'More good ones than there were.',
    path: ['goodLeft'],
  })
  .refine(({ efforts, landedLeft, landedRight }) => landedLeft + landedRight <= efforts, {
    message: 'More landings than there were.',
    path: ['landedLeft'],
  })

const StringsSet = entry('strings', {
  cm: between(30, 400, 'cm'),
  well: z.boolean(),
  /** The nose stayed ahead of the vertical. */
  noseAhead: z.boolean(),
})

const Bpm = between(20, 250, 'beats a minute')
const Seconds = between(0, MOST_SECONDS, 'seconds')

/** What a heart strap or a rope gauge said of one ask: it stands beside the person's mark and changes nothing. */
const Sensed = entry('sensed', {
  step: StepKey,
  sessionId: Id,
  /** When the answer was given, by which it is found whatever was corrected at it since. */
  at: Instant,
  heart: z
    .object({
      keptShare: between(0, 1),
      restBpm: Bpm,
      peakBpm: Bpm,
      /** From the peak until it was near rest again; nothing where it was not. */
      recoverySeconds: Seconds.nullable(),
      byHeart: z.union([z.literal(0), z.literal(1), z.literal(2)]),
    })
    .nullable()
    .default(null),
  pull: z
    .object({
      limitNewtons: between(0.5, 1_000, 'N'),
      peakNewtons: between(0, 20_000, 'N'),
      overSeconds: Seconds,
      impulseNs: between(0, 1_000_000),
      deadPull: z.boolean(),
    })
    .nullable()
    .default(null),
}).refine(({ heart, pull }) => heart !== null || pull !== null, {
  message: 'Neither the strap nor the gauge said anything.',
  path: ['heart'],
})

const SHARE = between(0, 1)
const QUANTILES = 19

/** A forecast as it was shown: kept, so that it can be held against what came. */
const ForecastMade = entry('forecast', {
  gate: StepKey,
  /** How that gate was called. */
  name: words(120).default(''),
  horizonDays: whole(1, 730),
  weekdays: z.array(whole(1, 7)).max(7),
  minutes: whole(2, 240),
  by: Day.nullable().default(null),
  /** Of the draws, how many were there by that day. */
  byShare: SHARE.nullable().default(null),
  /** Days at 5, 10, … 95 of a hundred; nothing where one lies beyond the horizon. */
  days: z.array(whole(0, 730).nullable()).length(QUANTILES, 'Nineteen of them.'),
  /** When it stood before the gate. */
  cameOn: Day.nullable().default(null),
})

const KINDS = [
  LineWork,
  CueEntry,
  ToolEntry,
  ThingShowing,
  OwnFault,
  RepairTried,
  CareDone,
  GoalEntry,
  HeatEntry,
  RiderEntry,
  RideEntry,
  TackEntry,
  BitCarried,
  StringsSet,
  JumpsDone,
  RunSheetBegun,
  LawEntry,
  Sensed,
  ForecastMade,
] as const

/** What is told of a horse beside its answers, as it is put: the first time, or changed, or taken back. */
export const PutEntry = z.discriminatedUnion('kind', KINDS)

const SAVED = { id: Id, byName: z.string() } as const

export const Entry = z.intersection(PutEntry, z.object(SAVED))

export type PutEntry = z.infer<typeof PutEntry>
export type Entry = PutEntry & { readonly id: string; readonly byName: string }
