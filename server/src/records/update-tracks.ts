import { modelFor } from '@still-pine/core/judgement'
import { dayEndsSince, dayEndsToSave, predictingOn } from '@still-pine/core/evidence'
import type { Program } from '@still-pine/core/program'
import type { Records } from '@still-pine/core/readiness'
import { evidence, type Evidence } from '../data/answers'
import { deleteDayEnds, saveDayEnds, stoodBefore, thinDayEnds } from '../data/day-ends'
import { saveTip, type HorseTip } from '../data/horses'
import { deletePredictions, deleteStrayPredictions, saveEvenings, savePredictions } from '../data/predictions'
import { recordsOf, replaceRecords, saveStanding, saveTracks } from '../data/tracks'
import { forThreads } from '../parts/programs'
import type { Yard } from './yard'

export type NewEvidence = Evidence

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
 * Works a horse out again from the answers that stand: from the day `from` on, whose answers have changed, where it is
 * saved how it stood before, and else all of it. What was predicted before that day stays as it was said.
 */
export const rebuildHorse = async (
  yard: Yard,
  { id: horseId, program }: Pick<HorseToSave, 'id' | 'program'>,
  from: string | null = null,
): Promise<void> => {
  const { client, yardId } = yard
  const steps = program.steps.map(({ key }) => key)
  const before = from === null ? undefined : await stoodBefore(client, horseId, from)
  const answers = await evidence(client, horseId, { steps, after: before?.day ?? null })
  const made = await yard.threads.replay({
    program: forThreads(program),
    answers,
    ...(before ? { before: { horse: before.horse, tracks: before.tracks } } : {}),
  })
  await replaceRecords(client, yardId, { horseId, records: made.records })
  await deleteDayEnds(client, horseId, before?.day ?? null)
  await saveDayEnds(client, yardId, { horseId, ends: made.ends })
  if (from !== null) await deletePredictions(client, horseId, from)
  await deleteStrayPredictions(client, horseId, steps)
  await savePredictions(client, yardId, { horseId, predictions: made.predictions })
}

const append = async (
  { client, yardId }: Yard,
  horseId: string,
  { program, before, answers }: { program: Program; before: Records; answers: readonly NewEvidence[] },
): Promise<void> => {
  const made = predictingOn(modelFor(program), program, { before, answers })
  const { horse, tracks } = made.records
  const touched = new Map([...tracks].filter(([key, record]) => record !== before.tracks.get(key)))
  await saveTracks(client, yardId, { horseId, records: touched })
  await saveStanding(client, horseId, horse)
  await savePredictions(client, yardId, { horseId, predictions: made.predictions })
  await saveEvenings(client, horseId, made.goneOn)
  if (made.dayEnds.length === 0) return
  const since = dayEndsSince(horse.lastDay)
  await saveDayEnds(client, yardId, { horseId, ends: dayEndsToSave(made.dayEnds, since) })
  await thinDayEnds(client, horseId, since)
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
  const before = await recordsOf(yard.client, horseId, modelFor(program))
  const isNewest = voidedDays.size === 0 && inOrder.every((answer) => isAfter(tip, answer))
  if (isNewest && !before.isOfEarlierLaw) await append(yard, horseId, { program, before, answers: inOrder })
  else await rebuildHorse(yard, { id: horseId, program }, firstDay)
  await saveTip(yard.client, horseId, latest(tip, inOrder))
}
