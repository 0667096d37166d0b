import type { Day } from '../answer'
import type { State, Tally } from '../readiness'

/** Since when a track has been as it is; `null` where it was never asked, or is Solid and holds nothing up. */
export const stateSince = (state: State, tally: Tally | undefined, firstDay: Day | null): Day | null => {
  const days = tally?.days ?? []
  switch (state) {
    case 'new':
    case 'solid':
      return null
    case 'rusty':
      // It was Solid that evening, and only time has worn it since.
      return days.at(-1)?.day ?? null
    case 'slipped': {
      // `solidEnds` tells of the days before the last one, newest last as `days` does.
      const ends = tally?.solidEnds ?? []
      const daysSince = ends.length - ends.lastIndexOf(true)
      return days.at(-daysSince)?.day ?? days[0]?.day ?? null
    }
    default:
      return firstDay
  }
}
