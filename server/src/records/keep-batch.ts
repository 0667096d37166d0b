import { BatchItem, idOfItem, type BatchReply, type NewAnswer, type NewSession } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { daysBetween } from '@still-pine/core/answer'
import { misfitOf } from '@still-pine/core/program'
import { answerTrack, horsesOfAnswers, insertAnswers, insertVoiding } from '../data/answers'
import { insertSession, sessionsOf } from '../data/sessions'
import { apart } from '../data/sql'
import {
  CLOCK_SLACK_MS,
  corrected,
  horsesAtWork,
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
  const horse = work.horses.get(session.horseId)
  if (!horse) return refused(session.id, NO_HORSE, 'session.horseId')
  const startedAt = corrected(work, session.startedAt)
  const fault = timeFault(work, horse, startedAt)
  if (fault) return refused(session.id, fault, 'session.startedAt')
  const day = dayIn(yard.timeZone, startedAt)
  const kept = await insertSession(yard.client, yard.yardId, {
    ...session,
    startedAt,
    personId: yard.personId,
    day,
  })
  if (kept) work.sessions.set(session.id, { horseId: horse.id, day })
  return { id: session.id, status: kept ? 'kept' : 'already' }
}

/** A session may run over midnight, and a clock may be off by days; no answer lies a month from its session. */
const FURTHEST_DAYS = 31

const keepAnswer = async (work: Work, answer: NewAnswer): Promise<ItemReply> => {
  const { yard } = work
  const horse = work.horses.get(answer.horseId)
  if (!horse) return refused(answer.id, NO_HORSE, 'answer.horseId')
  const misfit = misfitOf(horse.program, answer)
  if (misfit) return refused(answer.id, misfit.words, `answer.${misfit.field}`)
  const at = corrected(work, answer.at)
  const late = timeFault(work, horse, at)
  if (late) return refused(answer.id, late, 'answer.at')
  const session = work.sessions.get(answer.sessionId)
  if (session?.horseId !== answer.horseId)
    return refused(answer.id, 'Its session is not known: send the session first.', 'answer.sessionId')
  const day = dayIn(yard.timeZone, at)
  if (Math.abs(daysBetween(session.day, day)) > FURTHEST_DAYS)
    return refused(answer.id, `Its session was on ${session.day}, and this says ${day}.`, 'answer.at')
  const ahead = at > yard.now && at.getTime() - yard.now.getTime() > CLOCK_SLACK_MS
  const reply: ItemReply = { id: answer.id, status: 'kept', ...(ahead ? { ahead } : {}) }
  work.toKeep.push({
    answer: { ...answer, at, phoneAt: new Date(answer.at), day, ahead, personId: yard.personId },
    reply,
    horse,
  })
  return reply
}

type ToKeep = Work['toKeep'][number]

/** Writes answers; of one that was there already its reply says so. */
const write = async ({ yard }: Work, some: readonly ToKeep[]): Promise<void> => {
  const places = await insertAnswers(
    yard.client,
    yard.yardId,
    some.map(({ answer }) => answer),
  )
  const seen = new Set<string>()
  for (const { answer, reply, horse } of some) {
    const seq = seen.has(answer.id) ? undefined : places.get(answer.id)
    seen.add(answer.id)
    if (seq !== undefined) horse.added.push({ ...answer, seq })
    else {
      reply.status = 'already'
      delete reply.ahead
    }
  }
}

const CANNOT_BE_KEPT = 'The records cannot hold this as it was sent. Look at it, change it and send it again.'

/** Writes the answers that wait: together, and one by one where one of them cannot be held. */
const writeAnswers = async (work: Work): Promise<void> => {
  const some = work.toKeep.splice(0)
  const failed = await apart(work.yard.client, () => write(work, some))
  if (!failed) return
  for (const one of some)
    if (await apart(work.yard.client, () => write(work, [one])))
      Object.assign(one.reply, refused(one.answer.id, CANNOT_BE_KEPT))
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
  const horse = work.horses.get(track.horseId)
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

const keep = (work: Work, item: BatchItem): Promise<ItemReply> => {
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

/** Keeps one item, or refuses it alone, whatever is wrong with it. */
const keepApart = async (work: Work, item: BatchItem): Promise<ItemReply> => {
  let reply = refused(idOfItem(item), CANNOT_BE_KEPT)
  await apart(work.yard.client, async () => {
    reply = await keep(work, item)
  })
  return reply
}

type Read = BatchItem | ItemReply

const isItem = (read: Read): read is BatchItem => 'do' in read

const readItem = (raw: unknown): Read => {
  const parsed = BatchItem.safeParse(raw)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  return refused(idOf(raw), issue!.message, issue!.path.join('.'))
}

/** All that the items name, read before anything is kept: their sessions and their horses. */
const namedIn = async ({ client }: Yard, items: readonly BatchItem[]) => {
  const sessionIds = items.flatMap((item) => {
    if (item.do === 'session') return [item.session.id]
    if (item.do === 'add') return [item.answer.sessionId]
    return 'sessionId' in item ? [item.sessionId] : []
  })
  const sessions = await sessionsOf(client, sessionIds)
  const named = items.flatMap((item) => {
    if (item.do === 'session') return [item.session.horseId]
    if (item.do === 'add') return [item.answer.horseId]
    return 'horseId' in item ? [item.horseId] : []
  })
  const voided = items.flatMap((item) => (item.do === 'void' ? [item.answerId] : []))
  const worked = [...sessions.values()].map(({ horseId }) => horseId)
  return {
    sessions,
    horseIds: [...new Set([...named, ...worked, ...(await horsesOfAnswers(client, voided))])],
  }
}

/** Keeps a batch item by item, in order; what cannot be kept is refused with its reason and stops nothing else. */
export const keepBatch = async (yard: Yard, sentAt: string, raw: readonly unknown[]): Promise<BatchReply> => {
  const off = yard.now.getTime() - Date.parse(sentAt)
  const read = raw.map(readItem)
  const { sessions, horseIds } = await namedIn(yard, read.filter(isItem))
  const work: Work = {
    yard,
    clockOffMs: Math.abs(off) > CLOCK_SLACK_MS ? off : 0,
    horses: await horsesAtWork(yard, horseIds),
    sessions,
    toKeep: [],
  }
  const items: ItemReply[] = []
  for (const item of read) items.push(isItem(item) ? await keepApart(work, item) : item)
  await writeAnswers(work)
  for (const horse of work.horses.values())
    await keepTracks(yard, horse.id, horse.program, horse.tip, horse.added, horse.voidedSteps)
  return { items }
}
