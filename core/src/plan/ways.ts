import { daysBetween, holdSeconds, type Day, type Side } from '../answer'
import { isLoad } from '../counters'
import { holdPlan } from '../holds'
import { amountIn, exposuresAt, rungName, stepOf, type Exposure, type Program, type Step } from '../program'
import {
  chancesAt,
  sideViews,
  stepState,
  trackKey,
  WORK_CHANCE,
  type State,
  type TrackView,
  type Views,
} from '../readiness'
import type { Goal } from './goals'
import type { OpenStep, OpenTrack } from './open-steps'
import type { Learner } from './shortfall'
import { firstSide, shareAsks, type FirstSide, type SidePlan } from './sides'
import { NOTHING_YET, type Today } from './today'
import { expectedGains, worthOf, type Expected } from './worth'

/** One way of working a step today: not at all, a first ask or two, or so many visits. */
export interface Way {
  readonly kind: 'check' | 'learn'
  readonly visits: number
  /** What each visit asks. */
  readonly sides: readonly (readonly SidePlan[])[]
  /** With the minute it takes to change to it. */
  readonly minutes: number
  readonly worth: number
  /** Whether a session may end on it: it is likely to go well. */
  readonly endsWell: boolean
  /** Ingredients that are looked at first. */
  readonly first: readonly Step[]
  /** Whether it makes the day a load day. */
  readonly isLoad: boolean
}

/** A step that is open today with the ways it could be worked. */
export interface Candidate {
  readonly open: OpenStep
  readonly goal: Goal
  readonly state: State
  readonly first: FirstSide
  /** The hardest rung that may be asked today, and the rule that lowers it. */
  readonly top: number
  readonly topRule: string | null
  /** It is being learnt in this session already, and takes no place of another. */
  readonly begun: boolean
  readonly ways: readonly Way[]
}

/** From one burst to the next: kit, a walk round, a rest; less of it round a first ask or two. */
export const CHANGE_MINUTES = 1
export const CHECK_CHANGE_MINUTES = 0.5

/** A burst of asks takes two minutes, three asks in one; a shorter one 90 seconds (common practice, no source). */
const ASK_SECONDS = 20
const BURST_ASKS = 6
const HOLDS_A_SIDE = 2

/** A longer hold is asked once a side; tied or wearing something it runs beside the rest. */
const LONGEST_ATTENDED_SECONDS = 90

export const MOST_VISITS = 3

/** Asked within so many days, an ingredient counts as checked. */
const CHECKED_DAYS = 14

/** Sure enough to end a session on. */
const ENDS_WELL = 0.75

/** A first ask on either side of an ingredient, and the change to it. */
const LOOK_MINUTES = (2 * ASK_SECONDS) / 60 + CHECK_CHANGE_MINUTES

/** A bigger look at one step is no check any more. */
const MOST_CHECK_ASKS = 3

const WORN: readonly Exposure[] = ['tied', 'tied-fast', 'bit', 'girth']
const HELD_BY_A_PERSON: readonly Exposure[] = ['contact', 'weight', 'mounted']

/** Tied, or wearing something: what a person need not stand beside. */
const runsBeside = (step: Step, rung: number): boolean => {
  const exposed = exposuresAt(step, rung)
  return exposed.some((one) => WORN.includes(one)) && !exposed.some((one) => HELD_BY_A_PERSON.includes(one))
}

const LAP_DIAMETER_M = 18

const heldFor = new WeakMap<Step, Map<number, number>>()

/** How long a hold is kept up at a rung, s; a plan asks it again and again. */
const workSeconds = (step: Step, rung: number): number => {
  const known = heldFor.get(step) ?? new Map<number, number>()
  heldFor.set(step, known)
  const found = known.get(rung) ?? secondsHeld(step, rung)
  known.set(rung, found)
  return found
}

const secondsHeld = (step: Step, rung: number): number => {
  const data = step.does?.[rung - 1]
  const amount = amountIn(data)
  if (amount === null) return holdSeconds(rungName(step, rung))
  const gait = data?.pace === 'walk' || data?.pace === 'canter' ? data.pace : 'trot'
  return holdPlan({
    ...amount,
    gait,
    sets: 1,
    sides: 1,
    restSeconds: 0,
    setUpSeconds: 0,
    diameterM: LAP_DIAMETER_M,
    secondsEach: null,
  }).workSeconds
}

