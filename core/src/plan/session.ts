import { count, monthsOld, type Day } from '../answer'
import { STANDARD_MODEL } from '../belief'
import { STANDARD_LAW } from '../learning'
import { cardOf, rungName, type Gate, type Program, type Step } from '../program'
import { holdOn, stepState, upperFirst, type Facts, type Views } from '../readiness'
import { NO_WISHES, type Burst, type Purpose, type SessionPlan, type Wishes } from './burst'
import { choose, type Choice, type Limits } from './choose'
import { BEHIND_GATE_MINUTES, gateAsks, openingOf, type Opening } from './gate-asks'
import { goalsOf } from './goals'
import { openSteps, type ClosedStep, type OpenStep } from './open-steps'
import { inOrder, type Placed } from './order'
import {
  highestToday,
  leftOutBy,
  minutesFor,
  mostLoadDays,
  ORDINARY,
  YEARLING_MONTHS,
  type Outlook,
} from './outlook'
import { closingFrom, looksFor, minutesOfAll, minutesOfPart, partsOf, type Part } from './parts'
import { pinnedParts, type Pinned } from './pins'
import type { Learner } from './shortfall'
import { NOTHING_YET, type Today } from './today'
import { candidateFor, minutesOf, type Candidate } from './ways'
import { leftOutWords, ruleFor, rungReason, stateReason } from './why'

/** One or two first asks open a session, and at most three steps are learnt in it. */
const MOST_CHECKS = 2
const MOST_LEARNING = 3

/** The shortest session that is one. */
const LEAST_MINUTES = 2

/** What is left out is told for so many steps. */
const MOST_LEFT = 6

const ASSUMED: Learner = { model: STANDARD_MODEL, law: STANDARD_LAW }

/** What a plan is made for, beside the horse itself. */
export interface Asked {
  readonly outlook?: Outlook
  readonly wishes?: Wishes
  readonly learner?: Learner
  /** The gate that comes before all others. */
  readonly aim?: string
  /** What the session had so far; the plan is for the rest of it. */
  readonly today?: Today
}

const resting = (
  day: Day,
  reason: string,
  closed: readonly ClosedStep[],
  remarks: readonly string[] = [],
): SessionPlan => ({
  day,
  rests: true,
  reason,
  minutes: 0,
  bursts: [],
  kit: [],
  closed: closedList(closed),
  left: [],
  remarks,
  worth: 0,
})

const closedList = (closed: readonly ClosedStep[]): SessionPlan['closed'] =>
  closed.map(({ step, words }) => ({ step: step.key, name: step.name, words }))

interface Field {
  /** The gate that waits for first asks alone, and what it opens. */
  readonly opening: Opening | null
  readonly candidates: readonly Candidate[]
  /** Open, and kept out by what today is like. */
  readonly kept: readonly ClosedStep[]
}

/** The open steps that today allows, with every way they may be worked, and those it does not, with the rule. */
const fieldOf = (
  program: Program,
  views: Views,
  facts: Facts,
  on: Day,
  open: readonly OpenStep[],
  { outlook = ORDINARY, learner = ASSUMED, aim, today = NOTHING_YET }: Asked,
): Field => {
  const goals = goalsOf(learner, program, views, facts, on, aim)
  const candidates: Candidate[] = []
  const kept: ClosedStep[] = []
  for (const one of open) {
    const { step, tracks } = one
    const over = today.over.get(step.key)
    if (over) {
      kept.push({
        step,
        words: over === 'done' ? 'done for today: it held' : 'left for today: it went badly',
      })
      continue
    }
    const allowed = highestToday(outlook, program, step, facts.born, on)
    const isNew = tracks.every(({ view }) => view.answers === 0)
    const rule = leftOutBy(outlook, step, Math.min(...tracks.map(({ rung }) => rung)), isNew)
    const candidate =
      rule === null
        ? candidateFor(learner, program, views, goals.get(step.key)!, one, allowed, on, today)
        : null
    if (candidate) candidates.push(candidate)
    else kept.push({ step, words: rule ?? allowed!.rule })
  }
  return { opening: openingOf(goals), candidates, kept }
}

const stepsIn = (parts: readonly Part[], role: Part['role']): number =>
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

