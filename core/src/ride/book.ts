import { over, under } from '../arithmetic'
import { loadDaysMost } from '../body'
import { balanceOf, minutesOf, type Speeds, type Worked } from '../load'

export interface RideCaps {
  readonly totalMinutes: number
  readonly trotMinutes: number
  readonly canterMinutes: number
}

const caps = (totalMinutes: number, trotMinutes: number, canterMinutes: number): RideCaps => ({
  totalMinutes,
  trotMinutes,
  canterMinutes,
})

/** Most minutes up to a ride number, in all, at trot and at canter (our judgement; the yard may be stricter). */
const BY_RIDE: readonly (readonly [upTo: number, caps: RideCaps])[] = [
  [3, caps(5, 1, 0)],
  [10, caps(10, 3, 0)],
  [20, caps(20, 6, 1)],
  [30, caps(25, 8, 2)],
  [Infinity, caps(30, 10, 4)],
]
const BELOW_48 = caps(20, 8, 2)
const NOTHING = caps(0, 0, 0)
const FIRST_TIME_UP_MONTHS = 36
const GROWN_MONTHS = 48

/** The caps of a ride: rides are counted, not days. */
export const rideCaps = (rideNumber: number, ageMonths: number): RideCaps => {
  if (under(ageMonths, FIRST_TIME_UP_MONTHS)) return NOTHING
  const [, byRide] = BY_RIDE.find(([upTo]) => rideNumber <= upTo)!
  if (!under(ageMonths, GROWN_MONTHS)) return byRide
  return caps(
    Math.min(byRide.totalMinutes, BELOW_48.totalMinutes),
    Math.min(byRide.trotMinutes, BELOW_48.trotMinutes),
    Math.min(byRide.canterMinutes, BELOW_48.canterMinutes),
  )
}

export interface Ridden {
  readonly rideNumber: number
  readonly ageLowMonths: number
  /** Worked from the ground before, that day. */
  readonly groundMinutes: number
  readonly helper: boolean
  readonly rows: readonly Worked[]
  readonly speeds: Speeds
}

const HELPED_RIDES = 30
const GROUND_MINUTES = 5
const WARM_UP_MINUTES = 5
const WARM_UP_FROM_RIDE = 11
const UNEVEN = 0.8
const ENOUGH_ABOVE_WALK = 2

const minutesBefore = (rows: readonly Worked[]): number => {
  const first = rows.findIndex(({ gait, minutes }) => gait !== 'walk' && minutes > 0)
  return minutesOf(first === -1 ? rows : rows.slice(0, first), {})
}

/** What a ride was and what of it is too much; somebody sat up, so it is a ride. */
export const ride = ({ rideNumber, ageLowMonths, groundMinutes, helper, rows, speeds }: Ridden) => {
  const most = rideCaps(rideNumber, ageLowMonths)
  const [walkMinutes, trotMinutes, canterMinutes] = (['walk', 'trot', 'canter'] as const).map((gait) =>
    minutesOf(rows, { gait }),
  ) as [number, number, number]
  const totalMinutes = minutesOf(rows, {})
  const warmUpMinutes = minutesBefore(rows)
  const balance = balanceOf(rows, speeds)
  const aboveWalk = trotMinutes + canterMinutes
  const isHelped = rideNumber <= HELPED_RIDES
  const stops = [
    ['age', under(ageLowMonths, FIRST_TIME_UP_MONTHS)],
    ['helper', isHelped && !helper],
  ] as const
  const warns = [
    ['ground-first', isHelped && under(groundMinutes, GROUND_MINUTES)],
    ['warm-up', rideNumber >= WARM_UP_FROM_RIDE && aboveWalk > 0 && under(warmUpMinutes, WARM_UP_MINUTES)],
    ['total', over(totalMinutes, most.totalMinutes)],
    ['trot', over(trotMinutes, most.trotMinutes)],
    ['canter', over(canterMinutes, most.canterMinutes)],
    ['uneven', balance !== null && under(balance, UNEVEN) && !under(aboveWalk, ENOUGH_ABOVE_WALK)],
  ] as const
  const stopped = stops.filter(([, does]) => does).map(([stop]) => stop)
  const warned = warns.filter(([, does]) => does).map(([warn]) => warn)
  const says =
    stopped.length > 0
      ? ('stop' as const)
      : !under(totalMinutes, most.totalMinutes)
        ? ('get-down' as const)
        : warned.length > 0
          ? ('warn' as const)
          : ('ok' as const)
  return {
    caps: most,
    walkMinutes,
    trotMinutes,
    canterMinutes,
    totalMinutes,
    leftMinutes: minutesOf(rows, { rein: 'left' }),
    rightMinutes: minutesOf(rows, { rein: 'right' }),
    warmUpMinutes,
    balance,
    minutesLeft: Math.max(0, most.totalMinutes - totalMinutes),
    stops: stopped,
    warns: warned,
    says,
  }
}

