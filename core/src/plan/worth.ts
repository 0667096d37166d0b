import { daysBetween, type Day } from '../answer'
import { gainOf } from '../learning'
import { chancesAt, trackMeets, type TrackView } from '../readiness'
import type { Goal } from './goals'
import type { OpenTrack } from './open-steps'
import { inDays, logit, ordinaryGain, PLACES_A_DAY, shortfallOf, type Learner } from './shortfall'

const logistic = (x: number): number => 1 / (1 + Math.exp(-x))

/** A chance no answer has spoken for yet is only a guess: at least so much may be hoped for. */
const HOPE = 0.25
const SPOKEN_FOR = 4

/** A rung is left for the next one where it would go so well when warm. */
const READY_FOR_MORE = 0.85

export interface Expected {
  readonly ability: number
  readonly calm: number
  /** The rung of the last visit. */
  readonly rung: number
}

/**
 * What visits of so many asks each are expected to teach one track by the law of learning, from the chances shown
 * today, told after each of them; a later visit goes a rung up where the one before left it nearly sure.
 */
export const expectedGains = (
  { model, law }: Learner,
  view: TrackView,
  { rung, top, asks, visits, on }: { rung: number; top: number; asks: number; visits: number; on: Day },
): readonly Expected[] => {
  const guess = view.answers < SPOKEN_FOR
  const { calmChance } = chancesAt(view, rung)
  let x =
    logit(guess ? Math.max(HOPE, chancesAt(view, rung).chance) : chancesAt(view, rung).chance) / model.slope
  let ability = 0
  let calm = 0
  let at = rung
  const told: Expected[] = []
  for (let visit = 0; visit < visits; visit++) {
    if (visit > 0 && at < top && logistic(model.slope * x) >= READY_FOR_MORE) {
      at += 1
      x -= model.rungStep
    }
    for (let k = 1; k <= asks; k++) {
      const isCold = visit === 0 && k === 1 && view.lastDay !== on
      const p = logistic(model.slope * (x + (isCold ? 0 : model.cold)))
      const loose = gainOf(law, k, { chance: p, calm: 0 })
      const tight = gainOf(law, k, { chance: p, calm: 2 })
      const gain = calmChance * loose.ability + (1 - calmChance) * tight.ability
      ability += gain
      calm += calmChance * loose.calm + (1 - calmChance) * tight.calm
      x += gain
    }
    told.push({ ability, calm, rung: at })
  }
  return told
}

/** A required track that is likely to fail at the gate costs about so many days. */
const MISS_DAYS = 1

/** What holds and was not asked for so long begins to be due, and is due after so many more days. */
const FRESH_FOR = 5
const DUE_AFTER = 9
const STALE_DAYS = 0.35

/** A first ask that a visit of somebody waits for and for nothing else. */
const DUE_DAYS = 1

/** What ended badly opens lower the next time, though it would be sure enough: until it ended well its first ask cannot pass. */
const SET_RIGHT_DAYS = 1
const SURE = 0.8

const endedBadly = (view: TrackView, rung: number): boolean =>
  view.openAt < rung && chancesAt(view, rung).chance >= SURE

const staleness = ({ state, lastDay }: TrackView, on: Day): number =>
  lastDay !== null && (state === 'solid' || state === 'rusty')
    ? STALE_DAYS * Math.min(1, Math.max(0, (daysBetween(lastDay, on) - FRESH_FOR) / DUE_AFTER))
    : 0

const passes = ({ chance, calmChance }: { chance: number; calmChance: number }): number => chance * calmChance

const lifted = (p: number, by: number, slope: number): number => logistic(logit(p) + slope * by)

/** Work days that visits to one side take off what it still needs. */
const sideWorth = (
  learner: Learner,
  { step, rung, must, due }: Goal,
  { track, asks, gains, on }: { track: OpenTrack; asks: number; gains: readonly Expected[]; on: Day },
): number => {
  const { view } = track
  const gain = gains.at(-1)!
  const ordinary = ordinaryGain(learner.law)
  const is = shortfallOf(learner, step, { view, rung, must })
  const isFirstToday = view.lastDay !== on
  const coldPass = isFirstToday && track.rung >= rung ? passes(chancesAt(view, track.rung)) : 0
  const will = {
    days: is.days - (isFirstToday ? 1 : 0),
    cold: is.cold - coldPass,
    ability: is.ability - gain.ability / ordinary.ability,
    calm: is.calm - gain.calm / ordinary.calm,
    places: is.places - (asks * gains.length) / PLACES_A_DAY,
  }
  const now = chancesAt(view, rung)
  const then = {
    chance: lifted(now.chance, gain.ability, learner.model.slope),
    calmChance: lifted(now.calmChance, gain.calm, learner.model.slope),
  }
  const isHeld = must === 'solid' ? view.state === 'solid' : trackMeets(view, rung)
  // What does not hold costs a day at least, however little it lacks, and may hold after this one.
  const saved = isHeld ? 0 : Math.max(1, inDays(is)) - Math.max(1 - passes(then), inDays(will))
  const surer = must === 'solid' ? MISS_DAYS * (passes(then) - passes(now)) : 0
  const setRight =
    isFirstToday && !isHeld && endedBadly(view, rung)
      ? SET_RIGHT_DAYS * passes(chancesAt(view, track.rung))
      : 0
  const opens = due?.guards.kind === 'event' && coldPass > 0 ? DUE_DAYS : 0
  return saved + setRight + surer + opens + staleness(view, on)
}

/** So many days of work that wait for a step make it count double. */
const DOUBLE_BEHIND = 3

/** How much a day on a step counts: by the gate that asks for it and by what waits behind it. */
export const pressOf = ({ weight, behind }: Pick<Goal, 'weight' | 'behind'>): number =>
  weight * (1 + behind / DOUBLE_BEHIND)

/**
 * What a way of working a step today is worth: work days saved on the way to the gates ahead. `gains` are those of each
 * track, after each visit.
 */
export const worthOf = (
  learner: Learner,
  goal: Goal,
  {
    tracks,
    asksASide,
    gains,
    on,
  }: {
    tracks: readonly OpenTrack[]
    asksASide: readonly number[]
    gains: readonly (readonly Expected[])[]
    on: Day
  },
): number => {
  const sides = tracks.map((track, i) =>
    sideWorth(learner, goal, { track, asks: asksASide[i]!, gains: gains[i]!, on }),
  )
  const mean = sides.reduce((sum, worth) => sum + worth, 0) / sides.length
  return mean * pressOf(goal)
}
