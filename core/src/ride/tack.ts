import { under } from '../arithmetic'
import { addDays, daysBetween, type Day } from '../answer'

export interface Carried {
  readonly day: Day
  readonly minutes: number
  readonly quietMinutes: number
}

const CARRY_MONTHS = 24
const CONTACT_MONTHS = 30
const ENOUGH_DAYS = 10
const ENOUGH_QUIET = 150
const ENOUGH_SPAN_DAYS = 21
const LAST = 3
const LAST_MINUTES = 15
const LAST_QUIET_SHARE = 0.9

const isQuiet = ({ minutes, quietMinutes }: Carried): boolean =>
  !under(minutes, LAST_MINUTES) && !under(quietMinutes, LAST_QUIET_SHARE * minutes)

/** Whether a bit has been carried quietly long enough for a contact to begin. */
export const bitContact = (ageLowMonths: number, mouthPassed: boolean, carries: readonly Carried[]) => {
  const [first, last] = [carries[0], carries.at(-1)]
  const spanDays = first && last ? daysBetween(first.day, last.day) : 0
  const quietMinutes = carries.reduce((all, carry) => all + carry.quietMinutes, 0)
  const lastOnes = carries.slice(-LAST)
  const mayCarry = mouthPassed && !under(ageLowMonths, CARRY_MONTHS)
  const lacks = [
    ['mouth', !mouthPassed],
    ['age', under(ageLowMonths, CONTACT_MONTHS)],
    ['days', carries.length < ENOUGH_DAYS],
    ['quiet-minutes', under(quietMinutes, ENOUGH_QUIET)],
    ['weeks', spanDays < ENOUGH_SPAN_DAYS],
    ['last-three', lastOnes.length < LAST || !lastOnes.every(isQuiet)],
  ] as const
  const missing = lacks.filter(([, does]) => does).map(([lack]) => lack)
  const says = !mayCarry
    ? ('stop' as const)
    : missing.length > 0
      ? ('carry-on' as const)
      : ('contact-may-begin' as const)
  return { days: carries.length, quietMinutes, spanDays, mayCarry, missing, says }
}

const STRINGS_STEP_CM = 5

interface Strings {
  readonly lastCm: number
  readonly askedCm: number
  readonly lastWell: boolean
  /** The nose was before the vertical. */
  readonly noseAhead: boolean
}

/** How short the strings may be today: five centimetres a session at most, and longer where the nose came behind. */
export const strings = ({ lastCm, askedCm, lastWell, noseAhead }: Strings) => {
  const leastCm = !noseAhead ? lastCm + STRINGS_STEP_CM : lastWell ? lastCm - STRINGS_STEP_CM : lastCm
  const says = !under(askedCm, leastCm)
    ? ('ok' as const)
    : noseAhead
      ? ('too-short' as const)
      : ('let-out' as const)
  return { leastCm, says }
}

const STOCK_STEP_MM = 5
const MM_PER_INCH = 25.4
const ROOM_MM = { loose: [5, 10], fixed: [0, 5] } as const

/** The bit that a mouth of this width takes, and the size that is sold. */
export const bitSize = (mouthMm: number, cheek: keyof typeof ROOM_MM) => {
  const [least, most] = ROOM_MM[cheek]
  const lowMm = mouthMm + least
  const stockMm = Math.ceil(lowMm / STOCK_STEP_MM - 1e-9) * STOCK_STEP_MM
  return { lowMm, highMm: mouthMm + most, stockMm, stockIn: stockMm / MM_PER_INCH }
}

interface Tack {
  readonly on: Day
  readonly ageLowMonths: number
  readonly checkedOn: Day | null
  readonly passed: boolean
  readonly kg: readonly [then: number | null, now: number | null]
  readonly withersCm: readonly [then: number | null, now: number | null]
  readonly girthHole: readonly [then: number | null, now: number | null]
}

const GROWING_MONTHS = 72
const HOLDS_DAYS = { growing: 60, grown: 180 } as const
const WEIGHT_SHARE = 0.05
const WITHERS_CM = 2
const HOLES = 2

const movedBy = ([then, now]: readonly [number | null, number | null]): number =>
  then === null || now === null ? 0 : Math.abs(now - then)

/** Whether a saddle's check still holds, while the horse beneath it grows. */
export const tackDue = ({ on, ageLowMonths, checkedOn, passed, kg, withersCm, girthHole }: Tack) => {
  if (checkedOn === null) return { holdsToOn: null, reasons: ['never'] as const, says: 'stop' as const }
  const days = under(ageLowMonths, GROWING_MONTHS) ? HOLDS_DAYS.growing : HOLDS_DAYS.grown
  const holdsToOn = addDays(checkedOn, days)
  if (!passed) return { holdsToOn, reasons: ['failed'] as const, says: 'stop' as const }
  const found = [
    ['days', on > holdsToOn],
    ['weight', kg[0] !== null && kg[1] !== null && !under(movedBy(kg), WEIGHT_SHARE * kg[0])],
    ['withers', !under(movedBy(withersCm), WITHERS_CM)],
    ['girth', movedBy(girthHole) >= HOLES],
  ] as const
  const reasons = found.filter(([, does]) => does).map(([reason]) => reason)
  const says = reasons.includes('days')
    ? ('stop' as const)
    : reasons.length > 0
      ? ('due' as const)
      : ('ok' as const)
  return { holdsToOn, reasons, says }
}
