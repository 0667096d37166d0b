import { PLACES, type Calm, type Day, type Grade, type PlaceByHorse } from '../answer'
import { calmAtMost, difficulty, gradeAtMost, retention, startMeanWith, type Model } from '../judgement'
import { gainOf, type LearningLaw } from '../learning'
import type { JudgeTable } from './judge-table'
import type { Luck } from './luck'
import type { Path, PathTrack } from './path'
import { LAST_DAY, MOVING_ASKS, NEVER, OWN, startNow, type Standing } from './standing'

/** What the horse of one draw is. */
export interface OwnNature {
  readonly talent: number
  readonly calmTalent: number
  /** The logarithm of its speed over the standard one. */
  readonly logSpeed: number
  /** Left less right, in ability. */
  readonly stiffness: number
}

/** One made-up future of a horse: what it truly is and can, what the judge believes of it, and its luck. */
export interface Future {
  readonly path: Path
  readonly model: Model
  readonly judge: JudgeTable
  /** How the horse truly learns. */
  readonly law: LearningLaw
  readonly own: OwnNature
  readonly newTracks: { readonly abilitySd: number; readonly calmSd: number }
  /** A number for each track by which luck knows it. */
  readonly tickets: readonly number[]
  readonly luck: Luck
  readonly at: Standing
  /** Days by their numbers, as far as they were named. */
  readonly dayNames: Map<number, Day>
}

export interface Asking {
  readonly track: number
  readonly rung: number
  /** Which ask of a burst it is, from 1. */
  readonly k: number
  readonly day: number
  /** Where it is asked from, for a step that must hold all round. */
  readonly place: PlaceByHorse | null
  readonly moving: boolean
}

export interface Given {
  readonly grade: Grade
  readonly calm: Calm
}

const worn = (value: number, start: number, share: number): number => start + (value - start) * share

/** What is left of what was learnt, after the days since it was asked last. */
const shareLeft = ({ model, at }: Future, i: number, day: number): number =>
  at.answers[i] === 0 ? 1 : retention(model, day - at.lastDay[i]!, at.daysWorked[i]!)

const asked = ({ at }: Future, tracks: readonly number[]): readonly number[] =>
  tracks.filter((i) => at.answers[i]! > 0)

/** What comes along from the sources that were asked, by what is told of each. */
const carried = (
  future: Future,
  { sources }: PathTrack,
  { base, of }: { base: number; of: (track: number) => number },
): number =>
  startMeanWith(
    base,
    sources.flatMap(({ tracks, share }) => {
      const known = asked(future, tracks)
      return known.length === 0
        ? []
        : [{ share, mean: known.reduce((sum, i) => sum + of(i), 0) / known.length }]
    }),
  )

/** A belief on a morning, after the rest since its last day. */
export interface Rested {
  readonly mean: number
  readonly sd: number
  readonly calmMean: number
  readonly calmSd: number
}

/** A rest in closed form: back towards the start, with a small chance that it is undone altogether. */
const restedOne = (
  { mean, sd }: { mean: number; sd: number },
  start: { mean: number; sd: number },
  { share, setBack }: { share: number; setBack: number },
): { mean: number; sd: number } => {
  const wornMean = worn(mean, start.mean, share)
  const wornVariance = sd * sd * share * share + start.sd * start.sd * (1 - share * share)
  const mixed = (1 - setBack) * wornMean + setBack * start.mean
  const variance =
    (1 - setBack) * (wornVariance + (wornMean - mixed) ** 2) +
    setBack * (start.sd * start.sd + (start.mean - mixed) ** 2)
  return { mean: mixed, sd: Math.sqrt(variance) }
}

/** What is believed of a track on a day; one never asked has its start and what carries over. */
export const restedOn = (future: Future, i: number, day: number): Rested => {
  const { at, model, path } = future
  if (at.answers[i] === 0) {
    const start = startNow(at, model)
    const of = (source: number): number => restedOn(future, source, day).mean
    return { ...start, mean: carried(future, path.tracks[i]!, { base: start.mean, of }) }
  }
  const start = { mean: at.startMean[i]!, sd: at.startSd[i]! }
  const calmStart = { mean: at.startCalmMean[i]!, sd: at.startCalmSd[i]! }
  if (at.lastDay[i] === day)
    return { mean: at.mean[i]!, sd: at.sd[i]!, calmMean: at.calmMean[i]!, calmSd: at.calmSd[i]! }
  const by = { share: shareLeft(future, i, day), setBack: model.setBack }
  const ability = restedOne({ mean: at.mean[i]!, sd: at.sd[i]! }, start, by)
  const calm = restedOne({ mean: at.calmMean[i]!, sd: at.calmSd[i]! }, calmStart, by)
  return { mean: ability.mean, sd: ability.sd, calmMean: calm.mean, calmSd: calm.sd }
}

