import { riderShare } from '../body'
import type { Facts } from './facts'

/** Rides off the lead after which a rider has found their seat on it, and it its feet under them. */
export const FIRST_RIDES = 30

export const isInFirstRides = ({ rides = 0 }: Pick<Facts, 'rides'>): boolean => rides < FIRST_RIDES

type Weighed = Pick<Facts, 'rider' | 'weightKg' | 'conditionScore' | 'rides'>

/** Horse, rider and saddle are weighed: nobody has to say that the one bears the others. */
export const isWeighed = ({ rider, weightKg }: Weighed): boolean => Boolean(rider && weightKg)

/** Why the rider is too heavy for the horse, by their weights; nothing where they fit, or are not known. */
export const riderStop = ({ rider, weightKg, conditionScore, rides = 0 }: Weighed): string | null => {
  if (!rider || !weightKg) return null
  const { share, cap, mostRiderKg, says } = riderShare({
    riderKg: rider.kg,
    tackKg: rider.tackKg,
    horseKg: weightKg,
    rideNumber: rides + 1,
    conditionScore: conditionScore ?? null,
  })
  if (says !== 'stop') return null
  const when = isInFirstRides({ rides }) ? 'in the first thirty rides' : 'of it'
  return `Rider and saddle are ${(share * 100).toFixed(1)} % of its weight; at most ${cap * 100} % ${when}. With this saddle a rider of at most ${Math.floor(mostRiderKg)} kg.`
}
