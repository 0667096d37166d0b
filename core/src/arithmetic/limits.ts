/** Limits hold, and are held, to within this much: sums of tenths are not exact. */
const SLACK = 1e-9

/** More than a limit, by more than a sum of tenths may be off. */
export const over = (value: number, limit: number): boolean => value > limit + SLACK

/** Less than a limit, by more than that. */
export const under = (value: number, limit: number): boolean => value < limit - SLACK
