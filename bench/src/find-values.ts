import { costOf, fitTo, FITTED_NAMES, heldOutScore, heldOutSince, upTo, type Fit } from '@still-pine/core/fit'
import { modelWith, STANDARD_MODEL, type FittedValues } from '@still-pine/core/judgement'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { yardOf, type Yard } from '../../core/tests/trial/fitted-yards'

export interface ToFind {
  readonly values: FittedValues
  readonly yard: Yard
  readonly seed: number
  /** The value whose sampling error is asked for. */
  readonly moved: keyof FittedValues | null
}

export interface FoundValues {
  readonly fit: Fit
  /** From the curvature of the log-likelihood where it is highest. */
  readonly samplingError: number | null
  /** How much better the true values say the held-out days than those in use: no fit can be expected to beat that. */
  readonly truthBetter: number
}

const THROWN_AWAY = 20

const drawOf = (seed: number): (() => number) => {
  const generator = xoroshiro128plus(15_485_863 + 7919 * seed)
  const draw = (): number => (generator.next() >>> 0) / 2 ** 32
  for (let i = 0; i < THROWN_AWAY; i++) draw()
  return draw
}

/** Steps of the differences by which curvatures are taken: small against what each value may vary by. */
const STEP: FittedValues = {
  startMean: 0.1,
  startSd: 0.05,
  talentSd: 0.08,
  speedMean: 0.015,
  noise: 0.01,
  cold: 0.03,
  rungStep: 0.02,
}

/** The second derivatives of a function of the fitted values, by central differences. */
const curvatures = (value: (values: FittedValues) => number, at: FittedValues): number[][] => {
  const moved = (...by: readonly (readonly [keyof FittedValues, number])[]): number =>
    value(
      by.reduce((values, [name, steps]) => ({ ...values, [name]: values[name] + steps * STEP[name] }), at),
    )
  const middle = value(at)
  const up = FITTED_NAMES.map((name) => moved([name, 1]))
  const down = FITTED_NAMES.map((name) => moved([name, -1]))
  return FITTED_NAMES.map((a, i) =>
    FITTED_NAMES.map((b, j) => {
      if (i === j) return (up[i]! - 2 * middle + down[i]!) / STEP[a] ** 2
      const both = moved([a, 1], [b, 1]) + moved([a, -1], [b, -1])
      return (both - up[i]! - up[j]! - down[i]! - down[j]! + 2 * middle) / (2 * STEP[a] * STEP[b])
    }),
  )
}

/** The solution of a small linear system (Gauss with pivots). */
const solved = (matrix: readonly (readonly number[])[], right: readonly number[]): readonly number[] => {
  const rows = matrix.map((row, i) => [...row, right[i]!])
  rows.forEach((_, i) => {
    const pivot = rows.slice(i).reduce((best, row) => (Math.abs(row[i]!) > Math.abs(best[i]!) ? row : best))
    rows.splice(rows.indexOf(pivot), 1, rows[i]!)
    rows[i] = pivot.map((x) => x / pivot[i]!)
    for (const [j, row] of rows.entries())
      if (j !== i) rows[j] = row.map((x, k) => x - row[i]! * rows[i]![k]!)
  })
  return rows.map((row) => row.at(-1)!)
}

/** Draws a yard's log, fits to it, and asks how sure what was found is: the observed information, any textbook. */
export const findValues = ({ values, yard, seed, moved }: ToFind): FoundValues => {
  const horses = yardOf(values, drawOf(seed), yard)
  const fit = fitTo(STANDARD_MODEL, horses)!
  const since = heldOutSince(horses)
  const truthBetter =
    heldOutScore(modelWith(STANDARD_MODEL, values), horses, since) -
    heldOutScore(STANDARD_MODEL, horses, since)
  if (moved === null) return { fit, samplingError: null, truthBetter }
  const learntFrom = upTo(horses, since)
  const answers = learntFrom.reduce((sum, horse) => sum + horse.answers.length, 0)
  const cost = costOf(STANDARD_MODEL, learntFrom)
  const information = curvatures((at) => answers * cost(at), fit.values)
  const which = FITTED_NAMES.indexOf(moved)
  const variance = solved(
    information,
    FITTED_NAMES.map((_, i) => (i === which ? 1 : 0)),
  )[which]!
  return { fit, samplingError: Math.sqrt(variance), truthBetter }
}
