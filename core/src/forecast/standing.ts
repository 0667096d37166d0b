import { PLACES, daysBetween, type Day, type Side } from '../answer'
import type { Model, Normal } from '../judgement'
import { trackKey } from '../readiness'
import type { Path } from './path'

/** One track as it stands on the morning a forecast begins, told as at the end of the last day it was worked. */
export interface KnownTrack {
  readonly step: string
  readonly side: Side
  readonly ability: Known
  readonly calm: Known
  readonly answers: number
  readonly daysWorked: number
  readonly atRequired: number
  /** First asks of a day at the required rung, the last three: whether they passed. */
  readonly coldPasses: readonly boolean[]
  readonly lastDay: Day | null
  readonly solidAtEnd: boolean
  readonly places: readonly number[]
  readonly moving: number
  /** The hardest rung ever asked; where it is not told, the required one if that was asked, else the first. */
  readonly hardest?: number
  /** How its last day ended; where it is not told, well. */
  readonly ended?: { readonly badly: boolean; readonly goodRung: number }
}

/** What is believed of an ability: by its weights on the judge's grid where they are at hand. */
export interface Known extends Normal {
  readonly grid?: readonly number[] | undefined
}

const OF_A_TRACK = [
  // What the horse truly can, where that began, and what today has added.
  'can',
  'calm',
  'canStart',
  'calmStart',
  'gainToday',
  // What the judge believes.
  'mean',
  'sd',
  'calmMean',
  'calmSd',
  'startMean',
  'startSd',
  'startCalmMean',
  'startCalmSd',
  // How it goes together with the horse's own numbers: what an answer says of them too.
  'withTalent',
  'withEase',
  'withSpeed',
  // What is counted.
  'answers',
  'daysWorked',
  'atRequired',
  'hardest',
  'lastDay',
  'goodRung',
  'endedBadly',
  'coldPasses',
  'coldAsks',
  'fought',
  'solidAtEnd',
  'asked',
] as const

type OfATrack = (typeof OF_A_TRACK)[number]

/**
 * All tracks of a horse on the path, an array each, so that a draw begins by copying them. `coldPasses` and `fought`
 * are bits, the newest the lowest: of the last three first asks, and of the last two days.
 */
export type Standing = Readonly<Record<OfATrack | 'places' | 'moving' | 'horse', Float64Array>>

/** Where the horse's own numbers stand in `horse`, as the judge believes them: a mean, and the variance behind it. */
export const OWN = { talent: 0, ease: 2, speed: 4 } as const
/** Where in `horse` the last day stands on which it was asked anything. */
export const LAST_DAY = 6

/** Days are told from the first of the forecast; this one is no day. */
export const NEVER = -1e6

export const MOVING_ASKS = 2

const emptyStanding = (tracks: number): Standing => {
  const made = Object.fromEntries(OF_A_TRACK.map((field) => [field, new Float64Array(tracks)]))
  return {
    ...(made as Record<OfATrack, Float64Array>),
    places: new Float64Array(tracks * PLACES.length).fill(NEVER),
    moving: new Float64Array(tracks * MOVING_ASKS).fill(NEVER),
    horse: new Float64Array(LAST_DAY + 1).fill(NEVER),
  }
}

export const copyOf = (standing: Standing): Standing =>
  Object.fromEntries(Object.entries(standing).map(([field, values]) => [field, values.slice()])) as Record<
    keyof Standing,
    Float64Array
  >

export const setTo = (standing: Standing, from: Standing): void => {
  for (const field of Object.keys(standing) as (keyof Standing)[]) standing[field].set(from[field])
}

const bitsOf = (newestLast: readonly boolean[]): number =>
  newestLast.reduce((bits, one) => (bits << 1) | Number(one), 0)

/** What a forecast takes its horse to be, before the first draw. */
export interface Believed {
  readonly model: Model
  readonly talent: Normal
  readonly calmTalent: Normal
  readonly logSpeed: Normal
}

/** What the judge believes of the horse as a whole. */
const horseAt = ({ model, talent, calmTalent, logSpeed }: Believed): readonly number[] => {
  const speed = model.law.speed * Math.exp(logSpeed.mean)
  const speedSd = Math.max(model.speedBounds.leastSd, speed * logSpeed.sd)
  return [talent.mean, talent.sd ** 2, calmTalent.mean, calmTalent.sd ** 2, speed, speedSd ** 2]
}

/** Where any track of this horse starts, as the judge believes now, before anything carries over. */
export const startNow = (at: Standing, { priorAbility, priorCalm }: Model) => ({
  mean: priorAbility.mean + at.horse[OWN.talent]!,
  sd: Math.sqrt(priorAbility.sd ** 2 + at.horse[OWN.talent + 1]!),
  calmMean: priorCalm.mean + at.horse[OWN.ease]!,
  calmSd: Math.sqrt(priorCalm.sd ** 2 + at.horse[OWN.ease + 1]!),
})

const setOne = (at: Standing, i: number, values: Partial<Record<OfATrack, number>>): void => {
  for (const [field, value] of Object.entries(values)) at[field as OfATrack][i] = value
}

/** The tracks of a path as a forecast begins. */
export const standingAt = (
  path: Path,
  believed: Believed,
  { tracks, from }: { tracks: readonly KnownTrack[]; from: Day },
): Standing => {
  const at = emptyStanding(path.tracks.length)
  const known = new Map(tracks.map((track) => [trackKey(track.step, track.side), track]))
  at.horse.set(horseAt(believed))
  const start = startNow(at, believed.model)
  path.tracks.forEach(({ key, step: number }, i) => {
    const { requiredRung } = path.steps[number]!.step
    setOne(at, i, {
      startMean: start.mean,
      startSd: start.sd,
      startCalmMean: start.calmMean,
      startCalmSd: start.calmSd,
      withTalent: believed.talent.sd ** 2,
      withEase: believed.calmTalent.sd ** 2,
      lastDay: NEVER,
    })
    const track = known.get(key)
    if (!track || track.answers === 0 || track.lastDay === null) return
    const lastDay = -daysBetween(track.lastDay, from)
    // The more is known of a track the less another answer says of the horse.
    const stillOpen = Math.min(1, (track.ability.sd / start.sd) ** 2)
    const calmStillOpen = Math.min(1, (track.calm.sd / start.calmSd) ** 2)
    setOne(at, i, {
      mean: track.ability.mean,
      sd: track.ability.sd,
      calmMean: track.calm.mean,
      calmSd: track.calm.sd,
      withTalent: believed.talent.sd ** 2 * stillOpen,
      withEase: believed.calmTalent.sd ** 2 * calmStillOpen,
      answers: track.answers,
      daysWorked: track.daysWorked,
      atRequired: track.atRequired,
      hardest: track.hardest ?? (track.atRequired > 0 ? requiredRung : 1),
      lastDay,
      goodRung: track.ended?.goodRung ?? requiredRung,
      endedBadly: Number(track.ended?.badly ?? false),
      coldPasses: bitsOf(track.coldPasses),
      coldAsks: track.coldPasses.length,
      solidAtEnd: Number(track.solidAtEnd),
    })
    for (const place of track.places) at.places[i * PLACES.length + PLACES.indexOf(place as 1)] = lastDay
    for (let n = 0; n < Math.min(MOVING_ASKS, track.moving); n++) at.moving[i * MOVING_ASKS + n] = lastDay
  })
  return at
}
