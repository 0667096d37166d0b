import { daysBetween, type Day } from '../answer'
import { SPEEDS, type Worked } from '../load'
import { nextRide, ride, rideCaps } from './book'

/** A ride as it was told. */
export interface ToldRide {
  readonly on: Day
  /** When it began, ms; nothing where that was not told. */
  readonly beganAt: number | null
  readonly rows: readonly Worked[]
  /** Worked from the ground before, that day. */
  readonly groundMinutes: number
  readonly helper: string
  readonly went: 'well' | 'so-so' | 'badly'
}

/** Somebody sits up for the first time: so long, and no longer. */
const FIRST_RIDE_MINUTES = 3
const MINUTE_MS = 60_000
/** Of an age that is not known, nobody sits up. */
const UNKNOWN_MONTHS = 24

type AgeOn = (day: Day) => number | null

const minutesOfAll = (rows: readonly Worked[]): number => rows.reduce((all, { minutes }) => all + minutes, 0)

const overlaps = (a: ToldRide, b: ToldRide): boolean =>
  a.beganAt !== null &&
  b.beganAt !== null &&
  a.beganAt < b.beganAt + minutesOfAll(b.rows) * MINUTE_MS &&
  b.beganAt < a.beganAt + minutesOfAll(a.rows) * MINUTE_MS

const inTime = (a: ToldRide, b: ToldRide): number =>
  a.on.localeCompare(b.on) || (a.beganAt ?? 0) - (b.beganAt ?? 0)

const nextOf = <Ride extends ToldRide>(
  last:
    { readonly told: Ride; readonly number: number; readonly judged: ReturnType<typeof ride> } | undefined,
  { on, ageOn }: { on: Day; ageOn: AgeOn },
) => {
  const ageLowMonths = ageOn(on) ?? UNKNOWN_MONTHS
  if (!last) {
    const most = rideCaps(1, ageLowMonths)
    const totalMinutes = Math.min(FIRST_RIDE_MINUTES, most.totalMinutes)
    const says = most.totalMinutes === 0 ? ('too-young' as const) : ('first' as const)
    return { number: 1, totalMinutes, trotMinutes: 0, canterMinutes: 0, grows: null, says }
  }
  const { totalMinutes, trotMinutes, canterMinutes } = last.judged
  return {
    number: last.number + 1,
    ...nextRide({
      rideNumber: last.number,
      ageLowMonths,
      lastTotalMinutes: totalMinutes,
      lastTrotMinutes: trotMinutes,
      lastCanterMinutes: canterMinutes,
      went: last.told.went,
      daysSince: daysBetween(last.told.on, on),
    }),
  }
}

/** The rides of a horse by number, each with what it was by the caps of its number and its age then, and the next one. */
export const rideBook = <Ride extends ToldRide>(
  told: readonly Ride[],
  { on, ageOn }: { readonly on: Day; readonly ageOn: AgeOn },
) => {
  const inOrder = told.filter((one) => one.on <= on).toSorted(inTime)
  const rides = inOrder.map((one, i) => ({
    told: one,
    number: i + 1,
    overlaps: inOrder.some((other) => other !== one && overlaps(one, other)),
    judged: ride({
      rideNumber: i + 1,
      ageLowMonths: ageOn(one.on) ?? UNKNOWN_MONTHS,
      groundMinutes: one.groundMinutes,
      helper: one.helper !== '',
      rows: one.rows,
      speeds: SPEEDS,
    }),
  }))
  return { rides, next: nextOf(rides.at(-1), { on, ageOn }) }
}
