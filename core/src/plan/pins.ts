import type { Day } from '../answer'
import type { Program } from '../program'
import type { Wishes } from './burst'
import type { ClosedStep } from './open-steps'
import { checkOf, partsOf, visitOf, withAsks, type Part } from './parts'
import type { Learner } from './shortfall'
import { learnWay, type Candidate, type Way } from './ways'

/** What a person has put into the session, and what has to be said about it. */
export interface Pinned {
  readonly parts: readonly Part[]
  readonly remarks: readonly string[]
}

/** So few asks are a check where the step is ready for one. */
const CHECK_ASKS = 2

const wayFor = (
  program: Program,
  learner: Learner,
  { on, candidate, pins }: { on: Day; candidate: Candidate; pins: Wishes['pinned'] },
): Way => {
  const check = checkOf(candidate)
  const [first] = pins
  if (check && pins.length === 1 && first!.asks !== undefined && first!.asks <= CHECK_ASKS) return check
  const { open, goal, first: side, top } = candidate
  const way = learnWay({ program, learner, on, goal, open, first: side, top }, pins.length, [])
  return {
    ...way,
    sides: way.sides.map((sides, i) => {
      const { asks } = pins[i]!
      return asks === undefined ? sides : withAsks(sides, asks)
    }),
  }
}

/** The pinned bursts; a pin that cannot be honoured is told, and so is one that goes against a rule. */
export const pinnedParts = (
  program: Program,
  learner: Learner,
  {
    on,
    candidates,
    barred,
    wishes: { pinned },
  }: { on: Day; candidates: readonly Candidate[]; barred: readonly ClosedStep[]; wishes: Wishes },
): Pinned => {
  const remarks: string[] = []
  const parts = [...new Set(pinned.map(({ step }) => step))].flatMap((key) => {
    const candidate = candidates.find(({ open }) => open.step.key === key)
    if (!candidate) {
      const closed = barred.find(({ step }) => step.key === key)
      if (closed) remarks.push(`${closed.step.name} cannot be put in: ${closed.words}.`)
      return []
    }
    const unchecked = visitOf(candidate).first.map(({ name }) => name.toLowerCase())
    if (unchecked.length > 0)
      remarks.push(`${candidate.open.step.name} puts together ${unchecked.join(', ')}: check them first.`)
    const pins = pinned.filter(({ step }) => step === key)
    const way = wayFor(program, learner, { on, candidate, pins })
    return partsOf(candidate, way, { role: way.kind, pinnedAt: pins.map(({ at }) => at) })
  })
  return { parts, remarks }
}
