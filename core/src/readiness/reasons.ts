import { chancePercent, count, daysBetween, type Day, type Side } from '../answer'
import { lowerFirst } from './text'
import type { TrackView } from './judge'

const tightWords = (tight: number): string => (tight === 0 ? '' : `, ${tight} tight`)

/** How long ago in words: "today", "yesterday", "4 calendar days ago". */
export const ago = (day: Day, on: Day): string => {
  const days = daysBetween(day, on)
  if (days === 0) return 'today'
  return days === 1 ? 'yesterday' : `${days} calendar days ago`
}

/** What is known of a track and from what: "7 of the last 8 light, 2 tight; last asked 4 calendar days ago". */
export const knownFrom = (view: TrackView, on: Day): string => {
  if (view.answers === 0 || view.lastDay === null) return 'not asked yet'
  const { recent } = view
  const light = recent.filter(({ grade }) => grade <= 1).length
  const tight = recent.filter(({ calm }) => calm === 2).length
  const share =
    recent.length === 1
      ? `its one answer was ${light === 1 ? 'light' : 'not light'}${tight === 1 ? ' but tight' : ''}`
      : `${light} of the last ${recent.length} light${tightWords(tight)}`
  return `${share}; last asked ${ago(view.lastDay, on)}`
}

/** The same with the side in front: "right: 3 of the last 8 light, 2 tight; last asked yesterday". */
export const sideKnownFrom = (side: Side, view: TrackView, on: Day): string =>
  side === 'none' ? knownFrom(view, on) : `${side}: ${knownFrom(view, on)}`

/**
 * The rule that a track waits for whose chance alone would do: "the last first ask of a day failed".
 * `null` where the state and the chance do not seem to say different things.
 */
export const waitsFor = ({ state, misses }: Pick<TrackView, 'state' | 'misses'>): string | null =>
  (state === 'coming' || state === 'slipped') && misses.every(({ rule }) => rule !== 'chance')
    ? (misses[0]?.words ?? null)
    : null

/** The chance, with the rule it waits for where it would do by itself: "97 %, but the last first ask …". */
export const chanceInWords = (view: Pick<TrackView, 'state' | 'misses' | 'chance'>): string => {
  const waits = waitsFor(view)
  return waits === null
    ? chancePercent(view.chance)
    : `${chancePercent(view.chance)}, but ${lowerFirst(waits)}`
}

/** "of 29 first asks about 2 are likely to fail". */
export const missesInWords = (likelyMisses: number, tracks: number): string => {
  const about = likelyMisses < 0.5 ? 'fewer than 1' : `about ${Math.round(likelyMisses)}`
  return `Of ${count(tracks, 'first ask')} ${about} are likely to fail.`
}

/** The misses of a track as one line: "missing: …; …". Empty when none. */
export const missingInWords = (view: TrackView): string =>
  view.misses.length === 0 ? '' : `Missing: ${view.misses.map(({ words }) => lowerFirst(words)).join('; ')}.`
