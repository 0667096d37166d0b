import type {
  Attachment,
  Block,
  Check,
  Entry as Told,
  Incident,
  Measurement,
  Session,
} from '@still-pine/contract'
import { count, type Day } from '@still-pine/core/answer'
import { BLOCK_WORDS } from '@still-pine/core/blocks'
import { upperFirst } from '@still-pine/core/readiness'
import { entryWords } from '../../shared/entry-words'
import { INCIDENT_WORDS } from '../../shared/incident-words'
import { KIND_WORDS } from '../../shared/attachments/words'
import { clock } from '../../shared/words'
import { kindWord } from '../care/check-form'

export const KINDS = ['sessions', 'checks', 'incidents', 'blocks', 'attachments', 'told'] as const
export type EntryKind = (typeof KINDS)[number]

/** One thing of a horse's record, as its time line shows it. */
export interface Entry {
  readonly key: string
  readonly kind: EntryKind
  readonly on: Day
  readonly title: string
  readonly words: readonly string[]
  /** What must not be overlooked. */
  readonly grave: readonly string[]
  readonly withdrawn: boolean
  readonly to: string
  /** Whose small picture is shown beside it. */
  readonly attachment?: Attachment
}

interface Recorded {
  readonly horseId: string
  readonly sessions: readonly Session[]
  readonly checks: readonly Check[]
  readonly incidents: readonly Incident[]
  readonly blocks: readonly Block[]
  readonly attachments: readonly Attachment[]
  readonly entries: readonly Told[]
  readonly measurements: readonly Measurement[]
}

const ofSession = (horseId: string, session: Session): Entry => ({
  key: session.id,
  kind: 'sessions',
  on: session.day,
  title: `${clock(session.startedAt)}, ${session.personName}`,
  words: [
    count(session.answers, 'answer'),
    session.confirmedAt ? 'confirmed' : 'not confirmed',
    ...(session.note ? [session.note] : []),
  ],
  grave: [
    ...(session.against > 0 ? [`${count(session.against, 'answer')} against the permit`] : []),
    ...(session.overlaps ? ['overlaps another session'] : []),
  ],
  withdrawn: false,
  to: `/after/${horseId}?session=${session.id}`,
})

const ofCheck = (horseId: string, check: Check): Entry => ({
  key: check.id,
  kind: 'checks',
  on: check.on,
  title: kindWord(check.kind),
  words: check.note ? [check.note] : [],
  grave: check.passed || check.kind === 'veterinary-hold' ? [] : ['not right'],
  withdrawn: check.withdrawn !== null,
  to: `/horses/${horseId}/incidents`,
})

const ofIncident = (horseId: string, incident: Incident): Entry => ({
  key: incident.id,
  kind: 'incidents',
  on: incident.on,
  title: INCIDENT_WORDS[incident.kind],
  words: incident.before ? [incident.before] : [],
  grave: incident.hurt === 'none' ? [] : [`${incident.hurt} hurt`],
  withdrawn: incident.withdrawn !== null,
  to: `/horses/${horseId}/incidents`,
})

const ofBlock = (horseId: string, { id, kind, from, until }: Block): readonly Entry[] => {
  const entry = { kind: 'blocks', words: [], grave: [], withdrawn: false } as const
  const name = BLOCK_WORDS[kind].toLowerCase()
  const begun = {
    ...entry,
    key: `${id} from`,
    on: from,
    title: `Begun: ${name}`,
    to: `/horses/${horseId}/blocks`,
  }
  return until === null
    ? [begun]
    : [
        begun,
        {
          ...entry,
          key: `${id} until`,
          on: until,
          title: `Ended: ${name}`,
          to: `/horses/${horseId}/blocks/${id}`,
        },
      ]
}

const BELONGS_WORDS = {
  session: 'with a session',
  answer: 'with an answer',
  check: 'with a check',
  incident: 'with an incident',
} as const

/** Where what is attached is seen beside what it belongs to; an answer's lie with the day's newest session. */
const placeOf = (horseId: string, { to, recordId }: Attachment): string => {
  if (to === 'session') return `/after/${horseId}?session=${recordId}`
  return to === 'answer' ? `/after/${horseId}` : `/horses/${horseId}/incidents`
}

const ofAttachment = (horseId: string, attachment: Attachment): Entry => ({
  key: attachment.id,
  kind: 'attachments',
  on: attachment.day,
  title: attachment.words || KIND_WORDS[attachment.kind],
  words: [`${clock(attachment.at)}, ${attachment.byName}`, BELONGS_WORDS[attachment.to]],
  grave: attachment.file === 'refused' ? ['its file was refused'] : [],
  withdrawn: attachment.takenBack,
  to: placeOf(horseId, attachment),
  attachment,
})

/** What is told of a day; cues, riders and goals stand in books of their own. */
const PAGE_OF: Readonly<Partial<Record<Told['kind'], string>>> = {
  'line-work': 'going',
  thing: 'things',
  care: 'care',
  ride: 'rides',
  tack: 'tack',
  'bit-carry': 'tack',
  strings: 'tack',
  jumps: 'poles',
  forecast: 'reading',
}

const ofTold = (horseId: string, told: Told): readonly Entry[] => {
  const page = told.kind === 'repair' ? `steps/${told.step}` : PAGE_OF[told.kind]
  if (page === undefined) return []
  return [
    {
      key: told.id,
      kind: 'told',
      on: told.on,
      title: upperFirst(entryWords(told)),
      words: [told.note, told.byName].filter(Boolean),
      grave: [],
      withdrawn: told.takenBack,
      to: `/horses/${horseId}/${page}`,
    },
  ]
}

const ofMeasurement = (horseId: string, one: Measurement): Entry => ({
  key: one.id,
  kind: 'told',
  on: one.on,
  title: 'Measured',
  words: [one.note, one.byName].filter(Boolean),
  grave: [],
  withdrawn: one.takenBack,
  to: `/horses/${horseId}/body`,
})

/** Everything recorded of a horse in one time line, the newest first. */
export const entriesOf = ({
  horseId,
  sessions,
  checks,
  incidents,
  blocks,
  attachments,
  entries,
  measurements,
}: Recorded): readonly Entry[] =>
  [
    ...sessions.map((session) => ofSession(horseId, session)),
    ...checks.map((check) => ofCheck(horseId, check)),
    ...incidents.map((incident) => ofIncident(horseId, incident)),
    ...blocks.flatMap((block) => ofBlock(horseId, block)),
    ...attachments.map((one) => ofAttachment(horseId, one)),
    ...entries.flatMap((one) => ofTold(horseId, one)),
    ...measurements.map((one) => ofMeasurement(horseId, one)),
  ].sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0))
