import { over, under } from '../arithmetic'
import { balanceOf, byReinAndGait, GAITS, metresOf, minutesOf, type Speeds, type Worked } from './gaits'

interface Circle {
  readonly lineM: number
  /** Of the line, kept in the hand. */
  readonly handM: number
  /** The radius of the handler's own circle. */
  readonly walkM: number
  readonly wantM: number | null
}

/** The widest circle a line gives, and the line a circle needs: what is in the hand is lost twice, the handler's walk won. */
export const circle = ({ lineM, handM, walkM, wantM }: Circle) => {
  const mostDiameterM = 2 * (lineM - handM + walkM)
  const says =
    wantM === null
      ? ('most' as const)
      : over(wantM, mostDiameterM)
        ? ('too-short' as const)
        : ('long-enough' as const)
  return {
    mostDiameterM,
    lineNeededM: wantM === null ? null : Math.max(handM, wantM / 2 + handM - walkM),
    says,
  }
}

/** Most minutes on a rein, and at the canter in all, below an age in months. */
const CAPS: readonly (readonly [below: number, rein: number, canter: number])[] = [
  [24, 0, 0],
  [36, 10, 0.5],
  [48, 12, 2],
  [Infinity, 15, 5],
]

/** Young joints want room: below this age and above it, no trot on a smaller circle, metres. */
const WIDE_BELOW_MONTHS = 36
const wideEnoughM = (ageMonths: number): number => (ageMonths < WIDE_BELOW_MONTHS ? 20 : 15)

const GRAVITY = 9.81
const LEAN_SMALL = 10
const LEAN_TOO_SMALL = 15
const HANDLING_ONLY_MONTHS = 24
const UNEVEN = 0.8
const LOAD_DAY_MINUTES = 20

/** Degrees a body leans into a circle at a speed (Newton; leaning seen: Pfau 2012, from memory). */
const leanAt = (speedMps: number, diameterM: number): number =>
  (Math.atan(speedMps ** 2 / (GRAVITY * (diameterM / 2))) * 180) / Math.PI

export interface Lunged {
  readonly ageLowMonths: number
  readonly diameterM: number
  readonly rows: readonly Worked[]
  readonly changes: number
  readonly speeds: Speeds
}

/** What a session on the lunge was for young legs: minutes, metres and laps of each rein, and what of it is too much. */
export const lungeLoad = ({ ageLowMonths, diameterM, rows, changes, speeds }: Lunged) => {
  const onRein = rows.filter(({ rein, minutes }) => rein !== 'straight' && minutes > 0)
  const leanDegrees = Math.max(0, ...onRein.map(({ gait }) => leanAt(speeds[gait], diameterM)))
  const [, capReinMinutes, capCanterMinutes] =
    CAPS.find(([below]) => under(ageLowMonths, below)) ?? CAPS.at(-1)!
  const leftMinutes = minutesOf(rows, { rein: 'left' })
  const rightMinutes = minutesOf(rows, { rein: 'right' })
  const all = minutesOf(rows, {})
  const balance = balanceOf(rows, speeds)
  const [leftMetres, rightMetres] = [metresOf(rows, speeds, 'left'), metresOf(rows, speeds, 'right')]
  const warns = [
    ['handling-only', all > 0 && under(ageLowMonths, HANDLING_ONLY_MONTHS)],
    ['left-minutes', over(leftMinutes, capReinMinutes)],
    ['right-minutes', over(rightMinutes, capReinMinutes)],
    ['canter', over(minutesOf(rows, { gait: 'canter' }), capCanterMinutes)],
    ['uneven', balance !== null && under(balance, UNEVEN)],
  ] as const
  const isFast = onRein.some(({ gait }) => gait !== 'walk')
  const isSmall = over(leanDegrees, LEAN_SMALL) || (isFast && under(diameterM, wideEnoughM(ageLowMonths)))
  const aboveWalk = GAITS.some((gait) => gait !== 'walk' && minutesOf(rows, { gait }) > 0)
  return {
    minutes: byReinAndGait(rows),
    leftMinutes,
    rightMinutes,
    metres: metresOf(rows, speeds),
    leftMetres,
    rightMetres,
    laps: (leftMetres + rightMetres) / (Math.PI * diameterM),
    changes,
    balance,
    leanDegrees,
    capReinMinutes,
    capCanterMinutes,
    loadDay: aboveWalk || over(all, LOAD_DAY_MINUTES),
    warns: warns.filter(([, does]) => does).map(([warn]) => warn),
    says: over(leanDegrees, LEAN_TOO_SMALL)
      ? ('too-small' as const)
      : isSmall
        ? ('small' as const)
        : ('ok' as const),
  }
}
