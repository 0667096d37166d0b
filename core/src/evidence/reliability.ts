import { wilson, type Interval } from './interval'
import type { Prediction } from './predictions'

type Judged = Pick<Prediction, 'chance' | 'light'>

/** Predictions of one tenth, and what came of them. */
export interface Tenth {
  readonly from: number
  readonly predictions: number
  /** The mean of what was predicted. */
  readonly said: number
  /** The share that was light. */
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
}

/** Fewer than this say little. */
export const ENOUGH_PREDICTIONS = 50

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length

const tenthOf = ({ chance }: Judged): number => Math.min(9, Math.floor(chance * 10))

/** How predictions compare with what came: in tenths, and as a Brier score against the base rate. */
export const reliabilityOf = (all: readonly Judged[]): Reliability => {
  const baseRate = mean(all.map(({ light }) => Number(light)))
  const brier = mean(all.map(({ chance, light }) => (chance - Number(light)) ** 2))
  const brierOfBaseRate = baseRate * (1 - baseRate)
  const tenths = Array.from({ length: 10 }, (_, i) => all.filter((one) => tenthOf(one) === i)).flatMap(
    (inTenth, i): Tenth[] => {
      if (inTenth.length === 0) return []
      const hits = inTenth.filter(({ light }) => light).length
      return [
        {
          from: i / 10,
          predictions: inTenth.length,
          said: mean(inTenth.map(({ chance }) => chance)),
          came: hits / inTenth.length,
          spread: wilson(hits, inTenth.length),
        },
      ]
    },
  )
  return {
    predictions: all.length,
    tenths,
    brier,
    brierOfBaseRate,
    baseRate,
    better: brierOfBaseRate === 0 ? null : 1 - brier / brierOfBaseRate,
  }
}

const percent = (share: number): string => `${Math.round(share * 100)} %`

/** What a reliability says now, in a sentence or two. */
export const reliabilityInWords = (of: Reliability): string => {
  if (of.predictions === 0) return 'No first ask has been predicted yet.'
  const few =
    of.predictions < ENOUGH_PREDICTIONS
      ? ` Only ${of.predictions} so far: under ${ENOUGH_PREDICTIONS} they say little.`
      : ''
  const said = `Of ${of.predictions} first asks ${percent(of.baseRate)} were light.`
  if (of.better === null)
    return `${said} All came out alike, so nothing can be told of the predictions.${few}`
  const how =
    of.better > 0
      ? `Saying the chance is ${percent(of.better)} nearer than always saying ${percent(of.baseRate)}`
      : `Saying the chance is no nearer than always saying ${percent(of.baseRate)}`
  return `${said} ${how} (Brier score ${of.brier.toFixed(3)} against ${of.brierOfBaseRate.toFixed(3)}).${few}`
}
