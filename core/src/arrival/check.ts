import type { Side } from '../answer'
import { sidesOf, type Program } from '../program'
import { bestPlace } from './order'
import { Path, rungWanted } from './path'
import type { ArrivalAnswer } from './track'

/** The next ask of an arrival check, and why it is that one. */
export interface ArrivalAsk {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly rung: number
  readonly reason: string
}

/** How a step comes to be taken as known: it was asked, or it lies below what was shown. */
export type How = 'shown' | 'below'

export interface Known {
  readonly step: string
  readonly name: string
  readonly rung: number
  readonly how: How
}

export interface ArrivalCheck {
  readonly asked: number
  /** Steps that were not light and easy. */
  readonly failed: readonly string[]
  readonly known: readonly Known[]
  /** Steps that are open for work now. */
  readonly opens: readonly string[]
  readonly next: ArrivalAsk | null
  /** Why it ends, where it does. */
  readonly end: string | null
}

/** After so many steps that did not go it is clear where the work begins, and the horse has had enough of it. */
const MOST_FAILED = 2
const MOST_ASKS = 20

const goingOn = (path: Path): ArrivalAsk | null => {
  if (!path.begun) return null
  const { step, standing } = path.begun
  const wanted = rungWanted(path.program, step)
  return {
    step: step.key,
    name: step.name,
    side: standing.side,
    rung: standing.again ? Math.min(step.requiredRung, wanted) : step.requiredRung,
    reason: standing.again
      ? 'Once more, a little smaller: it may have been chance'
      : `The ${standing.side} side is a horse of its own`,
  }
}

const reasonFor = (path: Path, at: number): string => {
  if (path.answers.length === 0) return 'Safe to begin with: it tells how far up to go on'
  if (path.failed.length > 0) return 'Step by step now: one did not go'
  return at === 0
    ? 'The next on the path: further up is not safe yet'
    : `${at + 1} steps up: settles its place with the fewest asks`
}

const nextAsk = (path: Path): ArrivalAsk | null => {
  const { unsettled } = path
  const best = bestPlace(
    unsettled.map((step) => sidesOf(step).length),
    MOST_FAILED - path.failed.length,
    (at) => path.isSafe(unsettled[at]!),
  )
  if (!best) return null
  const step = unsettled[best.at]!
  return {
    step: step.key,
    name: step.name,
    side: sidesOf(step)[0]!,
    rung: step.requiredRung,
    reason: reasonFor(path, best.at),
  }
}

const endOf = ({ failed, answers }: Path): string => {
  if (failed.length >= MOST_FAILED) return 'Two steps did not go: this is where its work begins.'
  if (answers.length >= MOST_ASKS) return 'Twenty asks are enough for one day.'
  return 'Its place on the path is settled: nothing that is safe to ask would tell more.'
}

/**
 * An arrival check as far as it has come: what was shown, what lies below it, which steps that opens, and the next ask.
 * A horse is taken to hold the path up to some place; the order is the core’s: the stride that is expected to find that
 * place with the fewest asks while no more than two steps fail.
 */
export const arrivalCheck = (program: Program, answers: readonly ArrivalAnswer[]): ArrivalCheck => {
  const path = new Path(program, answers)
  const isOver = path.failed.length >= MOST_FAILED || answers.length >= MOST_ASKS
  const next = goingOn(path) ?? (isOver ? null : nextAsk(path))
  return {
    asked: answers.length,
    failed: path.failed.map(({ key }) => key),
    known: program.steps
      .filter((step) => path.rungKnown(step) > 0)
      .map((step) => ({
        step: step.key,
        name: step.name,
        rung: path.rungKnown(step),
        how: path.isShown(step) ? 'shown' : 'below',
      })),
    opens: program.steps.filter((step) => path.isOpen(step)).map(({ key }) => key),
    next,
    end: next === null ? endOf(path) : null,
  }
}
