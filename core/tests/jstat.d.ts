declare module 'jstat' {
  export const jStat: {
    mean(values: readonly number[]): number
    variance(values: readonly number[], isSample?: boolean): number
    median(values: readonly number[]): number
    binomial: { cdf(successes: number, trials: number, p: number): number }
    normal: { inv(p: number, mean: number, sd: number): number }
  }
}
