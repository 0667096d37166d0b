import { BatchItem, type BatchReply, type NewAnswer, type NewSession } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { hardestMark, knownStep, type Program } from '@still-pine/core/program'
import { answerTrack, insertAnswers, insertVoiding } from '../data/answers'
import { insertSession } from '../data/sessions'
import {
  CLOCK_SLACK_MS,
  corrected,
  horseAtWork,
  horseOfSession,
  NO_HORSE,
  refused,
  timeFault,
  type ItemReply,
  type Work,
} from './batch-work'
import { keepCircumstances, keepConfirmed, keepIncident, keepNote } from './keep-care'
import { keepTracks } from './keep-tracks'
import { dayIn } from './yard-day'
import type { Yard } from './yard'

const keepSession = async (work: Work, session: NewSession): Promise<ItemReply> => {
  const { yard } = work
  const horse = await horseAtWork(work, session.horseId)
  if (!horse) return refused(session.id, NO_HORSE, 'session.horseId')
  const startedAt = corrected(work, session.startedAt)
  const fault = timeFault(work, horse, startedAt)
  if (fault) return refused(session.id, fault, 'session.startedAt')
  const kept = await insertSession(yard.client, yard.yardId, {
    ...session,
    startedAt,
    personId: yard.personId,
    day: dayIn(yard.timeZone, startedAt),
  })
  return { id: session.id, status: kept ? 'kept' : 'already' }
}

/** What the program says against an answer, with the field it is about. */
const programFault = (program: Program, answer: NewAnswer): [reason: string, path: string] | null => {
  const step = knownStep(program, answer.step)
  if (!step) return [`“${answer.step}” is not a step that is known here.`, 'answer.step']
  if (answer.rung > hardestMark(step))
    return [`${step.name} has ${step.rungs.length} rungs, and this says ${answer.rung}.`, 'answer.rung']
  if (step.sided && answer.side === 'none')
    return [`${step.name} is kept per side: say left or right.`, 'answer.side']
  if (!step.sided && answer.side !== 'none') return [`${step.name} has no sides.`, 'answer.side']
  return null
}

const keepAnswer = async (work: Work, answer: NewAnswer): Promise<ItemReply> => {
  const { yard } = work
  const horse = await horseAtWork(work, answer.horseId)
  if (!horse) return refused(answer.id, NO_HORSE, 'answer.horseId')
  const fault = programFault(horse.program, answer)
  if (fault) return refused(answer.id, ...fault)
  const at = corrected(work, answer.at)
  const late = timeFault(work, horse, at)
  if (late) return refused(answer.id, late, 'answer.at')
  if ((await horseOfSession(work, answer.sessionId)) !== answer.horseId)
    return refused(answer.id, 'Its session is not known: send the session first.', 'answer.sessionId')
  const day = dayIn(yard.timeZone, at)
  const ahead = at > yard.now && at.getTime() - yard.now.getTime() > CLOCK_SLACK_MS
  const reply: ItemReply = { id: answer.id, status: 'kept', ...(ahead ? { ahead } : {}) }
  work.toKeep.push({
    answer: { ...answer, at, phoneAt: new Date(answer.at), day, ahead, personId: yard.personId },
    reply,
    horse,
  })
  return reply
}

/** Writes the answers that wait; of one that was there already its reply says so. */
const writeAnswers = async ({ yard, toKeep }: Work): Promise<void> => {
  const places = await insertAnswers(
    yard.client,
    yard.yardId,
    toKeep.map(({ answer }) => answer),
  )
  const seen = new Set<string>()
  for (const { answer, reply, horse } of toKeep) {
    const seq = seen.has(answer.id) ? undefined : places.get(answer.id)
    seen.add(answer.id)
    if (seq !== undefined) horse.added.push({ ...answer, seq })
    else {
      reply.status = 'already'
      delete reply.ahead
    }
  }
  toKeep.length = 0
}

const keepVoiding = async (work: Work, item: Extract<BatchItem, { do: 'void' }>): Promise<ItemReply> => {
  // It may take back an answer of this very batch.
  await writeAnswers(work)
  const { yard } = work
  const track = await answerTrack(yard.client, item.answerId)
  if (!track) return refused(item.id, 'The answer to take back is not known here.', 'answerId')
  if (track.personId !== yard.personId && !mayDo(yard.role, 'mend-answers'))
    return refused(item.id, 'Taking back an answer of somebody else is for starters.', 'answerId')
  if (track.voided) return { id: item.id, status: 'already' }
  const horse = await horseAtWork(work, track.horseId)
  if (!horse) return refused(item.id, NO_HORSE, 'answerId')
  await insertVoiding(yard.client, yard.yardId, {
    ...item,
    personId: yard.personId,
    at: corrected(work, item.at),
  })
  horse.voidedSteps.add(track.step)
  return { id: item.id, status: 'kept' }
}

const idOf = (raw: unknown): string => {
  const item = raw as { id?: unknown; answer?: { id?: unknown }; session?: { id?: unknown } } | null
  const id = item?.answer?.id ?? item?.session?.id ?? item?.id
  return typeof id === 'string' ? id : ''
}

const keepItem = async (work: Work, raw: unknown): Promise<ItemReply> => {
  const parsed = BatchItem.safeParse(raw)
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    return refused(idOf(raw), issue!.message, issue!.path.join('.'))
  }
  const item = parsed.data
  switch (item.do) {
    case 'session':
      return keepSession(work, item.session)
    case 'add':
      return keepAnswer(work, item.answer)
    case 'void':
      return keepVoiding(work, item)
    case 'incident':
      return keepIncident(work, item)
    case 'note':
      return keepNote(work, item)
    case 'circumstances':
      return keepCircumstances(work, item)
    case 'confirm':
      return keepConfirmed(work, item)
  }
}

/** Keeps a batch item by item, in order; what cannot be kept is refused with its reason and stops nothing else. */
export const keepBatch = async (
  yard: Yard,
  sentAt: string,
  items: readonly unknown[],
): Promise<BatchReply> => {
  const off = yard.now.getTime() - Date.parse(sentAt)
  const work: Work = {
    yard,
    clockOffMs: Math.abs(off) > CLOCK_SLACK_MS ? off : 0,
    horses: new Map(),
    sessions: new Map(),
    toKeep: [],
  }
  const replies: ItemReply[] = []
  for (const item of items) replies.push(await keepItem(work, item))
  await writeAnswers(work)
  for (const horse of work.horses.values())
    if (horse) await keepTracks(yard, horse.id, horse.program, horse.tip, horse.added, horse.voidedSteps)
  return { items: replies }
}
