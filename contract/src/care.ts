import { CHECK_KINDS, CONFIRMATIONS, HURT, INCIDENT_KINDS, LEAVES } from '@still-pine/core/facts'
import { CATALOGUE } from '@still-pine/core/program'
import { z } from 'zod'
import { Day, Id, Instant, RungMark, SideSchema, StepKey, Text, words } from './primitives'

export { CHECK_KINDS, CONFIRMATIONS, HURT, INCIDENT_KINDS, LEAVES }

/** Why something that was written is written otherwise, or taken back; one word is enough. */
const Because = words(200).trim()

/** What the person who puts a record says of it besides: why it is corrected, or why it is taken back. */
const CORRECTION = {
  /** Why it is other than it was; read where it is. */
  because: Because.default(''),
  /** Why it does not count any more; null where it does. */
  withdrawn: Because.min(1, 'Say why in a word.').nullable().default(null),
} as const

/** What a check says. */
export const CHECK_TOLD = {
  kind: z.enum(CHECK_KINDS),
  on: Day,
  until: Day.nullable(),
  passed: z.boolean(),
  /** What a vet's hold leaves. */
  leaves: z.enum(LEAVES).nullable().default(null),
  note: Text,
} as const

/** What an incident says. */
export const INCIDENT_TOLD = {
  kind: z.enum(INCIDENT_KINDS),
  on: Day,
  /** The moment, where it was recorded as it happened. */
  at: Instant.nullable().default(null),
  step: StepKey.nullable(),
  side: SideSchema.nullable(),
  rung: RungMark.nullable().default(null),
  /** A person was up, or any weight was on. */
  mounted: z.boolean().default(false),
  fell: z.boolean().default(false),
  hurt: z.enum(HURT).default('none'),
  where: Text,
  before: Text,
  after: Text,
} as const

export const PutCheck = z
  .object({ ...CHECK_TOLD, ...CORRECTION })
  .refine(({ on, until }) => until === null || until >= on, {
    message: 'It ends before it begins.',
    path: ['until'],
  })

const UP_KINDS: readonly string[] = ['bolt', 'buck', 'rear', 'fall']

const isUnderAPerson = (key: string): boolean =>
  CATALOGUE.find((step) => step.key === key)
    ?.exposures?.flat()
    .some((one) => one === 'weight' || one === 'mounted') ?? false

/**
 * What an incident called serious in older files and on older devices says now: a person was up where its step has one,
 * or where no step is told; a pull-back or a fall that was serious was one in which the horse fell.
 */
export const fromSerious = ({
  kind,
  step,
  serious,
}: {
  readonly kind: string
  readonly step: string | null
  readonly serious: boolean
}) => ({
  mounted: serious && UP_KINDS.includes(kind) && (step === null || isUnderAPerson(step)),
  fell: serious && ['pull-back', 'fall'].includes(kind),
})

/** An incident as it is written, also by a device that still calls it serious. */
export const PutIncident = z
  .object({ ...INCIDENT_TOLD, ...CORRECTION, serious: z.boolean().optional() })
  .transform(({ serious, ...incident }) =>
    serious === undefined ? incident : { ...incident, ...fromSerious({ ...incident, serious }) },
  )

/** How a record was worded before somebody changed it, and why. */
const earlier = <T extends z.ZodType>(was: T) =>
  z.array(z.object({ at: Instant, byName: z.string(), because: z.string(), was }))

const Withdrawn = z.object({ at: Instant, byName: z.string(), because: z.string() }).nullable().default(null)

export const Check = z.object({
  id: Id,
  ...CHECK_TOLD,
  withdrawn: Withdrawn,
  earlier: earlier(z.object(CHECK_TOLD)).default([]),
})

export const Incident = z.object({
  id: Id,
  ...INCIDENT_TOLD,
  withdrawn: Withdrawn,
  earlier: earlier(z.object(INCIDENT_TOLD)).default([]),
})

export const PutOverrule = z.object({
  gate: StepKey,
  reason: words(1000).trim().min(10, 'Say in a sentence why: at least 10 characters.'),
  /** Taken back the same day. */
  takenBack: z.boolean().default(false),
})

export type Check = z.infer<typeof Check>
export type Incident = z.infer<typeof Incident>
/** An incident as it is told to be written. */
export type IncidentTold = z.input<typeof PutIncident>
