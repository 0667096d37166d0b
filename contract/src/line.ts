import { addDays, daysBetween } from '@still-pine/core/answer'
import { countersOf, type Worked } from '@still-pine/core/counters'
import { ORDINARY, planSession } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { gateVerdicts, noticesOf, type Facts, type TrackKey, type Views } from '@still-pine/core/readiness'
import type { Horse } from './horses'
import type { Line, Overrule } from './judgement'

type Side = Line['tracks'][number]['side']

export const trackRows = (views: Views): Line['tracks'] =>
  [...views].map(([key, view]) => {
    const [step, side] = (key as TrackKey).split('/') as [string, Side]
    return { step, side, view: view as Line['tracks'][number]['view'] }
  })

/** What is made of the tracks of a horse on a day; the dear part of its Line. */
export type Judged = Pick<Line, 'tracks' | 'gates' | 'plan'>

interface ToJudge {
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
  /** Load days among the six before. */
  readonly loadDays: number
  /** The day judged. */
  readonly on: string
}

/** Judges a horse on a day: the same on the server and on a device without signal. */
export const judgedFrom = ({ program, views, facts, loadDays, on }: ToJudge): Judged => ({
  tracks: trackRows(views),
  gates: gateVerdicts(program, views, facts, on) as Line['gates'],
  plan: planSession(program, views, facts, on, { outlook: { ...ORDINARY, loadDays } }) as Line['plan'],
})

interface Parts {
  readonly horse: Horse
  readonly facts: Facts
  readonly overrules: readonly Overrule[]
  /** Days with answers up to the day judged. */
  readonly workDays: number
  readonly loadDays: number
  readonly judged: Judged
  readonly on: string
}

/** The facts without what only their own pages tell. */
const factsTold = ({
  born,
  checks,
  incidents,
  confirmed,
  handOver,
  known,
  offWork,
}: Facts): Line['facts'] => ({
  born,
  checks: checks.map(({ kind, on, until, passed }) => ({ kind, on, until, passed })),
  incidents: incidents.map(({ kind, on, step, serious }) => ({ kind, on, step, serious })),
  confirmed: [...confirmed],
  handOver: [...handOver],
  known: [...(known ?? [])],
  offWork: offWork ?? null,
})

/** A plan looks back over a week, the day itself left out. */
const OTHER_DAYS_OF_WEEK = 6

/** The first day of those before this one that count as its week. */
export const weekBefore = (on: string): string => addDays(on, -OTHER_DAYS_OF_WEEK)

/** Load days among what was worked on the six days before. */
export const loadDaysIn = (
  program: Program,
  week: readonly Worked[],
  { arrived }: Pick<Horse, 'arrived'>,
  on: string,
): number => countersOf(program, week, arrived, on).loadDaysThisWeek

/** A horse's Line from what is judged of it and what is known beside. */
export const lineFrom = ({ horse, facts, overrules, workDays, loadDays, judged, on }: Parts): Line => ({
  horse,
  day: on,
  ...judged,
  overrules: [...overrules],
  facts: factsTold(facts),
  notices: [...noticesOf(facts, on)],
  workDays,
  calendarDays: Math.max(0, daysBetween(horse.arrived, on)),
  loadDays,
})
