import { addDays, daysBetween } from '@still-pine/core/answer'
import { bodyOf } from '@still-pine/core/body'
import { countersOf, type Worked } from '@still-pine/core/counters'
import { heat, type HeatSays } from '@still-pine/core/leave-off'
import { lineWork } from '@still-pine/core/load'
import { shutToday } from '@still-pine/core/permit'
import { ORDINARY, planSession } from '@still-pine/core/plan'
import { offWork, type BlockNow } from '@still-pine/core/blocks'
import { ageBounds, isLawAge, type KnownRung, type LeastAge, type Rider } from '@still-pine/core/facts'
import { rideBook } from '@still-pine/core/ride'
import { rungAt, stepOf, type Program } from '@still-pine/core/program'
import { gateVerdicts, noticesOf, type Facts, type TrackKey, type Views } from '@still-pine/core/readiness'
import { entriesOf } from '@still-pine/contract/entries-of'
import type {
  Arrangement,
  Check,
  Entry,
  Horse,
  Incident,
  Line,
  Measurement,
  Overrule,
} from '@still-pine/contract'

type Side = Line['tracks'][number]['side']

export const trackRows = (views: Views): Line['tracks'] =>
  [...views].map(([key, view]) => {
    const [step, side] = (key as TrackKey).split('/') as [string, Side]
    return { step, side, view: view as Line['tracks'][number]['view'] }
  })

/** What is made of the tracks of a horse on a day; the expensive part of its Line. */
export type Judged = Pick<Line, 'tracks' | 'gates' | 'plan' | 'shut' | 'notices'>

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
  gates: gateVerdicts(program, views, { facts, on }) as Line['gates'],
  plan: planSession(program, views, {
    facts,
    on,
    asked: { outlook: { ...ORDINARY, loadDays } },
  }) as Line['plan'],
  shut: [...shutToday({ program, views, facts }, on)],
  notices: [...noticesOf({ program, views, facts, on })],
})

interface Parts {
  readonly horse: Horse
  readonly facts: Facts
  readonly overrules: readonly Overrule[]
  readonly arranged: Arrangement | null
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
  age,
  sex,
  kind,
  feral,
  bitted,
  rides,
  rideMinutes,
  loadDays,
  rider,
  weightKg,
  conditionScore,
  heat,
  leastAges,
  overruled,
}: Facts): Line['facts'] => ({
  born,
  age: age ? { lowMonths: age.lowMonths, highMonths: age.highMonths, on: age.on } : null,
  sex: sex ?? '',
  kind: kind ?? '',
  feral: feral ?? false,
  bitted: bitted ?? false,
  rides: rides ?? 0,
  rideMinutes: rideMinutes ?? null,
  loadDays: loadDays ?? 0,
  rider: rider ? { kg: rider.kg, tackKg: rider.tackKg } : null,
  weightKg: weightKg ?? null,
  conditionScore: conditionScore ?? null,
  heat: heat ?? null,
  leastAges: [...(leastAges ?? [])],
  overruled: (overruled ?? []).map(({ gate, byName }) => ({ gate, byName })),
  checks: checks.map(({ kind, on, until, passed, leaves }) => ({
    kind,
    on,
    until,
    passed,
    leaves: leaves ?? null,
  })),
  incidents: incidents.map(({ kind, on, step, rung, mounted, fell, hurt }) => ({
    kind,
    on,
    step,
    rung: rung ?? null,
    mounted: mounted ?? false,
    fell: fell ?? false,
    hurt: hurt ?? 'none',
  })),
  confirmed: [...confirmed],
  handOver: [...handOver],
  known: [...(known ?? [])],
  offWork: offWork ?? null,
})

interface Known {
  readonly horse: Horse
  readonly program: Program
  readonly checks: readonly Check[]
  readonly incidents: readonly Incident[]
  readonly confirmed: Facts['confirmed']
  readonly overrules: readonly Overrule[]
  readonly known: readonly KnownRung[]
  readonly block: BlockNow | null
  /** Days ridden off the lead since the last incident that closed it. */
  readonly rides: number
  readonly loadDays: number
  readonly measurements: readonly Measurement[]
  readonly entries: readonly Entry[]
  readonly on: string
}

/** Records that count: those nobody has taken back. */
const standing = <T extends { readonly withdrawn: unknown }>(records: readonly T[]): readonly T[] =>
  records.filter(({ withdrawn }) => !withdrawn)

/** The day of the last incident with a person up; the rides of a rider are counted from there anew. */
export const lastClosed = (incidents: readonly Incident[]): string | null =>
  standing(incidents)
    .filter(({ mounted, kind }) => mounted && ['bolt', 'buck', 'rear', 'fall'].includes(kind))
    .map(({ on }) => on)
    .sort()
    .at(-1) ?? null

const ladderRung = (program: Program, step: string | null, mark: number | null): number | null => {
  const known = step === null ? undefined : stepOf(program, step)
  return known && mark !== null ? rungAt(known, mark) : mark === null ? null : Math.floor(mark)
}

/** Of those who ride it, whoever is heaviest with the saddle: one who is too heavy is not overlooked for a lighter one. */
const heaviestRider = (entries: readonly Entry[]): Rider | null => {
  const newest = new Map(entriesOf(entries, 'rider').map((rider) => [rider.who, rider]))
  const [heaviest] = [...newest.values()].sort((a, b) => b.kg + b.tackKg - a.kg - a.tackKg)
  return heaviest ? { kg: heaviest.kg, tackKg: heaviest.tackKg } : null
}

