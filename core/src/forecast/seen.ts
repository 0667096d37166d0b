import { addDays, PLACES, type Day } from '../answer'
import { difficulty, gradeAtMost, type Chances } from '../judgement'
import {
  needOf,
  PLACE_DAYS,
  WORK_CHANCE,
  type Miss,
  type State,
  type TrackView,
  type Views,
} from '../readiness'
import { restedOn, type Future, type Rested } from './future'
import { MOVING_ASKS, NEVER, type Standing } from './standing'

/** The tenth and the ninetieth part of a normal distribution lie so many spreads from its middle. */
const TENTH = 1.281_551_565_544_6

const chancesOf = (
  future: Future,
  i: number,
  { rested, rung }: { rested: Rested; rung: number },
): Chances => {
  const { model, judge, path } = future
  const { requiredRung } = path.steps[path.tracks[i]!.step]!.step
  const hardness = difficulty(model, rung, { requiredRung, cold: true })
  const light = (ability: number): number => gradeAtMost(model, 1, { ability, hardness })
  return {
    chance: judge.light(rested, hardness),
    low: light(rested.mean - TENTH * rested.sd),
    high: light(rested.mean + TENTH * rested.sd),
    calmChance: judge.notTight({ mean: rested.calmMean, sd: rested.calmSd }, hardness),
  }
}

const BITS = [0, 1, 1, 2, 1, 2, 2, 3] as const

const isNewestGood = (bits: number): boolean => (bits & 1) === 1

const hasPassedCold = (at: Standing, i: number): boolean =>
  at.coldAsks[i]! >= 2 && isNewestGood(at.coldPasses[i]!) && BITS[at.coldPasses[i]!]! >= 2

const isFresh = (proved: number, day: number): boolean => proved !== NEVER && day - proved <= PLACE_DAYS

const missingPlaces = ({ at, path }: Future, i: number, day: number): TrackView['placesMissing'] =>
  path.steps[path.tracks[i]!.step]!.step.allRound
    ? PLACES.filter((_, n) => !isFresh(at.places[i * PLACES.length + n]!, day))
    : []

const missingMoves = ({ at, path }: Future, i: number, day: number): number => {
  if (!path.steps[path.tracks[i]!.step]!.step.allRound) return 0
  let missing = 0
  for (let n = 0; n < MOVING_ASKS; n++) missing += isFresh(at.moving[i * MOVING_ASKS + n]!, day) ? 0 : 1
  return missing
}

/** The rules of Solid by what was counted and what is believed, at the required rung. */
const isSolid = (future: Future, i: number, { day, chances }: { day: number; chances: Chances }): boolean => {
  const { at, model, path } = future
  const { step } = path.steps[path.tracks[i]!.step]!
  const need = needOf(model, step)
  const { days, atRung } = model.solid[step.kind]
  return (
    chances.chance >= need.chance &&
    chances.low >= need.low &&
    chances.calmChance >= need.calm &&
    at.daysWorked[i]! >= days &&
    at.atRequired[i]! >= atRung &&
    at.fought[i] === 0 &&
    hasPassedCold(at, i) &&
    missingPlaces(future, i, day).length === 0 &&
    missingMoves(future, i, day) === 0
  )
}

/** Whether a track is Solid in the evening, before any rest. */
export const isSolidTonight = (future: Future, i: number, day: number): boolean => {
  const { requiredRung } = future.path.steps[future.path.tracks[i]!.step]!.step
  const chances = chancesOf(future, i, { rested: restedOn(future, i, day), rung: requiredRung })
  return isSolid(future, i, { day, chances })
}

const stateOf = (future: Future, i: number, { day, chances }: { day: number; chances: Chances }): State => {
  const { at } = future
  if (at.answers[i] === 0) return 'new'
  if (isSolid(future, i, { day, chances })) return 'solid'
  if (at.solidAtEnd[i] === 1) return 'rusty'
  return chances.chance >= 0.5 ? 'coming' : 'started'
}

/** At or above this chance the day opens at the required rung. */
const OPEN_CHANCE = 0.8

const openAt = (
  { at }: Future,
  i: number,
  { ladder, requiredRung }: { ladder: readonly Chances[]; requiredRung: number },
): number => {
  if (at.answers[i] === 0) return 1
  if (at.endedBadly[i] === 1) return Math.min(requiredRung, Math.max(1, at.goodRung[i]! - 1))
  if (ladder[requiredRung - 1]!.chance >= OPEN_CHANCE) return requiredRung
  for (let rung = requiredRung; rung > 1; rung--) if (ladder[rung - 1]!.chance >= WORK_CHANCE) return rung
  return 1
}

const COLD: readonly Miss[] = [{ rule: 'cold', words: '' }]
const NOTHING: readonly [] = []

/** A day by its number; the same few are named over and over. */
const namedDay = ({ dayNames }: Future, number: number, { day, on }: { day: number; on: Day }): Day => {
  const known = dayNames.get(number) ?? addDays(on, number - day)
  dayNames.set(number, known)
  return known
}

/** What the composer's worth looks at of a track; of all else a view tells, nothing. */
const viewOf = (future: Future, i: number, { day, on }: { day: number; on: Day }): TrackView => {
  const { at, path } = future
  const { step, rung } = path.steps[path.tracks[i]!.step]!
  const { requiredRung } = step
  const rested = restedOn(future, i, day)
  const ladder = Array.from({ length: Math.max(requiredRung, rung) }, (_, n) =>
    chancesOf(future, i, { rested, rung: n + 1 }),
  )
  const chances = ladder[requiredRung - 1]!
  const passed = hasPassedCold(at, i)
  const { chance, low, high, calmChance } = chances
  // Named one by one: an object that begins with a spread is made slowly, and there are millions of these.
  return {
    chance,
    low,
    high,
    calmChance,
    state: stateOf(future, i, { day, chances }),
    answers: at.answers[i]!,
    daysWorked: at.daysWorked[i]!,
    byRung: ladder.slice(0, requiredRung),
    beyond: ladder.slice(requiredRung),
    workRung: 1,
    holdsToRung: 0,
    openAt: openAt(future, i, { ladder, requiredRung }),
    asksNeeded: null,
    placesMissing: missingPlaces(future, i, day),
    movingMissing: missingMoves(future, i, day),
    misses: passed ? NOTHING : COLD,
    lastDay: at.lastDay[i] === NEVER ? null : namedDay(future, at.lastDay[i]!, { day, on }),
    passedColdToday: false,
    foretoldToday: null,
    lastCold: at.coldAsks[i] === 0 ? null : { day: on, passed: isNewestGood(at.coldPasses[i]!) },
    recent: NOTHING,
    recentDays: NOTHING,
    hardest: at.hardest[i]!,
    lastStood: null,
    awayDays: 0,
    behind: {},
    temper: null,
    logLikelihood: 0,
    meanAbility: rested.mean,
  }
}

/** Every track of the path on a morning, by its number and by its name. */
export const morningOf = (
  future: Future,
  { day, on }: { day: number; on: Day },
): { readonly views: readonly TrackView[]; readonly named: Views } => {
  const views = future.path.tracks.map((_, i) => viewOf(future, i, { day, on }))
  return { views, named: new Map(future.path.tracks.map(({ key }, i) => [key, views[i]!])) }
}
