/** Presses sooner than this were guessed before the sign, and later than this were missed (our judgement). */
const SOONEST_SECONDS = 0.1
const LATEST_SECONDS = 2
const LEAST_PRESSES = 3

/** A person's press lag: the middle of what was pressed to signs on the screen; `null` from too few real presses. */
export const pressLagFrom = (seconds: readonly number[]): number | null => {
  const real = seconds.filter((one) => one >= SOONEST_SECONDS && one <= LATEST_SECONDS).sort((a, b) => a - b)
  if (real.length < LEAST_PRESSES) return null
  const half = Math.floor(real.length / 2)
  const middle = real.length % 2 === 1 ? real[half]! : (real[half - 1]! + real[half]!) / 2
  return Math.round(middle * 100) / 100
}
