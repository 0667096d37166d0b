import { addDays, type Day } from '../answer'
import type { HorseStanding } from '../judgement'
import type { Records, TrackKey, TrackRecord } from '../readiness'

/** How a horse and the tracks worked on a day stood at the end of it: what comes later can be made again from there. */
export interface DayEnd {
  readonly day: Day
  readonly horse: HorseStanding
  readonly tracks: ReadonlyMap<TrackKey, TrackRecord>
}

export const dayEndOf = ({ horse, tracks }: Records, day: Day): DayEnd => ({
  day,
  horse,
  tracks: new Map([...tracks].filter(([, { belief }]) => belief.lastDay === day)),
})

/** A change further back than this is rare, and re-makes the whole horse. */
export const DAYS_OF_DAY_ENDS = 60

/** The first day whose end is saved together with all that follow; of the days before it only the last end is. */
export const dayEndsSince = (lastDay: Day | null): Day =>
  lastDay === null ? '0001-01-01' : addDays(lastDay, -DAYS_OF_DAY_ENDS)

export interface SavedDayEnds {
  readonly horses: readonly { readonly day: Day; readonly horse: HorseStanding }[]
  /** The day is the record's last one. */
  readonly tracks: readonly { readonly key: TrackKey; readonly record: TrackRecord }[]
}

/**
 * Of some ends of days, oldest first, those from which any day since `since` can be made again: all since then, and
 * before it the last one of the horse and of each track.
 */
export const dayEndsToSave = (dayEnds: readonly DayEnd[], since: Day): SavedDayEnds => {
  const isRecent = ({ day }: { readonly day: Day }): boolean => day >= since
  const newestOlder = dayEnds.findLast((end) => !isRecent(end))
  const lastOfOlder = new Map<TrackKey, TrackRecord>()
  for (const end of dayEnds)
    if (!isRecent(end)) for (const [key, record] of end.tracks) lastOfOlder.set(key, record)
  const recent = dayEnds.filter(isRecent)
  return {
    horses: [...(newestOlder ? [newestOlder] : []), ...recent].map(({ day, horse }) => ({ day, horse })),
    tracks: [...lastOfOlder, ...recent.flatMap(({ tracks }) => [...tracks])].map(([key, record]) => ({
      key,
      record,
    })),
  }
}
