import { count, daysBetween, monthsOld, type Day, type Side } from '../answer'
import { cardFor, rungName, stepOf, type Gate, type Program, type Step } from '../program'
import {
  ago,
  gateVerdict,
  holdOn,
  sideViews,
  stepState,
  upperFirst,
  WORK_CHANCE,
  type Facts,
  type State,
  type TrackView,
  type Views,
} from '../readiness'
import { openSteps, type ClosedStep, type OpenStep } from './open-steps'
import { firstSide, shareAsks, type SidePlan } from './sides'

/** Why a burst is in the plan. */
export type Purpose = 'check' | 'mend' | 'work' | 'begin'

/** One step worked for about two minutes. */
export interface Burst {
  readonly step: string
  readonly name: string
  readonly purpose: Purpose
  readonly sides: readonly SidePlan[]
  readonly firstSide: Side
  readonly minutes: number
  /** A second visit to a step of this session. */
  readonly again: boolean
  readonly reasons: readonly string[]
  readonly kit: readonly string[]
  readonly cautions: readonly string[]
  /** A Solid ask to put in after an accept, to see that the feet still listen. */
  readonly lightAsk: {
    readonly step: string
    readonly name: string
    readonly rung: number
    readonly rungName: string
  } | null
}

/** Today's plan for one horse. */
export interface SessionPlan {
  readonly day: Day
  readonly rests: boolean
  /** Why it works today, or rests. */
  readonly reason: string
  readonly minutes: number
  readonly bursts: readonly Burst[]
  readonly kit: readonly string[]
  readonly closed: readonly { readonly step: string; readonly name: string; readonly words: string }[]
}

export const BURST_MINUTES = 2
const CHANGE_MINUTES = 1
const MOST_CHECKS = 2
const MOST_GATE_CHECKS = 4
const MOST_LEARNING = 4
const MOST_NEW = 2

/** A yearling's session (common practice, no source) and anybody else's ground session. */
const SHORT_MINUTES = 15
const GROUND_MINUTES = 25
const YEARLING_MONTHS = 24

/** Asks of a learning burst before it is left for something else. */
const LEARNING_ASKS = 6
const HOLD_ASKS = 2

/** A Solid or Rusty step is looked at again when it has not been asked for this long. */
const LOOK_AGAIN_DAYS = 7

/** How often a session comes to one step, with something else between. */
const MOST_VISITS = 2

interface Candidate {
  readonly open: OpenStep
  readonly state: State
  readonly purpose: Purpose
  /** The gate that wants this step asked, where one is near. */
  readonly gate: string | null
}

const worst = (open: OpenStep): TrackView =>
  [...open.tracks].sort((a, b) => a.view.chance * a.view.calmChance - b.view.chance * b.view.calmChance)[0]!
    .view

const daysSinceAsked = (open: OpenStep, on: Day): number =>
  Math.max(
    ...open.tracks.map(({ view }) => (view.lastDay === null ? Infinity : daysBetween(view.lastDay, on))),
  )

const purposeFor = (open: OpenStep, state: State, on: Day): Purpose | null => {
  if (state === 'rusty') return 'check'
  if (state === 'solid') return daysSinceAsked(open, on) >= LOOK_AGAIN_DAYS ? 'check' : null
  if (state === 'slipped') return 'mend'
  return open.tracks.every(({ view }) => view.answers === 0) ? 'begin' : 'work'
}

/** A step held at its gate with all rungs below it sure has nothing to learn today. */
const isDoneBelowGate = ({ heldBy, tracks }: OpenStep): boolean =>
  heldBy !== null && tracks.every(({ view }) => view.holdsToRung >= heldBy.from - 1)

interface NearGate {
  readonly name: string
  readonly steps: ReadonlySet<string>
}

const isBegun = (program: Program, views: Views, { guards }: Gate): boolean => {
  const step = stepOf(program, guards.kind === 'step' ? guards.step : guards.after)
  return step === undefined || ['rusty', 'solid'].includes(stepState(sideViews(views, step)))
}

