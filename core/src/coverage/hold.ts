import { isLight, isTight, type Calm, type Grade, type PlaceByHorse, type Side } from '../answer'
import type { Zone } from './zones'

/** The last answer of a step on a rung, somewhere on the animal and from somewhere. */
export interface Spot {
  readonly step: string
  readonly side: Side
  readonly rung: number
  readonly grade: Grade
  readonly calm: Calm | null
  /** The calendar day in the yard's time zone. */
  readonly day: string
  readonly place: PlaceByHorse | null
  readonly zone: Zone | null
  readonly moving: boolean
}

/** How far it holds: the hardest rung whose last answer was light and not tight, 0 where none was. */
export interface Hold {
  readonly rung: number
  /** The day of that answer; where nothing holds, of the last try. */
  readonly day: string
}

const passes = ({ grade, calm }: Spot): boolean => isLight(grade) && !isTight(calm)

/** What answers of one step, oldest first, say about the place they were given at; `null` where there are none. */
export const holdOf = (spots: readonly Spot[]): Hold | null => {
  const last = spots.at(-1)
  if (!last) return null
  const lastOfRung = new Map(spots.map((spot) => [spot.rung, spot]))
  const held = [...lastOfRung.values()].filter(passes).sort((a, b) => b.rung - a.rung)[0]
  return held ? { rung: held.rung, day: held.day } : { rung: 0, day: last.day }
}

/** Whether an answer tells of a side: one without a side tells of both. */
export const tellsOf = ({ side }: Spot, asked: Side): boolean => side === asked || side === 'none'
