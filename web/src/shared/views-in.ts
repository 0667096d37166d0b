import type { Line } from '@still-pine/contract'
import { trackKey, type Views } from '@still-pine/core/readiness'

/** The tracks of a Line as core reads them. */
export const viewsIn = (line: Pick<Line, 'tracks'>): Views =>
  new Map(line.tracks.map(({ step, side, view }) => [trackKey(step, side), view]))
