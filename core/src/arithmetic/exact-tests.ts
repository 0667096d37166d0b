/** ln n!, exact enough for any count that is met here. */
const logFactorials: number[] = [0]
const logFactorial = (n: number): number => {
  for (let k = logFactorials.length; k <= n; k++) logFactorials.push(logFactorials[k - 1]! + Math.log(k))
  return logFactorials[n]!
}

/** P(exactly k of n), each with chance p. */
const binomial = (n: number, k: number, p: number): number => {
  if (p <= 0) return k === 0 ? 1 : 0
  if (p >= 1) return k === n ? 1 : 0
  const ways = logFactorial(n) - logFactorial(k) - logFactorial(n - k)
  return Math.exp(ways + k * Math.log(p) + (n - k) * Math.log1p(-p))
}

/** P(at least k of n), each with chance p. */
export const atLeast = (n: number, k: number, p: number): number => {
  let all = 0
  for (let i = k; i <= n; i++) all += binomial(n, i, p)
  return Math.min(1, all)
}

/** Two-sided exact sign test of so many one way and so many the other (Dixon and Mood 1946). */
export const signTest = (one: number, other: number): number => {
  const n = one + other
  return n === 0 ? 1 : Math.min(1, 2 * atLeast(n, Math.max(one, other), 0.5))
}
