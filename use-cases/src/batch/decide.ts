import type { BatchItem, PutAttachment } from '@still-pine/contract'
import { mayDo, type Action } from '@still-pine/contract/rights'
import { daysBetween, type Day } from '@still-pine/core/answer'
import { knownStep, misfitOf, type Program } from '@still-pine/core/program'
import { dayFault, pastDayFault, timeFault, type Born } from '../times'
import { changeOf, corrected, type Change, type Moment } from './change'

/** What a batch is held against: all that its items name, as far as it is known. */
export interface BatchParts {
  readonly horses: ReadonlyMap<string, Born & { readonly program: Program }>
  readonly sessions: ReadonlyMap<string, { readonly horseId: string; readonly day: Day }>
  readonly answers: ReadonlyMap<string, KnownAnswer>
  /** Whose horse's each incident and check is. */
  readonly incidents: ReadonlyMap<string, string>
  readonly checks: ReadonlyMap<string, string>
  readonly attachments: ReadonlyMap<string, KnownAttachment>
  readonly measurements: ReadonlyMap<string, KnownRecord>
  readonly entries: ReadonlyMap<string, KnownRecord>
}

/** Whose horse's a record is, and who made it. */
export interface KnownRecord {
  readonly horseId: string
  readonly personId: string
}

export interface KnownAnswer {
  readonly horseId: string
  readonly day: string
  readonly personId: string
  readonly voided: boolean
}

/** What of an attachment never changes under its id, and whose it is. */
export interface KnownAttachment extends Pick<
  PutAttachment,
  'to' | 'recordId' | 'kind' | 'bytes' | 'sha256' | 'inReport'
> {
  readonly horseId: string
  readonly personId: string
}

/** Why an item is not kept, with the field it is about. */
export interface Refused {
  readonly reason: string
  readonly path?: string
}

const refused = (reason: string, path?: string): Refused => ({
  reason,
  ...(path === undefined ? {} : { path }),
})

const NO_HORSE = 'This horse is not in your yard.'
const NO_SESSION = 'Its session is not known: send the session first.'

/** A session may run over midnight, and a clock may be off by days; no answer lies a month from its session. */
const FURTHEST_DAYS = 31

const notAllowed = ({ who: { role } }: Moment, action: Action): Refused | null =>
  mayDo(role, action) ? null : refused(`Somebody whose role is ${role} may not do this.`)

type Item<Kind extends BatchItem['do']> = Extract<BatchItem, { do: Kind }>

const answerFault = (parts: BatchParts, { answer }: Item<'add'>, moment: Moment): Refused | null => {
  const horse = parts.horses.get(answer.horseId)
  if (!horse) return refused(NO_HORSE, 'answer.horseId')
  const misfit = misfitOf(horse.program, answer)
  if (misfit) return refused(misfit.words, `answer.${misfit.field}`)
  const at = corrected(moment, answer.at)
  const late = timeFault(moment, horse, at)
  if (late) return refused(late, 'answer.at')
  const session = parts.sessions.get(answer.sessionId)
  if (session?.horseId !== answer.horseId) return refused(NO_SESSION, 'answer.sessionId')
  const day = moment.dayIn(at)
  return Math.abs(daysBetween(session.day, day)) > FURTHEST_DAYS
    ? refused(`Its session was on ${session.day}, and this says ${day}.`, 'answer.at')
    : null
}

const incidentFault = (parts: BatchParts, item: Item<'incident'>, moment: Moment): Refused | null => {
  const { id, horseId, incident } = item
  const horse = parts.horses.get(horseId)
  if (!horse) return refused(NO_HORSE, 'horseId')
  const fault = pastDayFault(moment.today, horse, incident.on)
  if (fault) return refused(fault, 'incident.on')
  if (incident.step !== null && !knownStep(horse.program, incident.step))
    return refused(`“${incident.step}” is not a step that is known here.`, 'incident.step')
  return (parts.incidents.get(id) ?? horseId) === horseId
    ? null
    : refused('This record has an id that is taken: record it anew.', 'id')
}

