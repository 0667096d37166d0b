import type { Day, Side } from '../answer'
import { rungName, sidesOf, type Program } from '../program'
import { trackKey, type Incident, type State, type TrackView, type Views } from '../readiness'

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
}

interface Parts {
  readonly program: Program
  readonly views: Views
  /** Those of the block. */
  readonly incidents: readonly Incident[]
  readonly day: Day
  readonly workDays: number
  readonly calendarDays: number
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

const isTight = (view: TrackView): boolean => view.answers > 0 && view.calmChance < 0.5

const holds = ({ state }: FrozenTrack): boolean => state === 'solid' || state === 'rusty'

/** Freezes how a horse stands: every track that was asked, what worries it, and what to keep checking. */
export const snapshotOf = ({ program, views, incidents, day, workDays, calendarDays }: Parts): Snapshot => {
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
      ...all
        .filter(({ view }) => isTight(view))
        .map(({ track }) => `${named(track.name, track.side)}: tight more often than not`),
      ...incidents.map(({ kind, on, step }) => `${kind} on ${on}${step ? `, at ${step}` : ''}`),
    ],
    keepChecking: weakest.slice(0, MOST_TO_CHECK).map(({ name, side }) => named(name, side)),
  }
}
