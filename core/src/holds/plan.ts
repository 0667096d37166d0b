import { SPEEDS, type Gait } from '../load'

export const MEASURES = ['seconds', 'metres', 'laps', 'steps', 'repetitions'] as const
export type Measure = (typeof MEASURES)[number]

/** What a rung asks for, as a number: 30 seconds, 3 laps, 4 steps. */
export interface Amount {
  readonly measure: Measure
  readonly amount: number
}

interface Held extends Amount {
  readonly sets: number
  readonly sides: number
  readonly restSeconds: number
  readonly setUpSeconds: number
  readonly gait: Gait | null
  readonly diameterM: number | null
  /** Of one step or repetition. */
  readonly secondsEach: number | null
}

const STEP_SECONDS = 1
const REPETITION_SECONDS = 20
const HALF_MINUTE = 30

const workOf = ({ measure, amount, gait, diameterM, secondsEach }: Held): number => {
  switch (measure) {
    case 'seconds':
      return amount
    case 'metres':
      return amount / SPEEDS[gait!]
    case 'laps':
      return (amount * Math.PI * diameterM!) / SPEEDS[gait!]
    case 'steps':
      return amount * (secondsEach ?? STEP_SECONDS)
    case 'repetitions':
      return amount * (secondsEach ?? REPETITION_SECONDS)
  }
}

/** How long a hold takes with its sets, sides and rests, and the minutes planned for it. */
export const holdPlan = (held: Held) => {
  const { sets, sides, restSeconds, setUpSeconds } = held
  const workSeconds = workOf(held)
  const totalSeconds = sides * (sets * (setUpSeconds + workSeconds) + (sets - 1) * restSeconds)
  // A sum of tenths is not exact: what is a half minute is no more.
  const halves = Math.ceil(totalSeconds / HALF_MINUTE - 1e-9)
  return { workSeconds, totalSeconds, plannedMinutes: halves / 2 }
}
