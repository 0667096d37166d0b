import { addDays, daysBetween, type Day } from '../answer'
import { retention, lightChance, restedTo, type Belief, type Model, type StepShape } from '../judgement'

/** The chance of a light first ask at the required rung, as it stood at one time of one day. */
export interface Moment {
  readonly day: Day
  readonly chance: number
}

/** How a track stood before and after the work of one day. */
export interface DayTold {
  readonly day: Day
  readonly morning: number
  readonly evening: number
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
 * What rest did between two days of which the chance is known: it wore on the way as the ability does, fast at first.
 * The horse was last worked on `since`, its `daysWorked`-th day. Without the two ends.
 */
const wornBetween = (
  model: Model,
  [from, to]: readonly [from: Moment, to: Moment],
  { since, daysWorked }: { since: Day; daysWorked: number },
): readonly Moment[] => {
  const retained = (day: Day): number => retention(model, daysBetween(since, day), daysWorked)
  const [atFirst, atLast] = [retained(from.day), retained(to.day)]
  return daysAfter(from.day, to.day)
    .slice(0, -1)
    .map((day) => ({
      day,
      chance: from.chance + ((to.chance - from.chance) * (atFirst - retained(day))) / (atFirst - atLast),
    }))
}

/**
 * The chance of a track over its days: up with the work of each day, worn by the rest between, and what rest alone
 * would do after `on`. `days` are all that it was worked on, oldest first; `now` is what is believed after the last.
 * On days worked, on `on` and at the end it is what the filter says; on days of rest between within two points of it.
 */
export const timelineOf = (
  model: Model,
  step: StepShape,
  { days, now, on }: { days: readonly DayTold[]; now: Belief; on: Day },
): readonly Moment[] => {
  const moments: Moment[] = []
  const goOn = (to: Moment, since: Day, daysWorked: number): void => {
    moments.push(...wornBetween(model, [moments.at(-1)!, to], { since, daysWorked }), to)
  }
  // A device's clock may run into tomorrow.
  const worked = days.filter(({ day }) => day <= on)
  for (const [i, { day, morning, evening }] of worked.entries()) {
    if (i > 0) goOn({ day, chance: morning }, worked[i - 1]!.day, i)
    moments.push({ day, chance: evening })
  }
  const last = worked.at(-1)?.day
  if (last === undefined) return []
  for (const day of [on, addDays(on, AHEAD_DAYS)].filter((one) => one > last)) {
    const rested = restedTo(model, now, day)
    goOn({ day, chance: lightChance(model, step, { rested, rung: step.requiredRung }) }, last, now.daysWorked)
  }
  return moments
}
