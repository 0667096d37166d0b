const DEFAULT_SECONDS = 30

/** Seconds a hold is set for, read from its rung's own words ("2 min at 3 m"); half a minute where it says none. */
export const holdSeconds = (rungName: string): number => {
  const [, amount, unit] = /(\d+) (s|min)\b/.exec(rungName) ?? []
  if (amount === undefined) return DEFAULT_SECONDS
  return Number(amount) * (unit === 'min' ? 60 : 1)
}