/** The first gate on the path that is still shut and only waits for cold asks, and the steps it wants asked. */
const nearGate = (program: Program, views: Views, facts: Facts, on: Day): NearGate | null => {
  for (const gate of program.gates) {
    if (isBegun(program, views, gate)) continue
    const { name, due, tracks } = gateVerdict(program, gate, views, facts, on)
    const waits = tracks.length > 0 && tracks.every(({ holds, state }) => holds || state === 'rusty')
    if (waits && due.length > 0) return { name, steps: new Set(due.map(({ step }) => step)) }
  }
  return null
}

const candidates = (open: readonly OpenStep[], near: NearGate | null, on: Day): readonly Candidate[] =>
  open.flatMap((step): Candidate[] => {
    const state = stepState(step.tracks)
    if (near?.steps.has(step.step.key)) return [{ open: step, state, purpose: 'check', gate: near.name }]
    const purpose = purposeFor(step, state, on)
    if (purpose === null || (purpose === 'work' && isDoneBelowGate(step))) return []
    return [{ open: step, state, purpose, gate: null }]
  })

const ofPurpose = (list: readonly Candidate[], purpose: Purpose, most: number): readonly Candidate[] =>
  list.filter((candidate) => candidate.purpose === purpose).slice(0, most)

/** Checks first, for the first asks of the day tell the most; then what slipped, what is coming, and little that is new. */
const chosen = (list: readonly Candidate[], on: Day): readonly Candidate[] => {
  const due = [...list]
    .filter(({ purpose }) => purpose === 'check')
    .sort((a, b) => daysSinceAsked(b.open, on) - daysSinceAsked(a.open, on))
  const forGate = due.filter(({ gate }) => gate !== null).slice(0, MOST_GATE_CHECKS)
  const checks = [...forGate, ...due.filter(({ gate }) => gate === null)].slice(
    0,
    Math.max(MOST_CHECKS, forGate.length),
  )
  const learning = [
    ...ofPurpose(list, 'mend', MOST_LEARNING),
    ...ofPurpose(list, 'work', MOST_LEARNING),
  ].slice(0, MOST_LEARNING)
  const room = learning.length >= MOST_LEARNING ? 1 : MOST_NEW
  return [...checks, ...learning, ...ofPurpose(list, 'begin', room)]
}

const asksFor = ({ open, purpose }: Candidate): number => {
  const perSide = open.tracks.length
  const missing = Math.max(...open.tracks.map(({ view }) => view.placesMissing.length))
  if (purpose === 'check') return perSide * Math.max(1, worst(open).asksNeeded ?? 1, missing)
  return open.step.kind === 'hold' ? HOLD_ASKS * perSide : LEARNING_ASKS
}

const stateReason = ({ open, purpose, state, gate }: Candidate, on: Day): string => {
  const view = worst(open)
  const last = view.lastDay === null ? '' : `; last asked ${ago(view.lastDay, on)}`
  switch (purpose) {
    case 'check':
      if (gate !== null) return `The ${gate} gate wants a first ask of it${last}`
      return state === 'rusty'
        ? `Rusty: only time has worn it${last}`
        : `Solid, and not asked for ${count(daysSinceAsked(open, on), 'calendar day')}: a cold ask tells`
    case 'mend':
      return `Slipped: it was Solid and is not now${last}`
    case 'work':
      return `${Math.round(view.chance * 100)} % chance of a light answer, from ${count(view.answers, 'answer')}${last}`
    case 'begin':
      return 'New, and all it needs is met'
  }
}

const rungReason = ({ open }: Candidate): string => {
  const { step, heldBy } = open
  const rungs = [...new Set(open.tracks.map(({ rung }) => rung))]
  const [lowest] = rungs.sort()
  const at = `opens at rung ${lowest}, “${rungName(step, lowest!)}”`
  if (heldBy && rungs.includes(heldBy.from - 1)) return `${at}: the ${heldBy.name} gate is shut above it`
  const last = worst(open)
  if (last.answers === 0) return `${at}: the first time starts at the bottom`
  if (lowest === step.requiredRung) return `${at}: where it has to be`
  return last.byRung[lowest! - 1]!.chance >= WORK_CHANCE
    ? `${at}: the hardest that is likely to go well`
    : `${at}: small enough to find out`
}

