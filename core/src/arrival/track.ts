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
  | { readonly is: 'held' | 'not-held'; readonly rung: number }
  /** To be asked on; `again` where the last answer of this side did not go. `rung` is what it has shown so far. */
  | {
      readonly is: 'open'
      readonly side: Side
      readonly next: number
      readonly again: boolean
      readonly rung: number
    }

/** Steps that put nobody at risk are asked at once at the rung that matters; the others begin at the bottom. */
export const rungsToAsk = (step: Step, wanted: number): readonly number[] => {
  const top = Math.max(1, wanted)
  const isExposed = step.exposures?.some((exposed) => exposed.length > 0) ?? false
  if (!isExposed) return [top]
  return [...new Set([1, Math.ceil(top / 2), top])].sort((a, b) => a - b)
}

const passed = ({ grade, calm }: ArrivalAnswer): boolean => isLight(grade) && !isTight(calm)

/** One side: up its few rungs; what did not go is asked once more, smaller, and then must go well. */
const sideStanding = (side: Side, rungs: readonly number[], answers: readonly ArrivalAnswer[]): Standing => {
  const held = Math.max(0, ...answers.filter(passed).map(({ rung }) => rung))
  const failures = answers.filter((one) => !passed(one))
  const top = rungs.at(-1)!
  if (failures.length > 1) return { is: 'not-held', rung: held }
  const [failure] = failures
  if (failure) {
    const after = answers.slice(answers.indexOf(failure) + 1)
    if (after.some(passed)) return { is: 'held', rung: held }
    return { is: 'open', side, next: Math.max(1, failure.rung - 1), again: true, rung: held }
  }
  const next = rungs.find((rung) => rung > held)
  return next === undefined || held >= top
    ? { is: 'held', rung: held }
    : { is: 'open', side, next, again: false, rung: held }
}

/** A step from its answers: held as far as its worse side is, not held as soon as one side is not. */
export const stepStanding = (
  step: Step,
  rungs: readonly number[],
  answers: readonly ArrivalAnswer[],
): Standing => {
  const sides = sidesOf(step).map((side) =>
    sideStanding(
      side,
      rungs,
      answers.filter((one) => one.step === step.key && one.side === side),
    ),
  )
  const shown = Math.min(...sides.map(({ rung }) => rung))
  const failed = sides.find(({ is }) => is === 'not-held')
  if (failed) return { ...failed, rung: shown }
  const open = sides.find(({ is }) => is === 'open')
  return open ? { ...open, rung: shown } : { is: 'held', rung: shown }
}
