import { count, percent } from '../answer'
import { wilson, type Interval } from './interval'

/** Shares seen under one circumstance. */
export interface Group {
  readonly value: string
  readonly sessions: number
  /** First asks of a day, and how many of them were light. */
  readonly asks: number
  readonly light: number
  /** Sum of the chances predicted before them: other steps were asked there. */
  readonly said: number
}

/**
 * The 95 % interval of the difference of two shares, `a` less `b`, from their Wilson intervals (Newcombe 1998, method
 * 10).
 */
export const differenceSpread = (
  a: { readonly hits: number; readonly n: number },
  b: { readonly hits: number; readonly n: number },
): Interval => {
  if (a.n === 0 || b.n === 0) return { low: -1, high: 1 }
  const [p, q] = [a.hits / a.n, b.hits / b.n]
  const [ofA, ofB] = [wilson(a.hits, a.n), wilson(b.hits, b.n)]
  return {
    low: p - q - Math.hypot(p - ofA.low, ofB.high - q),
    high: p - q + Math.hypot(ofA.high - p, q - ofB.low),
  }
}

/** One value of a circumstance against all others that were noted of it. */
export interface Difference extends Group {
  readonly share: number
  readonly spread: Interval
  /** Mean of what was predicted there. */
  readonly expected: number
  /** Against the others; `null` where either has too few sessions to compare. */
  readonly against: {
    readonly asks: number
    readonly sessions: number
    readonly share: number
    readonly by: number
    readonly spread: Interval
  } | null
}

/** Answers of one session are alike: fewer sessions than this are no comparison. */
export const ENOUGH_SESSIONS = 3

/** How each value of one circumstance did, beside all the others noted of it. Never a cause: other things differed too. */
export const differencesOf = (groups: readonly Group[]): readonly Difference[] =>
  groups
    .filter(({ asks }) => asks > 0)
    .map((group) => {
      const rest = groups.filter((other) => other !== group)
      const asks = rest.reduce((sum, other) => sum + other.asks, 0)
      const light = rest.reduce((sum, other) => sum + other.light, 0)
      const sessions = rest.reduce((sum, other) => sum + other.sessions, 0)
      const share = group.light / group.asks
      return {
        ...group,
        share,
        spread: wilson(group.light, group.asks),
        expected: group.said / group.asks,
        against:
          asks === 0 || group.sessions < ENOUGH_SESSIONS || sessions < ENOUGH_SESSIONS
            ? null
            : {
                asks,
                sessions,
                share: light / asks,
                by: share - light / asks,
                spread: differenceSpread({ hits: group.light, n: group.asks }, { hits: light, n: asks }),
              },
      }
    })

const signed = (share: number): string => {
  const points = Math.round(share * 100)
  if (points === 0) return '0'
  return points > 0 ? `+${points}` : `−${-points}`
}

const byWords = (by: number): string => {
  const points = Math.round(Math.abs(by) * 100)
  return points === 0 ? 'as' : `${count(points, 'point')} ${by > 0 ? 'more' : 'less'} than`
}

/** What a comparison says: shares, counts, the spread, and whether it could be nothing. */
export const differenceInWords = ({ sessions, asks, light, spread, against }: Difference): string => {
  const seen = `${light} of ${count(asks, 'first ask')} light (${percent(spread.low)} to ${percent(spread.high)}), in ${count(sessions, 'session')}`
  if (!against) return `${seen}. Too few sessions to compare.`
  const { by, share, asks: others, spread: wide } = against
  const couldBeNothing = wide.low <= 0 && wide.high >= 0
  return `${seen}; ${byWords(by)} the ${percent(share)} of ${others} otherwise (${signed(wide.low)} to ${signed(wide.high)})${couldBeNothing ? ': it may be nothing' : ''}.`
}
