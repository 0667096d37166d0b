import { addDays, type Day } from '../answer'

/** What one made-up future of a horse came to. */
export interface Drawn {
  /** Days from the first to the one before the gate; nothing where it did not come there. */
  readonly days: number | null
  /** Days worked by then, or by the end of the horizon. */
  readonly workDays: number
}

export interface Horizon {
  readonly from: Day
  readonly horizonDays: number
}

/** Quantiles of a forecast; nothing where one lies beyond the horizon. */
export interface Range {
  readonly p10: Day | null
  readonly p50: Day | null
  readonly p90: Day | null
}

export interface Summary extends Range {
  readonly workDays: { readonly p10: number; readonly p50: number; readonly p90: number } | null
  readonly share: { readonly inHorizon: number; readonly by: number | null }
}

/** The least value that so large a share is at or below. */
const quantileOf = (sorted: readonly number[], share: number): number =>
  sorted[Math.max(0, Math.ceil(share * sorted.length - 1e-9) - 1)]!

const ascending = (values: readonly number[]): readonly number[] => values.toSorted((a, b) => a - b)

/** When it stands before the gate: quantiles of the draws, those that never came there counted as later than all. */
export const summaryOf = (
  draws: readonly Drawn[],
  { from, horizonDays }: Horizon,
  by: Day | null,
): Summary => {
  const sorted = ascending(draws.map(({ days }) => days ?? Infinity))
  const dayAt = (share: number): Day | null => {
    const days = quantileOf(sorted, share)
    return days > horizonDays ? null : addDays(from, days)
  }
  const came = draws.filter(({ days }) => days !== null && days <= horizonDays)
  const worked = ascending(came.map(({ workDays }) => workDays))
  const until = by === null ? null : came.filter(({ days }) => addDays(from, days!) <= by).length
  return {
    p10: dayAt(0.1),
    p50: dayAt(0.5),
    p90: dayAt(0.9),
    workDays:
      worked.length === 0
        ? null
        : { p10: quantileOf(worked, 0.1), p50: quantileOf(worked, 0.5), p90: quantileOf(worked, 0.9) },
    share: { inHorizon: came.length / draws.length, by: until === null ? null : until / draws.length },
  }
}

export interface Difference {
  readonly p10: number
  readonly p50: number
  readonly p90: number
  readonly mean: number
}

/**
 * How many days sooner (below nought) or later a what-if is, draw by draw: the same horse with the same luck. A draw that
 * did not come there counts as the end of the horizon.
 */
export const differenceOf = (
  base: readonly Drawn[],
  other: readonly Drawn[],
  horizonDays: number,
): Difference => {
  const differences = ascending(
    base.map(({ days }, i) => (other[i]!.days ?? horizonDays) - (days ?? horizonDays)),
  )
  return {
    p10: quantileOf(differences, 0.1),
    p50: quantileOf(differences, 0.5),
    p90: quantileOf(differences, 0.9),
    mean: differences.reduce((sum, one) => sum + one, 0) / differences.length,
  }
}

/** Ranks from 1, equal values sharing the middle of theirs. */
const midRanks = (values: readonly number[]): readonly number[] => {
  const order = [...values.keys()].toSorted((a, b) => values[a]! - values[b]!)
  const ranks = new Array<number>(values.length)
  for (let first = 0; first < order.length;) {
    let end = first
    while (end < order.length && values[order[end]!] === values[order[first]!]) end++
    for (let i = first; i < end; i++) ranks[order[i]!] = (first + 1 + end) / 2
    first = end
  }
  return ranks
}

/** How two lists go up and down together: Pearson's correlation of their ranks (Spearman 1904); nought where one never moves. */
export const rankCorrelation = (one: readonly number[], other: readonly number[]): number => {
  const [a, b] = [midRanks(one), midRanks(other)]
  const middle = (one.length + 1) / 2
  const sum = (of: (i: number) => number): number => a.reduce((all, _, i) => all + of(i), 0)
  const together = sum((i) => (a[i]! - middle) * (b[i]! - middle))
  const spread = Math.sqrt(sum((i) => (a[i]! - middle) ** 2) * sum((i) => (b[i]! - middle) ** 2))
  return spread === 0 ? 0 : together / spread
}
