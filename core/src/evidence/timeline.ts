import { addDays, daysBetween, type Day, type Side } from '../answer'
import { coldChances, restedTo, type Belief, type Chances, type Model } from '../belief'
import { stepOf, type Program } from '../program'
import { recordsWith, trackKey, type TrackedAnswer, type TrackKey, type TrackRecord } from '../readiness'

/** The chance of a light first ask at the required rung, as it stood at one time of one day. */
export interface Moment extends Chances {
  readonly day: Day
  /** Before that day's work, after it, or on a day of rest between. */
  readonly when: 'morning' | 'evening' | 'rest'
}

/** Points drawn in one gap at most. */
const POINTS_A_GAP = 12

/** How far ahead the next rest is shown. */
export const AHEAD_DAYS = 28

/** Evenly spread days after `from`, up to and with `to`. */
const daysAfter = (from: Day, to: Day): readonly Day[] => {
  const days = daysBetween(from, to)
  const points = Math.min(days, POINTS_A_GAP)
  return Array.from({ length: points }, (_, i) => addDays(from, Math.round(((i + 1) * days) / points)))
}

/**
 * The chance of a track over its days: up with the work of each day, worn by the rest between, and what rest alone
 * would do after `on`. Oldest answer first; answers to the steps that carry over to it must be among them.
 */
export const timelineOf = (
  model: Model,
  program: Program,
  answers: readonly TrackedAnswer[],
  stepKey: string,
  side: Side,
  on: Day,
): readonly Moment[] => {
  const step = stepOf(program, stepKey)
  if (!step) return []
  const key = trackKey(stepKey, side)
  const records = new Map<TrackKey, TrackRecord>()
  const moments: Moment[] = []
  const at = (belief: Belief, day: Day, when: Moment['when']): void => {
    moments.push({ ...coldChances(model, step, belief, step.requiredRung), day, when })
  }
  const rest = (belief: Belief, to: Day, withLast: boolean): void => {
    const days = daysAfter(belief.lastDay!, to)
    for (const day of withLast ? days : days.slice(0, -1)) at(restedTo(model, belief, day), day, 'rest')
  }
  for (const answer of answers) {
    if (answer.day > on) break
    const before = records.get(key)?.belief
    recordsWith(model, program, records, answer)
    const after = records.get(key)?.belief
    if (!before || !after || after === before || before.lastDay === answer.day) continue
    at(before, before.lastDay!, 'evening')
    rest(before, answer.day, false)
    at(restedTo(model, before, answer.day), answer.day, 'morning')
  }
  const last = records.get(key)?.belief
  if (last) {
    at(last, last.lastDay!, 'evening')
    if (last.lastDay! < on) rest(last, on, true)
    for (const day of daysAfter(on, addDays(on, AHEAD_DAYS))) at(restedTo(model, last, day), day, 'rest')
  }
  return moments
}
