import type { Gate } from '../program'
import { choose, type Choice, type Limits } from './choose'
import type { Field } from './field'
import { BEHIND_GATE_MINUTES, gateAsks } from './gate-asks'
import { closingFrom, looksFor, minutesOfAll, minutesOfPart, partsOf, type Part } from './parts'
import type { Today } from './today'
import type { Candidate } from './ways'

/** One or two first asks open a session, and at most three steps are learnt in it. */
export const MOST_CHECKS = 2
export const MOST_LEARNING = 3

export const stepsIn = (parts: readonly Part[], role: Part['role']): number =>
  new Set(parts.filter((part) => part.role === role).map(({ step }) => step)).size

/** Legs and back are spared: a day becomes a load day for no less than this, or half of all that waits for one. */
const LOAD_DAY_COST = 3
const SHARE_OF_WAITING = 0.5

/** What is still to be learnt of load, if there were no end of minutes today. */
const waitingForLoad = (candidates: readonly Candidate[]): number =>
  candidates
    .filter(({ goal }) => goal.days > 0)
    .reduce(
      (sum, { ways }) => sum + Math.max(0, ...ways.filter(({ isLoad }) => isLoad).map(({ worth }) => worth)),
      0,
    )

/** A way to choose, with a load day weighed against a day of handling. */
export const sparing =
  (pick: (candidates: readonly Candidate[], limits: Limits) => Choice) =>
  (candidates: readonly Candidate[], limits: Limits, isLoadDay: boolean): Choice => {
    const any = pick(candidates, limits)
    if (isLoadDay || !any.taken.some(({ way }) => way.isLoad)) return any
    const handling = pick(
      candidates.map((candidate) => ({ ...candidate, ways: candidate.ways.filter(({ isLoad }) => !isLoad) })),
      limits,
    )
    const cost = Math.min(LOAD_DAY_COST, SHARE_OF_WAITING * waitingForLoad(candidates))
    return handling.worth + cost >= any.worth ? handling : any
  }

const chooseSparingly = sparing(choose)

/** What a session may still hold, beside what it has had and what is pinned. */
const limitsFor = (minutes: number, pinned: readonly Part[], today: Today): Limits => {
  const learnt = [...today.visits.keys()].filter((key) => !pinned.some(({ step }) => step === key)).length
  return {
    minutes: minutes - minutesOfAll(pinned),
    checks: today.last === null ? Math.max(0, MOST_CHECKS - stepsIn(pinned, 'check')) : 0,
    learning: Math.max(0, MOST_LEARNING - stepsIn(pinned, 'learn') - learnt),
  }
}

/** The best choice for the minutes that pins leave, with a good ending kept room for where the choice has none. */
const bestParts = (
  candidates: readonly Candidate[],
  minutes: number,
  { fixed, today }: { fixed: readonly Part[]; today: Today },
): readonly Part[] => {
  const taken = new Set(fixed.map(({ step }) => step))
  const free = candidates.filter(({ open }) => !taken.has(open.step.key))
  const limits = limitsFor(minutes, fixed, today)
  const parts = ({ taken }: Choice): readonly Part[] => [
    ...looksFor(taken, candidates),
    ...taken.flatMap(({ candidate, way }) => partsOf(candidate, way, { role: way.kind })),
  ]
  const isLoadDay = fixed.some(({ way }) => way.isLoad)
  const choice = parts(chooseSparingly(free, limits, isLoadDay))
  const hasEnding = [...choice, ...fixed].some(({ role, endsWell }) => role === 'learn' && endsWell)
  if (hasEnding || choice.length === 0) return choice
  const closing = closingFrom(free, new Set(choice.map(({ step }) => step)))
  if (!closing) return choice
  const shorter = chooseSparingly(
    free.filter(({ open }) => open.step.key !== closing.step),
    { ...limits, minutes: limits.minutes - minutesOfPart(closing) },
    isLoadDay || closing.way.isLoad,
  )
  return [...parts(shorter), closing]
}

export const worthOfAll = (parts: readonly Part[]): number => parts.reduce((sum, { worth }) => sum + worth, 0)

/** The best choice, or all the first asks of a gate and the best beside them where what it opens is worth more. */
export const chosenParts = (
  { opening }: Field,
  candidates: readonly Candidate[],
  { minutes, pinned, today }: { minutes: number; pinned: readonly Part[]; today: Today },
): { readonly parts: readonly Part[]; readonly gate: Gate | null } => {
  const plain = bestParts(candidates, minutes, { fixed: pinned, today })
  const asks = opening && pinned.length === 0 ? gateAsks(opening, candidates, minutes) : []
  if (asks.length === 0) return { parts: plain, gate: null }
  const left = minutes - BEHIND_GATE_MINUTES
  const beside = [...asks, ...bestParts(candidates, left, { fixed: asks, today })]
  return worthOfAll(beside) + opening!.worth > worthOfAll(plain)
    ? { parts: beside, gate: opening!.gate }
    : { parts: plain, gate: null }
}
