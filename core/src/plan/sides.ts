import { count, daysBetween, type Day, type Place, type Side } from '../answer'
import type { OpenTrack } from './open-steps'

/** What one side gets in a burst. */
export interface SidePlan {
  readonly side: Side
  readonly rung: number
  readonly asks: number
  /** Where to ask from: the places still missing, for a step that must hold all round. */
  readonly places: readonly Place[]
}

const STIFFER_SHARE = 0.6

/** Differences of chance smaller than this are no reason to prefer a side. */
const NOTICEABLE = 0.05

const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

const longerAgo = (a: OpenTrack, b: OpenTrack, on: Day): number => {
  const days = ({ view }: OpenTrack): number =>
    view.lastDay === null ? Infinity : daysBetween(view.lastDay, on)
  return days(b) === days(a) ? 0 : days(b) - days(a)
}

/** Which side begins, and why. */
export const firstSide = (tracks: readonly OpenTrack[], on: Day): { side: Side; reason: string } => {
  const [one, other] = tracks
  if (!one) return { side: 'none', reason: '' }
  if (!other) return { side: one.side, reason: '' }
  const gap = one.view.chance - other.view.chance
  if (one.view.answers + other.view.answers > 0 && Math.abs(gap) >= NOTICEABLE) {
    const stiffer = gap > 0 ? other : one
    const points = Math.round(Math.abs(gap) * 100)
    return {
      side: stiffer.side,
      reason: `${stiffer.side} first: ${count(points, 'point')} behind the ${otherSide(stiffer.side)}`,
    }
  }
  const [older] = [one, other].sort((a, b) => longerAgo(a, b, on))
  return older!.view.lastDay === null && one.view.answers + other.view.answers > 0
    ? { side: older!.side, reason: `${older!.side} first: it has not been asked yet` }
    : { side: older!.side, reason: `${older!.side} first, then ${otherSide(older!.side)}` }
}

/** Shares a number of asks between the sides: the first side gets about 60 in 100, every side at least one. */
export const shareAsks = (tracks: readonly OpenTrack[], first: Side, asks: number): readonly SidePlan[] => {
  const part = ({ side, rung, view }: OpenTrack, asks: number): SidePlan => ({
    side,
    rung,
    asks,
    places: view.placesMissing,
  })
  if (tracks.length === 1) return [part(tracks[0]!, asks)]
  const more = Math.max(1, Math.round(asks * STIFFER_SHARE))
  const ordered = [...tracks].sort((a) => (a.side === first ? -1 : 1))
  return ordered.map((track) => part(track, track.side === first ? more : Math.max(1, asks - more)))
}
