import type { BatchItem } from '@still-pine/contract'
import { mayDo, type Action } from '@still-pine/contract/rights'
import { knownStep } from '@still-pine/core/program'
import { saveConfirmed } from '../data/care'
import { confirmSession, saveCircumstances } from '../data/sessions'
import { corrected, dayFault, NO_HORSE, refused, type ItemReply, type Work } from './batch-work'
import { careFault, putIncident } from './care'
import { todayIn } from './yard'

type Item<Kind extends BatchItem['do']> = Extract<BatchItem, { do: Kind }>

const notAllowed = ({ yard }: Work, action: Action, id: string): ItemReply | null =>
  mayDo(yard.role, action) ? null : refused(id, `A person in the part of ${yard.role} may not do this.`)

export const keepIncident = async (work: Work, item: Item<'incident'>): Promise<ItemReply> => {
  const { id, horseId, incident } = item
  const no = notAllowed(work, 'record-incident', id)
  if (no) return no
  const horse = work.horses.get(horseId)
  if (!horse) return refused(id, NO_HORSE, 'horseId')
  const fault = careFault(work.yard, horse, incident.on)
  if (fault) return refused(id, fault, 'incident.on')
  if (incident.step !== null && !knownStep(horse.program, incident.step))
    return refused(id, `“${incident.step}” is not a step that is known here.`, 'incident.step')
  const kept = await putIncident(work.yard, horseId, id, incident)
  return kept
    ? { id, status: 'kept' }
    : refused(id, 'This record has an id that is taken: record it anew.', 'id')
}

const NO_SESSION = 'Its session is not known: send the session first.'

/** How a session was is said by whoever may log it. */
export const keepCircumstances = async (work: Work, item: Item<'circumstances'>): Promise<ItemReply> => {
  const { id, sessionId, circumstances } = item
  if (!work.sessions.has(sessionId)) return refused(id, NO_SESSION, 'sessionId')
  await saveCircumstances(work.yard.client, sessionId, circumstances)
  return { id, status: 'kept' }
}

export const keepNote = async (work: Work, item: Item<'note'>): Promise<ItemReply> => {
  const { id, sessionId, note, at } = item
  const no = notAllowed(work, 'confirm-session', id)
  if (no) return no
  if (!work.sessions.has(sessionId)) return refused(id, NO_SESSION, 'sessionId')
  await confirmSession(work.yard.client, sessionId, note, corrected(work, at))
  return { id, status: 'kept' }
}

export const keepConfirmed = async (work: Work, item: Item<'confirm'>): Promise<ItemReply> => {
  const { id, horseId, day, confirmed } = item
  const no = notAllowed(work, 'confirm-on-the-day', id)
  if (no) return no
  if (!work.horses.has(horseId)) return refused(id, NO_HORSE, 'horseId')
  if (day > todayIn(work.yard)) return refused(id, 'This day is still to come.', 'day')
  const fault = dayFault(todayIn(work.yard), work.horses.get(horseId)!, day)
  if (fault) return refused(id, fault, 'day')
  const { client, yardId, personId } = work.yard
  await saveConfirmed(client, { yardId, personId, horseId }, day, confirmed)
  return { id, status: 'kept' }
}
