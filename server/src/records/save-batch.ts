import { BatchItem, idOfItem, type BatchReply } from '@still-pine/contract'
import {
  clockOff,
  decideAll,
  type BatchParts,
  type Change,
  type KnownAnswer,
  type Moment,
  type Verdict,
} from '@still-pine/use-cases'
import { insertAnswers, insertVoidings, namedAnswers } from '../data/answers'
import { saveArranged } from '../data/arrangements'
import { namedAttachments, saveAttachment } from '../data/attachments'
import { horsesOfRecords, saveConfirmed } from '../data/care'
import { allHorses, lockHorses, type HorseTip } from '../data/horses'
import { namedEntries, saveEntry } from '../data/entries'
import { namedMeasurements, saveMeasurement } from '../data/measurements'
import { confirmSession, insertSessions, saveCircumstances, sessionsOf } from '../data/sessions'
import { apart } from '../data/sql'
import { programOfHorse } from '../parts/programs'
import { putIncident } from './care'
import { updateTracks, type NewEvidence } from './update-tracks'
import { dayIn } from './yard-day'
import { todayIn, type Yard } from './yard'

type ItemReply = BatchReply['items'][number]

type Kept<Kind extends Change['kind']> = Extract<Change, { kind: Kind }>

const refused = (id: string, reason: string, path?: string): ItemReply => ({
  id,
  status: 'refused',
  reason,
  ...(path === undefined ? {} : { path }),
})

const CANNOT_BE_KEPT = 'The records cannot hold this as it was sent. Look at it, change it and send it again.'

/** All that the items name by id. */
const namedIn = (items: readonly BatchItem[]) => {
  const horses = new Set<string>()
  const sessions = new Set<string>()
  const answers = new Set<string>()
  const incidents = new Set<string>()
  const checks = new Set<string>()
  const attachments = new Set<string>()
  const measurements = new Set<string>()
  const entries = new Set<string>()
  const attachedTo = { session: sessions, answer: answers, check: checks, incident: incidents }
  for (const item of items) {
    if (item.do === 'session') {
      horses.add(item.session.horseId)
      sessions.add(item.session.id)
    } else if (item.do === 'add') {
      horses.add(item.answer.horseId)
      sessions.add(item.answer.sessionId)
      answers.add(item.answer.id)
    } else if (item.do === 'void') answers.add(item.answerId)
    else if ('sessionId' in item) sessions.add(item.sessionId)
    else horses.add(item.horseId)
    if (item.do === 'incident') incidents.add(item.id)
    if (item.do === 'measure') measurements.add(item.id)
    if (item.do === 'enter') entries.add(item.id)
    if (item.do === 'attach') {
      attachments.add(item.id)
      attachedTo[item.attachment.to].add(item.attachment.recordId)
    }
  }
  return { horses, sessions, answers, incidents, checks, attachments, measurements, entries }
}

/**
 * What a batch is held against. The horses it touches are locked at once and in the one order, so that two phones never
 * hold each other up; what is known of them is read after, and stays so.
 */
const partsOf = async (
  { client, yardId }: Yard,
  items: readonly BatchItem[],
): Promise<BatchParts & { readonly tips: ReadonlyMap<string, HorseTip> }> => {
  const named = namedIn(items)
  const touched = [
    ...(await sessionsOf(client, [...named.sessions])).values(),
    ...(await namedAnswers(client, [...named.answers])).values(),
  ]
  const ids = new Set([...named.horses, ...touched.map(({ horseId }) => horseId)])
  const tips = await lockHorses(client, [...ids])
  const horses = new Map<string, { name: string; born: string | null; program: BatchProgram }>()
  for (const horse of await allHorses(client, [...tips.keys()])) {
    const { id, name, born } = horse
    horses.set(id, { name, born, program: await programOfHorse(client, yardId, horse) })
  }
  return {
    tips,
    horses,
    sessions: await sessionsOf(client, [...named.sessions]),
    answers: await namedAnswers(client, [...named.answers]),
    incidents: await horsesOfRecords(client, 'incident', [...named.incidents]),
    checks: await horsesOfRecords(client, 'check', [...named.checks]),
    attachments: await namedAttachments(client, [...named.attachments]),
    measurements: await namedMeasurements(client, [...named.measurements]),
    entries: await namedEntries(client, [...named.entries]),
  }
}

type BatchProgram = Awaited<ReturnType<typeof programOfHorse>>

/** What was written of a horse, for its tracks to be brought up to date. */
interface Written {
  readonly added: NewEvidence[]
  /** Days on which something was taken back. */
  readonly voidedDays: Set<string>
}

/** Writes what a batch changes. */
class ChangeWriter {
  readonly byHorse = new Map<string, Written>()

  constructor(
    private readonly yard: Yard,
    private readonly answers: ReadonlyMap<string, Pick<KnownAnswer, 'horseId' | 'day'>>,
  ) {}

  async sessions(some: readonly Kept<'session'>[]): Promise<void> {
    await insertSessions(
      this.yard.client,
      this.yard.yardId,
      some.map(({ session }) => session),
    )
  }

  async answersAdded(some: readonly Kept<'answer'>[]): Promise<void> {
    const answers = some.map(({ answer }) => answer)
    const places = await insertAnswers(this.yard.client, this.yard.yardId, answers)
    for (const answer of answers) {
      const seq = places.get(answer.id)
      if (seq !== undefined) this.writtenOf(answer.horseId).added.push({ ...answer, seq })
    }
  }

