import type { Side } from '../answer'
import { gateGuarding, sidesOf, type Program, type Step } from '../program'
import {
  gateVerdict,
  trackKey,
  unmetNeeds,
  type Facts,
  type TrackView,
  type Verdict,
  type Views,
} from '../readiness'

/** A track that may be worked today, and the rung its first ask opens at. */
export interface OpenTrack {
  readonly side: Side
  readonly view: TrackView
  readonly rung: number
}

export interface OpenStep {
  readonly step: Step
  readonly tracks: readonly OpenTrack[]
  /** The gate that keeps it below a rung, if one does. */
  readonly heldBy: {
    readonly gate: string
    readonly name: string
    readonly verdict: Verdict
    readonly from: number
  } | null
}

export interface ClosedStep {
  readonly step: Step
  readonly words: string
}

const heldBy = (program: Program, step: Step, views: Views, facts: Facts, on: string): OpenStep['heldBy'] => {
  const gate = gateGuarding(program, step.key, step.rungs.length)
  if (!gate || gate.guards.kind !== 'step') return null
  const { verdict } = gateVerdict(program, gate, views, facts, on)
  return verdict === 'go' ? null : { gate: gate.key, name: gate.name, verdict, from: gate.guards.fromRung }
}

/** The steps that are open for work today, and why each other step is not. */
export const openSteps = (
  program: Program,
  views: Views,
  facts: Facts,
  on: string,
): { open: readonly OpenStep[]; closed: readonly ClosedStep[] } => {
  const open: OpenStep[] = []
  const closed: ClosedStep[] = []
  for (const step of program.steps) {
    const unmet = unmetNeeds(program, views, step, facts.known)
    if (unmet.length > 0) {
      closed.push({ step, words: `needs ${unmet.map(({ words }) => words).join('; ')}` })
      continue
    }
    const held = heldBy(program, step, views, facts, on)
    if (held && held.from === 1) {
      closed.push({ step, words: `the ${held.name} gate is shut` })
      continue
    }
    const top = held ? held.from - 1 : step.rungs.length
    const tracks = sidesOf(step).map((side) => {
      const view = views.get(trackKey(step.key, side))!
      return { side, view, rung: Math.min(view.openAt, top) }
    })
    open.push({ step, tracks, heldBy: held })
  }
  return { open, closed }
}
