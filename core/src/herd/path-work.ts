import type { Day } from '../answer'
import { sidesOf, type Program, type Step } from '../program'
import type { DayOfWork } from './work-day'

/** A long stretch of work told briefly: some steps at a time along the path, and the older ones looked at again. */
export interface PathWork {
  /** The last step it came to. */
  readonly upTo: string
  /** Steps it has left out so far. */
  readonly without?: readonly string[]
}

/** Steps in hand at once, and for how many sessions each. */
const IN_HAND = 6
const SESSIONS_A_STEP = 5

/** Older steps asked again in one session. */
const LOOKED_AT = 9

const LEARNING_ASKS = 4

const stepsOf = (program: Program, { upTo, without = [] }: PathWork): readonly Step[] => {
  const last = program.steps.findIndex(({ key }) => key === upTo)
  return program.steps.slice(0, last + 1).filter(({ key }) => !without.includes(key))
}

const askedAt = (step: Step, rung: number, asks: number): DayOfWork['bursts'][number] => ({
  step: step.key,
  sides: sidesOf(step).map((side) => ({ side, rung, asks, places: [] })),
})

/** The required rung is reached in the third session. */
const learningRung = ({ requiredRung }: Step, session: number): number =>
  Math.min(requiredRung, Math.max(1, Math.ceil((requiredRung * (session + 1)) / 3)))

/** The first session of each step: evenly spread, so that the last ones are in hand when the stretch ends. */
const firstSession = (index: number): number => Math.floor((index * SESSIONS_A_STEP) / IN_HAND)

/** How many sessions the steps of a stretch take. */
export const sessionsFor = (program: Program, path: PathWork): number =>
  firstSession(stepsOf(program, path).length - 1) + SESSIONS_A_STEP

/** What is done in each session of a stretch that ends as the last step is learnt. */
export const pathWork = (program: Program, path: PathWork, days: readonly Day[]): readonly DayOfWork[] => {
  const steps = stepsOf(program, path)
  const begins = (step: Step): number => firstSession(steps.indexOf(step))
  const lastAsked = new Map<Step, number>()
  return days.map((day, session) => {
    const inHand = steps.filter((step) => session >= begins(step) && session < begins(step) + SESSIONS_A_STEP)
    const older = steps
      .filter((step) => session >= begins(step) + SESSIONS_A_STEP)
      .sort((a, b) => lastAsked.get(a)! - lastAsked.get(b)!)
      .slice(0, LOOKED_AT)
    for (const step of [...older, ...inHand]) lastAsked.set(step, session)
    return {
      day,
      bursts: [
        ...older.map((step) => askedAt(step, step.requiredRung, 1)),
        ...inHand.map((step) => askedAt(step, learningRung(step, session - begins(step)), LEARNING_ASKS)),
      ],
    }
  })
}
