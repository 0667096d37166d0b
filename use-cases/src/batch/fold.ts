import type {
  Arrangement,
  Attachment,
  CarriedAnswer,
  Entry,
  Incident,
  Measurement,
  Session,
} from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import type { Confirmation } from '@still-pine/core/facts'
import type { Change } from './change'

/** What of a horse changes with what is logged. */
export interface HorseFile {
  /** The answers that stand, oldest first. */
  readonly history: readonly CarriedAnswer[]
  readonly incidents: readonly Incident[]
  readonly attachments: readonly Attachment[]
  readonly measurements: readonly Measurement[]
  /** Its own, and those that hold for every horse of its yard. */
  readonly entries: readonly Entry[]
  readonly confirmed: ReadonlyMap<Day, readonly Confirmation[]>
  readonly arranged: ReadonlyMap<Day, Arrangement>
  /** What is told of its sessions besides their answers. */
  readonly sessions: ReadonlyMap<string, SessionTold>
}

export type SessionTold = Pick<Session, 'place' | 'promised' | 'note' | 'circumstances' | 'confirmedAt'>

interface ByWhom {
  readonly personId: string
  readonly personName: string
  /** Where an answer comes in the order of keeping. */
  readonly seq: number
}

/** In the order in which they were given, which is not that in which they were kept. */
export const byTime = (a: CarriedAnswer, b: CarriedAnswer): number =>
  Date.parse(a.at) - Date.parse(b.at) || a.seq - b.seq

const toldOf = (file: HorseFile, sessionId: string, change: Partial<SessionTold>): HorseFile => {
  const known = file.sessions.get(sessionId)
  return known ? { ...file, sessions: new Map(file.sessions).set(sessionId, { ...known, ...change }) } : file
}

/** What a change does to the file of the horse it is about. */
export const fold = (file: HorseFile, change: Change, { personId, personName, seq }: ByWhom): HorseFile => {
  switch (change.kind) {
    case 'session': {
      const { id, place, promised, circumstances } = change.session
      if (file.sessions.has(id)) return file
      const told = { place, promised, circumstances, note: '', confirmedAt: null }
      return { ...file, sessions: new Map(file.sessions).set(id, told) }
    }
    case 'answer': {
      if (file.history.some(({ id }) => id === change.id)) return file
      const { horseId: _horse, personId: _person, phoneAt: _phone, at, ...answer } = change.answer
      const added = { ...answer, at: at.toISOString(), personName, seq }
      return { ...file, history: [...file.history, added].sort(byTime) }
    }
    case 'voiding':
      return { ...file, history: file.history.filter(({ id }) => id !== change.answerId) }
    case 'incident': {
      const { because: _because, withdrawn, ...wording } = change.incident
      const earlier = file.incidents.find(({ id }) => id === change.id)?.earlier ?? []
      const taken =
        withdrawn === null ? null : { at: new Date(0).toISOString(), byName: personName, because: withdrawn }
      const record = { id: change.id, ...wording, withdrawn: taken, earlier }
      const others = file.incidents.filter(({ id }) => id !== change.id)
      return { ...file, incidents: [...others, record] }
    }
    case 'attachment': {
      const { id, attachment } = change
      const known = file.attachments.find((one) => one.id === id)
      const told = known ?? { personId, byName: personName, file: 'coming' as const, refused: null }
      const others = file.attachments.filter((one) => one !== known)
      return { ...file, attachments: [...others, { ...told, id, ...attachment, day: change.day }] }
    }
    case 'measurement': {
      const { id, measurement } = change
      const known = file.measurements.find((one) => one.id === id)
      const others = file.measurements.filter((one) => one !== known)
      return {
        ...file,
        measurements: [...others, { ...measurement, id, byName: known?.byName ?? personName }],
      }
    }
    case 'entry': {
      const { id, entry } = change
      const known = file.entries.find((one) => one.id === id)
      const others = file.entries.filter((one) => one !== known)
      return { ...file, entries: [...others, { ...entry, id, byName: known?.byName ?? personName }] }
    }
    case 'note':
      return toldOf(file, change.sessionId, { note: change.note, confirmedAt: change.at.toISOString() })
    case 'circumstances':
      return toldOf(file, change.sessionId, { circumstances: change.circumstances })
    case 'arrangement':
      return { ...file, arranged: new Map(file.arranged).set(change.day, change.arrangement) }
    case 'confirmation':
      return { ...file, confirmed: new Map(file.confirmed).set(change.day, change.confirmed) }
  }
}
