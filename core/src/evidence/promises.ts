import type { Day, Side } from '../answer'

/** A session with what it set out to do. */
export interface Promising {
  readonly id: string
  readonly day: Day
  readonly promised: readonly { readonly step: string; readonly side: Side; readonly asks: number }[] | null
}

interface Given {
  readonly sessionId: string
  readonly step: string
  readonly side: Side
}

/** A track that was to be asked and was not, or less than half as often. */
export interface NotDone {
  readonly step: string
  readonly side: Side
  /** Asks that were promised, and that were given, over all the sessions that promised it. */
  readonly promised: number
  readonly given: number
  readonly sessions: number
  readonly lastDay: Day
}

/** Less than this share of what was promised is not done. */
const DONE = 0.5

/** What sessions set out to do and did not, the most often first. */
export const promisesNotDone = (
  sessions: readonly Promising[],
  answers: readonly Given[],
): readonly NotDone[] => {
  const given = new Map<string, number>()
  const keyOf = (session: string, step: string, side: Side): string => `${session} ${step}/${side}`
  for (const { sessionId, step, side } of answers) {
    const key = keyOf(sessionId, step, side)
    given.set(key, (given.get(key) ?? 0) + 1)
  }
  const missed = new Map<string, NotDone>()
  for (const { id, day, promised } of sessions)
    for (const { step, side, asks } of promised ?? []) {
      const done = given.get(keyOf(id, step, side)) ?? 0
      if (done >= DONE * asks) continue
      const known = missed.get(`${step}/${side}`)
      missed.set(`${step}/${side}`, {
        step,
        side,
        promised: (known?.promised ?? 0) + asks,
        given: (known?.given ?? 0) + done,
        sessions: (known?.sessions ?? 0) + 1,
        lastDay: known && known.lastDay > day ? known.lastDay : day,
      })
    }
  return [...missed.values()].sort(
    (a, b) => b.sessions - a.sessions || b.promised - b.given - (a.promised - a.given),
  )
}
