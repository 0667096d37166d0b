import type { Block, Check, Incident, Session } from '@still-pine/contract'
import { count, type Day } from '@still-pine/core/answer'
import { BLOCK_WORDS } from '@still-pine/core/blocks'
import { INCIDENT_WORDS } from '../../shared/incident-words'
import { clock } from '../../shared/words'
import { kindWord } from '../care/check-form'

export const KINDS = ['sessions', 'checks', 'incidents', 'blocks'] as const
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
}

interface Recorded {
  readonly horseId: string
  readonly sessions: readonly Session[]
  readonly checks: readonly Check[]
  readonly incidents: readonly Incident[]
  readonly blocks: readonly Block[]
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

/** Everything recorded of a horse in one time line, the newest first. */
export const entriesOf = ({ horseId, sessions, checks, incidents, blocks }: Recorded): readonly Entry[] =>
  [
    ...sessions.map((session) => ofSession(horseId, session)),
    ...checks.map((check) => ofCheck(horseId, check)),
    ...incidents.map((incident) => ofIncident(horseId, incident)),
    ...blocks.flatMap((block) => ofBlock(horseId, block)),
  ].sort((a, b) => b.on.localeCompare(a.on))
