import type { PlaceByHorse, Side } from '../answer'
import { holdOf, tellsOf, type Hold, type Spot } from './hold'
import type { Thing } from './things'
import type { Zone } from './zones'

/** A hold, and the step it is a hold of. */
export interface StepHold extends Hold {
  readonly step: string
}

/** Rungs of different steps cannot be compared: the step that was asked last there speaks. */
const lastStepHold = (spots: readonly Spot[]): StepHold => {
  const { step } = spots.at(-1)!
  return { step, ...holdOf(spots.filter((spot) => spot.step === step))! }
}

const holdsBy = <K extends Zone | PlaceByHorse>(
  spots: readonly Spot[],
  thing: Thing,
  { side, where }: { side: Side; where: (spot: Spot) => K | null },
): ReadonlyMap<K, StepHold> => {
  const at = new Map<K, Spot[]>()
  for (const spot of spots) {
    const key = where(spot)
    if (key === null || !thing.steps.includes(spot.step) || !tellsOf(spot, side)) continue
    at.set(key, [...(at.get(key) ?? []), spot])
  }
  return new Map([...at].map(([key, there]) => [key, lastStepHold(there)]))
}

/**
 * How far a thing holds on each zone of a side, from wherever it was brought. `spots` are oldest first; a zone where
 * it never was is left out.
 */
export const zoneHolds = (spots: readonly Spot[], thing: Thing, side: Side): ReadonlyMap<Zone, StepHold> =>
  holdsBy(spots, thing, { side, where: ({ zone }) => zone })

/** How far a thing holds from each place to stand on a side, wherever on the animal it was. `spots` are oldest first. */
export const placeHolds = (
  spots: readonly Spot[],
  thing: Thing,
  side: Side,
): ReadonlyMap<PlaceByHorse, StepHold> => holdsBy(spots, thing, { side, where: ({ place }) => place })