  async voidings(some: readonly Kept<'voiding'>[]): Promise<void> {
    await insertVoidings(this.yard.client, this.yard, some)
    for (const { answerId } of some) {
      const { horseId, day } = this.answers.get(answerId)!
      this.writtenOf(horseId).voidedDays.add(day)
    }
  }

  async rest(change: Exclude<Change, { kind: 'session' | 'answer' | 'voiding' }>): Promise<void> {
    const { client, yardId, personId } = this.yard
    switch (change.kind) {
      case 'incident':
        await putIncident(this.yard, change.horseId, { id: change.id, body: change.incident })
        return
      case 'note':
        await confirmSession(client, change.sessionId, { note: change.note, at: change.at })
        return
      case 'circumstances':
        await saveCircumstances(client, change.sessionId, change.circumstances)
        return
      case 'arrangement':
        await saveArranged(client, { yardId, personId, horseId: change.horseId }, change)
        return
      case 'measurement':
        await saveMeasurement(client, { yardId, personId, horseId: change.horseId }, change)
        return
      case 'entry':
        await saveEntry(client, { yardId, personId, horseId: change.horseId }, change)
        return
      case 'attachment':
        await saveAttachment(
          client,
          { yardId, personId, horseId: change.horseId },
          { ...change, now: this.yard.now },
        )
        return
      case 'confirmation': {
        const { horseId, day, confirmed } = change
        await saveConfirmed(client, { yardId, personId, horseId }, { day, confirmed })
      }
    }
  }

  private writtenOf(horseId: string): Written {
    const known = this.byHorse.get(horseId) ?? { added: [], voidedDays: new Set<string>() }
    this.byHorse.set(horseId, known)
    return known
  }
}

const ofKind = <Kind extends Change['kind']>(changes: readonly Change[], kind: Kind): readonly Kept<Kind>[] =>
  changes.filter((change): change is Kept<Kind> => change.kind === kind)

/** Writes all changes; gives the ids of those that the database cannot hold, which are undone alone. */
const writeAll = async (
  { client }: Yard,
  writer: ChangeWriter,
  changes: readonly Change[],
): Promise<ReadonlySet<string>> => {
  const failed = new Set<string>()
  /** Together, and one by one where one of them cannot be held. */
  const together = async <C extends Change>(
    some: readonly C[],
    write: (some: readonly C[]) => Promise<void>,
  ) => {
    if (some.length === 0 || !(await apart(client, () => write(some)))) return
    for (const one of some) if (await apart(client, () => write([one]))) failed.add(one.id)
  }
  await together(ofKind(changes, 'session'), (some) => writer.sessions(some))
  await together(ofKind(changes, 'answer'), (some) => writer.answersAdded(some))
  await together(ofKind(changes, 'voiding'), (some) => writer.voidings(some))
  for (const change of changes) {
    if (change.kind === 'session' || change.kind === 'answer' || change.kind === 'voiding') continue
    if (await apart(client, () => writer.rest(change))) failed.add(change.id)
  }
  return failed
}

const idOf = (raw: unknown): string => {
  const item = raw as { id?: unknown; answer?: { id?: unknown }; session?: { id?: unknown } } | null
  const id = item?.answer?.id ?? item?.session?.id ?? item?.id
  return typeof id === 'string' ? id : ''
}

const readItem = (raw: unknown): BatchItem | ItemReply => {
  const parsed = BatchItem.safeParse(raw)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  return refused(idOf(raw), issue!.message, issue!.path.join('.'))
}

const isItem = (read: BatchItem | ItemReply): read is BatchItem => 'do' in read

const replyTo = (item: BatchItem, verdict: Verdict, failed: ReadonlySet<string>): ItemReply => {
  const id = idOfItem(item)
  if (verdict === 'already') return { id, status: 'already' }
  if ('refused' in verdict) return refused(id, verdict.refused.reason, verdict.refused.path)
  if (failed.has(id)) return refused(id, CANNOT_BE_KEPT)
  const { change } = verdict
  return { id, status: 'kept', ...(change.kind === 'answer' && change.answer.ahead ? { ahead: true } : {}) }
}

/** Keeps a batch item by item, in order; what cannot be kept is refused with its reason and stops nothing else. */
export const saveBatch = async (yard: Yard, sentAt: string, raw: readonly unknown[]): Promise<BatchReply> => {
  const read = raw.map(readItem)
  const items = read.filter(isItem)
  const { tips, ...parts } = await partsOf(yard, items)
  const moment: Moment = {
    who: yard,
    now: yard.now,
    today: todayIn(yard),
    dayIn: (at) => dayIn(yard.timeZone, at),
    clockOffMs: clockOff(yard.now, sentAt),
  }
  const verdicts = decideAll(parts, items, moment)
  const changes = verdicts.flatMap((verdict) =>
    verdict !== 'already' && 'change' in verdict ? [verdict.change] : [],
  )
  const added = ofKind(changes, 'answer').map(({ id, answer }) => [id, answer] as const)
  const named = new Map<string, Pick<KnownAnswer, 'horseId' | 'day'>>([...parts.answers, ...added])
  const writer = new ChangeWriter(yard, named)
  const failed = await writeAll(yard, writer, changes)
  for (const [id, written] of writer.byHorse)
    await updateTracks(yard, { id, program: parts.horses.get(id)!.program, tip: tips.get(id)! }, written)
  const replies = new Map(items.map((item, i) => [item, replyTo(item, verdicts[i]!, failed)]))
  return { items: read.map((one) => (isItem(one) ? replies.get(one)! : one)) }
}