/** The best choice, with a load day weighed against a day of handling. */
const chooseSparingly = (candidates: readonly Candidate[], limits: Limits, isLoadDay: boolean): Choice => {
  const any = choose(candidates, limits)
  if (isLoadDay || !any.taken.some(({ way }) => way.isLoad)) return any
  const handling = choose(
    candidates.map((candidate) => ({ ...candidate, ways: candidate.ways.filter(({ isLoad }) => !isLoad) })),
    limits,
  )
  const cost = Math.min(LOAD_DAY_COST, SHARE_OF_WAITING * waitingForLoad(candidates))
  return handling.worth + cost >= any.worth ? handling : any
}

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
  fixed: readonly Part[],
  today: Today,
): readonly Part[] => {
  const taken = new Set(fixed.map(({ step }) => step))
  const free = candidates.filter(({ open }) => !taken.has(open.step.key))
  const limits = limitsFor(minutes, fixed, today)
  const parts = ({ taken }: Choice): readonly Part[] => [
    ...looksFor(taken, candidates),
    ...taken.flatMap(({ candidate, way }) => partsOf(candidate, way, way.kind)),
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

const worthOfAll = (parts: readonly Part[]): number => parts.reduce((sum, { worth }) => sum + worth, 0)

/** The best choice, or all the first asks of a gate and the best beside them where what it opens is worth more. */
const chosenParts = (
  { opening }: Field,
  candidates: readonly Candidate[],
  minutes: number,
  pinned: readonly Part[],
  today: Today,
): { readonly parts: readonly Part[]; readonly gate: Gate | null } => {
  const plain = bestParts(candidates, minutes, pinned, today)
  const asks = opening && pinned.length === 0 ? gateAsks(opening, candidates, minutes) : []
  if (asks.length === 0) return { parts: plain, gate: null }
  const left = minutes - BEHIND_GATE_MINUTES
  const beside = [...asks, ...bestParts(candidates, left, asks, today)]
  return worthOfAll(beside) + opening!.worth > worthOfAll(plain)
    ? { parts: beside, gate: opening!.gate }
    : { parts: plain, gate: null }
}

const loadRemark = ({ loadDays }: Outlook, born: Day | null, on: Day): readonly string[] =>
  loadDays >= mostLoadDays(born, on)
    ? [`${count(loadDays, 'load day')} this week are enough at its age: handling only today.`]
    : []

const gateRemark = (gate: Gate | null): readonly string[] =>
  gate
    ? [`Pass all its first asks, and the ${gate.name} gate is Go for today: the rest is planned again then.`]
    : []

/** The step worked last, so that the rest does not begin with it. */
const workedBefore = ({ last }: Today): readonly Placed[] =>
  last === null ? [] : [{ step: last, role: 'learn', worth: 0, endsWell: true, after: [], at: null }]

/** A Solid go or yield step to put in between, so that quiet does not become numb. */
const lightAskFrom = (open: readonly OpenStep[]): Burst['lightAsk'] => {
  const isUseful = (step: Step): boolean =>
    step.kind === 'ask' && (step.roles.includes('go-loose') || step.stage === 4)
  const solid = open.find(({ step, tracks }) => isUseful(step) && stepState(tracks) === 'solid')
  if (!solid) return null
  const { step } = solid
  const rung = step.requiredRung
  return { step: step.key, name: step.name, rung, rungName: rungName(step, rung) }
}

const purposeOf = ({ role, candidate: { state, open } }: Part): Purpose => {
  if (role !== 'learn') return role
  if (state === 'slipped') return 'mend'
  return open.tracks.every(({ view }) => view.answers === 0) ? 'begin' : 'work'
}

const COME_BACK = 'Back to it: short bursts with something else between teach more than one long one'

const burstFrom = (
  program: Program,
  part: Part,
  isAgain: boolean,
  lightAsk: Burst['lightAsk'],
  on: Day,
): Burst => {
  const { candidate, way, visit } = part
  const { step } = candidate.open
  const card = cardOf(program, step.key)
  const purpose = purposeOf(part)
  const reasons = [stateReason(candidate, purpose, on), rungReason(candidate), candidate.first.reason]
  return {
    step: step.key,
    name: step.name,
    purpose,
    sides: way.sides[visit]!,
    firstSide: candidate.first.side,
    minutes: minutesOf(step, way.sides[visit]!),
    again: isAgain,
    reasons: (isAgain ? [COME_BACK] : reasons).filter(Boolean).map(upperFirst),
    rule: ruleFor(candidate, way, isAgain ? 1 : 0),
    pinned: part.at !== null,
    kit: card.kit,
    cautions: card.cautions,
    lightAsk: step.kind === 'accept' && lightAsk?.step !== step.key ? lightAsk : null,
  }
}

const leftList = (
  { candidates, kept }: Field,
  parts: readonly Part[],
  without: readonly string[],
): SessionPlan['left'] => {
  const has = new Set([...parts.map(({ step }) => step), ...without])
  const learning = stepsIn(parts, 'learn')
  const open = candidates
    .filter(({ open, goal }) => !has.has(open.step.key) && goal.gate !== null && goal.days > 0)
    .map((candidate) => ({ candidate, worth: Math.max(...candidate.ways.map(({ worth }) => worth)) }))
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_LEFT)
    .map(({ candidate }) => ({
      step: candidate.open.step.key,
      name: candidate.open.step.name,
      words: leftOutWords(candidate, learning, MOST_LEARNING),
      mayBeIn: true,
    }))
  const barred = closedList(kept)
    .filter(({ step }) => !has.has(step))
    .map((one) => ({ ...one, mayBeIn: false }))
  return [...barred, ...open]
}

const minutesReason = (minutes: number, young: boolean, rule: string | null): string => {
  if (young) return `${minutes} minutes of handling: under two years old, so short.`
  return `${minutes} minutes on the ground${rule ? `: ${rule}` : ''}.`
}

const restsBecause = ({ candidates, kept }: Field): string => {
  if (candidates.length > 0) return 'Rests: everything that is open holds and was asked this week.'
  return kept.length > 0
    ? `Rests: today allows none of what is open (${kept[0]!.step.name.toLowerCase()}: ${kept[0]!.words}).`
    : 'Rests: nothing is open. Look at the steps to see what each one waits for.'
}

/**
 * Today's plan for one horse: which steps, at which rung, which side first, how many asks, and why. The steps are
 * those that save most work days on the way to the gates ahead, within the minutes and the rules of a session; the
 * same input gives the same plan.
 */
export const planSession = (
  program: Program,
  views: Views,
  facts: Facts,
  on: Day,
  asked: Asked = {},
): SessionPlan => {
  const { outlook = ORDINARY, wishes = NO_WISHES, learner = ASSUMED, today = NOTHING_YET } = asked
  const hold = holdOn(facts.checks, on)
  if (hold)
    return resting(
      on,
      `Rests: veterinary hold since ${hold.on}${hold.until ? `, to ${hold.until}` : ''}.`,
      [],
    )
  if (facts.offWork) return resting(on, facts.offWork, [])
  const { open, closed } = openSteps(program, views, facts, on)
  const { minutes: whole, rule } = minutesFor(outlook, facts.born, on)
  const minutes = Math.max(0, whole - today.minutes)
  if (minutes < LEAST_MINUTES)
    return resting(
      on,
      today.last === null
        ? `Rests: ${minutes} minutes are too few for a burst and a good ending.`
        : 'The minutes are used: leave it here.',
      closed,
    )
  const field = fieldOf(program, views, facts, on, open, asked)
  const allowed = field.candidates.filter(({ open }) => !wishes.without.includes(open.step.key))
  const pinned: Pinned = pinnedParts(program, learner, on, allowed, [...closed, ...field.kept], wishes)
  const { parts: chosen, gate } = chosenParts(field, allowed, minutes, pinned.parts, today)
  const parts = inOrder([...chosen, ...pinned.parts], workedBefore(today))
  if (parts.length === 0) return resting(on, restsBecause(field), closed, pinned.remarks)
  const lightAsk = lightAskFrom(open)
  const bursts = parts.map((part, i) =>
    burstFrom(
      program,
      part,
      parts.slice(0, i).some(({ step }) => step === part.step),
      lightAsk,
      on,
    ),
  )
  const taken = Math.round(minutesOfAll(parts))
  const young = facts.born !== null && monthsOld(facts.born, on) < YEARLING_MONTHS
  const over =
    taken > minutes
      ? [`About ${taken} minutes, ${taken - minutes} more than there are: shorten a burst or leave one out.`]
      : []
  return {
    day: on,
    rests: false,
    reason: minutesReason(taken, young, rule),
    minutes: taken,
    bursts,
    kit: [...new Set(bursts.flatMap(({ kit }) => kit))],
    closed: closedList(closed),
    left: leftList(field, parts, wishes.without),
    remarks: [...loadRemark(outlook, facts.born, on), ...pinned.remarks, ...gateRemark(gate), ...over],
    worth: worthOfAll(parts),
  }
}
