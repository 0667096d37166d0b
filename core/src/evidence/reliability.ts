import { count, percent } from '../answer'
import { wilson, type Interval } from './interval'
import type { Prediction } from './predictions'

type Outcome = Pick<Prediction, 'chance' | 'light'>

/** What a prediction said: that an answer would be light, or not tight. */
export type PredictedOf = 'light' | 'not tight'

/** Predictions of one tenth summed up, so that those of many horses can be added without being read again. */
export interface TenthTally {
  /** 0 for chances below 0.1, up to 9. */
  readonly tenth: number
  readonly predictions: number
  /** Sum of the chances that were predicted. */
  readonly said: number
  /** How many came as was said they might. */
  readonly came: number
  /** Sum of the squared errors. */
  readonly squared: number
}

/** The tenth a chance lies in. */
const tenthOf = ({ chance }: Outcome): number => Math.min(9, Math.floor(chance * 10))

const sumOf = <T>(items: readonly T[], value: (item: T) => number): number =>
  items.reduce((sum, item) => sum + value(item), 0)

/** Predictions summed up by their tenths. */
export const talliesOf = (all: readonly Outcome[]): readonly TenthTally[] =>
  Array.from({ length: 10 }, (_, tenth) => {
    const own = all.filter((one) => tenthOf(one) === tenth)
    return {
      tenth,
      predictions: own.length,
      said: sumOf(own, ({ chance }) => chance),
      came: sumOf(own, ({ light }) => Number(light)),
      squared: sumOf(own, ({ chance, light }) => (chance - Number(light)) ** 2),
    }
  }).filter(({ predictions }) => predictions > 0)

/** Predictions of one tenth, and what came of them. */
export interface Tenth {
  readonly from: number
  readonly predictions: number
  /** The mean of what was predicted. */
  readonly said: number
  /** The share that came so. */
  readonly came: number
  readonly spread: Interval
}

export interface Reliability {
  readonly predictions: number
  /** The tenths that hold any, in their order. */
  readonly tenths: readonly Tenth[]
  /** Mean squared error of the predictions (Brier 1950): 0 is perfect. */
  readonly brier: number
  /** The same had the base rate always been said. */
  readonly brierOfBaseRate: number
  readonly baseRate: number
  /** Share by which the predictions beat the base rate; below 0 they are worse. `null` where all came out alike. */
  readonly better: number | null
  /** Mean distance of what was said in a tenth from what came, by how many were said there. */
  readonly meanError: number
}

/** Fewer than this say little. */
export const ENOUGH_PREDICTIONS = 50

/** How predictions compare with what came: in tenths, and as a Brier score against the base rate. */
export const reliabilityOf = (tallies: readonly TenthTally[]): Reliability => {
  const predictions = sumOf(tallies, (tally) => tally.predictions)
  const mean = (sum: number): number => (predictions === 0 ? 0 : sum / predictions)
  const baseRate = mean(sumOf(tallies, ({ came }) => came))
  const brier = mean(sumOf(tallies, ({ squared }) => squared))
  const brierOfBaseRate = baseRate * (1 - baseRate)
  const tenths = Array.from({ length: 10 }, (_, tenth) =>
    tallies.filter((tally) => tally.tenth === tenth),
  ).flatMap((own, tenth): Tenth[] => {
    const n = sumOf(own, (tally) => tally.predictions)
    if (n === 0) return []
    const came = sumOf(own, (tally) => tally.came)
    return [
      {
        from: tenth / 10,
        predictions: n,
        said: sumOf(own, ({ said }) => said) / n,
        came: came / n,
        spread: wilson(came, n),
      },
    ]
  })
  return {
    predictions,
    tenths,
    brier,
    brierOfBaseRate,
    baseRate,
    better: brierOfBaseRate === 0 ? null : 1 - brier / brierOfBaseRate,
    meanError: mean(sumOf(tenths, ({ said, came, predictions: n }) => n * Math.abs(said - came))),
  }
}

/** How far what was said lies from what came, over the tenths. */
const offBy = ({ meanError }: Reliability): string => {
  const points = Math.round(100 * meanError)
  return points < 1
    ? 'Over the tenths it is off by less than a point.'
    : `Over the tenths it is off by ${count(points, 'point')} on average.`
}

/** A tenth with fewer predictions is not put into words. */
const ENOUGH_IN_TENTH = 20

/** Chances that people put into words: rather sure, and as likely as not. */
const TOLD_NEAR = [0.8, 0.5] as const

/** The tenths that are told in words, each once. */
const toldTenths = ({ tenths }: Reliability): readonly Tenth[] =>
  TOLD_NEAR.reduce<readonly Tenth[]>((told, near) => {
    const [nearest] = tenths
      .filter((tenth) => tenth.predictions >= ENOUGH_IN_TENTH && !told.includes(tenth))
      .sort((a, b) => Math.abs(a.said - near) - Math.abs(b.said - near))
    return nearest ? [...told, nearest] : told
  }, [])

/** "Where we said about 8 in 10, 83 of 100 came; where about 5 in 10, 59 of 100." */
const tenthsInWords = (of: Reliability): string => {
  const [first, ...others] = toldTenths(of).map(({ said, came }) => ({
    said: `about ${Math.round(10 * said)} in 10`,
    came: `${Math.round(100 * came)} of 100`,
  }))
  if (!first) return ''
  const more = others.map(({ said, came }) => `; where ${said}, ${came}`).join('')
  return ` Where we said ${first.said}, ${first.came} came${more}.`
}

/** What a reliability says now, in words: how many came, and of those that were said so and so likely. */
export const reliabilityInWords = (of: Reliability, predicted: PredictedOf = 'light'): string => {
  if (of.predictions === 0) return 'No first ask has been predicted yet.'
  const few =
    of.predictions < ENOUGH_PREDICTIONS
      ? ` Only ${of.predictions} so far: under ${ENOUGH_PREDICTIONS} they say little.`
      : ''
  const came = `Of ${of.predictions} first asks ${percent(of.baseRate)} were ${predicted}.`
  if (of.better === null)
    return `${came} All came out alike, so nothing can be told of the predictions.${few}`
  return `${came}${tenthsInWords(of)}${few}`
}

/** The same as scores, for who knows them; nothing where there is nothing to compare. */
export const scoresInWords = (of: Reliability): string => {
  if (of.better === null) return ''
  const how =
    of.better > 0
      ? `Saying the chance is ${percent(of.better)} nearer than always saying ${percent(of.baseRate)}`
      : `Saying the chance is no nearer than always saying ${percent(of.baseRate)}`
  return `${how} (Brier score ${of.brier.toFixed(3)} against ${of.brierOfBaseRate.toFixed(3)}). ${offBy(of)}`
}
