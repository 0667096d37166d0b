import { STANDARD_MODEL } from '@still-pine/core/belief'
import { predictingOn } from '@still-pine/core/evidence'
import { fedBy, feeding, type Program } from '@still-pine/core/program'
import { trackOf, type TrackedAnswer } from '@still-pine/core/readiness'
import { evidence } from '../data/answers'
import { saveTip, type HorseTip } from '../data/horses'
import { deletePredictions, saveEvenings, savePredictions } from '../data/predictions'
import { tracksOf, deleteTracks, saveTracks } from '../data/tracks'
import { forThreads } from '../parts/programs'
import type { Yard } from './yard'

export interface NewEvidence extends TrackedAnswer {
  readonly id: string
  readonly at: Date
  readonly seq: number
}

/** A horse whose history is held, and where it ended before. */
interface HorseToKeep {
  readonly id: string
  readonly program: Program
  readonly tip: HorseTip
}

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
  { id: horseId, program }: Pick<HorseToKeep, 'id' | 'program'>,
  steps: ReadonlySet<string>,
): Promise<void> => {
  const affected = fedBy(program, steps)
  const answers = await evidence(yard.client, horseId, { steps: [...feeding(program, affected)], upTo: null })
  const { records, predictions } = await yard.threads.replay({ program: forThreads(program), answers })
  const own = new Map([...records].filter(([key]) => affected.has(trackOf(key).step)))
  await deleteTracks(yard.client, horseId, [...affected])
  await saveTracks(yard.client, yard.yardId, { horseId, records: own })
  await deletePredictions(yard.client, horseId, [...affected])
  await savePredictions(yard.client, yard.yardId, {
    horseId,
    predictions: predictions.filter(({ step }) => affected.has(step)),
  })
}

const append = async (
  yard: Yard,
  horseId: string,
  { program, answers }: { program: Program; answers: readonly NewEvidence[] },
): Promise<void> => {
  const before = await tracksOf(yard.client, horseId)
  const { records, predictions, goneOn } = predictingOn(STANDARD_MODEL, program, { before, answers })
  const touched = new Map([...records].filter(([key, record]) => record !== before.get(key)))
  await saveTracks(yard.client, yard.yardId, { horseId, records: touched })
  await savePredictions(yard.client, yard.yardId, { horseId, predictions })
  await saveEvenings(yard.client, horseId, goneOn)
}

/**
 * Brings a horse's tracks up to date after a batch: one update for each new answer where all of them are the
 * newest, and otherwise a rebuild of the steps whose history changed. The horse must be locked.
 */
export const keepTracks = async (
  yard: Yard,
  { id: horseId, program, tip }: HorseToKeep,
  { added, voidedSteps }: { added: readonly NewEvidence[]; voidedSteps: ReadonlySet<string> },
): Promise<void> => {
  const steps = new Set([...added.map(({ step }) => step), ...voidedSteps])
  if (steps.size === 0) return
  const inOrder = [...added].sort((a, b) => a.at.getTime() - b.at.getTime() || a.seq - b.seq)
  if (voidedSteps.size === 0 && inOrder.every((answer) => isAfter(tip, answer)))
    await append(yard, horseId, { program, answers: inOrder })
  else await rebuildTracks(yard, { id: horseId, program }, steps)
  await saveTip(yard.client, horseId, latest(tip, inOrder))
}
