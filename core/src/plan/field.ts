import type { Day } from '../answer'
import type { Program } from '../program'
import type { Facts, Views } from '../readiness'
import { learnerOf, type PlanRequest } from './asked'
import { openingOf, type Opening } from './gate-asks'
import { goalsOf } from './goals'
import type { ClosedStep, OpenStep } from './open-steps'
import { highestAlone, highestToday, leftOutBy, ORDINARY } from './outlook'
import { NOTHING_YET } from './today'
import { candidateFor, type Candidate } from './ways'

/** What may be worked today, and what today bars. */
export interface Field {
  /** The gate that waits for first asks alone, and what it opens. */
  readonly opening: Opening | null
  readonly candidates: readonly Candidate[]
  /** Open, and barred by what today is like. */
  readonly barred: readonly ClosedStep[]
}

type Allowed = ReturnType<typeof highestToday>

const lower = (a: Allowed, b: Allowed): Allowed => (a !== null && (b === null || a.rung <= b.rung) ? a : b)

/** The open steps that today allows, with every way they may be worked, and those it does not, with the rule. */
export const fieldOf = (
  program: Program,
  views: Views,
  {
    facts,
    on,
    open,
    asked: { outlook = ORDINARY, learner = learnerOf(program, views), aim, today = NOTHING_YET },
  }: { facts: Facts; on: Day; open: readonly OpenStep[]; asked: PlanRequest },
): Field => {
  const goals = goalsOf(learner, program, { views, facts, on, ...(aim === undefined ? {} : { aim }) })
  const candidates: Candidate[] = []
  const barred: ClosedStep[] = []
  for (const one of open) {
    const { step, tracks } = one
    const over = today.over.get(step.key)
    if (over) {
      barred.push({
        step,
        words: over === 'done' ? 'done for today: it held' : 'no more of it today: it went badly',
      })
      continue
    }
    const allowed = lower(
      highestToday(outlook, program, { step, facts, on }),
      highestAlone(outlook, one.permits),
    )
    const isNew = tracks.every(({ view }) => view.answers === 0)
    const rule = leftOutBy(outlook, step, { permits: one.permits, isNew })
    const candidate =
      rule === null
        ? candidateFor(learner, program, { views, goal: goals.get(step.key)!, open: one, allowed, on, today })
        : null
    if (candidate) candidates.push(candidate)
    else barred.push({ step, words: rule ?? allowed!.rule })
  }
  return { opening: openingOf(goals), candidates, barred }
}
