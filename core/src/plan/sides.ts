import { count, daysBetween, type Day, type PlaceByHorse, type Side } from '../answer'
import type { OpenTrack } from './open-steps'

/** What one side gets in a burst. */
export interface SidePlan {
  readonly side: Side
  readonly rung: number
  readonly asks: number
  /** Where to ask from: the places still missing, for a step that must hold all round. */
  readonly places: readonly PlaceByHorse[]
}

/** Which side begins, why, and what share of the asks it gets. */
export interface FirstSide {
  readonly side: Side
  readonly reason: string
  readonly share: number
}

/** The stiffer side gets more (common practice, no source). */
const STIFFER_SHARE = 0.6

/** Differences of chance smaller than this are no reason to prefer a side. */
const NOTICEABLE = 0.05

const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

const longerAgo = (a: OpenTrack, b: OpenTrack, on: Day): number => {
  const days = ({ view }: OpenTrack): number =>
    view.lastDay === null ? Infinity : daysBetween(view.lastDay, on)
  return days(b) === days(a) ? 0 : days(b) - days(a)
}

/** Which side begins, and why: the stiffer one with more of the asks, or else the one asked longer ago. */
export const firstSide = (tracks: readonly OpenTrack[], on: Day): FirstSide => {
  const [one, other] = tracks
  if (!one) return { side: 'none', reason: '', share: 1 }
  if (!other) return { side: one.side, reason: '', share: 1 }
  const isAsked = one.view.answers + other.view.answers > 0
  const gap = one.view.chance - other.view.chance
  if (isAsked && Math.abs(gap) >= NOTICEABLE) {
    const { side } = gap > 0 ? other : one
    const points = count(Math.round(Math.abs(gap) * 100), 'point')
    return { side, reason: `${side} first: ${points} behind the ${otherSide(side)}`, share: STIFFER_SHARE }
  }
  const [older] = [one, other].sort((a, b) => longerAgo(a, b, on))
  const { side, view } = older!
  return view.lastDay === null && isAsked
    ? { side, reason: `${side} first: it has not been asked yet`, share: STIFFER_SHARE }
    : { side, reason: '', share: 0.5 }
}

/** Shares a number of asks between the sides, the first side first, every side at least one. */
export const shareAsks = (
  tracks: readonly OpenTrack[],
  { side: first, share }: Pick<FirstSide, 'side' | 'share'>,
  asks: number,
): readonly SidePlan[] => {
  const part = ({ side, rung, view }: OpenTrack, asks: number): SidePlan => ({
    side,
    rung,
    asks,
    places: view.placesMissing,
  })
  if (tracks.length === 1) return [part(tracks[0]!, asks)]
  const more = Math.max(1, Math.round(asks * share))
  const ordered = [...tracks].sort((a) => (a.side === first ? -1 : 1))
  return ordered.map((track) => part(track, track.side === first ? more : Math.max(1, asks - more)))
}
