import type { BatchItem } from '@still-pine/contract'
import type { Side } from '@still-pine/core/answer'
import type { Waiting } from './store'

/** What a person can do about a refused entry besides letting it go. */
export type Remedy = 'horse' | 'answer' | 'time' | 'again'

/** By the field that was refused. What has no remedy of its own can be tried again, for the yard may have changed. */
export const remedyFor = ({ refused }: Waiting): Remedy => {
  const field = refused?.path.split('.').at(-1) ?? ''
  if (['horseId', 'sessionId'].includes(field)) return 'horse'
  if (['step', 'rung', 'side'].includes(field)) return 'answer'
  return ['at', 'startedAt', 'on', 'day'].includes(field) ? 'time' : 'again'
}

/** The session an entry belongs to, or its own id where it belongs to none. */
export const sessionOf = ({ item }: Waiting): string => {
  if (item.do === 'session') return item.session.id
  if (item.do === 'add') return item.answer.sessionId
  return item.do === 'note' || item.do === 'circumstances' ? item.sessionId : item.id
}

/** Entries that stand or fall together, each group oldest first. */
export const bySession = (entries: readonly Waiting[]): readonly (readonly Waiting[])[] => {
  const groups = new Map<string, Waiting[]>()
  for (const entry of entries) groups.set(sessionOf(entry), [...(groups.get(sessionOf(entry)) ?? []), entry])
  return [...groups.values()]
}

/** When an entry says it was, ISO 8601; a day where it says only a day. */
export const saidAt = (item: BatchItem): string => {
  switch (item.do) {
    case 'session':
      return item.session.startedAt
    case 'add':
      return item.answer.at
    case 'incident':
      return `${item.incident.on}T12:00:00Z`
    case 'confirm':
      return `${item.day}T12:00:00Z`
    case 'measure':
      return `${item.measurement.on}T12:00:00Z`
    case 'enter':
      return `${item.entry.on}T12:00:00Z`
    case 'attach':
      return item.attachment.at
    default:
      return item.at
  }
}

const later = (at: string, ms: number): string => new Date(Date.parse(at) + ms).toISOString()
const laterDay = (day: string, ms: number): string => later(`${day}T12:00:00Z`, ms).slice(0, 10)

/** The same entry so many milliseconds later: the clock it was logged by was wrong. */
export const shifted = (item: BatchItem, ms: number): BatchItem => {
  switch (item.do) {
    case 'session':
      return { ...item, session: { ...item.session, startedAt: later(item.session.startedAt, ms) } }
    case 'add':
      return { ...item, answer: { ...item.answer, at: later(item.answer.at, ms) } }
    case 'incident':
      return { ...item, incident: { ...item.incident, on: laterDay(item.incident.on, ms) } }
    case 'measure':
      return { ...item, measurement: { ...item.measurement, on: laterDay(item.measurement.on, ms) } }
    case 'enter':
      return { ...item, entry: { ...item.entry, on: laterDay(item.entry.on, ms) } }
    case 'attach':
      return { ...item, attachment: { ...item.attachment, at: later(item.attachment.at, ms) } }
    case 'confirm':
      return { ...item, day: laterDay(item.day, ms) }
    default:
      return { ...item, at: later(item.at, ms) }
  }
}

/** The same entry of another horse. */
export const ofHorse = (item: BatchItem, horseId: string): BatchItem => {
  switch (item.do) {
    case 'session':
      return { ...item, session: { ...item.session, horseId } }
    case 'add':
      return { ...item, answer: { ...item.answer, horseId } }
    case 'incident':
    case 'confirm':
    case 'arrange':
    case 'attach':
    case 'measure':
    case 'enter':
      return { ...item, horseId }
    default:
      return item
  }
}

/** The same answer to another step, rung or side. */
export const asAnswerTo = (
  item: BatchItem,
  to: { readonly step: string; readonly rung: number; readonly side: Side },
): BatchItem => (item.do === 'add' ? { ...item, answer: { ...item.answer, ...to } } : item)
