import type { Horse, Progress } from '@still-pine/contract'
import { trackOf, type TrackKey, type TrackRecord } from '@still-pine/core/readiness'
import { evidence } from '../data/answers'
import { allHorses, lockHorse } from '../data/horses'
import { programById } from '../data/programs'
import { replacePredictions } from '../data/predictions'
import { tracksOf, deleteTracks, dropAllDayViews, saveTracks } from '../data/tracks'
import type { Replays } from '../threads'
import type { Yard } from './yard'

/** Tracks of one horse that were not stored as they are worked out. */
export interface Difference {
  readonly horse: string
  readonly tracks: readonly TrackKey[]
}

export interface Rebuilt {
  readonly horses: number
  readonly answers: number
  readonly tracks: number
  readonly differences: readonly Difference[]
}

/** Machines differ in the last digits of an exponential; nobody ever sees those. */
const SAME = 1e-9

const isSame = (a: TrackRecord | undefined, b: TrackRecord | undefined): boolean => {
  if (!a || !b) return a === b
  const equal = (x: Float64Array, y: Float64Array): boolean =>
    x.every((value, i) => Math.abs(value - y[i]!) < SAME)
  return (
    equal(a.belief.ability, b.belief.ability) &&
    equal(a.belief.calm, b.belief.calm) &&
    Math.abs(a.belief.logLikelihood - b.belief.logLikelihood) < SAME &&
    a.belief.lastDay === b.belief.lastDay &&
    a.belief.daysWorked === b.belief.daysWorked
  )
}

const differing = (
  stored: ReadonlyMap<TrackKey, TrackRecord>,
  made: ReadonlyMap<TrackKey, TrackRecord>,
): readonly TrackKey[] =>
  [...new Set([...stored.keys(), ...made.keys()])].filter((key) => !isSame(stored.get(key), made.get(key)))

interface One {
  readonly answers: number
  readonly tracks: number
  readonly difference: Difference | null
}

const rebuildHorse = async (yard: Yard, replays: Replays, horse: Horse): Promise<One> => {
  await lockHorse(yard.client, horse.id)
  const program = (await programById(yard.client, horse.programId))!.document
  const steps = program.steps.map(({ key }) => key)
  const answers = await evidence(yard.client, horse.id, steps, null)
  const { records: made, predictions } = await replays.replay({ program, answers })
  const stored = await tracksOf(yard.client, horse.id)
  const tracks = differing(stored, made)
  await replacePredictions(yard.client, yard.yardId, horse.id, predictions)
  if (tracks.length > 0) {
    await deleteTracks(yard.client, horse.id, [
      ...new Set([...stored.keys()].map((key) => trackOf(key).step)),
    ])
    await saveTracks(yard.client, yard.yardId, horse.id, made)
    await dropAllDayViews(yard.client, horse.id)
  }
  const difference = tracks.length > 0 ? { horse: horse.name, tracks } : null
  return { answers: answers.length, tracks: made.size, difference }
}

/** Works all tracks of some horses (of all, where none are named) out again, and mends what was stored otherwise. */
export const rebuildAll = async (
  yard: Yard,
  replays: Replays,
  tell: (progress: Progress) => void,
  only?: ReadonlySet<string>,
): Promise<Rebuilt> => {
  const horses = (await allHorses(yard.client)).filter(({ id }) => only?.has(id) ?? true)
  const ones: One[] = []
  const left = [...horses]
  const work = async (): Promise<void> => {
    for (let horse = left.shift(); horse; horse = left.shift()) {
      tell({ step: 'judging', horses: ones.length, of: horses.length })
      ones.push(await rebuildHorse(yard, replays, horse))
    }
  }
  // Some are read and written while others are worked out: no thread waits for the database.
  await Promise.all(Array.from({ length: 2 * replays.atOnce }, work))
  return {
    horses: horses.length,
    answers: ones.reduce((sum, one) => sum + one.answers, 0),
    tracks: ones.reduce((sum, one) => sum + one.tracks, 0),
    differences: ones.flatMap(({ difference }) => (difference ? [difference] : [])),
  }
}