/** Of a hold, what of it somebody stands beside. */
const attendedSeconds = (step: Step, rung: number): number =>
  runsBeside(step, rung)
    ? Math.min(LONGEST_ATTENDED_SECONDS, workSeconds(step, rung))
    : workSeconds(step, rung)

const askSeconds = (step: Step, rung: number): number =>
  step.kind === 'hold' ? ASK_SECONDS + attendedSeconds(step, rung) : ASK_SECONDS

/** Holds on a side of a burst: a long one once. */
const holdsAt = (step: Step, rung: number): number =>
  attendedSeconds(step, rung) > LONGEST_ATTENDED_SECONDS ? 1 : HOLDS_A_SIDE

/** Minutes of a burst, without the change to it. */
export const minutesOf = (step: Step, sides: readonly SidePlan[]): number =>
  sides.reduce((sum, { rung, asks }) => sum + asks * askSeconds(step, rung), 0) / 60

/** A step that puts others together: an ask that needs two other asks or more. */
const ingredientsOf = (program: Program, step: Step): readonly Step[] => {
  if (step.kind !== 'ask') return []
  const asked = step.needs
    .filter(({ step, fromRung }) => step !== undefined && (fromRung ?? 1) <= 1)
    .map((need) => stepOf(program, need.step!))
    .filter((one) => one !== undefined && one.kind === 'ask') as Step[]
  return asked.length >= 2 ? asked : []
}

/** The ingredients that were not asked lately. */
const uncheckedOf = (
  program: Program,
  views: Views,
  { step, on }: { step: Step; on: Day },
): readonly Step[] =>
  ingredientsOf(program, step).filter((one) =>
    sideViews(views, one).some(
      ({ view }) => view.lastDay === null || daysBetween(view.lastDay, on) > CHECKED_DAYS,
    ),
  )

const worstPass = (sides: readonly SidePlan[], open: OpenStep): number =>
  Math.min(
    ...sides.map(({ side, rung }) => {
      const { chance, calmChance } = chancesAt(open.tracks.find((track) => track.side === side)!.view, rung)
      return chance * calmChance
    }),
  )

interface Making {
  readonly program: Program
  readonly learner: Learner
  readonly on: Day
  readonly goal: Goal
  readonly open: OpenStep
  readonly first: FirstSide
  readonly top: number
}

const asksASide = (open: OpenStep, sides: readonly SidePlan[]): readonly number[] =>
  open.tracks.map(({ side }) => sides.find((part) => part.side === side)!.asks)

/** What visits would teach each track, no rung harder than is open and than it is asked up to. */
const gainsOf = (
  { learner, open, top, on }: Making,
  asked: readonly number[],
  { upTo, visits }: { upTo: number; visits: number },
): readonly (readonly Expected[])[] =>
  open.tracks.map(({ view, rung }, i) =>
    expectedGains(learner, view, { rung, top: Math.min(top, upTo), asks: asked[i]!, visits, on }),
  )

const loads = (program: Program, { key }: Step, visits: readonly (readonly SidePlan[])[]): boolean =>
  visits.some((sides) => sides.some(({ rung }) => isLoad(program, key, rung)))

/** One or a few first asks at the required rung, where they are likely enough to pass. */
const checkWay = (making: Making): Way | null => {
  const { program, learner, on, goal, open, first, top } = making
  const { step, tracks } = open
  const isFit = tracks.every(
    ({ view, rung }) =>
      view.answers > 0 &&
      view.lastDay !== on &&
      (rung >= goal.rung || goal.due !== null) &&
      top >= goal.rung &&
      chancesAt(view, goal.rung).chance >= WORK_CHANCE,
  )
  if (!isFit) return null
  const missing = Math.max(
    ...tracks.map(({ view }) =>
      Math.max(view.placesMissing.length, view.state === 'rusty' ? (view.asksNeeded ?? 1) : 1),
    ),
  )
  const asks = Math.min(MOST_CHECK_ASKS, Math.max(1, missing))
  const sides = shareAsks(tracks, { side: first.side, share: 0.5 }, asks * tracks.length).map((part) => ({
    ...part,
    rung: Math.max(part.rung, goal.rung),
  }))
  const asked = asksASide(open, sides)
  return {
    kind: 'check',
    visits: 1,
    sides: [sides],
    minutes: minutesOf(step, sides) + CHECK_CHANGE_MINUTES,
    worth: worthOf(learner, goal, {
      tracks,
      asksASide: asked,
      gains: gainsOf(making, asked, { upTo: Infinity, visits: 1 }),
      on,
    }),
    endsWell: worstPass(sides, open) >= ENDS_WELL,
    first: [],
    isLoad: loads(program, step, [sides]),
  }
}

