import { over, under } from '../arithmetic'
import type { Calm, Grade } from '../answer'

export interface RiddenAsk {
  readonly grade: Grade
  readonly calm: Calm | null
}

/** How the same thing stands on the ground. */
export interface GroundTwin {
  readonly chance: number
  readonly low: number
  readonly lastColdPassed: boolean | null
  readonly daysSince: number
}

interface Traced {
  readonly ridden: readonly RiddenAsk[]
  /** The ridden step was Solid. */
  readonly wasSolid: boolean
  readonly newOneSided: boolean
  readonly twin: GroundTwin | null
}

const HOLDS = { chance: 0.85, low: 0.7, days: 14 } as const
const NOT_LEARNT_BELOW = 0.7

const holds = ({ chance, low, lastColdPassed, daysSince }: GroundTwin): boolean =>
  !under(chance, HOLDS.chance) && !under(low, HOLDS.low) && lastColdPassed === true && daysSince <= HOLDS.days

const isBad = ({ grade, calm }: RiddenAsk): boolean => grade >= 2 || calm === 2

/** The last answer failed, or two of the last three were heavy or tight. */
export const goesBadly = (ridden: readonly RiddenAsk[]): boolean =>
  ridden.at(-1)!.grade >= 3 || ridden.slice(-3).filter(isBad).length >= 2

const traced = ({ ridden, wasSolid, newOneSided, twin }: Traced, twinHolds: boolean) => {
  if (!goesBadly(ridden)) return ['goes-well', 'go-on'] as const
  if (newOneSided || (wasSolid && twinHolds)) return ['look-for-pain', 'get-down-and-look'] as const
  if (twin === null) return ['no-twin', 'teach-on-the-ground'] as const
  if (twinHolds) return ['not-understood', 'both-cues-smaller-rung'] as const
  if (under(twin.chance, NOT_LEARNT_BELOW) || twin.lastColdPassed === false)
    return ['not-learnt', 'back-to-the-ground'] as const
  return ['not-known', 'ask-the-twin-cold'] as const
}

/** Why a ridden ask goes badly: pain first, then not understood from up there, or not learnt at all. */
export const tracer = (asked: Traced) => {
  const twinHolds = asked.twin !== null && holds(asked.twin)
  const [says, next] = traced(asked, twinHolds)
  return { twinHolds, says, next }
}

export interface RideWithAid {
  readonly asks: number
  /** Asks at which the extra aid was used. */
  readonly tapped: number
  readonly mostTaps: number
}

const PUT_AWAY_IN_A_ROW = 5
const ENOUGH_RIDES = 3
const SELDOM = 0.2
const MOST_TAPS = 2

/** When an extra aid, such as a tap of the stick where the ground cue lay, is put away. */
export const extraAid = (rides: readonly RideWithAid[], untappedInARow: number) => {
  const last = rides.at(-1)!
  const share = last.tapped / last.asks
  const says =
    untappedInARow >= PUT_AWAY_IN_A_ROW
      ? ('put-away' as const)
      : rides.length < ENOUGH_RIDES
        ? ('keep' as const)
        : over(share, SELDOM)
          ? ('back-to-the-ground' as const)
          : ('put-away' as const)
  return { share, tooManyTaps: last.mostTaps > MOST_TAPS, says }
}

/** What rides say of the extra aid, the oldest first; nothing where none was carried. Rides without a tap are untapped in a row. */
export const aidOf = (rides: readonly (RideWithAid | null)[]) => {
  const carried = rides.filter((ride) => ride !== null)
  if (carried.length === 0) return null
  const lastTapped = carried.findLastIndex(({ tapped }) => tapped > 0)
  const untapped = carried.slice(lastTapped + 1).reduce((all, { asks }) => all + asks, 0)
  return extraAid(carried, untapped)
}
