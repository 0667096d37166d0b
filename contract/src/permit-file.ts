import { PLAIN } from '@still-pine/core/answer'
import { BLOCK_KINDS } from '@still-pine/core/blocks'
import { CHECK_KINDS, CONFIRMATIONS, HURT, INCIDENT_KINDS, LEAVES } from '@still-pine/core/facts'
import { reckonPermits, type ToReckon } from '@still-pine/core/permit'
import { SCHOOLS, stepOf, type Program } from '@still-pine/core/program'
import { z } from 'zod'
import { faultOf, type FileFault } from './file-faults'
import { CalmSchema, Day, GradeSchema, PlaceSchema, SideSchema } from './primitives'

const maybe = <T extends z.ZodType>(part: T) => part.nullish().transform((value) => value ?? null)
const flag = z
  .boolean()
  .nullish()
  .transform((value) => value ?? false)
const listOf = <T extends z.ZodType>(part: T) =>
  z
    .array(part)
    .max(50_000)
    .nullish()
    .transform((value) => value ?? [])

const Months = z.number().min(0).max(720)
const Kg = z.number().min(1).max(2_000)
const Rung = z.number().int().min(1).max(20)

const MORE_KINDS = ['horse', 'pony', 'cob', 'mule', 'donkey', 'feral'] as const

const HorsePart = z.strictObject({
  born: maybe(Day),
  age: maybe(
    z
      .strictObject({ lowMonths: Months, highMonths: Months })
      .refine(({ lowMonths, highMonths }) => lowMonths <= highMonths, {
        message: 'The bounds are turned round.',
        path: ['highMonths'],
      }),
  ),
  sex: maybe(z.enum(['mare', 'filly', 'gelding', 'colt', 'entire'])),
  kind: maybe(z.enum(MORE_KINDS)),
  handled: flag,
  feral: flag,
  /** Ridden in a bit. */
  bitted: flag,
})

const CheckPart = z
  .strictObject({
    kind: z.enum(CHECK_KINDS),
    on: Day,
    until: maybe(Day),
    passed: flag,
    leaves: maybe(z.enum(LEAVES)),
  })
  .refine(({ on, until }) => until === null || until >= on, {
    message: 'It ends before it begins.',
    path: ['until'],
  })

const IncidentPart = z.strictObject({
  kind: z.enum(INCIDENT_KINDS),
  on: Day,
  step: maybe(z.string()),
  rung: maybe(Rung),
  mounted: flag,
  fell: flag,
  hurt: z
    .enum(HURT)
    .nullish()
    .transform((value) => value ?? ('none' as const)),
})

const At = z
  .string()
  .refine((at) => Day.safeParse(at.slice(0, 10)).success && !Number.isNaN(Date.parse(at)), {
    message: 'This is not a time that begins with its day (2026-05-14T09:30:00Z).',
  })

const AnswerPart = z.strictObject({
  step: z.string(),
  side: SideSchema.nullish().transform((value) => value ?? ('none' as const)),
  at: At,
  rung: Rung,
  grade: GradeSchema,
  calm: maybe(CalmSchema),
  place: maybe(PlaceSchema),
  moving: flag,
  byChance: flag,
  recalled: flag,
  uncued: flag,
})

const AskPart = z.strictObject({ step: z.string(), rung: Rung })

const Fields = z.strictObject({
  on: Day,
  school: z
    .enum(SCHOOLS.map(({ school }) => school))
    .nullish()
    .transform((value) => value ?? 'feet-first'),
  horse: maybe(HorsePart),
  checks: listOf(CheckPart),
  incidents: listOf(IncidentPart),
  confirmed: listOf(z.enum(CONFIRMATIONS)),
  rides: maybe(z.number().int().min(0).max(100_000)),
  rider: maybe(z.strictObject({ kg: Kg, tackKg: z.number().min(0).max(2_000) })),
  weightKg: maybe(Kg),
  block: maybe(z.enum(BLOCK_KINDS)),
  answers: listOf(AnswerPart),
  asks: listOf(AskPart),
})

type File = z.output<typeof Fields>

interface Fault {
  readonly path: readonly (string | number)[]
  readonly message: string
}