const SIDES = { left: 0.5, right: -0.5, none: 0 } as const

/** Where a track truly starts, before anything carries over. */
export const trueStart = ({ model, own }: Pick<Future, 'model' | 'own'>, { side }: PathTrack): number =>
  model.priorAbility.mean + own.talent + SIDES[side] * own.stiffness

const truthOn = (future: Future, i: number, day: number): number => {
  const { at, law } = future
  return worn(at.can[i]! + law.nightShare * at.gainToday[i]!, at.canStart[i]!, shareLeft(future, i, day))
}

/** A track that nobody asked before today: drawn, with what carries over from what the horse truly can. */
const begun = (future: Future, i: number, day: number): void => {
  const { at, model, own, path, luck, newTracks, tickets } = future
  const base = trueStart(future, path.tracks[i]!)
  const of = (source: number): number => truthOn(future, source, day)
  const start = carried(future, path.tracks[i]!, { base, of })
  at.canStart[i] = start + newTracks.abilitySd * luck.normal(tickets[i]!, 0, 'start')
  at.calmStart[i] =
    model.priorCalm.mean + own.calmTalent + newTracks.calmSd * luck.normal(tickets[i]!, 1, 'start')
  at.can[i] = at.canStart[i]!
  at.calm[i] = at.calmStart[i]!
}

/** The first ask of a day: what the night and the rest before it made of the track. */
const woken = (future: Future, i: number, day: number): void => {
  const { at } = future
  const believed = restedOn(future, i, day)
  if (at.answers[i] === 0) {
    begun(future, i, day)
    at.startMean[i] = believed.mean
    at.startSd[i] = believed.sd
    at.startCalmMean[i] = believed.calmMean
    at.startCalmSd[i] = believed.calmSd
    at.withTalent[i] = at.horse[OWN.talent + 1]!
    at.withEase[i] = at.horse[OWN.ease + 1]!
    at.withSpeed[i] = 0
  } else {
    const share = shareLeft(future, i, day)
    at.can[i] = truthOn(future, i, day)
    at.calm[i] = worn(at.calm[i]!, at.calmStart[i]!, share)
    at.withTalent[i]! *= share
    at.withEase[i]! *= share
    at.withSpeed[i]! *= share
  }
  at.gainToday[i] = 0
  at.mean[i] = believed.mean
  at.sd[i] = believed.sd
  at.calmMean[i] = believed.calmMean
  at.calmSd[i] = believed.calmSd
  at.daysWorked[i]! += 1
  at.fought[i] = (at.fought[i]! << 1) & 0b11
  at.goodRung[i] = 0
  at.lastDay[i] = day
}

const GRADES = [0, 1, 2, 3] as const
const CALMS = [0, 1] as const

const drawn = (future: Future, i: number, hardness: number): Given => {
  const { at, model, luck, tickets } = future
  const n = at.asked[i]!
  const u = luck.between(tickets[i]!, n, 'grade')
  const v = luck.between(tickets[i]!, n, 'calm')
  return {
    grade: GRADES.find((k) => u < gradeAtMost(model, k, { ability: at.can[i]!, hardness })) ?? 4,
    calm: CALMS.find((k) => v < calmAtMost(model, k, { ability: at.calm[i]!, hardness })) ?? 2,
  }
}

/** With each new day a little less is known of the horse's own numbers, never less than of any horse. */
const drift = ({ at, model }: Future, day: number): void => {
  const isFirst = at.horse[LAST_DAY] === NEVER
  at.horse[LAST_DAY] = day
  if (isFirst) return
  for (const which of ['talent', 'ease', 'speed'] as const) {
    const variance = at.horse[OWN[which] + 1]!
    const most = Math.max(variance, model.own[which].sd ** 2)
    at.horse[OWN[which] + 1] = Math.min(most, variance + model.drift[which] ** 2)
  }
}

/** However much is heard of a horse, this much stays open. */
const LEAST_VARIANCE = 0.001

interface Narrowed {
  readonly shift: number
  readonly was: number
  readonly is: number
}

/** What the news of a track says of one of the horse's own numbers, as the judge takes it up. */
const heard = (
  { at, model }: Future,
  which: keyof typeof OWN,
  { covariance, shift, was, is }: Narrowed & { covariance: number },
): void => {
  const share = covariance / was
  const mean = at.horse[OWN[which]]! + share * shift
  const variance = at.horse[OWN[which] + 1]! - share * share * Math.max(0, was - is)
  const { least, most, leastSd } = model.speedBounds
  at.horse[OWN[which]] = which === 'speed' ? Math.min(most, Math.max(least, mean)) : mean
  at.horse[OWN[which] + 1] = Math.max(which === 'speed' ? leastSd ** 2 : LEAST_VARIANCE, variance)
}

