import { STANDARD_MODEL } from '../../src/judgement'
import { plainDay, type Planner } from '../../src/herd'
import { STANDARD_LAW } from '../../src/learning'
import { planSession } from '../../src/plan'
import { choose } from '../../src/plan/choose'
import { goalsOf } from '../../src/plan/goals'
import { openSteps } from '../../src/plan/open-steps'
import { inOrder } from '../../src/plan/order'
import { partsOf } from '../../src/plan/parts'
import { candidateFor, type Candidate, type Way } from '../../src/plan/ways'
import { expectedGains } from '../../src/plan/worth'

export const MINUTES = 25

const LEARNER = { model: STANDARD_MODEL, law: STANDARD_LAW }

/** What a way is expected to teach, whatever asks for it. */
const taught = ({ open, top }: Candidate, { kind, sides, visits }: Way, on: string): number =>
  open.tracks.reduce((sum, { side, rung, view }) => {
    if (view.state === 'solid') return sum
    const { asks } = sides[0]!.find((part) => part.side === side)!
    const most = Math.min(top, open.step.requiredRung)
    return (
      sum +
      expectedGains(LEARNER, view, { rung, top: most, asks, visits: kind === 'check' ? 1 : visits, on }).at(
        -1,
      )!.ability
    )
  }, 0)

/** Takes what teaches most in the minutes there are, by the same law and the same rules of a session. */
const greedy: Planner = (program, views, { facts, on }) => {
  const goals = goalsOf(LEARNER, program, { views, facts, on })
  const candidates = openSteps(program, views, { facts, on })
    .open.map((open) =>
      candidateFor(LEARNER, program, { views, goal: goals.get(open.step.key)!, open, allowed: null, on }),
    )
    .filter((candidate) => candidate !== null)
    .map((candidate) => ({
      ...candidate,
      ways: candidate.ways.map((way) => ({ ...way, first: [], worth: taught(candidate, way, on) })),
    }))
  const { taken } = choose(candidates, { minutes: MINUTES, checks: 2, learning: 3 })
  const parts = taken.flatMap(({ candidate, way }) => partsOf(candidate, way, { role: way.kind }))
  return {
    day: on,
    bursts: inOrder(parts).map(({ step, way, visit }) => ({
      step,
      sides: way.sides[visit]!,
    })),
  }
}

const composer: Planner = (program, views, { facts, on, today }) =>
  planSession(program, views, {
    facts,
    on,
    asked: {
      today,
      outlook: { minutes: MINUTES, helper: true, suits: null, weather: 'fair', loadDays: 0 },
    },
  })

export const PLANNERS = { composer, greedy, plain: plainDay } satisfies Record<string, Planner>