/** A Solid go or yield step to put in between, so that quiet does not become numb. */
const lightAskFrom = (open: readonly OpenStep[]): Burst['lightAsk'] => {
  const useful = (step: Step): boolean =>
    step.kind === 'ask' && (step.roles.includes('go-loose') || step.stage === 4)
  const solid = open.find(({ step, tracks }) => useful(step) && stepState(tracks) === 'solid')
  if (!solid) return null
  const { step } = solid
  return {
    step: step.key,
    name: step.name,
    rung: step.requiredRung,
    rungName: rungName(step, step.requiredRung),
  }
}

const burstFrom = (candidate: Candidate, lightAsk: Burst['lightAsk'], on: Day): Burst => {
  const { open, purpose } = candidate
  const { step, tracks } = open
  const card = cardFor(step.key)
  const first = firstSide(tracks, on)
  const sides = shareAsks(tracks, first.side, asksFor(candidate))
  return {
    step: step.key,
    name: step.name,
    purpose,
    sides,
    firstSide: first.side,
    minutes: BURST_MINUTES,
    again: false,
    reasons: [stateReason(candidate, on), rungReason(candidate), first.reason]
      .filter(Boolean)
      .map(upperFirst),
    kit: card.kit,
    cautions: card.cautions,
    lightAsk: step.kind === 'accept' && lightAsk?.step !== step.key ? lightAsk : null,
  }
}

const comeBack = (burst: Burst): Burst => ({
  ...burst,
  again: true,
  reasons: [
    'Back to it: short bursts with something else between teach more than one long one',
    ...burst.reasons,
  ],
})

/** Fills the minutes: every burst once, then back to the learning ones, never the same twice running. */
const fitInto = (bursts: readonly Burst[], minutes: number): readonly Burst[] => {
  const most = Math.max(1, Math.floor(minutes / (BURST_MINUTES + CHANGE_MINUTES)))
  const learning = bursts.filter(({ purpose }) => purpose !== 'check')
  const session = bursts.slice(0, most)
  for (let visit = 1; visit < MOST_VISITS; visit++)
    for (const burst of learning) {
      const isTwiceRunning = session.at(-1)?.step === burst.step && bursts.length > 1
      if (session.length < most && !isTwiceRunning) session.push(comeBack(burst))
    }
  return session
}

const closedList = (closed: readonly ClosedStep[]): SessionPlan['closed'] =>
  closed.map(({ step, words }) => ({ step: step.key, name: step.name, words }))

const resting = (day: Day, reason: string, closed: SessionPlan['closed']): SessionPlan => ({
  day,
  rests: true,
  reason,
  minutes: 0,
  bursts: [],
  kit: [],
  closed,
})

/** Today's plan for one horse: which steps, at which rung, which side first, how many asks, and why. */
export const planSession = (program: Program, views: Views, facts: Facts, on: Day): SessionPlan => {
  const { open, closed } = openSteps(program, views, facts, on)
  const hold = holdOn(facts.checks, on)
  if (hold)
    return resting(
      on,
      `Rests: veterinary hold since ${hold.on}${hold.until ? `, to ${hold.until}` : ''}.`,
      [],
    )
  if (facts.offWork) return resting(on, facts.offWork, [])
  const young = facts.born !== null && monthsOld(facts.born, on) < YEARLING_MONTHS
  const limit = young ? SHORT_MINUTES : GROUND_MINUTES
  const picked = chosen(candidates(open, nearGate(program, views, facts, on), on), on)
  if (picked.length === 0)
    return resting(on, 'Rests: everything that is open holds and was asked this week.', closedList(closed))
  const lightAsk = lightAskFrom(open)
  const bursts = fitInto(
    picked.map((candidate) => burstFrom(candidate, lightAsk, on)),
    limit,
  )
  const minutes = bursts.length * (BURST_MINUTES + CHANGE_MINUTES)
  return {
    day: on,
    rests: false,
    reason: young
      ? `${minutes} minutes of handling: under two years old, so short.`
      : `${minutes} minutes on the ground.`,
    minutes,
    bursts,
    kit: [...new Set(bursts.flatMap(({ kit }) => kit))],
    closed: closedList(closed),
  }
}
