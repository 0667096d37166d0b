import { atLeast } from '../arithmetic'
import { daysBetween, type Day } from '../answer'

export interface ThingShown {
  readonly thing: string
  readonly lastShown: Day | null
  readonly good: boolean
}

const AS_NEW_DAYS = 60
const SHOW_AGAIN_DAYS = 21

const saysOf = ({ good }: ThingShown, days: number) => {
  if (days > AS_NEW_DAYS) return 'as-new' as const
  if (!good) return 'unfinished' as const
  return days > SHOW_AGAIN_DAYS ? ('show-again' as const) : ('fresh' as const)
}

/** When each of the yard's things is to be shown again. */
export const reShow = (on: Day, things: readonly ThingShown[]) => ({
  things: things.map((shown) => {
    const days = shown.lastShown === null ? null : daysBetween(shown.lastShown, on)
    return { thing: shown.thing, days, says: days === null ? ('new' as const) : saysOf(shown, days) }
  }),
})

const HALVINGS = 60

/** Where the chance of a thing known by so many of so many lies below a share of 1 (a Beta's quantile, by halving). */
const betaQuantile = (good: number, shown: number, share: number): number => {
  let [low, high] = [0, 1]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    // Beta(good + 1, shown − good + 1) lies below p as often as shown + 1 draws of p come good + 1 times or more.
    if (atLeast(shown + 1, good + 1, middle) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}

const KNOWN_FROM = 3

/** The chance that the next new thing goes well, from first showings of different ones (Laplace 1814). */
export const newThing = (shown: number, good: number) => ({
  chance: (good + 1) / (shown + 2),
  low: betaQuantile(good, shown, 0.1),
  high: betaQuantile(good, shown, 0.9),
  says: shown < KNOWN_FROM ? ('hardly-known' as const) : ('known' as const),
})
