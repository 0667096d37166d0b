import {
  EFFORTS,
  EXPOSURES,
  MANNER_PARTS,
  PACES,
  SERVICES,
  USES,
  type CardPart,
  type MannerPart,
  type Program,
} from '@still-pine/core/program'
import { ZONE_KEYS, type Zone } from '@still-pine/core/coverage'
import { z } from 'zod'
import { KindSchema, measure, RungMark, StepKey, versionFrom, words } from './primitives'
import { STOP_RULES } from './stop-rules'

const Words = words(2000)
const Rung = z.number().int().min(1).max(20)
const RoleSchema = z.enum(['stand-caught', 'go-loose'])

const NeedRefSchema = z
  .object({
    step: StepKey.optional(),
    role: RoleSchema.optional(),
    rung: Rung.optional(),
    fromRung: Rung.optional(),
  })
  .strict()

const Share = z.number().min(0).max(1)

const NeedSchema = z.object({ chance: Share, low: Share, calm: Share })

const CardSchema = z
  .object({ purpose: Words, how: Words, counts: Words } satisfies Record<CardPart, z.ZodType>)
  .partial()

const RungDataSchema = z
  .object({
    seconds: measure(86_400).positive(),
    laps: measure(1_000).positive(),
    steps: measure(1_000).positive(),
    repetitions: measure(1_000).positive(),
    metres: measure(1_000).positive(),
    pace: z.enum(PACES),
    loads: z.boolean(),
    bears: z.array(z.enum(ZONE_KEYS as [Zone, ...Zone[]])).max(ZONE_KEYS.length),
  })
  .partial()

export const StepSchema = z.object({
  key: StepKey,
  name: Words.min(1),
  stage: z.number().int().min(1).max(9),
  kind: KindSchema,
  sided: z.boolean(),
  allRound: z.boolean(),
  rungs: z.array(Words.min(1)).min(1).max(20),
  rungCount: Rung.optional(),
  marks: z.array(RungMark).max(20).optional(),
  card: CardSchema.optional(),
  requiredRung: Rung,
  needs: z.array(NeedRefSchema),
  roles: z.array(RoleSchema),
  need: NeedSchema.optional(),
  /** What each rung puts at risk, easiest first. */
  exposures: z
    .array(z.array(z.enum(EXPOSURES)).max(EXPOSURES.length))
    .max(20)
    .optional(),
  effort: z.enum(EFFORTS).optional(),
  /** What each rung is beyond its words, easiest first. */
  does: z.array(RungDataSchema).max(20).optional(),
  serves: z.array(z.enum(SERVICES)).max(SERVICES.length).optional(),
  use: z.enum(USES).optional(),
  shows: StepKey.optional(),
  newInWind: z.boolean().optional(),
})

const GuardedSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('step'), step: StepKey, fromRung: Rung }),
  z.object({ kind: z.literal('event'), event: Words, after: StepKey }),
])

const GateSchema = z.object({
  key: StepKey,
  name: Words.min(1),
  guards: GuardedSchema,
  exposures: z
    .array(z.array(z.enum(EXPOSURES)).max(EXPOSURES.length))
    .max(20)
    .optional(),
  solid: z.array(NeedRefSchema),
  ticked: z.boolean(),
  met: z.array(NeedRefSchema),
  stops: z.array(z.enum(STOP_RULES)),
  leastMonths: z.number().int().min(0).max(600).optional(),
  dueToday: z.array(StepKey),
  freshDays: z.number().int().min(1).max(365),
})

const four = <T extends z.ZodType>(part: T) => z.tuple([part, part, part, part])

const PaceSchema = z.object({
  gradedBy: z.enum(['phases', 'wait', 'aids']),
  limits: four(measure(20_000).positive()),
  phases: four(Words),
})

const MannerText = z.object({ words: Words, why: Words })

const MannerSchema = z.object(
  Object.fromEntries(Object.keys(MANNER_PARTS).map((part) => [part, MannerText])) as Record<
    MannerPart,
    typeof MannerText
  >,
)

/** One version of a school's way of working, as a document. */
export const ProgramSchema = z.object({
  school: StepKey,
  name: Words.min(1),
  version: versionFrom(1),
  copyOf: StepKey.optional(),
  pace: PaceSchema,
  manner: MannerSchema,
  steps: z
    .array(StepSchema)
    .min(1, 'A school needs at least one step.')
    .max(500, 'At most 500 steps in one school.'),
  gates: z.array(GateSchema).max(50),
  carryOver: z.array(z.object({ from: StepKey, to: StepKey, share: z.number().min(0).max(1) })),
}) as unknown as z.ZodType<Program>
