import type { PutEntry } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import type { DrawnFuture } from '@still-pine/core/forecast'
import type { Question } from './use-forecast'

const QUANTILES = 19

/** Days at 5, 10, … 95 of a hundred draws; nothing where one lies beyond the horizon. */
export const quantilesOf = (draws: readonly Pick<DrawnFuture, 'days'>[]): (number | null)[] => {
  const sorted = draws.map(({ days }) => days ?? Infinity).toSorted((a, b) => a - b)
  return Array.from({ length: QUANTILES }, (_, i) => {
    const at = Math.max(0, Math.ceil(((i + 1) / 20) * sorted.length - 1e-9) - 1)
    return Number.isFinite(sorted[at]) ? sorted[at]! : null
  })
}

interface Made {
  readonly on: Day
  readonly name: string
  readonly horizonDays: number
  readonly byShare: number | null
}

/** A forecast as it was shown, to be held against what comes. */
export const forecastEntry = (
  { gate, by, plan }: Question,
  draws: readonly DrawnFuture[],
  { on, name, horizonDays, byShare }: Made,
): PutEntry => ({
  kind: 'forecast',
  on,
  note: '',
  ofYard: false,
  takenBack: false,
  gate,
  name,
  horizonDays,
  weekdays: [...plan.weekdays],
  minutes: plan.minutes,
  by,
  byShare,
  days: quantilesOf(draws),
  cameOn: null,
})
