import { over, signTest, under } from '../arithmetic'

export const CHANGED = ['height', 'spread', 'filler', 'gait', 'rein', 'line', 'place'] as const

interface Jumped {
  readonly ageLowMonths: number
  readonly withersCm: number
  readonly rideNumber: number
  /** Which session of jumping it is, the first is 1. */
  readonly session: number
  readonly heightCm: number
  readonly effortsToday: number
  readonly effortsEarlierThisWeek: number
  readonly sessionsEarlierThisWeek: number
  readonly daysSinceLast: number | null
  readonly polesBothReins: boolean
  readonly raisedOrdinary: boolean
  readonly changed: readonly (typeof CHANGED)[number][]
  readonly goodLeft: number
  readonly goodRight: number
}

const FIRST_FENCE_MONTHS = 48
const GROWN_MONTHS = 60
const ENOUGH_RIDES = 20
const REST_DAYS = 3
const HEIGHT_STEP_CM = 5

const capsOf = ({ session, withersCm, ageLowMonths }: Jumped) => {
  const isFirst = session <= 3
  const isEarly = session <= 10
  const share = isFirst ? 0.2 : isEarly ? 0.3 : 0.4
  const later = under(ageLowMonths, GROWN_MONTHS) ? 20 : 30
  return {
    heightCm: Math.floor((share * withersCm) / HEIGHT_STEP_CM + 1e-9) * HEIGHT_STEP_CM,
    efforts: isFirst ? 6 : isEarly ? 12 : later,
    sessionsAWeek: isEarly ? 1 : 2,
  }
}

/** What a session over fences may be, and when it ends: few, small, and on the first good one of each rein. */
export const jumps = (jumped: Jumped) => {
  const caps = capsOf(jumped)
  const { effortsToday, effortsEarlierThisWeek, sessionsEarlierThisWeek, daysSinceLast } = jumped
  const isWeekOver =
    sessionsEarlierThisWeek + 1 > caps.sessionsAWeek ||
    effortsEarlierThisWeek + effortsToday > caps.efforts * caps.sessionsAWeek
  const warns = [
    ['rides', jumped.rideNumber < ENOUGH_RIDES],
    ['raised-first', !jumped.raisedOrdinary],
    ['poles-first', !jumped.polesBothReins],
    ['height', over(jumped.heightCm, caps.heightCm)],
    ['efforts', effortsToday > caps.efforts],
    ['week', isWeekOver],
    ['too-soon', daysSinceLast !== null && daysSinceLast < REST_DAYS],
    ['one-thing', new Set(jumped.changed).size > 1],
  ] as const
  const stops = under(jumped.ageLowMonths, FIRST_FENCE_MONTHS) ? (['age'] as const) : []
  const told = warns.filter(([, does]) => does).map(([warn]) => warn)
  const end = effortsToday >= caps.efforts || (jumped.goodLeft > 0 && jumped.goodRight > 0)
  const says =
    stops.length > 0
      ? ('stop' as const)
      : end
        ? ('leave-it' as const)
        : told.length > 0
          ? ('warn' as const)
          : ('go-on' as const)
  return { caps, end, stops, warns: told, says }
}

const ENOUGH_LANDINGS = 10
const SURE = 0.05

/** Whether a horse lands on one lead more than chance would have it. */
export const landingLead = (left: number, right: number) => {
  const n = left + right
  const p = signTest(left, right)
  const says =
    n < ENOUGH_LANDINGS
      ? ('too-few' as const)
      : over(p, SURE)
        ? ('even' as const)
        : left > right
          ? ('left' as const)
          : ('right' as const)
  return { n, leftShare: n === 0 ? null : left / n, p, says }
}
