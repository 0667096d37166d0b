import { count } from '../answer'
import { over, under } from '../arithmetic'
import { GAITS, minutesOf, SPEEDS, type Worked } from './gaits'
import { lungeLoad } from './lunge'
import { gaitPresses, type Press } from './presses'

/** Work on the lunge or on long lines, from two buttons. */
export interface LineWork {
  readonly rein: 'left' | 'right'
  readonly presses: readonly Press[]
  /** Seconds, on the clock of the presses. */
  readonly endAt: number
  /** Across the circle, m. */
  readonly diameterM: number
}

const SECONDS = 60
const NO_AGE_MONTHS = 24

const rowsOf = (seconds: ReturnType<typeof gaitPresses>['seconds']): readonly Worked[] =>
  (['left', 'right'] as const).flatMap((rein) =>
    GAITS.map((gait) => ({ rein, gait, minutes: seconds[rein][gait] / SECONDS })),
  )

/**
 * What work on the line came to: its gaits and reins from the presses, and the load of it on young legs. Of an age that
 * is not known the caps are those of a two-year-old.
 */
export const lineWork = ({ rein, presses, endAt, diameterM }: LineWork, ageLowMonths: number | null) => {
  const pressed = gaitPresses(rein, presses, endAt)
  const rows = rowsOf(pressed.seconds)
  const load = lungeLoad({
    ageLowMonths: ageLowMonths ?? NO_AGE_MONTHS,
    diameterM,
    rows,
    changes: pressed.changes,
    speeds: SPEEDS,
  })
  return {
    ...load,
    rein: pressed.rein,
    gait: pressed.gait,
    longRuns: pressed.longRuns,
    canterMinutes: minutesOf(rows, { gait: 'canter' }),
    walkMinutes: minutesOf(rows, { gait: 'walk' }),
    trotMinutes: minutesOf(rows, { gait: 'trot' }),
  }
}

export type LineWorked = ReturnType<typeof lineWork>

/** Said this long before a cap, so that there is time to come down, minutes. */
const AHEAD_MINUTES = 1
const CANTER_AHEAD_MINUTES = 0.25
/** A trot or canter this long without a walk is likely a pause that nobody pressed, s (half of what is told after). */
const PRESS_FORGOTTEN_SECONDS = 450

const halves = (minutes: number): string => {
  const half = Math.floor(2 * Math.max(0, minutes)) / 2
  return half === 1 ? '1 minute' : `${half} minutes`
}

/** What is to be said at this moment, the most urgent first: before a cap is reached, not only after. */
export const lineWarnings = (work: LineWorked, unbrokenSeconds: number): readonly string[] => {
  const { rein, gait, capReinMinutes, capCanterMinutes, canterMinutes, leanDegrees } = work
  if (capReinMinutes === 0) return ['Under two years: handling only. No work on the line.']
  const words: string[] = []
  const minutes = rein === 'left' ? work.leftMinutes : work.rightMinutes
  const left = capReinMinutes - minutes
  const canterLeft = capCanterMinutes - canterMinutes
  if (gait === 'canter' && over(canterMinutes, capCanterMinutes))
    words.push(`Come down: ${count(capCanterMinutes, 'minute')} of canter are enough at its age.`)
  else if (gait === 'canter' && !over(canterLeft, CANTER_AHEAD_MINUTES))
    words.push('Come down soon: its canter for today is nearly used.')
  if (over(minutes, capReinMinutes))
    words.push(`Change the rein or end: ${capReinMinutes} minutes to the ${rein} are enough at its age.`)
  else if (!over(left, AHEAD_MINUTES)) words.push(`${halves(left)} left to the ${rein}.`)
  if (work.says === 'too-small')
    words.push(`It leans ${Math.round(leanDegrees)} degrees: a bigger circle, or slower.`)
  else if (work.says === 'small' && gait !== 'walk' && gait !== 'stand')
    words.push('This circle is small for a trot: give it room.')
  if (unbrokenSeconds > PRESS_FORGOTTEN_SECONDS && gait !== 'walk' && gait !== 'stand')
    words.push('Did it walk meanwhile? Press it.')
  return words
}

/** What to do about the reins: which one is behind, and by how much trot. */
export const reinToEven = ({ leftMetres, rightMetres, balance }: LineWorked): string | null => {
  if (balance === null || !under(balance, 0.8)) return null
  const rein = leftMetres < rightMetres ? 'left' : 'right'
  const minutes = Math.abs(leftMetres - rightMetres) / SPEEDS.trot / SECONDS
  return `${halves(Math.max(0.5, Math.round(2 * minutes) / 2))} of trot to the ${rein} make the reins even.`
}