export interface LastRide {
  readonly rideNumber: number
  readonly ageLowMonths: number
  readonly lastTotalMinutes: number
  readonly lastTrotMinutes: number
  readonly lastCanterMinutes: number
  readonly went: 'well' | 'so-so' | 'badly'
  readonly daysSince: number
}

const LONG_AWAY_DAYS = 60
const AWAY_DAYS = 14
const AWAY_SHARE = 0.6
const BADLY_SHARE = 0.5
const FIRST_RIDE_AGAIN = caps(5, 0, 0)
const GROWS_BY = 1.25
const CANTER_GROWS_MINUTES = 0.25

const clipped = (to: RideCaps, most: RideCaps): RideCaps => {
  const totalMinutes = Math.min(to.totalMinutes, most.totalMinutes)
  const trotMinutes = Math.min(to.trotMinutes, most.trotMinutes, totalMinutes)
  return caps(
    totalMinutes,
    trotMinutes,
    Math.min(to.canterMinutes, most.canterMinutes, totalMinutes - trotMinutes),
  )
}

/** One thing grows, the first that has room: the whole, then the trot, then the canter. */
const grown = (last: RideCaps, most: RideCaps) => {
  const { totalMinutes: total, trotMinutes: trot, canterMinutes: canter } = last
  if (under(total, most.totalMinutes))
    return { ...last, totalMinutes: Math.max(total + 1, total * GROWS_BY), grows: 'total' as const }
  if (under(trot, most.trotMinutes))
    return { ...last, trotMinutes: Math.max(trot + 0.5, trot * GROWS_BY), grows: 'trot' as const }
  if (under(canter, most.canterMinutes))
    return { ...last, canterMinutes: canter + CANTER_GROWS_MINUTES, grows: 'canter' as const }
  return null
}

const scaled = (last: RideCaps, share: number): RideCaps =>
  caps(last.totalMinutes * share, last.trotMinutes * share, last.canterMinutes * share)

/** How long the next ride may be, by how the last one went and how long ago it was. */
export const nextRide = (ridden: LastRide) => {
  const { rideNumber, ageLowMonths, went, daysSince } = ridden
  const last = caps(ridden.lastTotalMinutes, ridden.lastTrotMinutes, ridden.lastCanterMinutes)
  const most = rideCaps(rideNumber + 1, ageLowMonths)
  if (under(ageLowMonths, FIRST_TIME_UP_MONTHS))
    return { ...NOTHING, grows: null, says: 'too-young' as const }
  if (daysSince > LONG_AWAY_DAYS)
    return { ...clipped(FIRST_RIDE_AGAIN, most), grows: null, says: 'begin-again' as const }
  if (went === 'badly') {
    const half = { ...scaled(last, BADLY_SHARE), canterMinutes: 0 }
    return { ...clipped(half, most), grows: null, says: 'smaller' as const }
  }
  if (daysSince > AWAY_DAYS)
    return { ...clipped(scaled(last, AWAY_SHARE), most), grows: null, says: 'smaller' as const }
  const more = went === 'well' ? grown(last, most) : null
  return more
    ? { ...clipped(more, most), grows: more.grows, says: 'longer' as const }
    : { ...clipped(last, most), grows: null, says: 'same' as const }
}

export const DAY_KINDS = ['rest', 'handling', 'soft', 'hard'] as const
export type DayKind = (typeof DAY_KINDS)[number]

const WEEK_BEFORE = 6
const RESTED_DAYS = 7

const isLoad = (day: DayKind): boolean => day === 'soft' || day === 'hard'

const inARowOf = (days: readonly DayKind[]): number => {
  const last = days.findLastIndex((day) => !isLoad(day))
  return days.length - 1 - last
}

interface DaysBehind {
  readonly ageLowMonths: number
  /** The oldest first; the last is today. */
  readonly days: readonly DayKind[]
  /** Today had a first of something. */
  readonly first: boolean
  readonly sore: boolean
}

/** The most that tomorrow may be, by the days behind it. */
export const tomorrow = ({ ageLowMonths, days, first, sore }: DaysBehind) => {
  const week = days.slice(-WEEK_BEFORE)
  const loadDaysThisWeek = week.filter(isLoad).length
  const inARow = inARowOf(days)
  const mostInARow = under(ageLowMonths, GROWN_MONTHS) ? 2 : 3
  const reasons = [
    ['sore', 'handling', sore],
    ['young', 'handling', under(ageLowMonths, 24)],
    ['after-hard', 'handling', days.at(-1) === 'hard' || first],
    ['week-full', 'handling', loadDaysThisWeek >= loadDaysMost(ageLowMonths)],
    ['in-a-row', 'handling', inARow >= mostInARow],
    ['two-hard', 'soft', week.filter((day) => day === 'hard').length >= 2],
    ['after-rest', 'soft', days.length >= RESTED_DAYS && !days.slice(-RESTED_DAYS).some(isLoad)],
  ] as const
  const reason = reasons.find(([, , does]) => does)
  return {
    most: reason ? reason[1] : ('hard' as const),
    loadDaysThisWeek,
    inARow,
    says: reason ? reason[0] : ('free' as const),
  }
}
