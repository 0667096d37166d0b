import { isTight, type Day } from '../answer'
import {
  askedOn,
  freshBelief,
  modelWith,
  unknownHorse,
  valuesOf,
  withAnswer,
  type FittedName,
  type FittedValues,
  type Model,
} from '../judgement'
import { rungAt, sidesAnswered, stepOf, type Program } from '../program'
import {
  EMPTY_TALLY,
  startingMean,
  trackKey,
  type Tally,
  type TrackedAnswer,
  type TrackKey,
  type TrackRecord,
} from '../readiness'
import { nelderMead } from './nelder-mead'

interface Rule {
  /** How far a yard may well lie from the default, before its log is heard. */
  readonly priorSd: number
  readonly least: number
  readonly most: number
}

const RULES: Readonly<Record<FittedName, Rule>> = {
  startMean: { priorSd: 1, least: -6, most: 4 },
  startSd: { priorSd: 0.3, least: 0.1, most: 3 },
  talentSd: { priorSd: 0.5, least: 0.1, most: 4 },
  speedMean: { priorSd: 0.15, least: 0.1, most: 1 },
  noise: { priorSd: 0.05, least: 0.02, most: 0.6 },
  cold: { priorSd: 0.2, least: -1, most: 3 },
  rungStep: { priorSd: 0.2, least: 0, most: 3 },
}

export const FITTED_NAMES = Object.keys(RULES) as readonly FittedName[]

/** One horse, whole. */
export interface HorseHistory {
  readonly program: Program
  /** The answers that stand, in the order they were given. */
  readonly answers: readonly TrackedAnswer[]
}

interface Score {
  readonly logLikelihood: number
  readonly answers: number
}

/**
 * How likely the answers of a horse are, one after the other: the log-likelihood that replaying it gives, without what
 * is counted and judged on the way. What was watchful or loose says nothing of a grade, and is left out.
 */
export const logLikelihoodOf = (model: Model, { program, answers }: HorseHistory): Score => {
  const tracks = new Map<TrackKey, TrackRecord>()
  let horse = unknownHorse(model)
  let count = 0
  for (const answer of answers) {
    const step = stepOf(program, answer.step)
    if (!step || answer.uncued) continue
    const { day } = answer
    const rung = step.marks ? rungAt(step, answer.rung) : answer.rung
    const given = { ...answer, rung, calm: isTight(answer.calm) ? answer.calm : null }
    horse = askedOn(model, horse, { track: trackKey(step.key, answer.side), day })
    for (const side of sidesAnswered(step, answer.side)) {
      const key = trackKey(step.key, side)
      const belief =
        tracks.get(key)?.belief ??
        freshBelief(
          model,
          horse,
          startingMean(model, program, { step, side, day, records: { horse, tracks } }),
        )
      const after = withAnswer(model, step, { belief, horse, answer: given })
      horse = after.horse
      tracks.set(key, { belief: after.belief, tally: ASKED })
      count++
    }
  }
  let logLikelihood = 0
  for (const { belief } of tracks.values()) logLikelihood += belief.logLikelihood
  return { logLikelihood, answers: count }
}

const ASKED: Tally = { ...EMPTY_TALLY, answers: 1 }

const scoreOf = (model: Model, horses: readonly HorseHistory[]): Score =>
  horses
    .map((horse) => logLikelihoodOf(model, horse))
    .reduce((sum, one) => ({
      logLikelihood: sum.logLikelihood + one.logLikelihood,
      answers: sum.answers + one.answers,
    }))

/** Mean log-likelihood of the answers of the days from `since` on, each judged from all before it. */
export const heldOutScore = (model: Model, horses: readonly HorseHistory[], since: Day): number => {
  const before = scoreOf(model, upTo(horses, since))
  const all = scoreOf(model, horses)
  return (all.logLikelihood - before.logLikelihood) / Math.max(1, all.answers - before.answers)
}

/** What was answered before a day. */
export const upTo = (horses: readonly HorseHistory[], since: Day): readonly HorseHistory[] =>
  horses.map(({ program, answers }) => ({ program, answers: answers.filter(({ day }) => day < since) }))

/** The first of the last fifth of the days on which anything was asked. */
export const heldOutSince = (horses: readonly HorseHistory[]): Day => {
  const days = [...new Set(horses.flatMap(({ answers }) => answers.map(({ day }) => day)))].sort()
  return days[Math.floor(days.length * (1 - HELD_OUT))] ?? '9999-12-31'
}

const HELD_OUT = 0.2
const MOST_EVALUATIONS = 200
/** New values are taken up only where they beat those in use by so much an answer on the days held out. */
export const WORTH_IT = 0.005
/** A log this long, on so many days, can be fitted to. */
export const ENOUGH = { answers: 2_000, workDays: 20 } as const

export interface Fit {
  readonly values: FittedValues
  /** Mean log-likelihood of an answer on the days held out: with these values, and with those in use. */
  readonly heldOut: number
  readonly inUse: number
  readonly isWorthIt: boolean
  readonly answers: number
}

/** What an answer is worth less the further the values lie from the defaults. */
const pull = (defaults: FittedValues, values: FittedValues, answers: number): number =>
  FITTED_NAMES.reduce(
    (sum, name) => sum + ((values[name] - defaults[name]) / RULES[name].priorSd) ** 2 / (2 * answers),
    0,
  )

const isInRange = (values: FittedValues): boolean =>
  FITTED_NAMES.every((name) => values[name] >= RULES[name].least && values[name] <= RULES[name].most)

/**
 * What a fit makes as small as it can: minus the mean log-likelihood of an answer, and more of it the further the values
 * lie from the defaults.
 */
export const costOf = (defaults: Model, horses: readonly HorseHistory[]) => {
  const start = valuesOf(defaults)
  return (values: FittedValues): number => {
    if (!isInRange(values)) return Infinity
    const score = scoreOf(modelWith(defaults, values), horses)
    return pull(start, values, score.answers) - score.logLikelihood / score.answers
  }
}

const fromPoint = (at: readonly number[]): FittedValues =>
  Object.fromEntries(FITTED_NAMES.map((name, i) => [name, at[i]!])) as Record<FittedName, number>

/**
 * Values that make a yard's log likelier, found on all days but the last fifth, from the defaults on, with a pull towards
 * them; and whether they beat those in use on that last fifth. `null` where the log is too short to say.
 */
export const fitTo = (
  defaults: Model,
  horses: readonly HorseHistory[],
  { inUse = defaults, most = MOST_EVALUATIONS }: { inUse?: Model; most?: number } = {},
): Fit | null => {
  const answers = horses.reduce((sum, horse) => sum + horse.answers.length, 0)
  const workDays = new Set(horses.flatMap((horse) => horse.answers.map(({ day }) => day))).size
  if (answers < ENOUGH.answers || workDays < ENOUGH.workDays) return null
  const since = heldOutSince(horses)
  const start = valuesOf(defaults)
  const cost = costOf(defaults, upTo(horses, since))
  const found = nelderMead(
    (at) => cost(fromPoint(at)),
    FITTED_NAMES.map((name) => start[name]),
    { sizes: FITTED_NAMES.map((name) => RULES[name].priorSd / 2), most, close: 1e-6 },
  )
  const values = fromPoint(found.at)
  const heldOut = heldOutScore(modelWith(defaults, values), horses, since)
  const before = heldOutScore(inUse, horses, since)
  return { values, heldOut, inUse: before, isWorthIt: heldOut >= before + WORTH_IT, answers }
}
