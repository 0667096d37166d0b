import { count, daysBetween, type Day, type Side, chancePercent, percent } from '../answer'
import type { Step } from '../program'
import { sideGap, sideViews, type TrackView, type Views } from '../readiness'

/** In which way a step can be what is missing. */
export type LackKind =
  'missing' | 'slipped' | 'weak' | 'tight' | 'one-sided' | 'stale' | 'not-moving' | 'home-only'

export interface Lack {
  readonly kind: LackKind
  readonly side: Side
  readonly words: string
}

/** A step that was not asked for longer than this is told as stale (the age at which a Solid step may turn Rusty). */
const STALE_DAYS = 21

const onSide = (side: Side, words: string): string => (side === 'none' ? words : `${side}: ${words}`)

const ofTrack = (side: Side, view: TrackView, on: Day): Lack[] => {
  const lack = (kind: LackKind, words: string): Lack => ({ kind, side, words: onSide(side, words) })
  if (view.answers === 0 || view.lastDay === null) return [lack('missing', 'never asked')]
  const days = daysBetween(view.lastDay, on)
  return [
    ...(view.state === 'slipped' ? [lack('slipped', 'it was Solid and is not now')] : []),
    ...(view.state !== 'slipped' && view.chance < 0.85
      ? [lack('weak', `${chancePercent(view.chance)} chance of a light first ask`)]
      : []),
    ...(view.calmChance < 0.8
      ? [lack('tight', `${percent(1 - view.calmChance)} chance that it is tight`)]
      : []),
    ...(days > STALE_DAYS ? [lack('stale', `not asked for ${count(days, 'calendar day')}`)] : []),
    ...(view.movingMissing > 0 ? [lack('not-moving', 'not proved while it moves')] : []),
  ]
}

const gapLack = (views: Views, step: Step): Lack[] => {
  const gap = sideGap(sideViews(views, step))
  if (gap?.kind !== 'gap' || !gap.flagged) return []
  const side: Side = gap.value > 0 ? 'right' : 'left'
  const points = Math.round(Math.abs(gap.value) * 100)
  return [{ kind: 'one-sided', side, words: `${side} is ${count(points, 'point')} behind` }]
}

/**
 * Everything that is wanting in one step today. `provedAt` names the places where it was answered light and easy; one
 * place alone is a lack only where the horse was worked in more than one.
 */
export const lacksOf = (
  views: Views,
  step: Step,
  { provedAt, placesWorked, on }: { provedAt: readonly string[]; placesWorked: number; on: Day },
): readonly Lack[] => {
  const tracks = sideViews(views, step)
  const ofSides = tracks.flatMap(({ side, view }) => ofTrack(side, view, on))
  const [home] = provedAt
  const isHomeOnly =
    provedAt.length === 1 && placesWorked > 1 && ofSides.every(({ kind }) => kind !== 'missing')
  return [
    ...ofSides,
    ...gapLack(views, step),
    ...(isHomeOnly
      ? [{ kind: 'home-only' as const, side: 'none' as const, words: `proved only in “${home}”` }]
      : []),
  ]
}
