import type { Calm, Grade } from '../answer'
import { calmAtMost, gradeAtMost, type Model } from '../judgement'
import { unitGain } from '../learning'

/** Differences of a mean and a difficulty, and spreads, at which updates are worked out; between them is interpolated. */
const DIFFERENCES = { least: -9, most: 9, points: 181 } as const
const SPREADS = { least: 0.05, most: 2.5, points: 32 } as const

/** A normal belief is integrated over so many spreads to either side, in so many points. */
const REACH = 6
const QUADRATURE = 121

/** What is believed of a track's ability or calm, as a normal distribution. */
export interface Belief {
  readonly mean: number
  readonly sd: number
}

/** What an answer makes of a normal belief, relative to the difficulty of the ask. */
interface Updated {
  /** How far the mean goes. */
  readonly shift: number
  readonly sd: number
  /** What the ask is expected to teach then, as a share of the speed. */
  readonly unit: number
  /** How probable it is that it was too big an ask. */
  readonly tooBig: number
  /** How what it teaches goes with the ability, and how much it differs: more is learnt where less is known. */
  readonly covariance: number
  readonly unitVariance: number
}

const FIELDS = 6

type AtAbility = (x: number) => number

/** An answer at each ability: how likely it is, what the ask teaches there, and whether it is too big an ask. */
interface Asked {
  readonly likelihood: AtAbility
  readonly teaches: AtAbility
  readonly isTooBig: (x: number) => boolean
}

const weights = Float64Array.from({ length: QUADRATURE }, (_, i) => {
  const z = -REACH + (2 * REACH * i) / (QUADRATURE - 1)
  return Math.exp(-0.5 * z * z)
})

/** Bayes' rule on a normal belief by plain summation: what stands behind every entry of the table. */
const integrated = ({ mean, sd }: Belief, { likelihood, teaches, isTooBig }: Asked): Updated => {
  let [mass, first, second, unit, tooBig, together, squared] = [0, 0, 0, 0, 0, 0, 0]
  for (let i = 0; i < QUADRATURE; i++) {
    const x = mean + sd * (-REACH + (2 * REACH * i) / (QUADRATURE - 1))
    const weight = weights[i]! * likelihood(x)
    mass += weight
    first += weight * x
    second += weight * x * x
    const taught = teaches(x)
    unit += weight * taught
    together += weight * taught * x
    squared += weight * taught * taught
    if (isTooBig(x)) tooBig += weight
  }
  const is = first / mass
  const variance = Math.max(SPREADS.least ** 2, second / mass - is * is)
  const taught = unit / mass
  return {
    shift: is - mean,
    sd: Math.sqrt(variance),
    unit: taught,
    tooBig: tooBig / mass,
    covariance: together / mass - taught * is,
    unitVariance: Math.max(0, squared / mass - taught * taught),
  }
}

const differenceAt = (i: number): number =>
  DIFFERENCES.least + ((DIFFERENCES.most - DIFFERENCES.least) * i) / (DIFFERENCES.points - 1)

const spreadAt = (j: number): number =>
  SPREADS.least + ((SPREADS.most - SPREADS.least) * j) / (SPREADS.points - 1)

/** What is expected of a belief, for each difference and spread. */
const expectations = (chance: AtAbility): Float64Array => {
  const table = new Float64Array(DIFFERENCES.points * SPREADS.points)
  for (let i = 0; i < DIFFERENCES.points; i++)
    for (let j = 0; j < SPREADS.points; j++) {
      let [mass, sum] = [0, 0]
      for (let q = 0; q < QUADRATURE; q++) {
        const z = -REACH + (2 * REACH * q) / (QUADRATURE - 1)
        mass += weights[q]!
        sum += weights[q]! * chance(differenceAt(i) + spreadAt(j) * z)
      }
      table[i * SPREADS.points + j] = sum / mass
    }
  return table
}

