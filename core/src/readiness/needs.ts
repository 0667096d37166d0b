import { calmWord, count, type Side, chancePercent } from '../answer'
import { rungName, rungNeeded, stepsMeeting, type NeedRef, type Program, type Step } from '../program'
import type { KnownRung } from '../facts'
import { sideViews } from './horse'
import { chancesAt, MEETS_CALM, STATES, WORK_CHANCE, type TrackView } from './judge'
import { stepState } from './step-view'
import type { Views } from './track-key'

/** How one need stands today, on the worse side of the step that meets it best. */
export interface NeedStanding {
  readonly met: boolean
  readonly step: Step
  readonly rung: number
  readonly side: Side
  readonly chance: number
  readonly calmChance: number
  readonly words: string
}

/** Whether one track meets a need at a rung: no rung is proved by answers on an easier one. */
export const trackMeets = (view: TrackView, rung: number): boolean => {
  const { chance, calmChance } = chancesAt(view, rung)
  return view.hardest >= rung && chance >= WORK_CHANCE && calmChance >= MEETS_CALM
}

const goodness = (view: TrackView, rung: number): number => {
  const { chance, calmChance } = chancesAt(view, rung)
  return (trackMeets(view, rung) ? 2 : 0) + chance * calmChance
}

const onSide = (side: Side): string => (side === 'none' ? '' : `, ${side}`)

const wordsFor = (step: Step, rung: number, { side, view }: { side: Side; view: TrackView }): string => {
  const what = `${step.name.toLowerCase()} to “${rungName(step, rung)}”${onSide(side)}`
  if (view.answers === 0) return `${what}: not asked yet`
  if (view.hardest < rung) return `${what}: never asked there`
  const { chance, calmChance } = chancesAt(view, rung)
  if (chance < WORK_CHANCE) return `${what}: ${chancePercent(chance)} chance of a light answer`
  if (calmChance < MEETS_CALM)
    return `${what}: ${chancePercent(calmChance)} chance that it is not ${calmWord(2)}`
  return `${what}: ${chancePercent(chance)}, from ${count(view.answers, 'answer')}`
}

const standingOn = (views: Views, need: NeedRef, step: Step): NeedStanding => {
  const rung = rungNeeded(need, step)
  const [worse] = [...sideViews(views, step)].sort((a, b) => goodness(a.view, rung) - goodness(b.view, rung))
  const { side, view } = worse!
  const { chance, calmChance } = chancesAt(view, rung)
  return {
    met: trackMeets(view, rung),
    step,
    rung,
    side,
    chance,
    calmChance,
    words: wordsFor(step, rung, { side, view }),
  }
}

const meets = (views: Views, need: NeedRef, step: Step): boolean =>
  sideViews(views, step).every(({ view }) => trackMeets(view, rungNeeded(need, step)))

const worstChance = (views: Views, step: Step): number =>
  Math.min(...sideViews(views, step).map(({ view }) => view.chance * view.calmChance))

/**
 * Of the steps that can fill a need, the one that counts: one that meets it, then the one that is furthest. Plan and
 * gate choose by this and by nothing else. `undefined` only for a program that names a step it does not have.
 */
export const stepFor = (program: Program, views: Views, need: NeedRef): Step | undefined => {
  const ways = stepsMeeting(program, need)
  if (ways.length < 2) return ways[0]
  const state = (step: Step): number => STATES.indexOf(stepState(sideViews(views, step)))
  return [...ways].sort(
    (a, b) =>
      Number(meets(views, need, b)) - Number(meets(views, need, a)) ||
      state(b) - state(a) ||
      worstChance(views, b) - worstChance(views, a),
  )[0]
}

interface Stood {
  readonly program: Program
  readonly standings: Map<NeedRef, NeedStanding | null>
}

/** A plan and a permit ask the same needs again and again: how each stands is remembered with the views. */
const stood = new WeakMap<Views, Stood>()

/** How a need stands; `null` only for a program that names a step it does not have. */
export const needStanding = (program: Program, views: Views, need: NeedRef): NeedStanding | null => {
  const before = stood.get(views)
  const known = before?.program === program ? before : { program, standings: new Map() }
  if (known !== before) stood.set(views, known)
  const found = known.standings.get(need)
  if (found !== undefined) return found
  const step = stepFor(program, views, need)
  const standing = step ? standingOn(views, need, step) : null
  known.standings.set(need, standing)
  return standing
}

/** An arrival check speaks for a step until it has been asked so often on later days. */
const OWN_ANSWERS = 4

const isShownOnArrival = (
  program: Program,
  views: Views,
  { need, known }: { need: NeedRef; known: readonly KnownRung[] },
): boolean =>
  stepsMeeting(program, need).some((step) => {
    const shown = known.find((one) => one.step === step.key && one.rung >= rungNeeded(need, step))
    if (!shown) return false
    const since = sideViews(views, step)
      .flatMap(({ view }) => view.recentDays)
      .filter(({ day }) => day > shown.on)
      .reduce((sum, { answers }) => sum + answers, 0)
    return since < OWN_ANSWERS
  })

/** The needs of a step that are not met, for asking it at a rung; what an arrival check showed counts as met. */
export const unmetNeeds = (
  program: Program,
  views: Views,
  { step, rung, known = [] }: { step: Step; rung: number; known?: readonly KnownRung[] | undefined },
): readonly NeedStanding[] =>
  step.needs
    .filter(({ fromRung }) => (fromRung ?? 1) <= rung)
    .filter((need) => known.length === 0 || !isShownOnArrival(program, views, { need, known }))
    .map((need) => needStanding(program, views, need))
    .filter((standing): standing is NeedStanding => standing !== null && !standing.met)
