import { daysBetween, type Day, type Side } from '../answer'
import { rungName, sidesOf, stepsMeeting, type Program, type Step } from '../program'
import { isPermitted, permit, type Permit, type PermitHorse } from '../permit'
import {
  chancesAt,
  trackKey,
  type LastStood,
  type State,
  type TrackKey,
  type TrackView,
  type Views,
} from '../readiness'

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
  readonly provided: readonly string[]
}

export interface RecheckSheet {
  readonly lastDay: Day | null
  /** Calendar days since then. */
  readonly gapDays: number
  /** In the order of the path: ground before tack before weight. */
  readonly asks: readonly Recheck[]
  /** Tracks that held before the break. */
  readonly held: number
  /** Of the first asks that are not on the sheet, how many the break is likely to have spoilt. */
  readonly leftOver: number
  /** What held and may not be asked yet, and why: it comes on once that is open. */
  readonly waits: readonly { readonly name: string; readonly words: string }[]
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
  readonly before: LastStood
  readonly now: TrackView
  readonly permit: Permit
  /** How much likelier a bad first ask has become through the break. */
  readonly spoilt: number
}

const sureness = ({ chance, calmChance }: Pick<LastStood, 'chance' | 'calmChance'>): number =>
  chance * calmChance

/** The tracks that held at the end of their own last day worked, and what their own break has done to each. */
const heldBefore = (horse: PermitHorse, eve: Views, on: Day): readonly Held[] =>
  horse.program.steps.flatMap((step) =>
    sidesOf(step).flatMap((side): Held[] => {
      const now = eve.get(trackKey(step.key, side))!
      const before = now.lastStood
      if (before === null) return []
      const { rung } = before
      const spoilt = Math.max(0, sureness(before) - sureness(chancesAt(now, rung)))
      return [{ step, side, rung, before, now, spoilt, permit: permit(horse, { step: step.key, rung }, on) }]
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
  const { chance } = chancesAt(now, rung)
  const told = toldOf(program, held, all)
  return {
    step: step.key,
    name: step.name,
    side,
    rung,
    rungName: rungName(step, rung),
    was: { state: before.state, chance: before.chance },
    chance,
    provided: held.permit.because.map(({ words }) => words),
    reason: told.length > 0 ? `Tells of ${namesOf(told)} too` : 'Nothing else on the sheet tells of it',
  }
}

const lastDayOf = (today: Views): Day | null =>
  [...today.values()].reduce<Day | null>(
    (last, { lastDay }) => (lastDay !== null && (last === null || lastDay > last) ? lastDay : last),
    null,
  )

/** Each reason once, with the steps it keeps off the sheet. */
const waiting = (held: readonly Held[]): RecheckSheet['waits'] => {
  const byReason = new Map<string, string[]>()
  for (const { step, permit: said } of held) {
    const words = said.because[0]!.words
    const names = byReason.get(words) ?? []
    byReason.set(words, names.includes(step.name) ? names : [...names, step.name])
  }
  return [...byReason].map(([words, names]) => ({ name: names.join(', '), words }))
}

/**
 * The fewest first asks that tell what a break has spoilt, in the order of the path, each track measured by its own
 * break. `eve` is how the horse stood on the evening before, so that what is asked today does not change the sheet it
 * is asked from; what the permit refuses today is not on it.
 */
export const recheckSheet = (horse: PermitHorse, eve: Views, on: Day): RecheckSheet => {
  const { program } = horse
  const held = heldBefore(horse, eve, on)
  const all = held.filter(({ permit: said }) => isPermitted(said))
  const { asks, leftOver } = chosenFrom(program, all)
  const lastDay = lastDayOf(eve)
  return {
    lastDay,
    gapDays: lastDay === null ? 0 : daysBetween(lastDay, on),
    asks: all.filter((held) => asks.includes(held)).map((held) => toRecheck(program, held, all)),
    held: held.length,
    leftOver,
    waits: waiting(held.filter((one) => !all.includes(one) && one.spoilt > 0)),
  }
}
