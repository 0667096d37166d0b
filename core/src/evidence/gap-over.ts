import type { Day } from '../answer'
import type { Moment } from './timeline'

/** Chance left less chance right on one day. */
export interface GapOn {
  readonly day: Day
  readonly gap: number
}

/** The gap of the sides over the days on which either was told, from the first on which both were known, up to `on`. */
export const gapOver = (left: readonly Moment[], right: readonly Moment[], on: Day): readonly GapOn[] => {
  const days = [...new Set([...left, ...right].map(({ day }) => day))].filter((day) => day <= on).sort()
  const lastBy = (moments: readonly Moment[], day: Day): Moment | undefined =>
    moments.findLast((moment) => moment.day <= day)
  return days.flatMap((day) => {
    const [l, r] = [lastBy(left, day), lastBy(right, day)]
    return l && r ? [{ day, gap: l.chance - r.chance }] : []
  })
}
