import type { Worked as Counted } from '@still-pine/core/counters'
import { z } from 'zod'
import { Day, Id, SideSchema, StepKey } from './primitives'

/** The standing answers of one track in one session, counted; uncued ones are not among them. */
export const Worked = z.object({
  session: Id,
  /** Where the session was, as far as it was said. */
  place: z.string().nullable(),
  day: Day,
  step: StepKey,
  side: SideSchema,
  answers: z.number().int(),
  /** Of them, light and not tight, seen and neither by chance nor recalled. */
  clean: z.number().int(),
  /** By its mark. */
  hardestRung: z.number(),
  /** Milliseconds of the first and the last of them. */
  from: z.number(),
  to: z.number(),
}) satisfies z.ZodType<Counted>

export const WorkedReply = z.object({ day: Day, rows: z.array(Worked) })

export type Worked = z.infer<typeof Worked>

/** Where each step was answered light and easy, by step; a session without a place proves none. */
export const provedAt = (rows: readonly Worked[]): ReadonlyMap<string, readonly string[]> => {
  const places = new Map<string, Set<string>>()
  for (const { step, place, clean } of rows) {
    if (place === null || clean === 0) continue
    places.set(step, (places.get(step) ?? new Set()).add(place))
  }
  return new Map([...places].map(([step, at]) => [step, [...at].sort()]))
}
