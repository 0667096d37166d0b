import { daysBetween, type Day, type Side } from '../answer'
import { rungName, sidesOf, stepOf, type Program, type Step } from '../program'
import { trackKey, type State, type TrackView, type Views } from '../readiness'

/** What was asked longer ago is not known to hold. */
export const ASKED_WITHIN_DAYS = 21

/** What a horse was to leave with, on one side, and whether it does. */
export interface Promised {
  readonly step: string
  readonly name: string
  readonly side: Side
  /** What was promised of it, in the words of its rung. */
  readonly rung: string
  readonly state: State
  readonly holds: boolean
  readonly lastAsked: Day | null
  /** Why it does not hold; empty where it does. */
  readonly why: string
}

const STANDS: Readonly<Record<Exclude<State, 'solid'>, string>> = {
  new: 'never asked here',
  started: 'only begun',
  coming: 'on the way',
  rusty: 'worn by time',
  slipped: 'slipped',
}

const whyNot = (view: TrackView | undefined, on: Day): string => {
  if (!view || view.lastDay === null) return 'never asked here'
  if (view.state !== 'solid') return STANDS[view.state]
  return daysBetween(view.lastDay, on) > ASKED_WITHIN_DAYS ? `not asked since ${view.lastDay}` : ''
}

const promiseOf = (
  step: Step,
  side: Side,
  { view, on }: { view: TrackView | undefined; on: Day },
): Promised => {
  const why = whyNot(view, on)
  return {
    step: step.key,
    name: step.name,
    side,
    rung: rungName(step, step.requiredRung),
    state: view?.state ?? 'new',
    holds: why === '',
    lastAsked: view?.lastDay ?? null,
    why,
  }
}

interface Asked {
  /** The steps it is to leave with. */
  readonly promised: readonly string[]
  readonly on: Day
}

/** Every side of what was promised, in the order of the path; a step the program no longer has is no promise. */
export const promisesOf = (program: Program, views: Views, { promised, on }: Asked): readonly Promised[] =>
  program.steps
    .filter(({ key }) => promised.includes(key))
    .flatMap((step) =>
      sidesOf(step).map((side) => promiseOf(step, side, { view: views.get(trackKey(step.key, side)), on })),
    )

/** "10 of 12 hold: Not yet." A step holds where all its sides do. */
export const promiseVerdict = (promises: readonly Promised[]) => {
  const steps = [...new Set(promises.map(({ step }) => step))]
  const held = steps.filter((key) => promises.every(({ step, holds }) => step !== key || holds)).length
  const says = steps.length > 0 && held === steps.length ? ('go' as const) : ('not-yet' as const)
  return { of: steps.length, held, says }
}

/** What a new hand asks first: what keeps people whole, as far as it was ever asked, in the order of the path. */
const FIRST_ASKS = [
  'leads',
  'steps-back',
  'yields-hind',
  'stands',
  'bends',
  'ties',
  'front-foot',
  'hind-foot',
] as const

export const firstAsks = (program: Program, views: Views): readonly string[] =>
  program.steps
    .filter(({ serves = [] }) => FIRST_ASKS.some((one) => serves.includes(one)))
    .filter(({ key }) =>
      sidesOf(stepOf(program, key)!).some((side) => (views.get(trackKey(key, side))?.answers ?? 0) > 0),
    )
    .map(({ name }) => name)
