import { calmWord, count, type Side, chancePercent } from '../answer'
import { rungName, rungNeeded, stepsMeeting, type NeedRef, type Program, type Step } from '../program'
import { sideViews, type Views } from './horse'
import { chancesAt, WORK_CHANCE, type TrackView } from './judge'
import type { KnownRung } from './stops'

/** At or above this chance of not being tight a need counts as met. */
export const MEETS_CALM = 0.5

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

/** Whether one track meets a need at a rung. */
export const trackMeets = (view: TrackView, rung: number): boolean => {
  const { chance, calmChance } = chancesAt(view, rung)
  return view.answers > 0 && chance >= WORK_CHANCE && calmChance >= MEETS_CALM
}

const goodness = (view: TrackView, rung: number): number => {
  const { chance, calmChance } = chancesAt(view, rung)
  return (trackMeets(view, rung) ? 2 : 0) + chance * calmChance
}

const onSide = (side: Side): string => (side === 'none' ? '' : `, ${side}`)

const wordsFor = (step: Step, rung: number, side: Side, view: TrackView): string => {
  const what = `${step.name.toLowerCase()} to “${rungName(step, rung)}”${onSide(side)}`
  if (view.answers === 0) return `${what}: not asked yet`
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
    words: wordsFor(step, rung, side, view),
  }
}

/** How a need stands; `null` only for a program that names a step it does not have. */
export const needStanding = (program: Program, views: Views, need: NeedRef): NeedStanding | null =>
  stepsMeeting(program, need)
    .map((step) => standingOn(views, need, step))
    .reduce<NeedStanding | null>((best, standing) => {
      if (best === null) return standing
      if (best.met !== standing.met) return best.met ? best : standing
      return standing.chance * standing.calmChance > best.chance * best.calmChance ? standing : best
    }, null)

/** An arrival check speaks for a step until it has been asked so often on later days. */
const OWN_ANSWERS = 4

const isShownOnArrival = (
  program: Program,
  views: Views,
  need: NeedRef,
  known: readonly KnownRung[],
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

/** The needs of a step that are not met, for opening it at a rung; what an arrival check showed counts as met. */
export const unmetNeeds = (
  program: Program,
  views: Views,
  step: Step,
  known: readonly KnownRung[] = [],
): readonly NeedStanding[] =>
  step.needs
    .filter(({ fromRung }) => (fromRung ?? 1) <= 1)
    .filter((need) => known.length === 0 || !isShownOnArrival(program, views, need, known))
    .map((need) => needStanding(program, views, need))
    .filter((standing): standing is NeedStanding => standing !== null && !standing.met)