/** Bursts that come back instead of dragging on, a later one a rung up where the one before leaves it nearly sure. */
export const learnWay = (making: Making, visits: number, unchecked: readonly Step[]): Way => {
  const { program, learner, on, goal, open, first } = making
  const { step, tracks } = open
  const asks =
    step.kind === 'hold' ? tracks.reduce((sum, { rung }) => sum + holdsAt(step, rung), 0) : BURST_ASKS
  const opening = shareAsks(tracks, first, asks)
  const asked = asksASide(open, opening)
  const gains = gainsOf(making, asked, { upTo: Math.max(step.requiredRung, goal.rung), visits })
  const rungOn = (side: Side, visit: number): number =>
    gains[tracks.findIndex((track) => track.side === side)]![visit]!.rung
  const sides = Array.from({ length: visits }, (_, visit) =>
    opening.map((part) => {
      const rung = rungOn(part.side, visit)
      const asks = step.kind === 'hold' ? Math.min(part.asks, holdsAt(step, rung)) : part.asks
      return { ...part, rung, asks }
    }),
  )
  const looks = unchecked.length * LOOK_MINUTES
  const minutes = sides.reduce((sum, visit) => sum + minutesOf(step, visit) + CHANGE_MINUTES, looks)
  return {
    kind: 'learn',
    visits,
    sides,
    minutes,
    worth: worthOf(learner, goal, { tracks, asksASide: asked, gains, on }),
    endsWell: worstPass(sides.at(-1)!, open) >= ENDS_WELL,
    first: unchecked,
    isLoad: loads(program, step, sides),
  }
}

/** Where the path wants a rung beyond the required one, the hardest on the way to it that is likely to go well. */
const beyondRequired = (
  step: Step,
  goal: Goal,
  { view, rung }: { view: TrackView; rung: number },
): number => {
  if (goal.rung <= step.requiredRung || rung < step.requiredRung) return rung
  let at = rung
  while (at < goal.rung && chancesAt(view, at + 1).chance >= WORK_CHANCE) at++
  return at
}

/** Where the step stands today and every way it may be worked. */
export const candidateFor = (
  learner: Learner,
  program: Program,
  {
    views,
    goal,
    open,
    allowed,
    on,
    today = NOTHING_YET,
  }: {
    views: Views
    goal: Goal
    open: OpenStep
    allowed: { readonly rung: number; readonly rule: string } | null
    on: Day
    today?: Today
  },
): Candidate | null => {
  const { step, heldBy } = open
  const gateTop = heldBy ? heldBy.from - 1 : step.rungs.length
  const top = Math.min(gateTop, allowed?.rung ?? Infinity)
  if (top < 1) return null
  const rungOf = ({ side, rung, view }: OpenTrack): number =>
    Math.min(
      beyondRequired(step, goal, { view, rung }),
      top,
      today.smaller.get(trackKey(step.key, side)) ?? Infinity,
    )
  const lowered = { ...open, tracks: open.tracks.map((track) => ({ ...track, rung: rungOf(track) })) }
  const first = firstSide(lowered.tracks, on)
  const making = { program, learner, on, goal, open: lowered, first, top }
  const visited = today.visits.get(step.key) ?? 0
  const unchecked = uncheckedOf(program, views, { step, on }).filter(({ key }) => !today.visits.has(key))
  const check = visited === 0 ? checkWay(making) : null
  const learning = Array.from({ length: Math.max(0, MOST_VISITS - visited) }, (_, i) =>
    learnWay(making, i + 1, unchecked),
  )
  return {
    open: lowered,
    goal,
    state: stepState(lowered.tracks),
    first,
    top,
    topRule: allowed && allowed.rung < gateTop ? allowed.rule : null,
    begun: visited > 0,
    ways: [...(check ? [check] : []), ...learning],
  }
}
