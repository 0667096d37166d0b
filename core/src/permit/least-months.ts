import { exposuresAt, type Exposure, type Step } from '../program'

/** Least ages in months by what a rung exposes to (our judgement; schools differ). */
const LEAST_MONTHS: readonly (readonly [Exposure, number])[] = [
  ['bit', 24],
  ['contact', 30],
  ['girth', 30],
  ['weight', 30],
  ['whole-weight', 36],
  ['mounted', 36],
  ['canter', 36],
  ['jump', 48],
]

/** The least age in months for what is exposed to; 0 where any age will do. */
export const leastMonthsFor = (exposed: readonly Exposure[]): number =>
  Math.max(0, ...LEAST_MONTHS.filter(([one]) => exposed.includes(one)).map(([, months]) => months))

/** The least age in months for a rung of a step. */
export const leastMonthsAt = (step: Step, rung: number): number => leastMonthsFor(exposuresAt(step, rung))
