import type { Day } from '../answer'
import { STAGES } from '../program'
import { trackMeets, type TrackView, type Views } from '../readiness'
import {
  candidateFor,
  choose,
  daysShort,
  looksFor,
  MOST_CHECKS,
  MOST_LEARNING,
  partsOf,
  sparing,
  type Candidate,
  type Goal,
  type Learner,
  type OpenStep,
  type Part,
} from '../plan'
import type { Needed, Path, PathGate, PathStep } from './path'

/** What a morning is planned from. */
export interface Morning {
  readonly path: Path
  readonly learner: Learner
  readonly views: readonly TrackView[]
  readonly named: Views
  readonly on: Day
  /** Whole months; nothing where it is not known when it was born. */
  readonly months: number | null
  readonly load: boolean
  readonly helper: boolean
  readonly minutes: number
}

const HOLDS = ['rusty', 'solid']

const holds = ({ path, views }: Morning, { step }: Needed): boolean =>
  path.steps[step]!.tracks.every((i) => HOLDS.includes(views[i]!.state))

const isMet = ({ path, views }: Morning, { step, rung }: Needed): boolean =>
  path.steps[step]!.tracks.every((i) => trackMeets(views[i]!, rung))

const isOldEnough = ({ months }: Morning, least: number): boolean =>
  least === 0 || (months !== null && months >= least)

/** Everything a gate asks for holds, or is only worn; what a person clears is taken as cleared. */
export const isBefore = (morning: Morning, gate: PathGate): boolean =>
  isOldEnough(morning, gate.leastMonths) &&
  gate.solid.every((need) => holds(morning, need)) &&
  gate.met.every((need) => isMet(morning, need))

/** From this stage on nothing is done alone. */
const WITH_A_HELPER = STAGES.indexOf('First time up') + 1

/** The hardest rung that may be asked today; 0 where none may. */
const topOf = (morning: Morning, { step, openings }: PathStep, open: readonly boolean[]): number => {
  if (!morning.helper && step.stage >= WITH_A_HELPER) return 0
  const shut = openings.findIndex(
    ({ needs, gates, leastMonths, isLoad }) =>
      (isLoad && !morning.load) ||
      !isOldEnough(morning, leastMonths) ||
      gates.some((gate) => !open[gate]) ||
      needs.some((need) => !isMet(morning, need)),
  )
  return shut < 0 ? openings.length : shut
}

/** Each gate further on counts this share of the one before. */
const FURTHER_GATE = 0.9

/** How much each step counts: by the nearest gate ahead that asks for it. */
const weightsOf = (morning: Morning): readonly number[] => {
  const { path } = morning
  let further = 1
  const weights = path.gates.map(({ opens }) => {
    if (opens !== null && holds(morning, { step: opens, rung: 0 })) return 0
    const weight = further
    further *= FURTHER_GATE
    return weight
  })
  return path.steps.map(({ askedBy }) => Math.max(...askedBy.map((gate) => weights[gate]!)))
}

/** The steps that wait for each step today. */
const waitingFor = (morning: Morning, open: readonly boolean[]): readonly (readonly number[])[] => {
  const { path } = morning
  const waits: number[][] = path.steps.map(() => [])
  path.steps.forEach(({ openings, rung }, waiting) => {
    for (const { needs, gates } of openings.slice(rung - 1, rung)) {
      for (const need of needs) if (!isMet(morning, need)) waits[need.step]!.push(waiting)
      for (const gate of gates.filter((one) => !open[one])) {
        const { solid, met } = path.gates[gate]!
        for (const need of solid) if (!holds(morning, need)) waits[need.step]!.push(waiting)
        for (const need of met) if (!isMet(morning, need)) waits[need.step]!.push(waiting)
      }
    }
  })
  return waits
}

/** What the path asks of every step today, and how much hangs on it. */
const goalsOf = (morning: Morning, open: readonly boolean[]): readonly Goal[] => {
  const { path, learner, views } = morning
  const waits = waitingFor(morning, open)
  const weights = weightsOf(morning)
  const days = path.steps.map(({ step, tracks, rung, must }) =>
    Math.max(...tracks.map((i) => daysShort(learner, step, { view: views[i]!, rung, must }))),
  )
  const behind = new Array<number>(path.steps.length).fill(-1)
  const chainBehind = (step: number): number => {
    if (behind[step]! >= 0) return behind[step]!
    behind[step] = 0
    for (const next of waits[step]!) behind[step] = Math.max(behind[step]!, days[next]! + chainBehind(next))
    return behind[step]!
  }
  return path.steps.map(({ step, rung, must }, i) => ({
    step,
    rung,
    must,
    gate: null,
    weight: weights[i]!,
    days: days[i]!,
    behind: chainBehind(i),
    due: null,
  }))
}

const openStepOf = ({ path, views }: Morning, { step, tracks }: PathStep, top: number): OpenStep => ({
  step,
  tracks: tracks.map((i) => ({
    side: path.tracks[i]!.side,
    view: views[i]!,
    rung: Math.min(views[i]!.openAt, top),
  })),
  permits: [],
  heldBy: top < step.rungs.length ? { from: top + 1, words: '' } : null,
})

const candidatesOf = (morning: Morning, goals: readonly Goal[], open: readonly boolean[]) => {
  const { path, learner, named, on } = morning
  return path.steps.flatMap((one, i): Candidate[] => {
    const top = topOf(morning, one, open)
    if (top === 0) return []
    const step = openStepOf(morning, one, top)
    const made = candidateFor(learner, path.program, {
      views: named,
      goal: goals[i]!,
      open: step,
      allowed: null,
      on,
    })
    return made ? [made] : []
  })
}

/** A session holds five steps at the most: of these many the best ones are the best of all, but for a minute here or there. */
const WORTH_A_LOOK = 12

const mostOf = ({ ways }: Candidate): number => ways.reduce((most, { worth }) => Math.max(most, worth), 0)

/** The composer's own choice among the steps that are worth most. */
const chooseByHand = sparing((candidates, limits) => {
  const best = candidates.toSorted((a, b) => mostOf(b) - mostOf(a)).slice(0, WORTH_A_LOOK)
  return choose(best, limits)
})

/** The bursts of a morning, as a hand that reckons with the composer's worth would have them. */
export const handsDay = (morning: Morning): readonly Part[] => {
  const open = morning.path.gates.map((gate) => isBefore(morning, gate))
  const candidates = candidatesOf(morning, goalsOf(morning, open), open)
  const limits = { minutes: morning.minutes, checks: MOST_CHECKS, learning: MOST_LEARNING }
  const { taken } = chooseByHand(candidates, limits, false)
  const parts = taken.flatMap(({ candidate, way }) => partsOf(candidate, way, { role: way.kind }))
  return [
    ...looksFor(taken, candidates),
    ...parts.toSorted((a, b) => Number(a.role === 'learn') - Number(b.role === 'learn') || a.visit - b.visit),
  ]
}

/** The tracks a gate waits for on a morning. */
export const waitedFor = (morning: Morning, gate: PathGate): readonly number[] => {
  const { path, views } = morning
  return [
    ...gate.solid.flatMap(({ step }) =>
      path.steps[step]!.tracks.filter((i) => !HOLDS.includes(views[i]!.state)),
    ),
    ...gate.met.flatMap(({ step, rung }) =>
      path.steps[step]!.tracks.filter((i) => !trackMeets(views[i]!, rung)),
    ),
  ]
}
