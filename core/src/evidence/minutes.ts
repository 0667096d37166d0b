import type { Kind } from '../answer'
import { stepOf, type Program } from '../program'

interface Given {
  readonly sessionId: string
  readonly step: string
  /** ISO 8601. */
  readonly at: string
}

/** A longer wait before an answer than this is a pause, and no work on its step. */
const PAUSE_MINUTES = 3

const MS_A_MINUTE = 60_000

/**
 * Minutes worked by the kind of the step: an answer stands for the time since the one before it in its session. Oldest
 * answer first.
 */
export const minutesByKind = (
  program: Program,
  answers: readonly Given[],
): Readonly<Record<Kind, number>> => {
  const minutes: Record<Kind, number> = { ask: 0, accept: 0, hold: 0 }
  const lastOf = new Map<string, number>()
  for (const { sessionId, step, at } of answers) {
    const now = Date.parse(at)
    const before = lastOf.get(sessionId)
    lastOf.set(sessionId, now)
    const kind = stepOf(program, step)?.kind
    if (kind === undefined || before === undefined) continue
    minutes[kind] += Math.min(PAUSE_MINUTES, Math.max(0, now - before) / MS_A_MINUTE)
  }
  return minutes
}
