import { count, type Day } from '../answer'
import type { Foretold } from './tally'
import type { Records, Views } from './track-key'

/** First asks of a day from which it can be said. */
const ENOUGH_ASKS = 4

/** As few light answers as these, or fewer, come by chance so rarely. */
const RARE = 0.02

/** How a day has gone so far against what was expected of it. */
export interface NotItself {
  readonly about: 'light' | 'calm'
  /** Of so many first asks … */
  readonly asks: number
  /** … so many came as they should … */
  readonly came: number
  /** … where so many were expected … */
  readonly expected: number
  /** … which as few or fewer would by chance alone. */
  readonly chance: number
}

/**
 * The chance that at most `most` of some independent events come, each with a chance of its own: the Poisson binomial
 * distribution, worked out event by event.
 */
export const atMostOf = (chances: readonly number[], most: number): number => {
  let counts = [1]
  for (const chance of chances)
    counts = [...counts, 0].map((share, n) => share * (1 - chance) + (n > 0 ? counts[n - 1]! * chance : 0))
  return counts.slice(0, most + 1).reduce((sum, share) => sum + share, 0)
}

interface Tested {
  readonly chance: number
  readonly came: boolean
}

const rareOf = (about: NotItself['about'], tested: readonly Tested[]): NotItself | null => {
  if (tested.length < ENOUGH_ASKS) return null
  const chances = tested.map(({ chance }) => chance)
  const came = tested.filter((one) => one.came).length
  const chance = atMostOf(chances, came)
  if (chance > RARE) return null
  return { about, asks: tested.length, came, expected: chances.reduce((sum, one) => sum + one, 0), chance }
}

/** Whether far fewer of a day's first asks came light, or loose, than was foretold of them. */
const farFrom = (foretold: readonly Foretold[]): NotItself | null => {
  const light = foretold.map(({ chance, light: came }) => ({ chance, came }))
  const calm = foretold.flatMap(({ calmChance, tight }) =>
    tight === null ? [] : [{ chance: calmChance, came: !tight }],
  )
  return rareOf('light', light) ?? rareOf('calm', calm)
}

/** Whether a horse is not itself on the day judged: far fewer of its first asks so far came light, or loose, than expected. */
export const notItself = (views: Views): NotItself | null =>
  // Lines that were judged before this was told have none of it.
  farFrom([...views.values()].flatMap(({ foretoldToday }) => (foretoldToday ? [foretoldToday] : [])))

/** The same from what was counted of its tracks. */
export const notItselfOn = ({ tracks }: Records, on: Day): NotItself | null =>
  farFrom(
    [...tracks.values()].flatMap(({ tally }) => {
      const today = tally.days.at(-1)
      return today?.day === on && today.foretold ? [today.foretold] : []
    }),
  )

const oneIn = (chance: number): string =>
  chance < 0.001 ? 'less than 1 day in 1000' : `1 day in ${Math.round(1 / chance)}`

/** What is seen and what to do, in the pen, on Before and at a gate. */
export const notItselfInWords = ({ about, asks, came, expected, chance }: NotItself): string => {
  const how = about === 'light' ? 'light' : 'not tight'
  return `Not itself today: ${came} of ${count(asks, 'first ask')} ${how}, about ${Math.round(expected)} expected (${oneIn(chance)} by chance). Go easier, look for pain or a fright; no gate today.`
}
