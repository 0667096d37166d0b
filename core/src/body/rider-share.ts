import { over, under } from '../arithmetic'

/** Above this condition, fat bears no rider: so much of the horse for each point (from memory: verify). */
const FAT_FROM = 6
const FAT_SHARE = 0.04

/** To this ride a rider and what they sit on may weigh 15 % of the horse, then 20 % (Powell 2008: grown horses). */
const FIRST_RIDES = 30
const FIRST_CAP = 0.15
const CAP = 0.2
const NEAR = 0.01

interface Load {
  readonly riderKg: number
  readonly tackKg: number
  readonly horseKg: number
  readonly rideNumber: number
  readonly conditionScore: number | null
}

/** How heavy rider and tack are for a horse; above its cap nobody sits up. */
export const riderShare = ({ riderKg, tackKg, horseKg, rideNumber, conditionScore }: Load) => {
  const fat = FAT_SHARE * Math.max(0, (conditionScore ?? FAT_FROM) - FAT_FROM)
  const bearingKg = horseKg * (1 - fat)
  const share = (riderKg + tackKg) / bearingKg
  const cap = rideNumber <= FIRST_RIDES ? FIRST_CAP : CAP
  const isNear = !under(share, cap - NEAR)
  return {
    share,
    cap,
    bearingKg,
    mostRiderKg: Math.max(0, cap * bearingKg - tackKg),
    says: over(share, cap) ? ('stop' as const) : isNear ? ('near' as const) : ('ok' as const),
  }
}
