import { isLight, isTight, type Calm, type Grade, type Side } from '../answer'
import { sidesOf, type Step } from '../program'

/** One answer of an arrival check. */
export interface ArrivalAnswer {
  readonly step: string
  readonly side: Side
  readonly rung: number
  readonly grade: Grade
  readonly calm: Calm | null
}

export type Standing =
  | { readonly is: 'held'; readonly rung: number }
  | { readonly is: 'not-held' }
  /** To be asked on; `again` where an answer of this side did not go. */
  | { readonly is: 'open'; readonly side: Side; readonly again: boolean }

const passed = ({ grade, calm }: ArrivalAnswer): boolean => isLight(grade) && !isTight(calm)

/** One side: light and easy at once is held; one that was not is asked again, and must then go well twice. */
const sideStanding = (side: Side, answers: readonly ArrivalAnswer[]): Standing => {
  const [first, second, third] = answers
  if (!first) return { is: 'open', side, again: false }
  if (passed(first)) return { is: 'held', rung: first.rung }
  if (second && !passed(second)) return { is: 'not-held' }
  if (!second || !third) return { is: 'open', side, again: true }
  return passed(third) ? { is: 'held', rung: Math.min(second.rung, third.rung) } : { is: 'not-held' }
}

/** A step from its answers: held as far as its worse side is, not held as soon as one side is not. */
export const stepStanding = (step: Step, answers: readonly ArrivalAnswer[]): Standing => {
  const sides = sidesOf(step).map((side) =>
    sideStanding(
      side,
      answers.filter((one) => one.step === step.key && one.side === side),
    ),
  )
  const failed = sides.find(({ is }) => is === 'not-held')
  const open = sides.find(({ is }) => is === 'open')
  if (failed ?? open) return (failed ?? open)!
  return { is: 'held', rung: Math.min(...sides.map((side) => (side.is === 'held' ? side.rung : 0))) }
}
