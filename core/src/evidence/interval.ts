/** The normal quantile of a two-sided 95 %. */
const Z = 1.959964

export interface Interval {
  readonly low: number
  readonly high: number
}

/** The 95 % interval of a share from `hits` of `n` (Wilson 1927), which is honest for small numbers too. */
export const wilson = (hits: number, n: number): Interval => {
  if (n === 0) return { low: 0, high: 1 }
  const share = hits / n
  const z2 = Z * Z
  const middle = (share + z2 / (2 * n)) / (1 + z2 / n)
  const half = (Z / (1 + z2 / n)) * Math.sqrt((share * (1 - share)) / n + z2 / (4 * n * n))
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) }
}
