import type { Horse, Progress } from '@still-pine/contract'
import { modelFor } from '@still-pine/core/judgement'
import type { Program } from '@still-pine/core/program'
import type { Records, TrackKey, TrackRecord } from '@still-pine/core/readiness'
import { evidence, type Evidence } from '../data/answers'
import { deleteDayEnds, saveDayEnds } from '../data/day-ends'
import { allHorses, lockHorse, touchHorse } from '../data/horses'
import { deleteStrayPredictions, savePredictions } from '../data/predictions'
import { recordsOf, replaceRecords } from '../data/tracks'
import { forThreads, programOfHorse } from '../parts/programs'
import type { Replayed } from '../threads'
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

const isSameHorse = (a: Records['horse'], b: Records['horse']): boolean =>
  (['talent', 'ease', 'speed'] as const).every(
    (which) =>
      Math.abs(a[which].mean - b[which].mean) < SAME &&
      Math.abs(a[which].variance - b[which].variance) < SAME,
  )

const differing = (stored: Records, made: Records): readonly TrackKey[] => {
  const all = [...new Set([...stored.tracks.keys(), ...made.tracks.keys()])]
  // Where the horse was told otherwise, so were all its tracks.
  if (!isSameHorse(stored.horse, made.horse)) return all
  return all.filter((key) => !isSame(stored.tracks.get(key), made.tracks.get(key)))
}

/** All of it is one transaction, and a connection does one thing at a time. */
const takingTurns = (): (<T>(work: () => Promise<T>) => Promise<T>) => {
  let last: Promise<unknown> = Promise.resolve()
  return (work) => {
    const mine = last.then(work)
    last = mine
    return mine
  }
}

interface Stored {
  readonly horse: Horse
  readonly program: Program
  readonly answers: readonly Evidence[]
  readonly records: Records
}

const readHorse = async ({ client, yardId }: Yard, horse: Horse): Promise<Stored> => {
  await lockHorse(client, horse.id)
  const program = await programOfHorse(client, yardId, horse)
  const steps = program.steps.map(({ key }) => key)
  const answers = await evidence(client, horse.id, { steps })
  return { horse, program, answers, records: await recordsOf(client, horse.id, modelFor(program)) }
}

/** Keeps what was made of a horse, and says which of its tracks were stored otherwise. */
const mend = async (
  { client, yardId }: Yard,
  { horse, program, records: stored }: Stored,
  { records, predictions, ends }: Replayed,
): Promise<readonly TrackKey[]> => {
  const tracks = differing(stored, records)
  const steps = program.steps.map(({ key }) => key)
  await deleteStrayPredictions(client, horse.id, steps)
  await savePredictions(client, yardId, { horseId: horse.id, predictions })
  if (tracks.length > 0) {
    await replaceRecords(client, yardId, { horseId: horse.id, records })
    await deleteDayEnds(client, horse.id, null)
    await saveDayEnds(client, yardId, { horseId: horse.id, ends })
    await touchHorse(client, horse.id)
  }
  return tracks
}

/** Works all tracks of some horses (of all, where none are named) out again, and mends what was stored otherwise. */
export const rebuildAll = async (
  yard: Yard,
  tell: (progress: Progress) => void,
  only?: ReadonlySet<string>,
): Promise<Rebuilt> => {
  const horses = (await allHorses(yard.client)).filter(({ id }) => only?.has(id) ?? true)
  const ones: { answers: number; tracks: number; difference: Difference | null }[] = []
  const left = [...horses]
  const inTurn = takingTurns()
  const work = async (): Promise<void> => {
    for (let horse = left.shift(); horse; horse = left.shift()) {
      tell({ step: 'judging', horses: ones.length, of: horses.length })
      const stored = await inTurn(() => readHorse(yard, horse))
      const { program, answers } = stored
      const made = await yard.threads.replay({ program: forThreads(program), answers })
      const tracks = await inTurn(() => mend(yard, stored, made))
      ones.push({
        answers: answers.length,
        tracks: made.records.tracks.size,
        difference: tracks.length > 0 ? { horse: horse.name, tracks } : null,
      })
    }
  }
  // Some are read and written while others are worked out: no thread waits for the database.
  await Promise.all(Array.from({ length: 2 * yard.threads.atOnce }, work))
  return {
    horses: horses.length,
    answers: ones.reduce((sum, one) => sum + one.answers, 0),
    tracks: ones.reduce((sum, one) => sum + one.tracks, 0),
    differences: ones.flatMap(({ difference }) => (difference ? [difference] : [])),
  }
}
