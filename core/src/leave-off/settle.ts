import { over, under } from '../arithmetic'

export interface Approach {
  readonly settleSeconds: number
  /** How long the thing was away before; nothing where it was not noted. */
  readonly awaySeconds: number | null
}

const LAST = 8
const ENOUGH = 5
const COUNT_OF_THREE = 3
const SURE = 0.05

const signSum = (values: readonly number[]): number =>
  values.reduce(
    (all, later, j) => all + values.slice(0, j).reduce((s, earlier) => s + Math.sign(later - earlier), 0),
    0,
  )

/** Every order of the values, each told once as its sum of signs. */
const eachOrder = (values: readonly number[], told: (s: number) => void): void => {
  const left = [...values]
  const go = (chosen: readonly number[], s: number): void => {
    if (left.length === 0) return told(s)
    for (let i = 0; i < left.length; i++) {
      const [next] = left.splice(i, 1) as [number]
      const more = chosen.reduce((all, earlier) => all + Math.sign(next - earlier), 0)
      go([...chosen, next], s + more)
      left.splice(i, 0, next)
    }
  }
  go([], 0)
}

/** How likely so great, and so small, a trend is by chance: over all orders of the same times (Mann 1945). */
const chances = (values: readonly number[], s: number): { pLonger: number; pShorter: number } => {
  let [all, asGreat, asSmall] = [0, 0, 0]
  eachOrder(values, (one) => {
    all += 1
    if (one >= s) asGreat += 1
    if (one <= s) asSmall += 1
  })
  return { pLonger: asGreat / all, pShorter: asSmall / all }
}

/** Whether a horse takes longer to settle with each approach, over the last eight; and how often it was asked too soon. */
export const settleTrend = (approaches: readonly Approach[]) => {
  const times = approaches.slice(-LAST).map(({ settleSeconds }) => settleSeconds)
  const n = times.length
  const tooSoon = approaches.filter(
    ({ awaySeconds }) => awaySeconds !== null && under(awaySeconds, COUNT_OF_THREE),
  ).length
  if (n < ENOUGH) return { n, s: null, pLonger: null, pShorter: null, tooSoon, says: 'too-few' as const }
  const s = signSum(times)
  const { pLonger, pShorter } = chances(times, s)
  const says = !over(pLonger, SURE)
    ? ('longer' as const)
    : !over(pShorter, SURE)
      ? ('shorter' as const)
      : ('no-trend' as const)
  return { n, s, pLonger, pShorter, tooSoon, says }
}
