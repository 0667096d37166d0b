import { PLACES, type PlaceByHorse, type Side } from '../answer'
import { holdOf, tellsOf, type Hold, type Spot } from './hold'

/** What a step was shown from one place on one side; `null` is never. */
export interface Covered {
  readonly side: Side
  readonly place: PlaceByHorse
  readonly still: Hold | null
  readonly moving: Hold | null
}

/** Every side and place a step can be shown from, standing and moving: the gaps are what was forgotten. */
export const coverageOf = (
  spots: readonly Spot[],
  step: string,
  sides: readonly Side[],
): readonly Covered[] => {
  const ofStep = spots.filter((spot) => spot.step === step)
  return sides.flatMap((side) =>
    PLACES.map((place) => {
      const there = ofStep.filter((spot) => spot.place === place && tellsOf(spot, side))
      return {
        side,
        place,
        still: holdOf(there.filter(({ moving }) => !moving)),
        moving: holdOf(there.filter(({ moving }) => moving)),
      }
    }),
  )
}
