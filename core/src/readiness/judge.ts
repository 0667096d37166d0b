import { isTight, PLAIN, type Answer, type Day, type PlaceByHorse } from '../answer'
import { coldChances, meanAbility, restedTo, type Belief, type Chances, type Model } from '../judgement'
import type { JudgedStep } from '../program'
import { recordWith, solidAtEndOfDay, type RecordOfHorse, type TrackRecord } from './record'
import { countedMisses, movingMissing, needOf, placesMissing, solidMisses, type Miss } from './solid'
import {
  DAYS_REMEMBERED,
  tallyWith,
  type Behind,
  type FirstAnswer,
  type Foretold,
  type Marked,
} from './tally'
import { temperOf, type Temper } from './temper'

export type State = 'new' | 'started' | 'slipped' | 'coming' | 'rusty' | 'solid'

/** Worst first, as a step's two sides are compared. */
export const STATES: readonly State[] = ['new', 'started', 'slipped', 'coming', 'rusty', 'solid']

/** What is shown of one track on the day judged. */
export interface TrackView extends Chances {
  readonly state: State
  readonly answers: number
  readonly daysWorked: number
  /** Chances of a cold ask at each rung, easiest first, up to the required one. */
  readonly byRung: readonly Chances[]
  /** The same for the rungs beyond the required one. */
  readonly beyond: readonly Chances[]
  readonly workRung: number
  readonly holdsToRung: number
  readonly openAt: number
  /** Light and loose asks today that would meet every rule but the all-round ones; `null` if more than five. */
  readonly asksNeeded: number | null
  readonly placesMissing: readonly PlaceByHorse[]
  readonly movingMissing: number
  /** The rules of Solid that fail today. */
  readonly misses: readonly Miss[]
  readonly lastDay: Day | null
  /** Whether today's first answer passed cold at the required rung. */
  readonly passedColdToday: boolean
  /** What was foretold of today's first ask, and what came; `null` where there was none that could count. */
  readonly foretoldToday: Foretold | null
  /** The last first ask of a day that could count, and whether it passed; within the last ten days worked. */
  readonly lastCold: { readonly day: Day; readonly passed: boolean } | null
  /** The last eight answers, newest last. */
  readonly recent: readonly Marked[]
  /** Answers on each of the last ten days worked, newest last. */
  readonly recentDays: readonly {
    readonly day: Day
    readonly answers: number
    readonly first: FirstAnswer | null
  }[]
  /** The hardest rung ever answered: no need is met by what was never asked. */
  readonly hardest: number
  /** How it stood at the end of its last day worked, before any rest: what a break is measured by. */
  readonly lastStood: LastStood | null
  /** Days on which it was asked away from its home pen. */
  readonly awayDays: number
  /** Work on it behind gates that were Go, by the gate's key. */
  readonly behind: Readonly<Record<string, Behind>>
  readonly temper: Temper | null
  readonly logLikelihood: number
  /** Mean ability today; what carries over to other steps. */
  readonly meanAbility: number
  /** How much one ask teaches this horse at most, as its answers so far tell; not in Lines of an earlier law. */
  readonly speed?: number | undefined
}

/** The hardest rung a track held to at the end of its last day worked, and how. */
export interface LastStood {
  readonly state: State
  readonly rung: number
  readonly chance: number
  readonly calmChance: number
}

/** At or above this chance a rung can be worked on. */
export const WORK_CHANCE = 0.7

/** At or above this chance of not being tight a need counts as met. */
export const MEETS_CALM = 0.5

/** At or above this chance the day opens at the required rung. */
const OPEN_CHANCE = 0.8

const MOST_ASKS = 5

const NOTHING_BEHIND: TrackView['behind'] = {}

const hardestRung = (byRung: readonly Chances[], fits: (chances: Chances) => boolean): number => {
  const index = byRung.findLastIndex(fits)
  return index + 1
}

const openAt = (
  step: JudgedStep,
  record: TrackRecord,
  { byRung, workRung }: { byRung: readonly Chances[]; workRung: number },
): number => {
  const last = record.tally.days.at(-1)
  // The first time starts at the bottom, whatever carries over.
  if (!last) return 1
  if (last.lastGrade >= 3 || isTight(last.lastCalm))
    return Math.min(step.requiredRung, Math.max(1, last.hardestGood - 1))
  return byRung.at(-1)!.chance >= OPEN_CHANCE ? step.requiredRung : workRung
}

const idealAnswer = (step: JudgedStep, day: Day): Answer => ({
  day,
  rung: step.requiredRung,
  grade: 1,
  calm: 0,
  ...PLAIN,
})

const isSolidButPlaces = (
  model: Model,
  step: JudgedStep,
  { record, on }: { record: TrackRecord; on: Day },
): boolean => {
  const rested = restedTo(model, record.belief, on)
  const chances = coldChances(model, step, { rested, rung: step.requiredRung })
  return (
    solidMisses(model, step, { chances, tally: record.tally, belief: record.belief, on, withPlaces: false })
      .length === 0
  )
}

/** The fewest such asks that meet the rules that only count, for which nothing has to be believed. */
const asksToCount = (
  model: Model,
  step: JudgedStep,
  { trackRecord: { belief, tally }, on }: { trackRecord: TrackRecord; on: Day },
): number => {
  const opensDay = belief.lastDay !== on
  let counted = tally
  for (let asks = 0; asks <= MOST_ASKS; asks++) {
    const daysWorked = belief.daysWorked + (asks > 0 && opensDay ? 1 : 0)
    if (countedMisses(model, step, { tally: counted, daysWorked }).length === 0) return asks
    counted = tallyWith(counted, step, { answer: idealAnswer(step, on), cold: asks === 0 && opensDay })
  }
  return Infinity
}