/** A rung of a step that the school has, or what is wrong with it. */
const rungFault = (
  program: Program,
  key: string | null,
  { rung, path }: { rung: number | null; path: readonly (string | number)[] },
): Fault[] => {
  if (key === null) return []
  const step = stepOf(program, key)
  if (!step) return [{ path: [...path, 'step'], message: `“${key}” is not a step of ${program.name}.` }]
  return rung !== null && rung > step.rungs.length
    ? [{ path: [...path, 'rung'], message: `${step.name} has ${step.rungs.length} rungs.` }]
    : []
}

const toCome = (day: string, on: string, path: readonly (string | number)[]): Fault[] =>
  day > on ? [{ path, message: 'This day is after the day of the file.' }] : []

const faultsIn = (file: File, program: Program): Fault[] => {
  const { on } = file
  const born = file.horse?.born ?? null
  return [
    ...(born === null ? [] : toCome(born, on, ['horse', 'born'])),
    ...file.checks.flatMap((check, i) => toCome(check.on, on, ['checks', i, 'on'])),
    ...file.incidents.flatMap(({ on: day, step, rung }, i) => [
      ...toCome(day, on, ['incidents', i, 'on']),
      ...(born !== null && day < born
        ? [{ path: ['incidents', i, 'on'], message: 'This day is before the horse was born.' }]
        : []),
      ...rungFault(program, step, { rung, path: ['incidents', i] }),
    ]),
    ...file.answers.flatMap(({ step, rung }, i) => rungFault(program, step, { rung, path: ['answers', i] })),
    ...file.asks.flatMap(({ step, rung }, i) => rungFault(program, step, { rung, path: ['asks', i] })),
  ]
}

const programOf = (school: string): Program => SCHOOLS.find((one) => one.school === school) ?? SCHOOLS[0]!

const PermitFile = Fields.superRefine((file, context) => {
  for (const { path, message } of faultsIn(file, programOf(file.school)))
    context.addIssue({ code: 'custom', path: [...path], message })
})

const instant = (at: string): number => Date.parse(at.length === 10 ? `${at}T00:00:00Z` : at)

const inTime = (a: { at: string }, b: { at: string }): number =>
  a.at.slice(0, 10).localeCompare(b.at.slice(0, 10)) || instant(a.at) - instant(b.at)

const OFF_WORK: Partial<Record<string, string>> = {
  grow: 'Rests: left to grow.',
  rest: 'Rests: off work.',
}

const toReckon = (file: File): ToReckon => {
  const { horse, on } = file
  return {
    program: programOf(file.school),
    on,
    asks: file.asks,
    answers: [...file.answers]
      .sort(inTime)
      .map(({ at, ...answer }) => ({ ...PLAIN, ...answer, day: at.slice(0, 10) })),
    facts: {
      born: horse?.born ?? null,
      age: horse?.age ? { ...horse.age, on } : null,
      ...(horse?.sex ? { sex: horse.sex } : {}),
      ...(horse?.kind ? { kind: horse.kind } : {}),
      feral: horse?.feral ?? false,
      bitted: horse?.bitted ?? false,
      checks: file.checks,
      incidents: file.incidents,
      confirmed: file.confirmed,
      handOver: [],
      offWork: (file.block && OFF_WORK[file.block]) ?? null,
      rides: file.rides ?? 0,
      rider: file.rider,
      weightKg: file.weightKg,
    },
  }
}

export type ReckonedFile =
  | { readonly ok: true; readonly reply: readonly object[] }
  | { readonly ok: false; readonly faults: readonly FileFault[] }

/** What the permit says to every ask of a file (docs/formats/permit.md), or every fault in it with its field. */
export const reckonFile = (document: unknown): ReckonedFile => {
  const read = PermitFile.safeParse(document)
  if (!read.success) return { ok: false, faults: read.error.issues.flatMap(faultOf) }
  return {
    ok: true,
    reply: reckonPermits(toReckon(read.data)).map(({ step, rung, answer, because }) => ({
      step,
      rung,
      permit: answer,
      because: because.map(({ rule, gate, words }) => ({ rule, ...(gate ? { gate } : {}), words })),
    })),
  }
}