const tableOf = (asked: Asked): Float64Array => {
  const table = new Float64Array(DIFFERENCES.points * SPREADS.points * FIELDS)
  for (let i = 0; i < DIFFERENCES.points; i++)
    for (let j = 0; j < SPREADS.points; j++) {
      const belief = { mean: differenceAt(i), sd: spreadAt(j) }
      const { shift, sd, unit, tooBig, covariance, unitVariance } = integrated(belief, asked)
      table.set([shift, sd, unit, tooBig, covariance, unitVariance], (i * SPREADS.points + j) * FIELDS)
    }
  return table
}

/** Where a value lies between two entries, kept inside the table. */
const between = (
  value: number,
  { least, most, points }: { least: number; most: number; points: number },
): { readonly at: number; readonly share: number } => {
  const exact = ((value - least) / (most - least)) * (points - 1)
  const at = Math.min(points - 2, Math.max(0, Math.floor(exact)))
  return { at, share: Math.min(1, Math.max(0, exact - at)) }
}

/** Reads tables at a belief, between their entries. */
const readAt = ({ mean, sd }: Belief, hardness: number) => {
  const { at: i, share: s } = between(mean - hardness, DIFFERENCES)
  const { at: j, share: t } = between(sd, SPREADS)
  const first = i * SPREADS.points + j
  const next = first + SPREADS.points
  return (table: Float64Array, fields: number, field: number): number =>
    (1 - s) * ((1 - t) * table[first * fields + field]! + t * table[(first + 1) * fields + field]!) +
    s * ((1 - t) * table[next * fields + field]! + t * table[(next + 1) * fields + field]!)
}

/**
 * The judge inside a forecast: its belief is a mean and a spread, and an answer moves them by tables that are made once of
 * the model's own likelihoods. A hundredth of the work of the filter on its grid, and near it.
 */
export interface JudgeTable {
  /** The chance that an ask of this hardness is answered light, and that it is not answered tight. */
  readonly light: (belief: Belief, hardness: number) => number
  readonly notTight: (belief: Belief, hardness: number) => number
  /** What a grade says of the ability; `hardness` is that of the ask. */
  readonly graded: (grade: Grade, belief: Belief, hardness: number) => Updated
  readonly calmed: (calm: Calm, belief: Belief, hardness: number) => Updated
}

export const judgeTable = (model: Model): JudgeTable => {
  const light = (x: number): number => gradeAtMost(model, 1, { ability: x, hardness: 0 })
  const teaches: AtAbility = (x) => unitGain(model.law, light(x))
  const isTooBig = (x: number): boolean => light(x) < model.law.tooBig
  const grades = ([0, 1, 2, 3, 4] as const).map((k) => {
    const upTo = (grade: Grade, x: number): number => gradeAtMost(model, grade, { ability: x, hardness: 0 })
    const likelihood: AtAbility = (x) => upTo(k, x) - (k === 0 ? 0 : upTo((k - 1) as Grade, x))
    return tableOf({ likelihood, teaches, isTooBig })
  })
  const calms = ([0, 1, 2] as const).map((k) => {
    const upTo = (calm: Calm, x: number): number => calmAtMost(model, calm, { ability: x, hardness: 0 })
    const likelihood: AtAbility = (x) => upTo(k, x) - (k === 0 ? 0 : upTo((k - 1) as Calm, x))
    return tableOf({ likelihood, teaches: () => 0, isTooBig: () => false })
  })
  const looked = (table: Float64Array, belief: Belief, hardness: number): Updated => {
    const value = readAt(belief, hardness)
    return {
      shift: value(table, FIELDS, 0),
      sd: value(table, FIELDS, 1),
      unit: value(table, FIELDS, 2),
      tooBig: value(table, FIELDS, 3),
      covariance: value(table, FIELDS, 4),
      unitVariance: value(table, FIELDS, 5),
    }
  }
  const lights = expectations(light)
  const eased = expectations((x) => calmAtMost(model, 1, { ability: x, hardness: 0 }))
  return {
    light: (belief, hardness) => readAt(belief, hardness)(lights, 1, 0),
    notTight: (belief, hardness) => readAt(belief, hardness)(eased, 1, 0),
    graded: (grade, belief, hardness) => looked(grades[grade]!, belief, hardness),
    calmed: (calm, belief, hardness) => looked(calms[calm]!, belief, hardness),
  }
}