/** What the answer says to the judge of the track and of the horse, and what it takes the ask to have taught. */
const believe = (
  future: Future,
  { track: i, k }: Asking,
  { grade, calm, hardness }: Given & { hardness: number },
): void => {
  const { at, model, judge } = future
  const { law } = model
  const before = at.sd[i]! ** 2
  const graded = judge.graded(grade, { mean: at.mean[i]!, sd: at.sd[i]! }, hardness)
  const moved = { shift: graded.shift, was: before, is: graded.sd ** 2 }
  const narrowing = Math.min(1, moved.is / moved.was)
  heard(future, 'talent', { covariance: at.withTalent[i]!, ...moved })
  heard(future, 'speed', { covariance: at.withSpeed[i]!, ...moved })
  at.withTalent[i]! *= narrowing
  at.withSpeed[i]! *= narrowing
  const speed = at.horse[OWN.speed]!
  const speedVariance = at.horse[OWN.speed + 1]!
  const scale = law.tiring ** (k - 1) * (calm === 2 ? law.tightShare : 1)
  const unit = scale * graded.unit
  at.mean[i]! += graded.shift + speed * unit
  // The variance of x + speed · u(x): what is learnt most where least is known narrows the belief.
  const learnt = moved.is + speed * scale * (2 * graded.covariance + speed * scale * graded.unitVariance)
  const doubt = Math.max(0, 2 * unit * at.withSpeed[i]! + unit * unit * speedVariance)
  at.sd[i] = Math.sqrt(Math.max(0, learnt) + model.noise ** 2 + doubt)
  at.withSpeed[i]! += unit * speedVariance

  const calmBefore = at.calmSd[i]! ** 2
  const calmed = judge.calmed(calm, { mean: at.calmMean[i]!, sd: at.calmSd[i]! }, hardness)
  const eased = { shift: calmed.shift, was: calmBefore, is: calmed.sd ** 2 }
  heard(future, 'ease', { covariance: at.withEase[i]!, ...eased })
  at.withEase[i]! *= Math.min(1, eased.is / eased.was)
  const gained = calm === 2 ? 0 : (1 - graded.tooBig) * speed * law.calmShare
  at.calmMean[i]! += calmed.shift + gained - law.worry * graded.tooBig
  at.calmSd[i] = Math.hypot(calmed.sd, model.noise)
}

/** A proof of place or movement takes the stead of the oldest. */
const prove = (at: Standing, i: number, { day, place, moving }: Asking): void => {
  if (place !== null) at.places[i * PLACES.length + PLACES.indexOf(place)] = day
  if (!moving) return
  const first = i * MOVING_ASKS
  const oldest = at.moving[first]! <= at.moving[first + 1]! ? first : first + 1
  at.moving[oldest] = day
}

const tally = (
  { at, path }: Future,
  asking: Asking,
  { grade, calm, cold }: Given & { cold: boolean },
): void => {
  const { track: i, rung } = asking
  const { requiredRung } = path.steps[path.tracks[i]!.step]!.step
  const isGood = grade <= 1 && calm !== 2
  at.answers[i]! += 1
  at.asked[i]! += 1
  at.hardest[i] = Math.max(at.hardest[i]!, rung)
  at.endedBadly[i] = Number(grade >= 3 || calm === 2)
  if (grade === 4) at.fought[i]! |= 1
  if (isGood) {
    at.goodRung[i] = Math.max(at.goodRung[i]!, rung)
    prove(at, i, asking)
  }
  if (rung < requiredRung) return
  at.atRequired[i]! += 1
  if (!cold) return
  at.coldPasses[i] = ((at.coldPasses[i]! << 1) | Number(isGood)) & 0b111
  at.coldAsks[i]! += 1
}

/** Asks once: the horse answers by what it truly can and learns of it, and the judge believes what it sees. */
export const askOnce = (future: Future, asking: Asking): Given => {
  const { at, model, law, path } = future
  const { track: i, rung, k, day } = asking
  const cold = at.lastDay[i] !== day
  if (at.horse[LAST_DAY] !== day) drift(future, day)
  if (cold) woken(future, i, day)
  const { requiredRung } = path.steps[path.tracks[i]!.step]!.step
  const hardness = difficulty(model, rung, { requiredRung, cold })
  const chance = gradeAtMost(model, 1, { ability: at.can[i]!, hardness })
  const given = drawn(future, i, hardness)
  const gain = gainOf(law, k, { chance, calm: given.calm })
  at.can[i]! += gain.ability
  at.calm[i]! += gain.calm
  at.gainToday[i]! += gain.ability
  believe(future, asking, { ...given, hardness })
  tally(future, asking, { ...given, cold })
  return given
}
