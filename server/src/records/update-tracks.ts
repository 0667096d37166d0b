import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { predictingOn } from '@still-pine/core/evidence'
import type { Program } from '@still-pine/core/program'
import type { Records, TrackedAnswer } from '@still-pine/core/readiness'
import { evidence } from '../data/answers'
import { saveTip, type HorseTip } from '../data/horses'
import { deletePredictions, deleteStrayPredictions, saveEvenings, savePredictions } from '../data/predictions'
import { recordsOf, replaceRecords, saveStanding, saveTracks } from '../data/tracks'
import { forThreads } from '../parts/programs'
import type { Yard } from './yard'

export interface NewEvidence extends TrackedAnswer {
  readonly id: string
  readonly at: Date
  readonly seq: number
}

/** A horse whose history is held, and where it ended before. */
interface HorseToSave {
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

/**
 * Works a horse out again from the answers that stand. What was predicted stays as it was said, but from the day `from`
 * on, whose answers have changed.
 */
export const rebuildHorse = async (
  yard: Yard,
  { id: horseId, program }: Pick<HorseToSave, 'id' | 'program'>,
  from: string | null = null,
): Promise<void> => {
  const { client, yardId } = yard
  const steps = program.steps.map(({ key }) => key)
  const answers = await evidence(client, horseId, { steps, upTo: null })
  const { records, predictions } = await yard.threads.replay({ program: forThreads(program), answers })
  await replaceRecords(client, yardId, { horseId, records })
  if (from !== null) await deletePredictions(client, horseId, from)
  await deleteStrayPredictions(client, horseId, steps)
  await savePredictions(client, yardId, { horseId, predictions })
}

const append = async (
  yard: Yard,
  horseId: string,
  { program, before, answers }: { program: Program; before: Records; answers: readonly NewEvidence[] },
): Promise<void> => {
  const { records, predictions, goneOn } = predictingOn(STANDARD_MODEL, program, { before, answers })
  const touched = new Map([...records.tracks].filter(([key, record]) => record !== before.tracks.get(key)))
  await saveTracks(yard.client, yard.yardId, { horseId, records: touched })
  await saveStanding(yard.client, horseId, records.horse)
  await savePredictions(yard.client, yard.yardId, { horseId, predictions })
  await saveEvenings(yard.client, horseId, goneOn)
}

/**
 * Brings a horse up to date after a batch: one update for each new answer where all of them are the newest, and otherwise
 * all of it again. The horse must be locked.
 */
export const updateTracks = async (
  yard: Yard,
  { id: horseId, program, tip }: HorseToSave,
  { added, voidedDays }: { added: readonly NewEvidence[]; voidedDays: ReadonlySet<string> },
): Promise<void> => {
  const [firstDay] = [...added.map(({ day }) => day), ...voidedDays].sort()
  if (firstDay === undefined) return
  const inOrder = [...added].sort((a, b) => a.at.getTime() - b.at.getTime() || a.seq - b.seq)
  const before = await recordsOf(yard.client, horseId)
  const isNewest = voidedDays.size === 0 && inOrder.every((answer) => isAfter(tip, answer))
  if (isNewest && !before.isOfEarlierLaw) await append(yard, horseId, { program, before, answers: inOrder })
  else await rebuildHorse(yard, { id: horseId, program }, firstDay)
  await saveTip(yard.client, horseId, latest(tip, inOrder))
}
