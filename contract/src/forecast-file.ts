import {
  forecast,
  forecastWords,
  byWords,
  differenceWords,
  type ForecastAsked,
} from '@still-pine/core/forecast'
import { SCHOOLS, type Program } from '@still-pine/core/program'
import { z } from 'zod'
import { faultOf, type FileFault } from './file-faults'
import { Day, words } from './primitives'
import { ProgramSchema } from './program'

const MOST_DRAWS = 2_000
const MOST_DAYS = 730
const WEEKDAYS = 7
const GRID_POINTS = 281

const finite = z.number().min(-100, 'Not below -100.').max(100, 'Not above 100.')
const Normal = z.strictObject({
  mean: finite,
  sd: z.number().min(0, 'A spread is not below nought.').max(100),
})

/** As the judge's grid has it: 281 weights from −7 to 7, not all of them nought. */
const Grid = z
  .array(z.number().min(0, 'A weight is not below nought.').max(1e9))
  .length(GRID_POINTS, `A grid has ${GRID_POINTS} weights.`)
  .refine((weights) => weights.some((weight) => weight > 0), 'All weights are nought.')
  .transform((weights) => {
    const whole = weights.reduce((sum, weight) => sum + weight, 0)
    return weights.map((weight) => weight / whole)
  })

const Known = Normal.extend({ grid: Grid.optional() })
const Count = z.number().int('A whole number.').min(0).max(100_000)

const TrackPart = z.strictObject({
  step: words(64),
  side: z.enum(['left', 'right', 'none']),
  ability: Known,
  calm: Known,
  answers: Count,
  daysWorked: Count,
  atRequired: Count.default(0),
  coldPasses: z.array(z.boolean()).max(3, 'The last three.').default([]),
  lastDay: Day.nullable().default(null),
  solidAtEnd: z.boolean().default(false),
  places: z.array(z.number().int().min(1).max(5)).max(5).default([]),
  moving: Count.default(0),
})

const Weekdays = z.array(z.number().int().min(1, '1 is Monday.').max(WEEKDAYS, '7 is Sunday.')).max(WEEKDAYS)
const Span = z
  .strictObject({ from: Day, until: Day })
  .refine(({ from, until }) => from <= until, { message: 'It ends before it begins.', path: ['until'] })

const PLAN = {
  weekdays: Weekdays,
  minutes: z.number().min(2, 'Two minutes at least.').max(240),
  helperWeekdays: Weekdays.nullable(),
  off: z.array(Span).max(100),
  loadDaysAWeek: z.number().int().min(0).max(WEEKDAYS).nullable(),
} as const

const PlanPart = z.strictObject({
  ...PLAN,
  helperWeekdays: PLAN.helperWeekdays.default(null),
  off: PLAN.off.default([]),
  loadDaysAWeek: PLAN.loadDaysAWeek.default(null),
})

const HoldPart = z
  .strictObject({ from: Day, until: Day.nullable().default(null) })
  .refine(({ from, until }) => until === null || from <= until, {
    message: 'It ends before it begins.',
    path: ['until'],
  })

const MOST_WHAT_IFS = 4