/** What is wrong with a record on a horse, or with changing one: whoever made it may, and whoever mends answers. */
const recordFault = (
  parts: BatchParts,
  { id, horseId }: { readonly id: string; readonly horseId: string },
  { moment, on, known }: { moment: Moment; on: Day; known: ReadonlyMap<string, KnownRecord> },
): Refused | null => {
  const horse = parts.horses.get(horseId)
  if (!horse) return refused(NO_HORSE, 'horseId')
  const fault = pastDayFault(moment.today, horse, on)
  if (fault) return refused(fault, 'on')
  const before = known.get(id)
  if (!before) return null
  if (before.horseId !== horseId) return refused('This record has an id that is taken: record it anew.', 'id')
  return before.personId === moment.who.personId || mayDo(moment.who.role, 'mend-answers')
    ? null
    : refused('Changing what somebody else recorded is for starters.', 'id')
}

/** The same, with the field named where it stands in its item. */
const within = (part: string, fault: Refused | null): Refused | null =>
  fault?.path === 'on' ? { ...fault, path: `${part}.on` } : fault

const measurementFault = (parts: BatchParts, item: Item<'measure'>, moment: Moment): Refused | null =>
  within(
    'measurement',
    recordFault(parts, item, { moment, on: item.measurement.on, known: parts.measurements }),
  )

const entryFault = (parts: BatchParts, item: Item<'enter'>, moment: Moment): Refused | null => {
  const { entry, horseId } = item
  const horse = parts.horses.get(horseId)
  if (horse && 'step' in entry && entry.step !== null && !knownStep(horse.program, entry.step))
    return refused(`“${entry.step}” is not a step that is known here.`, 'entry.step')
  return within('entry', recordFault(parts, item, { moment, on: entry.on, known: parts.entries }))
}

/** Whose horse's the record is that something is attached to; nothing where it is not known. */
const horseOfRecord = (parts: BatchParts, { to, recordId }: PutAttachment): string | undefined => {
  if (to === 'session') return parts.sessions.get(recordId)?.horseId
  if (to === 'answer') return parts.answers.get(recordId)?.horseId
  return (to === 'check' ? parts.checks : parts.incidents).get(recordId)
}

const SAME_FILE = ['to', 'recordId', 'kind', 'bytes', 'sha256'] as const

const attachmentFault = (parts: BatchParts, item: Item<'attach'>, moment: Moment): Refused | null => {
  const { id, horseId, attachment } = item
  const horse = parts.horses.get(horseId)
  if (!horse) return refused(NO_HORSE, 'horseId')
  const late = timeFault(moment, horse, corrected(moment, attachment.at))
  if (late) return refused(late, 'attachment.at')
  if (horseOfRecord(parts, attachment) !== horseId)
    return refused(`The ${attachment.to} it belongs to is not known: send that first.`, 'attachment.recordId')
  const { personId, role } = moment.who
  const known = parts.attachments.get(id)
  if (attachment.inReport !== (known?.inReport ?? false) && !mayDo(role, 'edit-horse'))
    return refused('What goes into the owner’s report is for starters.', 'attachment.inReport')
  if (!known) return null
  if (known.horseId !== horseId || SAME_FILE.some((part) => known[part] !== attachment[part]))
    return refused('Another file has this id: add yours anew.', 'id')
  return known.personId === personId || mayDo(role, 'mend-answers')
    ? null
    : refused('Changing what somebody else took is for starters.', 'id')
}

