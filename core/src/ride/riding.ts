import { count } from '../answer'
import { over } from '../arithmetic'
import { stretchesOf, type Press, type Worked } from '../load'
import type { ride, RideCaps } from './book'

const SECONDS = 60

interface Pressed {
  readonly rein: 'left' | 'right'
  readonly presses: readonly Press[]
  /** Seconds, on the clock of the presses. */
  readonly endAt: number
}

/** What was ridden, stretch by stretch, from two buttons; standing under a rider counts as walk: somebody sits on it. */
export const riddenRows = ({ rein, presses, endAt }: Pressed): readonly Worked[] => {
  const rows: Worked[] = []
  for (const { rein: on, gait: going, seconds } of stretchesOf(rein, presses, endAt)) {
    const gait = going === 'stand' ? 'walk' : going
    const last = rows.at(-1)
    const minutes = seconds / SECONDS
    if (last?.rein === on && last.gait === gait)
      rows[rows.length - 1] = { ...last, minutes: last.minutes + minutes }
    else rows.push({ rein: on, gait, minutes })
  }
  return rows
}

/** Said this long before, so that there is time to come down, minutes. */
const AHEAD_MINUTES = 1

const minutesWords = (minutes: number): string => {
  const half = Math.floor(2 * Math.max(0, minutes) + 1e-9) / 2
  return half === 1 ? '1 minute' : `${half} minutes`
}

type Judged = Pick<ReturnType<typeof ride>, 'totalMinutes' | 'trotMinutes' | 'canterMinutes' | 'stops'>

/** What is to be said to a rider at this moment, the most urgent first, by what this ride may be. */
export const ridingWarnings = (judged: Judged, most: RideCaps): readonly string[] => {
  const words: string[] = []
  if (judged.stops.includes('age')) words.push('It is too young for a rider: get down.')
  if (judged.stops.includes('helper')) words.push('Nobody is on the ground: get down.')
  const left = most.totalMinutes - judged.totalMinutes
  if (!over(left, 0)) words.push('That is the ride: slack rein, get down, five minutes walked.')
  for (const gait of ['trot', 'canter'] as const) {
    const ridden = judged[`${gait}Minutes`]
    const may = most[`${gait}Minutes`]
    if (over(ridden, may))
      words.push(
        may === 0
          ? `No ${gait} on this ride: back to walk.`
          : `${count(Math.floor(2 * may) / 2, 'minute')} of ${gait} are enough: back to walk.`,
      )
  }
  if (over(left, 0) && !over(left, AHEAD_MINUTES))
    words.push(`${minutesWords(left)} left: begin to end it well.`)
  return words
}
