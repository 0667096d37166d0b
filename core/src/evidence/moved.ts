import type { Side } from '../answer'
import { trackKey, type State, type TrackKey, type Views } from '../readiness'
import { sidesOf, type Program } from '../program'

/** How a track stood at two times. */
export interface Moved {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly from: State
  readonly to: State
  readonly chanceFrom: number
  readonly chanceTo: number
  /** Days worked between. */
  readonly days: number
}

const betweenTwo = (program: Program, before: Views, now: Views): readonly Moved[] =>
  program.steps.flatMap((step) =>
    sidesOf(step).map((side): Moved => {
      const key: TrackKey = trackKey(step.key, side)
      const [was, is] = [before.get(key)!, now.get(key)!]
      return {
        step: step.key,
        name: step.name,
        side,
        from: was.state,
        to: is.state,
        chanceFrom: was.chance,
        chanceTo: is.chance,
        days: is.daysWorked - was.daysWorked,
      }
    }),
  )

/** A change of chance smaller than this is none. */
const MOVED = 0.05

/** Worked on so many days without moving, a track stands still. */
const STILL_DAYS = 2

/** What came on and what went back between two times, the greatest change first. */
export const movedBetween = (program: Program, before: Views, now: Views): readonly Moved[] =>
  betweenTwo(program, before, now)
    .filter(({ from, to, chanceFrom, chanceTo }) => from !== to || Math.abs(chanceTo - chanceFrom) >= MOVED)
    .sort((a, b) => Math.abs(b.chanceTo - b.chanceFrom) - Math.abs(a.chanceTo - a.chanceFrom))

/** What was worked and is no nearer for it, the most worked first; what is Solid may well stand. */
export const standsStill = (program: Program, before: Views, now: Views): readonly Moved[] =>
  betweenTwo(program, before, now)
    .filter(
      ({ days, to, chanceFrom, chanceTo }) =>
        days >= STILL_DAYS && to !== 'solid' && chanceTo - chanceFrom < MOVED,
    )
    .sort((a, b) => b.days - a.days || a.chanceTo - b.chanceTo)