/** Why an item may not be kept, or nothing. */
const faultOf = (parts: BatchParts, item: BatchItem, moment: Moment): Refused | null => {
  switch (item.do) {
    case 'session': {
      const horse = parts.horses.get(item.session.horseId)
      if (!horse) return refused(NO_HORSE, 'session.horseId')
      const fault = timeFault(moment, horse, corrected(moment, item.session.startedAt))
      return fault === null ? null : refused(fault, 'session.startedAt')
    }
    case 'add':
      return answerFault(parts, item, moment)
    case 'void': {
      const known = parts.answers.get(item.answerId)
      if (!known) return refused('The answer to take back is not known here.', 'answerId')
      return known.personId === moment.who.personId || mayDo(moment.who.role, 'mend-answers')
        ? null
        : refused('Taking back an answer of somebody else is for starters.', 'answerId')
    }
    case 'incident':
      return notAllowed(moment, 'record-incident') ?? incidentFault(parts, item, moment)
    case 'note':
      return (
        notAllowed(moment, 'confirm-session') ??
        (parts.sessions.has(item.sessionId) ? null : refused(NO_SESSION, 'sessionId'))
      )
    case 'circumstances':
      // How a session was is said by whoever may log it.
      return parts.sessions.has(item.sessionId) ? null : refused(NO_SESSION, 'sessionId')
    case 'arrange': {
      const horse = parts.horses.get(item.horseId)
      if (!horse) return refused(NO_HORSE, 'horseId')
      const fault = dayFault(moment.today, horse, item.day)
      return fault === null ? null : refused(fault, 'day')
    }
    case 'measure':
      return notAllowed(moment, 'log-answers') ?? measurementFault(parts, item, moment)
    case 'enter':
      return notAllowed(moment, 'log-answers') ?? entryFault(parts, item, moment)
    case 'attach':
      return notAllowed(moment, 'log-answers') ?? attachmentFault(parts, item, moment)
    case 'confirm': {
      const no = notAllowed(moment, 'confirm-on-the-day')
      if (no) return no
      const horse = parts.horses.get(item.horseId)
      if (!horse) return refused(NO_HORSE, 'horseId')
      const fault = pastDayFault(moment.today, horse, item.day)
      return fault === null ? null : refused(fault, 'day')
    }
  }
}

/** It was sent before, and is there. */
const isThere = (parts: BatchParts, item: BatchItem): boolean => {
  if (item.do === 'session') return parts.sessions.has(item.session.id)
  if (item.do === 'add') return parts.answers.has(item.answer.id)
  return item.do === 'void' && (parts.answers.get(item.answerId)?.voided ?? false)
}

export type Verdict = 'already' | { readonly change: Change } | { readonly refused: Refused }

/** What becomes of one item, given what is known by then. */
export const decide = (parts: BatchParts, item: BatchItem, moment: Moment): Verdict => {
  const fault = faultOf(parts, item, moment)
  if (fault) return { refused: fault }
  return isThere(parts, item) ? 'already' : { change: changeOf(item, moment) }
}

/** What is known once a change is made. */
const after = (parts: BatchParts, change: Change, moment: Moment): BatchParts => {
  if (change.kind === 'session') {
    const { id, horseId, day } = change.session
    return { ...parts, sessions: new Map(parts.sessions).set(id, { horseId, day }) }
  }
  if (change.kind === 'answer') {
    const { id, horseId, day, personId } = change.answer
    return { ...parts, answers: new Map(parts.answers).set(id, { horseId, day, personId, voided: false }) }
  }
  if (change.kind === 'voiding') {
    const known = parts.answers.get(change.answerId)!
    return { ...parts, answers: new Map(parts.answers).set(change.answerId, { ...known, voided: true }) }
  }
  if (change.kind === 'attachment') {
    const { id, horseId, attachment } = change
    const personId = parts.attachments.get(id)?.personId ?? moment.who.personId
    return {
      ...parts,
      attachments: new Map(parts.attachments).set(id, { ...attachment, horseId, personId }),
    }
  }
  if (change.kind === 'measurement') {
    const { id, horseId } = change
    const personId = parts.measurements.get(id)?.personId ?? moment.who.personId
    return { ...parts, measurements: new Map(parts.measurements).set(id, { horseId, personId }) }
  }
  if (change.kind === 'entry') {
    const { id, horseId } = change
    const personId = parts.entries.get(id)?.personId ?? moment.who.personId
    return { ...parts, entries: new Map(parts.entries).set(id, { horseId, personId }) }
  }
  if (change.kind === 'incident')
    return { ...parts, incidents: new Map(parts.incidents).set(change.id, change.horseId) }
  return parts
}

/** What becomes of each item of a batch, in order: a later one may name what an earlier one brings. */
export const decideAll = (
  parts: BatchParts,
  items: readonly BatchItem[],
  moment: Moment,
): readonly Verdict[] => {
  let known = parts
  return items.map((item) => {
    const verdict = decide(known, item, moment)
    if (verdict !== 'already' && 'change' in verdict) known = after(known, verdict.change, moment)
    return verdict
  })
}