/** What the heat of a day leaves, by the last that was measured on it. */
const heatOn = (entries: readonly Entry[], on: string): HeatSays | null => {
  const last = entriesOf(entries, 'heat').findLast((one) => one.on === on)
  return last ? heat(last.airC, last.humidityPercent, last.usedToHeat).says : null
}

/** Least ages of law or body, as the yard entered them. */
const leastAgesIn = (entries: readonly Entry[]): readonly LeastAge[] =>
  entriesOf(entries, 'law').flatMap(({ about, months, source }) =>
    months === null || !isLawAge(about) ? [] : [{ about, months, source }],
  )

/** How heavy it is and who rides it; a weight that is older than it may be says nothing. */
const weighed = ({ horse, measurements, entries, on }: Known) => {
  const aged = { born: horse.born, age: horse.estimate }
  const { weight, condition, isDue, sinceDays } = bodyOf(
    measurements.filter(({ takenBack }) => !takenBack),
    { on, ageOn: (day) => ageBounds(aged, day) },
  )
  return {
    rider: heaviestRider(entries),
    weightKg: isDue ? null : (weight?.kg ?? null),
    conditionScore: condition?.score ?? null,
    unmeasuredDays: isDue ? sinceDays : null,
    care: entriesOf(entries, 'care').map(({ care, on: day, minDays, maxDays }) => ({
      care,
      on: day,
      minDays,
      maxDays,
    })),
  }
}

/** How long the next ride may be; of a horse whose rides nobody told nothing is known. */
const rideMinutesOf = ({ horse, entries, on }: Known): number | null => {
  const told = entriesOf(entries, 'ride').map((one) => ({
    ...one,
    beganAt: one.beganAt === null ? null : Date.parse(one.beganAt),
  }))
  const aged = { born: horse.born, age: horse.estimate }
  const { rides, next } = rideBook(told, { on, ageOn: (day) => ageBounds(aged, day)?.low ?? null })
  return rides.length === 0 ? null : next.totalMinutes
}

/** What is known of a horse beside its tracks, as the judgement reads it: the same on the server and on a device. */
export const factsFrom = (told: Known): Facts => {
  const { horse, program } = told
  return {
    born: horse.born,
    age: horse.estimate,
    sex: horse.sex,
    kind: horse.kind,
    feral: horse.feral,
    bitted: horse.bitted,
    checks: standing(told.checks).map(({ kind, on: day, until, passed, leaves }) => ({
      kind,
      on: day,
      until,
      passed,
      leaves,
    })),
    incidents: standing(told.incidents).map(({ kind, on: day, step, rung, mounted, fell, hurt }) => ({
      kind,
      on: day,
      step,
      rung: ladderRung(program, step, rung),
      mounted,
      fell,
      hurt,
    })),
    confirmed: told.confirmed,
    handOver: horse.handOver,
    known: told.known,
    offWork: offWork(told.block),
    rides: told.rides,
    rideMinutes: rideMinutesOf(told),
    loadDays: told.loadDays,
    ...weighed(told),
    heat: heatOn(told.entries, told.on),
    leastAges: leastAgesIn(told.entries),
    overruled: told.overrules
      .filter(({ takenBack }) => !takenBack)
      .map(({ gate, byName }) => ({ gate, byName })),
  }
}

/** A plan looks back over a week, the day itself left out. */
const OTHER_DAYS_OF_WEEK = 6

/** The first day of those before this one that count as its week. */
export const weekBefore = (on: string): string => addDays(on, -OTHER_DAYS_OF_WEEK)

/** Days of load that no answer tells of: ridden, or on the line above a walk or for long. */
export const loadTold = (
  entries: readonly Entry[],
  horse: Pick<Horse, 'born' | 'estimate'>,
): readonly string[] =>
  [
    ...entriesOf(entries, 'ride'),
    ...entriesOf(entries, 'line-work').filter((work) => {
      const age = ageBounds({ born: horse.born, age: horse.estimate }, work.on)
      return lineWork(work, age?.low ?? null).loadDay
    }),
  ].map(({ on }) => on)

interface OfWeek {
  readonly horse: Horse
  readonly entries: readonly Entry[]
  readonly on: string
}

/** Load days among what was worked on the six days before. */
export const loadDaysIn = (
  program: Program,
  week: readonly Worked[],
  { horse, entries, on }: OfWeek,
): number => {
  const onTheLine = loadTold(entries, horse).filter((day) => day >= weekBefore(on) && day < on)
  return countersOf(program, week, { arrived: horse.arrived, on, onTheLine }).loadDaysThisWeek
}

/** A horse's Line from what is judged of it and what is known beside. */
export const lineFrom = ({
  horse,
  facts,
  overrules,
  arranged,
  workDays,
  loadDays,
  judged,
  on,
}: Parts): Line => ({
  horse,
  day: on,
  ...judged,
  overrules: [...overrules],
  arranged,
  facts: factsTold(facts),
  workDays,
  calendarDays: Math.max(0, daysBetween(horse.arrived, on)),
  loadDays,
})

/** The minutes somebody has arranged for a horse by the program it is worked by. */
export const minutesArranged = (arranged: Arrangement | null, { programId }: Horse): number | null =>
  arranged?.programId === programId ? arranged.minutes : null