const ForecastFile = z
  .strictObject({
    gate: words(64),
    from: Day,
    horizonDays: z.number().int().min(1).max(MOST_DAYS).default(180),
    draws: z.number().int().min(1).max(MOST_DRAWS, `At most ${MOST_DRAWS} draws.`).default(200),
    seed: z.number().int().min(0).max(0xffff_ffff).default(1),
    born: Day.nullable().default(null),
    by: Day.nullable().default(null),
    block: words(40).default('start'),
    holds: z.array(HoldPart).max(50).default([]),
    school: z.enum(SCHOOLS.map(({ school }) => school)).optional(),
    program: ProgramSchema.optional(),
    talent: Normal,
    calmTalent: Normal,
    logSpeed: Normal,
    stiffness: Normal,
    newTracks: z
      .strictObject({ abilitySd: Normal.shape.sd, calmSd: Normal.shape.sd })
      .default({ abilitySd: 0.8, calmSd: 0.8 }),
    tracks: z.array(TrackPart).max(400).default([]),
    loadDays: z.array(Day).max(31).default([]),
    plan: PlanPart,
    whatIfs: z
      .array(z.strictObject({ id: words(64).trim().min(1), plan: z.strictObject(PLAN).partial() }))
      .max(MOST_WHAT_IFS, `At most ${MOST_WHAT_IFS} what-ifs.`)
      .default([]),
  })
  .superRefine((file, ctx) => {
    const say = (path: (string | number)[], message: string): void =>
      ctx.addIssue({ code: 'custom', path, message })
    const program = programOf(file)
    if (!program) return say(['school'], 'Say the school, or give the program.')
    const gate = program.gates.find(({ key }) => key === file.gate)
    if (!gate) say(['gate'], `“${file.gate}” is not a gate of ${program.name}.`)
    else if (gate.ticked) say(['gate'], 'Its steps are ticked for each horse: it is not forecast.')
    file.tracks.forEach(({ step, side, lastDay, answers }, i) => {
      const known = program.steps.find(({ key }) => key === step)
      if (!known) say(['tracks', i, 'step'], `“${step}” is not a step of ${program.name}.`)
      else if (known.sided === (side === 'none'))
        say(['tracks', i, 'side'], known.sided ? 'It has a left and a right.' : 'It has no sides.')
      if (answers > 0 && lastDay === null) say(['tracks', i, 'lastDay'], 'It was asked: on which day last?')
      if (lastDay !== null && lastDay >= file.from)
        say(['tracks', i, 'lastDay'], 'It lies before the first day of the forecast.')
    })
  })

const programOf = ({
  school,
  program,
}: {
  school?: string | undefined
  program?: unknown
}): Program | undefined => (program as Program | undefined) ?? SCHOOLS.find((one) => one.school === school)

type Read = z.output<typeof ForecastFile>

const askedFrom = ({ holds, school, program, plan, ...file }: Read): ForecastAsked => {
  const held = holds.flatMap(({ from, until }) => (until === null ? [] : [{ from, until }]))
  return {
    ...file,
    program: programOf({ school, program })!,
    heldWithoutEnd: holds.some(({ until }) => until === null),
    plan: { ...plan, off: [...plan.off, ...held] },
    // What a what-if leaves out is as it was; the days of a hold stay off in each.
    whatIfs: file.whatIfs.map(({ id, plan: { off, ...other } }) => ({
      id,
      plan: {
        ...(Object.fromEntries(Object.entries(other).filter(([, value]) => value !== undefined)) as object),
        ...(off ? { off: [...off, ...held] } : {}),
      },
    })),
  }
}

export type ForecastOfFile =
  | { readonly ok: true; readonly reply: object }
  | { readonly ok: false; readonly faults: readonly FileFault[] }

/** When the horse of a file (docs/formats/forecast.md) stands before its gate, or every fault in it with its field. */
export const forecastFile = (document: unknown): ForecastOfFile => {
  const read = ForecastFile.safeParse(document)
  if (!read.success) return { ok: false, faults: read.error.issues.flatMap(faultOf) }
  const asked = askedFrom(read.data)
  const told = forecast(asked)
  if ('refused' in told) return { ok: true, reply: told }
  const { workDays, share, whatIfs, ...rest } = told
  const { by } = asked
  return {
    ok: true,
    reply: {
      ...rest,
      workDays,
      workDaysMedian: workDays?.p50 ?? null,
      share: { inHorizon: share.inHorizon, ...(by === null ? {} : { by: share.by }) },
      words: [
        forecastWords(told, { today: asked.from, horizonDays: asked.horizonDays }),
        ...(by === null ? [] : [byWords(share.by!, by)]),
      ].join(' '),
      whatIfs: whatIfs.map((one) =>
        'refused' in one ? one : { ...one, words: differenceWords(one.differenceDays) },
      ),
    },
  }
}
