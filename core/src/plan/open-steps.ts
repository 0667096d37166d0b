import type { Day, Side } from '../answer'
import { isPermitted, permit, type Permit, type PermitHorse, type PermitRule, type Reason } from '../permit'
import { sidesOf, type Program, type Step } from '../program'
import { lowerFirst, trackKey, type Facts, type TrackView, type Views } from '../readiness'

/** A track that may be worked today, and the rung its first ask opens at. */
export interface OpenTrack {
  readonly side: Side
  readonly view: TrackView
  readonly rung: number
}

export interface OpenStep {
  readonly step: Step
  readonly tracks: readonly OpenTrack[]
  /** What is said to each rung that may be asked, easiest first; a rung further up than these may not be. */
  readonly permits: readonly Permit[]
  /** What keeps it below a rung, if anything does. */
  readonly heldBy: { readonly from: number; readonly words: string } | null
}

export interface ClosedStep {
  readonly step: Step
  readonly words: string
}

const saysNo = ({ because }: Permit): readonly Reason[] => because.filter(({ answer }) => answer === 'no')

const needsWords = (reasons: readonly Reason[]): string =>
  `needs ${reasons.map(({ words }) => words.replace(/^First /, '').replace(/\.$/, '')).join('; ')}`

/** Reasons that stand whatever the horse can; of any other, what it is to learn first says more. */
const WHATEVER_IT_CAN: readonly PermitRule[] = ['veterinary-hold', 'block', 'age', 'incident']

/** Why a rung is shut, as the end of a sentence: its needs together, or else the gravest reason. */
const shutWords = (shut: Permit): string => {
  const reasons = saysNo(shut)
  const needs = reasons.filter(({ rule }) => rule === 'needs')
  const whatever = reasons.find(({ rule }) => WHATEVER_IT_CAN.includes(rule))
  if (!whatever && needs.length > 0) return needsWords(needs)
  return lowerFirst((whatever ?? reasons[0]!).words.replace(/\.$/, ''))
}

/** The permits of a step's rungs up to the first that may not be asked, and that one. */
const climbed = (
  horse: PermitHorse,
  step: Step,
  on: Day,
): { readonly permits: readonly Permit[]; readonly shut: Permit | null } => {
  const permits: Permit[] = []
  for (let rung = 1; rung <= step.rungs.length; rung++) {
    const one = permit(horse, { step: step.key, rung }, on)
    if (!isPermitted(one)) return { permits, shut: one }
    permits.push(one)
  }
  return { permits, shut: null }
}

/** The steps that are open for work today, and why each other step is not: all as the permit says. */
export const openSteps = (
  program: Program,
  views: Views,
  { facts, on }: { facts: Facts; on: Day },
): { open: readonly OpenStep[]; closed: readonly ClosedStep[] } => {
  const open: OpenStep[] = []
  const closed: ClosedStep[] = []
  for (const step of program.steps) {
    const { permits, shut } = climbed({ program, views, facts }, step, on)
    if (permits.length === 0) {
      closed.push({ step, words: shutWords(shut!) })
      continue
    }
    const tracks = sidesOf(step).map((side) => {
      const view = views.get(trackKey(step.key, side))!
      return { side, view, rung: Math.min(view.openAt, permits.length) }
    })
    const heldBy = shut ? { from: permits.length + 1, words: shutWords(shut) } : null
    open.push({ step, tracks, permits, heldBy })
  }
  return { open, closed }
}
