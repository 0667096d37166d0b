import type { Day } from '../answer'
import { HANDLING_MINUTES, isLoad } from '../counters'
import { ORDINARY, planSession, type Outlook, type SessionPlan } from '../plan'
import { USES, type Program, type Use } from '../program'
import type { Facts, Views } from '../readiness'
import type { Option } from './asked'
import { isLoadVisit } from './rules'

/** More than this of an ordinary work day is promised of no session. */
const MOST_SAVED = 1.2

/** More load days than any horse may have: with them behind it, it is only handled. */
const NO_LOAD_LEFT = 7

const HARD: readonly Use[] = ['mounting', 'ridden']

const loads = (program: Program, { bursts }: SessionPlan): boolean =>
  bursts.some(({ step, sides }) => sides.some(({ rung }) => isLoad(program, step, rung)))

const rolesFor = (use: Use, helper: boolean): readonly string[] => [
  use === 'ridden' ? 'ride' : 'start',
  ...(helper ? ['help'] : []),
]

/** The cheaper of two that are worth the same: without load, alone, shorter. */
const isNoBetter = (one: Option, other: Option): boolean =>
  one.use === other.use &&
  one.savedDays <= other.savedDays &&
  Number(one.load) >= Number(other.load) &&
  one.roles.length >= other.roles.length &&
  one.minutes >= other.minutes

/**
 * What a horse may be worked at in a week, by the composer on one day: for each use, with and without load and a helper,
 * as a share of what its session of that day would save with everything allowed. What another of them does as well for
 * less is left out. None where nothing is open, or where it rests.
 */
export const optionsOf = (
  program: Program,
  views: Views,
  { facts, on }: { facts: Facts; on: Day },
): readonly Option[] => {
  const planned = (outlook: Partial<Outlook>): SessionPlan =>
    planSession(program, views, { facts, on, asked: { outlook: { ...ORDINARY, ...outlook } } })
  const full = planned({}).worth
  if (full <= 0) return []
  const optionOf = (use: Use, helper: boolean, loadDays: number): Option | null => {
    const minutes = loadDays > 0 ? HANDLING_MINUTES : null
    const plan = planned({ suits: [use], helper, loadDays, minutes })
    return plan.rests || plan.worth <= 0
      ? null
      : {
          use,
          minutes: Math.max(1, plan.minutes),
          load: loads(program, plan),
          hard: HARD.includes(use),
          roles: rolesFor(use, helper),
          savedDays: Math.min(MOST_SAVED, plan.worth / full),
        }
  }
  const options = USES.flatMap((use) => {
    // What is nothing with everything allowed is nothing with less.
    const helped = optionOf(use, true, 0)
    if (helped === null) return []
    const alone = optionOf(use, false, 0)
    const lighter = [
      ...(isLoadVisit(helped) ? [optionOf(use, true, NO_LOAD_LEFT)] : []),
      ...(alone && isLoadVisit(alone) ? [optionOf(use, false, NO_LOAD_LEFT)] : []),
    ]
    return [helped, alone, ...lighter].filter((one) => one !== null)
  })
  return options.filter((one, i) =>
    options.every((other, j) => i === j || !isNoBetter(one, other) || (isNoBetter(other, one) && i < j)),
  )
}
