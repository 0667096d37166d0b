import { over, under } from '../arithmetic'

/** Share of the mature weight at an age in months (NRC 2007, Nutrient Requirements of Horses, its growth equation). */
export const weightShare = (months: number): number => 0.097 + 0.903 * (1 - Math.exp(-0.0772 * months))

/** Share of the mature height at the withers by months, in straight lines (from memory: verify). */
const HEIGHT_SHARES: readonly (readonly [months: number, share: number])[] = [
  [0, 0.62],
  [6, 0.83],
  [12, 0.91],
  [18, 0.95],
  [24, 0.97],
  [36, 0.99],
  [60, 1],
]

export const heightShare = (months: number): number => {
  const next = HEIGHT_SHARES.findIndex(([at]) => at >= months)
  if (next === -1) return 1
  if (next === 0) return HEIGHT_SHARES[0]![1]
  const [from, low] = HEIGHT_SHARES[next - 1]!
  const [to, high] = HEIGHT_SHARES[next]!
  return low + ((high - low) * (months - from)) / (to - from)
}

/** A croup this much higher than the withers is growing, cm, and below this age it will come level. */
const CROUP_HIGH_CM = 2
const GROWN_MONTHS = 72

interface Measured {
  readonly ageLowMonths: number
  /** The same where the age is known. */
  readonly ageHighMonths: number | null
  readonly withersCm: number
  readonly croupCm: number
  readonly weightKg: number | null
}

/** How grown a horse is: what it will weigh, how much it still grows, and whether it grows just now. */
export const growth = ({ ageLowMonths, ageHighMonths, withersCm, croupCm, weightKg }: Measured) => {
  const high = ageHighMonths ?? ageLowMonths
  const [weightShareLow, weightShareHigh] = [weightShare(ageLowMonths), weightShare(high)]
  const remaining = (months: number): number => withersCm * (1 / heightShare(months) - 1)
  const croupHighCm = croupCm - withersCm
  const isHigh = over(croupHighCm, CROUP_HIGH_CM)
  const rising = under(ageLowMonths, GROWN_MONTHS) ? ('growing-now' as const) : ('built-so' as const)
  return {
    croupHighCm,
    weightShareLow,
    weightShareHigh,
    matureKgLow: weightKg === null ? null : weightKg / weightShareHigh,
    matureKgHigh: weightKg === null ? null : weightKg / weightShareLow,
    remainingCmLeast: remaining(high),
    remainingCmMost: remaining(ageLowMonths),
    says: isHigh ? rising : ('level' as const),
  }
}

/** Condition in nine points (Henneke 1983), and what it leaves of new load. */
export const condition = (score: number) => {
  if (under(score, 3)) return { says: 'vet', load: 'stop' } as const
  if (under(score, 4)) return { says: 'lean', load: 'no-new' } as const
  if (!over(score, 6)) return { says: 'ready', load: 'ok' } as const
  if (!over(score, 7)) return { says: 'round', load: 'ok' } as const
  return { says: 'heavy', load: 'no-new' } as const
}
