import { daysBetween, type Day } from '../answer'
import { under } from '../arithmetic'
import { condition, growth } from './growth'
import { bodyWeight, type TapeKind } from './weight'
import { weightTrend, type Weighed, type WeighedBy } from './weight-trend'

/** What was measured of a horse on a day. */
export interface Measured {
  readonly on: Day
  readonly girthCm: number | null
  readonly lengthCm: number | null
  readonly withersCm: number | null
  readonly croupCm: number | null
  readonly condition: number | null
  readonly scaleKg: number | null
}

/** Months of age, as far as they are known. */
export interface AgeMonths {
  readonly low: number
  readonly high: number
}

const YEARLING_MONTHS = 12
const ADULT_MONTHS = 24

/** By which divisor a tape is read: of an age in doubt the older one, which tells less. */
const kindAt = (age: AgeMonths | null): TapeKind => {
  if (age === null || !under(age.high, ADULT_MONTHS)) return 'adult'
  return under(age.high, YEARLING_MONTHS) ? 'weanling' : 'yearling'
}

/** A weight with how it was taken; a tape is off by a tenth either way, a scale by nothing that is told. */
export interface WeightOn {
  readonly on: Day
  readonly kg: number
  readonly lowKg: number
  readonly highKg: number
  readonly method: WeighedBy
}

/** Growing horses are measured every month, grown ones every three: our judgement. Days. */
const DUE_AFTER = { growing: 30, grown: 90 } as const
const GROWN_MONTHS = 72

interface Asked {
  readonly on: Day
  /** On a day; nothing where it is not known. */
  readonly ageOn: (day: Day) => AgeMonths | null
}

const weightOf = (measured: Measured, age: AgeMonths | null): WeightOn | null => {
  const { on, scaleKg, girthCm, lengthCm } = measured
  if (scaleKg !== null) return { on, kg: scaleKg, lowKg: scaleKg, highKg: scaleKg, method: 'scale' }
  if (girthCm === null || lengthCm === null) return null
  const kind = kindAt(age)
  const { kg, lowKg, highKg } = bodyWeight({ girth: girthCm, length: lengthCm, unit: 'cm', kind })
  return { on, kg, lowKg, highKg, method: kind }
}

const growthOf = (all: readonly Measured[], weight: WeightOn | undefined, ageOn: Asked['ageOn']) => {
  const stood = all.findLast(({ withersCm, croupCm }) => withersCm !== null && croupCm !== null)
  const age = stood && ageOn(stood.on)
  if (!stood || !age) return null
  return {
    on: stood.on,
    ...growth({
      ageLowMonths: age.low,
      ageHighMonths: age.high,
      withersCm: stood.withersCm!,
      croupCm: stood.croupCm!,
      weightKg: weight?.kg ?? null,
    }),
  }
}

const trendOf = (weights: readonly WeightOn[], age: AgeMonths | null) => {
  // Two of one day are one: the later tells.
  const byDay = new Map<Day, Weighed>(weights.map(({ on, kg, method }) => [on, { day: on, kg, method }]))
  return byDay.size === 0 ? null : weightTrend([...byDay.values()], age?.low ?? null)
}

/** How a horse's body stands on a day, from all that was measured of it by then, in whatever order it came. */
export const bodyOf = (measurements: readonly Measured[], { on, ageOn }: Asked) => {
  const all = measurements.filter((one) => one.on <= on).toSorted((a, b) => a.on.localeCompare(b.on))
  const weights = all.flatMap((one) => weightOf(one, ageOn(one.on)) ?? [])
  const weight = weights.at(-1)
  const scored = all.findLast((one) => one.condition !== null)
  const age = ageOn(on)
  const isGrowing = age === null || under(age.low, GROWN_MONTHS)
  const last = all.at(-1)
  const sinceDays = last ? daysBetween(last.on, on) : null
  const dueAfter = isGrowing ? DUE_AFTER.growing : DUE_AFTER.grown
  return {
    weight: weight ?? null,
    weights,
    growth: growthOf(all, weight, ageOn),
    condition: scored ? { on: scored.on, score: scored.condition!, ...condition(scored.condition!) } : null,
    trend: trendOf(weights, age),
    heights: all.filter(({ withersCm }) => withersCm !== null),
    sinceDays,
    isDue: sinceDays === null || sinceDays >= dueAfter,
  }
}
