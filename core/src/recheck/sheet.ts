import { daysBetween, type Day, type Side } from '../answer'
import { rungName, sidesOf, stepsMeeting, type Program, type Step } from '../program'
import { chancesAt, trackKey, type State, type TrackKey, type TrackView, type Views } from '../readiness'

/** One cold ask of a re-check sheet. */
export interface Recheck {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly rung: number
  readonly rungName: string
  /** How it stood at the end of the last day worked, at this rung. */
  readonly was: { readonly state: State; readonly chance: number }
  /** The chance of a light first ask now, at this rung. */
  readonly chance: number
  readonly reason: string
}

export interface RecheckSheet {
  readonly lastDay: Day | null
  /** Calendar days since then. */
  readonly gapDays: number
  /** In the order in which they are safe to ask. */
  readonly asks: readonly Recheck[]
  /** Tracks that held before the break. */
  readonly held: number
  /** Of the first asks that are not on the sheet, how many the break is likely to have spoilt. */
  readonly leftOver: number
}

/** The sheet is long enough when fewer than this many spoilt first asks are likely to be left off it. */
const LEFT_OVER = 0.5

/** A re-check is one short session. */
const MOST_ASKS = 20

/** A pass tells this share of what asking an ingredient itself would tell. */
const TOLD_SHARE = 0.6

interface Held {
  readonly step: Step
  readonly side: Side
  readonly rung: number
  readonly before: TrackView
  readonly now: TrackView
  /** How much likelier a bad first ask has become through the break. */
  readonly spoilt: number
}

const sureness = (view: TrackView, rung: number): number => {
  const { chance, calmChance } = chancesAt(view, rung)
  return chance * calmChance
}

const heldRung = (step: Step, view: TrackView): number =>
  view.state === 'solid' || view.state === 'rusty' ? step.requiredRung : view.holdsToRung

const heldBefore = (program: Program, before: Views, today: Views): readonly Held[] =>
  program.steps.flatMap((step) =>
    sidesOf(step).flatMap((side): Held[] => {
      const was = before.get(trackKey(step.key, side))!
      const now = today.get(trackKey(step.key, side))!
      const rung = was.answers === 0 ? 0 : heldRung(step, was)
      const spoilt = rung === 0 ? 0 : sureness(was, rung) - sureness(now, rung)
      return rung === 0 ? [] : [{ step, side, rung, before: was, now, spoilt: Math.max(0, spoilt) }]
    }),
  )

/** The tracks that a light answer tells of too: what the step stands on, on the same side. */
const toldOf = (program: Program, { step, side }: Held, all: readonly Held[]): readonly Held[] => {
  const below = new Set(step.needs.flatMap((need) => stepsMeeting(program, need)))
  return all.filter(
    (one) => below.has(one.step) && (one.side === side || one.side === 'none' || side === 'none'),
  )
}

const keyOf = ({ step, side }: Held): TrackKey => trackKey(step.key, side)

/**
 * Takes the ask that tells most until little is left to tell: what it tells of itself, and in part of what it stands
 * on. Greedy, which for a gain that only shrinks comes within 1 − 1/e of the best (Nemhauser, Wolsey, Fisher 1978).
 */
const chosenFrom = (program: Program, all: readonly Held[]): { asks: readonly Held[]; leftOver: number } => {
  const open = new Map(all.map((held) => [keyOf(held), held.spoilt]))
  const told = new Map(all.map((held) => [held, toldOf(program, held, all)]))
  const gain = (held: Held): number =>
    open.get(keyOf(held))! +
    TOLD_SHARE * told.get(held)!.reduce((sum, below) => sum + open.get(keyOf(below))!, 0)
  const leftOver = (): number => [...open.values()].reduce((sum, spoilt) => sum + spoilt, 0)
  const asks: Held[] = []
  while (leftOver() >= LEFT_OVER && asks.length < MOST_ASKS) {
    const rest = all.filter((held) => !asks.includes(held))
    const [best] = rest.sort((a, b) => gain(b) - gain(a))
    if (!best || gain(best) === 0) break
    asks.push(best)
    open.set(keyOf(best), 0)
    for (const below of told.get(best)!) open.set(keyOf(below), open.get(keyOf(below))! * (1 - TOLD_SHARE))
  }
  return { asks, leftOver: leftOver() }
}

const namesOf = (held: readonly Held[]): string =>
  [...new Set(held.map(({ step }) => step.name.toLowerCase()))].slice(0, 3).join(', ')

const toRecheck = (program: Program, held: Held, all: readonly Held[]): Recheck => {
  const { step, side, rung, before, now } = held
  const was = chancesAt(before, rung).chance
  const { chance } = chancesAt(now, rung)
  const told = toldOf(program, held, all)
  return {
    step: step.key,
    name: step.name,
    side,
    rung,
    rungName: rungName(step, rung),
    was: { state: before.state, chance: was },
    chance,
    reason: told.length > 0 ? `Tells of ${namesOf(told)} too` : 'Nothing else on the sheet tells of it',
  }
}

const lastDayOf = (today: Views): Day | null =>
  [...today.values()].reduce<Day | null>(
    (last, { lastDay }) => (lastDay !== null && (last === null || lastDay > last) ? lastDay : last),
    null,
  )

/**
 * The fewest first asks that tell what a break has spoilt, in the order of the path: first those that others stand on.
 * `before` is the horse as it stood at the end of its last day worked, `today` the same after the rest.
 */
export const recheckSheet = (program: Program, before: Views, today: Views, on: Day): RecheckSheet => {
  const all = heldBefore(program, before, today)
  const { asks, leftOver } = chosenFrom(program, all)
  const lastDay = lastDayOf(today)
  return {
    lastDay,
    gapDays: lastDay === null ? 0 : daysBetween(lastDay, on),
    asks: all.filter((held) => asks.includes(held)).map((held) => toRecheck(program, held, all)),
    held: all.length,
    leftOver,
  }
}