/** A burst of such asks, begun anew, the horse's own numbers left as they are. */
const asksNeeded = (
  model: Model,
  step: JudgedStep,
  { record, horse, on }: RecordOfHorse & { readonly on: Day },
): number | null => {
  if (record.tally.answers === 0) return null
  const fewest = asksToCount(model, step, { trackRecord: record, on })
  if (fewest > MOST_ASKS) return null
  let imagined = record
  for (let asks = 0; asks <= MOST_ASKS; asks++) {
    if (asks >= fewest && isSolidButPlaces(model, step, { record: imagined, on })) return asks
    const asked = { ...horse, burst: { track: '', asks: asks + 1 } }
    imagined = recordWith(model, step, {
      record: imagined,
      horse: asked,
      answer: idealAnswer(step, on),
    }).record
  }
  return null
}

const stateOf = (
  model: Model,
  step: JudgedStep,
  { record, misses, chance }: { record: TrackRecord; misses: readonly Miss[]; chance: number },
): State => {
  if (record.tally.answers === 0) return 'new'
  if (misses.length === 0) return 'solid'
  if (solidAtEndOfDay(model, step, record)) return 'rusty'
  if (record.tally.solidEnds.slice(-DAYS_REMEMBERED).some(Boolean)) return 'slipped'
  return chance >= 0.5 ? 'coming' : 'started'
}

const chancesByRung = (model: Model, step: JudgedStep, rested: Belief): readonly Chances[] =>
  Array.from({ length: Math.max(step.requiredRung, step.rungCount ?? 0) }, (_, i) =>
    coldChances(model, step, { rested, rung: i + 1 }),
  )

const lastStood = (model: Model, step: JudgedStep, record: TrackRecord): LastStood | null => {
  const { belief } = record
  if (belief.lastDay === null) return null
  const state = stateOn(model, step, { record, on: belief.lastDay })
  const need = needOf(model, step)
  for (let rung = step.requiredRung; rung >= 1; rung--) {
    const { chance, low, calmChance } = coldChances(model, step, { rested: belief, rung })
    if (state === 'solid' || (chance >= need.chance && low >= need.low))
      return { state, rung, chance, calmChance }
  }
  return null
}

/** The chances of a cold ask at any rung of the ladder. */
export const chancesAt = (view: TrackView, rung: number): Chances =>
  view.byRung[rung - 1] ?? view.beyond[rung - 1 - view.byRung.length] ?? view

/** The state of a track on a day, without all else that is shown of it. */
export const stateOn = (
  model: Model,
  step: JudgedStep,
  { record, on }: { record: TrackRecord; on: Day },
): State => {
  const { tally, belief } = record
  const rested = restedTo(model, belief, on)
  const chances = coldChances(model, step, { rested, rung: step.requiredRung })
  return stateOf(model, step, {
    record,
    misses: solidMisses(model, step, { chances, tally, belief, on }),
    chance: chances.chance,
  })
}

/** A track on the day judged. Answers of later days must not be in the record. */
export const judge = (
  model: Model,
  step: JudgedStep,
  { record, horse, on }: RecordOfHorse & { readonly on: Day },
): TrackView => {
  const { tally, belief } = record
  const rested = restedTo(model, belief, on)
  const ladder = chancesByRung(model, step, rested)
  const byRung = ladder.slice(0, step.requiredRung)
  const atRequired = byRung.at(-1)!
  const need = needOf(model, step)
  const misses = solidMisses(model, step, { chances: atRequired, tally, belief, on })
  const workRung = Math.max(
    1,
    hardestRung(byRung, ({ chance }) => chance >= WORK_CHANCE),
  )
  const last = tally.days.at(-1)
  const cold = tally.days.findLast(({ coldPass }) => coldPass !== null)
  const onceSolid = tally.onceSolid || solidAtEndOfDay(model, step, record)
  return {
    ...atRequired,
    state: stateOf(model, step, { record, misses, chance: atRequired.chance }),
    answers: tally.answers,
    daysWorked: belief.daysWorked,
    byRung,
    beyond: ladder.slice(step.requiredRung),
    workRung,
    holdsToRung: hardestRung(byRung, ({ chance, low }) => chance >= need.chance && low >= need.low),
    openAt: openAt(step, record, { byRung, workRung }),
    asksNeeded: asksNeeded(model, step, { record, horse, on }),
    placesMissing: placesMissing(step, tally, on),
    movingMissing: movingMissing(step, tally, on),
    misses,
    lastDay: belief.lastDay,
    passedColdToday: last?.day === on && last.coldPass === true,
    foretoldToday: last?.day === on ? (last.foretold ?? null) : null,
    lastCold: cold ? { day: cold.day, passed: cold.coldPass === true } : null,
    recent: tally.recent,
    recentDays: tally.days.map(({ day, answers, first = null }) => ({ day, answers, first })),
    hardest: tally.hardest ?? 0,
    lastStood: lastStood(model, step, record),
    awayDays: tally.awayDays ?? 0,
    behind: tally.behind ?? NOTHING_BEHIND,
    temper: temperOf(atRequired, tally.answers, { daysWorked: belief.daysWorked, onceSolid }),
    logLikelihood: belief.logLikelihood,
    meanAbility: meanAbility(rested),
    speed: horse.speed.mean,
  }
}
