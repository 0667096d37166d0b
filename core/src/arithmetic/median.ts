/** The median of numbers; of an even count the middle of the two. Not of none. */
export const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}
