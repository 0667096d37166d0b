import type { Report as CoreReport } from '@still-pine/core/report'
import { z } from 'zod'
import { STATE_NAMES } from './judgement'
import { Day, Id, Instant, SideSchema } from './primitives'

const SkillTold = z.object({
  name: z.string(),
  side: SideSchema,
  state: z.enum(STATE_NAMES),
  holds: z.string(),
  lastDay: Day.nullable(),
})

/** What an owner is told of a horse on any day. */
export const Report = z.object({
  day: Day,
  from: Day,
  school: z.string(),
  done: z.array(
    z.object({
      day: Day,
      place: z.string().nullable(),
      steps: z.array(
        z.object({
          name: z.string(),
          asked: z.number().int(),
          light: z.number().int(),
          hardest: z.string(),
        }),
      ),
    }),
  ),
  holds: z.array(SkillTold),
  underWay: z.array(SkillTold),
  next: z
    .object({
      name: z.string(),
      verdict: z.enum(['go', 'check-first', 'not-yet', 'stop']),
      sentence: z.string(),
      waitsFor: z.array(z.string()),
    })
    .nullable(),
  /** When it comes before a gate, as it was reckoned last. */
  forecast: z.string().nullable().default(null),
  incidents: z.array(z.string()),
  tight: z.array(z.string()),
  against: z.array(z.object({ day: Day, name: z.string(), words: z.string(), why: z.string().nullable() })),
  pictures: z.array(z.object({ id: Id, day: Day, words: z.string() })).default([]),
}) satisfies z.ZodType<CoreReport>

/** A report with whose it is, as it is read without a sign-in. */
export const NamedReport = z.object({
  yardName: z.string(),
  horseName: z.string(),
  report: Report,
  /** The newest of its pictures by their ids, as JPEG in base64: who reads it has no other way to them. */
  pictures: z.record(Id, z.base64()).default({}),
})

/** A link by which somebody without a sign-in reads the report of one horse. */
export const ReportLink = z.object({
  id: Id,
  byName: z.string(),
  madeAt: Instant,
  until: Day,
  revoked: z.boolean(),
  /** When it was read last. */
  readAt: Instant.nullable(),
  /** What stands in the link, and the code that is told apart from it; neither for one that is revoked. */
  token: z.string().nullable(),
  code: z.string().nullable(),
})

export const PutReportLink = z.object({ until: Day, revoked: z.boolean().default(false) })

export const ReadReport = z.object({
  token: z.string().max(200),
  code: z.string().trim().max(20),
})

export type Report = z.infer<typeof Report>
export type NamedReport = z.infer<typeof NamedReport>
export type ReportLink = z.infer<typeof ReportLink>
export type ReadReport = z.infer<typeof ReadReport>
