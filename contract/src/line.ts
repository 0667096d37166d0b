import { daysBetween } from '@still-pine/core/answer'
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

interface Parts {
  readonly horse: Horse
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
  readonly overrules: readonly Overrule[]
  /** Days with answers up to the day judged. */
  readonly workDays: number
  /** What was worked on the six days before. */
  readonly week: readonly Worked[]
  /** The day judged. */
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
export const OTHER_DAYS_OF_WEEK = 6

/** A horse's Line from what is believed of its tracks: the same on the server and on a device without signal. */
export const lineFrom = ({ horse, program, views, facts, overrules, workDays, week, on }: Parts): Line => {
  const { loadDaysThisWeek: loadDays } = countersOf(program, week, horse.arrived, on)
  return {
    horse,
    day: on,
    tracks: trackRows(views),
    gates: gateVerdicts(program, views, facts, on) as Line['gates'],
    overrules: [...overrules],
    plan: planSession(program, views, facts, on, { outlook: { ...ORDINARY, loadDays } }) as Line['plan'],
    facts: factsTold(facts),
    notices: [...noticesOf(facts, on)],
    workDays,
    calendarDays: Math.max(0, daysBetween(horse.arrived, on)),
    loadDays,
  }
}
