import type { Day, Side } from '../answer'
import { INCIDENT_WORDS, type Incident } from '../facts'
import { rungName, sidesOf, stepOf, type Program } from '../program'
import { trackKey, type State, type TrackView, type Views } from '../readiness'

/** One track as it stood when a block was closed. */
export interface FrozenTrack {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly state: State
  readonly holdsToRung: number
  /** In words; empty where it held to none. */
  readonly holds: string
  readonly chance: number
  readonly calmChance: number
  readonly answers: number
  readonly lastDay: Day | null
}

/** Asks of a step on a day that the permit refused. */
export interface AgainstPermit {
  readonly day: Day
  readonly name: string
  readonly words: string
  readonly why: string | null
}

/** How a horse stood when a block was closed; never changed afterwards. */
export interface Snapshot {
  readonly day: Day
  readonly school: string
  readonly schoolVersion: number
  readonly workDays: number
  readonly calendarDays: number
  readonly tracks: readonly FrozenTrack[]
  /** What worries it, as far as answers and incidents tell. */
  readonly worries: readonly string[]
  /** What holds by the least, and is to be checked now and then. */
  readonly keepChecking: readonly string[]
  /** What was asked though it was not to be, and what was said of it. */
  readonly against: readonly AgainstPermit[]
}

interface Parts {
  readonly program: Program
  readonly views: Views
  /** Those of the block. */
  readonly incidents: readonly Incident[]
  readonly day: Day
  readonly workDays: number
  readonly calendarDays: number
  readonly against?: readonly AgainstPermit[]
}

const MOST_TO_CHECK = 8

const named = (name: string, side: Side): string => (side === 'none' ? name : `${name}, ${side}`)

const frozenTracks = (program: Program, views: Views) =>
  program.steps.flatMap((step) =>
    sidesOf(step).flatMap((side): { track: FrozenTrack; view: TrackView }[] => {
      const view = views.get(trackKey(step.key, side))
      if (!view || view.answers === 0) return []
      const { state, holdsToRung, chance, calmChance, answers, lastDay } = view
      const holds = holdsToRung > 0 ? rungName(step, holdsToRung) : ''
      return [
        {
          view,
          track: {
            step: step.key,
            name: step.name,
            side,
            state,
            holdsToRung,
            holds,
            chance,
            calmChance,
            answers,
            lastDay,
          },
        },
      ]
    }),
  )

/** Said only where tight was noted: of the last answers with a calm, more were tight than not. */
const tightWords = ({ recent }: TrackView): string | null => {
  const noted = recent.filter(({ calm }) => calm !== null)
  const tight = noted.filter(({ calm }) => calm === 2).length
  return tight > noted.length / 2 ? `${tight} of the last ${noted.length} noted were tight` : null
}

const holds = ({ state }: FrozenTrack): boolean => state === 'solid' || state === 'rusty'

/** Freezes how a horse stands: every track that was asked, what worries it, and what to keep checking. */
export const snapshotOf = ({
  program,
  views,
  incidents,
  day,
  workDays,
  calendarDays,
  against = [],
}: Parts): Snapshot => {
  const all = frozenTracks(program, views)
  const weakest = all
    .map(({ track }) => track)
    .filter(holds)
    .sort((a, b) => a.chance * a.calmChance - b.chance * b.calmChance)
  return {
    day,
    school: program.name,
    schoolVersion: program.version,
    workDays,
    calendarDays,
    tracks: all.map(({ track }) => track),
    worries: [
      ...all.flatMap(({ track, view }) => {
        const words = tightWords(view)
        return words === null ? [] : [`${named(track.name, track.side)}: ${words}`]
      }),
      ...incidents.map(
        ({ kind, on, step }) =>
          `${INCIDENT_WORDS[kind]} on ${on}${step ? `, at ${stepOf(program, step)?.name.toLowerCase() ?? step}` : ''}`,
      ),
    ],
    against,
    keepChecking: weakest.slice(0, MOST_TO_CHECK).map(({ name, side }) => named(name, side)),
  }
}
