declare module 'jstat' {
  export const jStat: {
    mean(values: readonly number[]): number
    variance(values: readonly number[], isSample?: boolean): number
    median(values: readonly number[]): number
    binomial: { cdf(successes: number, trials: number, p: number): number }
    chisquare: { cdf(x: number, degrees: number): number }
    corrcoeff(one: readonly number[], other: readonly number[]): number
    beta: { inv(p: number, alpha: number, beta: number): number }
    normal: {
      cdf(x: number, mean: number, sd: number): number
      pdf(x: number, mean: number, sd: number): number
      inv(p: number, mean: number, sd: number): number
    }
  }
}
