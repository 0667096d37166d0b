import { STANDARD_MODEL } from '@still-pine/core/belief'
import { predictionsBefore, replayPredicting } from '@still-pine/core/evidence'
import type { Program } from '@still-pine/core/program'
import {
  recordsWith,
  trackKey,
  type TrackedAnswer,
  type TrackKey,
  type TrackRecord,
} from '@still-pine/core/readiness'
import { evidence } from '../data/answers'
import { saveTip, type HorseTip } from '../data/horses'
import { deletePredictions, savePredictions, type PredictionToKeep } from '../data/predictions'
import { allTracks, deleteTracks, dropDayViews, dropDays, saveTracks } from '../data/tracks'
import type { Yard } from './yard'

export interface NewEvidence extends TrackedAnswer {
  readonly id: string
  readonly at: Date
  readonly seq: number
}

const grown = (
  steps: ReadonlySet<string>,
  next: (step: string) => readonly string[],
): ReadonlySet<string> => {
  const all = new Set(steps)
  for (const step of all) for (const other of next(step)) all.add(other)
  return all
}

/** The steps whose tracks may change when one of these does: itself and all it carries over to. */
const fedBy = (program: Program, steps: ReadonlySet<string>): ReadonlySet<string> =>
  grown(steps, (step) => program.carryOver.filter(({ from }) => from === step).map(({ to }) => to))

/** The steps whose history is needed to work these out again. */
const feeding = (program: Program, steps: ReadonlySet<string>): ReadonlySet<string> =>
  grown(steps, (step) => program.carryOver.filter(({ to }) => to === step).map(({ from }) => from))

const isAfter = (tip: HorseTip, { at, seq }: NewEvidence): boolean =>
  tip.lastAt === null ||
  at > tip.lastAt ||
  (at.getTime() === tip.lastAt.getTime() && seq > (tip.lastSeq ?? 0))

const latest = (tip: HorseTip, answers: readonly NewEvidence[]): HorseTip =>
  answers.reduce<HorseTip>(
    (now, answer) => (isAfter(now, answer) ? { lastAt: answer.at, lastSeq: answer.seq } : now),
    tip,
  )

/** Works the tracks of some steps out again from the answers that stand. */
export const rebuildTracks = async (
  yard: Yard,
  horseId: string,
  program: Program,
  steps: ReadonlySet<string>,
): Promise<void> => {
  const affected = fedBy(program, steps)
  const answers = await evidence(yard.client, horseId, [...feeding(program, affected)], null)
  const { records, predictions } = replayPredicting(STANDARD_MODEL, program, answers)
  const own = new Map([...records].filter(([key]) => affected.has(key.split('/')[0]!)))
  await deleteTracks(yard.client, horseId, [...affected])
  await saveTracks(yard.client, yard.yardId, horseId, own)
  await deletePredictions(yard.client, horseId, [...affected])
  await savePredictions(
    yard.client,
    yard.yardId,
    horseId,
    predictions.filter(({ step }) => affected.has(step)),
  )
}

const append = async (
  yard: Yard,
  horseId: string,
  program: Program,
  answers: readonly NewEvidence[],
): Promise<void> => {
  const records = await allTracks(yard.client, horseId)
  const touched = new Map<TrackKey, TrackRecord>()
  const predictions: PredictionToKeep[] = []
  for (const answer of answers) {
    for (const prediction of predictionsBefore(STANDARD_MODEL, program, records, answer))
      predictions.push({ ...prediction, answer })
    recordsWith(STANDARD_MODEL, program, records, answer)
    const key = trackKey(answer.step, answer.side)
    const record = records.get(key)
    if (record) touched.set(key, record)
  }
  await saveTracks(yard.client, yard.yardId, horseId, touched)
  await savePredictions(yard.client, yard.yardId, horseId, predictions)
}

/**
 * Brings a horse's tracks up to date after a batch: one update for each new answer where all of them are the
 * newest, and otherwise a rebuild of the steps whose history changed. The horse must be locked.
 */
export const keepTracks = async (
  yard: Yard,
  horseId: string,
  program: Program,
  tip: HorseTip,
  added: readonly NewEvidence[],
  voidedSteps: ReadonlySet<string>,
): Promise<void> => {
  const steps = new Set([...added.map(({ step }) => step), ...voidedSteps])
  if (steps.size === 0) return
  const inOrder = [...added].sort((a, b) => a.at.getTime() - b.at.getTime() || a.seq - b.seq)
  if (voidedSteps.size === 0 && inOrder.every((answer) => isAfter(tip, answer)))
    await append(yard, horseId, program, inOrder)
  else await rebuildTracks(yard, horseId, program, steps)
  await saveTip(yard.client, horseId, latest(tip, inOrder))
  await dropDayViews(yard.client, horseId, [...fedBy(program, steps)])
  await dropDays(yard.client, horseId)
}
