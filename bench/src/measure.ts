/** One figure of a run: ratios hold from machine to machine, seconds do not. */
export interface Figure {
  readonly name: string
  readonly value: number
  readonly unit: string
  readonly aim: string
  readonly note?: string
}

/** Milliseconds that `work` takes, once. */
export const timed = (work: () => void): number => {
  const began = performance.now()
  work()
  return performance.now() - began
}

export const timedAsync = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now()
  await work()
  return performance.now() - began
}

export const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]!

export const median = (values: readonly number[]): number => percentile(values, 0.5)

/** Two kinds of work in turns, so that a machine that slows down slows both; gives the medians. */
export const inTurns = (rounds: number, one: () => void, other: () => void): readonly [number, number] => {
  const ones: number[] = []
  const others: number[] = []
  for (let i = 0; i < rounds; i++) {
    ones.push(timed(one))
    others.push(timed(other))
  }
  return [median(ones), median(others)]
}
