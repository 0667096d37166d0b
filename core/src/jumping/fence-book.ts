import { daysBetween, type Day } from '../answer'
import { jumps, type CHANGED } from './jumps'

/** A session over fences, or over poles with one in sight, as it is told. */
export interface ToldJumps {
  readonly on: Day
  readonly heightCm: number
  readonly efforts: number
  readonly goodLeft: number
  readonly goodRight: number
  /** Poles at trot and canter before, that day, on both reins. */
  readonly polesBothReins: boolean
  readonly changed: readonly (typeof CHANGED)[number][]
}

interface Horse {
  readonly withersCm: number
  readonly ageOn: (day: Day) => number | null
  /** Rides up to and with a day. */
  readonly ridesBy: (day: Day) => number
  /** Raised poles are ordinary to it. */
  readonly raisedOrdinary: boolean
}

const WEEK_DAYS = 7
/** Of an age that is not known no fence is jumped. */
const UNKNOWN_MONTHS = 0

const judgedAs = (now: ToldJumps, before: readonly ToldJumps[], horse: Horse) => {
  const earlier = before.filter(({ on }) => daysBetween(on, now.on) < WEEK_DAYS)
  const last = before.at(-1)
  return jumps({
    ageLowMonths: horse.ageOn(now.on) ?? UNKNOWN_MONTHS,
    withersCm: horse.withersCm,
    rideNumber: horse.ridesBy(now.on),
    session: before.length + 1,
    heightCm: now.heightCm,
    effortsToday: now.efforts,
    effortsEarlierThisWeek: earlier.reduce((all, { efforts }) => all + efforts, 0),
    sessionsEarlierThisWeek: earlier.length,
    daysSinceLast: last ? daysBetween(last.on, now.on) : null,
    polesBothReins: now.polesBothReins,
    raisedOrdinary: horse.raisedOrdinary,
    changed: now.changed,
    goodLeft: now.goodLeft,
    goodRight: now.goodRight,
  })
}

/** Sessions over fences by number, each with what it was by the caps of its number and the horse's age, and what the next may be. */
export const fenceBook = <Told extends ToldJumps>(
  told: readonly Told[],
  horse: Horse & { readonly on: Day },
) => {
  const inOrder = told.filter(({ on }) => on <= horse.on).toSorted((a, b) => a.on.localeCompare(b.on))
  const sessions = inOrder.map((one, i) => ({
    told: one,
    number: i + 1,
    judged: judgedAs(one, inOrder.slice(0, i), horse),
  }))
  const nothingYet: ToldJumps = {
    on: horse.on,
    heightCm: 0,
    efforts: 0,
    goodLeft: 0,
    goodRight: 0,
    polesBothReins: true,
    changed: [],
  }
  return { sessions, next: { number: inOrder.length + 1, ...judgedAs(nothingYet, inOrder, horse) } }
}
