import type { Day, Side } from '../answer'
import type { Facts } from '../facts'
import { isPermitted, permit, type Permit, type PermitHorse } from '../permit'
import {
  exposuresAt,
  rungNeeded,
  sidesOf,
  stepsMeeting,
  type Exposure,
  type Program,
  type Step,
} from '../program'
import { trackMeets, sideViews, type Views } from '../readiness'
import { rungsToAsk, stepStanding, type ArrivalAnswer, type Standing } from './track'

/** The next ask of an arrival check, and why it is that one. */
export interface ArrivalAsk {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly rung: number
  readonly reason: string
  /** What is to be confirmed before it, in words. */
  readonly provided: readonly string[]
}

/** What a check showed a step can, to a rung. Checks of before took some steps for known below what was shown. */
export interface Known {
  readonly step: string
  readonly name: string
  readonly rung: number
  readonly how: 'shown' | 'below'
}

export interface ArrivalCheck {
  readonly asked: number
  /** Steps that were not light and easy. */
  readonly failed: readonly string[]
  readonly known: readonly Known[]
  readonly next: ArrivalAsk | null
  /** Why it ends, where it does. */
  readonly end: string | null
}

/** After so many steps of one stage that did not go it is clear where the work begins. */
const MOST_FAILED = 2
const MOST_ASKS = 20

/** Touch itself, and what only tells another exposure finer: of anything else a day brings one new kind. */
const NOTHING_NEW: readonly Exposure[] = [
  'reach',
  'whole-weight',
  'alone',
  'feet',
  'hind-feet',
  'halter',
  'loading',
  'girthed-on',
]
const isBeyondTouch = (one: Exposure): boolean => !NOTHING_NEW.includes(one)
const MOST_NEW_EXPOSURES = 1

export interface ArrivalHorse {
  readonly program: Program
  /** The tracks as they stand, with what was asked today. */
  readonly views: Views
  readonly facts: Facts
  /** Whether it is said to be handled. */
  readonly handled: boolean
}

/** The facts a check begins with that are not told yet, and where each one matters. */
export const factsMissing = ({ born, age, checks }: Facts): readonly string[] => [
  ...(born === null && !age ? ['How old is it? “About four, give or take one” is enough.'] : []),
  ...(checks.some(({ kind }) => kind === 'mouth')
    ? []
    : ['Has a vet or dentist looked in the mouth? Nothing with a bit is asked until then.']),
  ...(checks.some(({ kind }) => kind === 'saddle')
    ? []
    : ['Was a saddle checked on it? Nothing with a girth is asked until then.']),
]

const wanted = new WeakMap<Program, ReadonlyMap<string, number>>()

/** The hardest rung that any need wants of each step. */
const rungsWanted = (program: Program): ReadonlyMap<string, number> => {
  const known = wanted.get(program)
  if (known) return known
  const rungs = new Map<string, number>()
  for (const need of program.steps.flatMap(({ needs }) => needs))
    for (const step of stepsMeeting(program, need))
      rungs.set(step.key, Math.max(rungs.get(step.key) ?? 0, rungNeeded(need, step)))
  wanted.set(program, rungs)
  return rungs
}

class Walk {
  readonly standings: ReadonlyMap<string, Standing>
  private readonly horse: PermitHorse

  constructor(
    readonly told: ArrivalHorse,
    readonly answers: readonly ArrivalAnswer[],
    readonly on: Day,
  ) {
    const asked = new Set(answers.map(({ step }) => step))
    this.standings = new Map(
      told.program.steps
        .filter(({ key }) => asked.has(key))
        .map((step) => [step.key, stepStanding(step, this.rungsOf(step), answers)] as const),
    )
    const shown = this.shown.map(({ step, rung }) => ({ step: step.key, rung, on }))
    this.horse = { ...told, shown }
  }

  private rungsOf(step: Step): readonly number[] {
    return rungsToAsk(step, this.rungWanted(step))
  }

  /** The hardest rung that a need wants of a step and that it must reach: there is nothing to be shown beyond. */
  private rungWanted(step: Step): number {
    return Math.min(step.requiredRung, rungsWanted(this.told.program).get(step.key) ?? 0)
  }

  get shown(): readonly { readonly step: Step; readonly rung: number }[] {
    return this.told.program.steps.flatMap((step) => {
      const standing = this.standings.get(step.key)
      return standing && standing.rung > 0 ? [{ step, rung: standing.rung }] : []
    })
  }

  get failed(): readonly Step[] {
    return this.told.program.steps.filter(({ key }) => this.standings.get(key)?.is === 'not-held')
  }

  /** Two that did not go in one stage: here its work begins. */
  get isSettled(): boolean {
    const stages = this.failed.map(({ stage }) => stage)
    return stages.some((stage) => stages.filter((one) => one === stage).length >= MOST_FAILED)
  }

  permitted(step: Step, rung: number): Permit {
    return permit(this.horse, { step: step.key, rung }, this.on)
  }

  isOpen(step: Step): boolean {
    return isPermitted(this.permitted(step, 1))
  }

  /** Kinds of exposure beyond touch, lead and yield that today has met for the first time. */
  private get metToday(): ReadonlySet<Exposure> {
    return new Set(
      this.answers.flatMap(({ step: key, rung }) => {
        const step = this.told.program.steps.find((one) => one.key === key)
        return step ? exposuresAt(step, rung).filter(isBeyondTouch) : []
      }),
    )
  }

  private isTooMuchNew(step: Step, rung: number): boolean {
    const met = this.metToday
    const more = exposuresAt(step, rung).filter((one) => isBeyondTouch(one) && !met.has(one))
    return more.length > 0 && met.size >= MOST_NEW_EXPOSURES
  }

  private isOnRecord(step: Step): boolean {
    const rung = this.rungWanted(step)
    return sideViews(this.told.views, step).every(
      ({ view }) => view.answers > 0 && trackMeets(view, Math.max(1, rung)) && !this.standings.has(step.key),
    )
  }

  private isKnown({ key }: Step): boolean {
    return this.told.facts.known?.some(({ step }) => step === key) ?? false
  }

  /** The first ask up the path that may be made: nothing is jumped, and what nothing stands on tells nothing. */
  get next(): {
    readonly step: Step
    readonly side: Side
    readonly rung: number
    readonly again: boolean
  } | null {
    for (const step of this.told.program.steps) {
      const standing = this.standings.get(step.key)
      if (standing && standing.is !== 'open') continue
      const wanted = this.rungWanted(step)
      if (!standing && (wanted === 0 || this.isOnRecord(step) || this.isKnown(step))) continue
      const side = standing?.side ?? sidesOf(step)[0]!
      const rung = standing?.next ?? this.rungsOf(step)[0]!
      if (!isPermitted(this.permitted(step, rung)) || this.isTooMuchNew(step, rung)) continue
      return { step, side, rung, again: standing?.again ?? false }
    }
    return null
  }
}

const reasonFor = (walk: Walk, { step, side, rung, again }: NonNullable<Walk['next']>): string => {
  if (again) return 'Once more, a little smaller: it may have been chance'
  if (walk.answers.length === 0) return 'The bottom of the path: whatever it knows is shown on the way up'
  if (side !== 'none' && walk.answers.some((one) => one.step === step.key && one.side !== side))
    return `The ${side} side is a horse of its own`
  if (rung > 1 && walk.answers.some((one) => one.step === step.key && one.side === side))
    return 'That went: a bigger rung of the same'
  return 'The next on the path: all it needs was shown or is on record'
}

const NOT_HANDLED =
  'It is not handled: there is nothing to check yet. Begin with stage 1, and let it settle in the pen first.'

const endOf = (walk: Walk): string => {
  if (!walk.told.handled) return NOT_HANDLED
  if (walk.isSettled) return 'Two steps of one stage did not go: this is where its work begins.'
  if (walk.answers.length >= MOST_ASKS) return 'Twenty asks are enough for one day.'
  return 'Its place on the path is found for today: what comes next wants gates, checks or another day.'
}

/**
 * An arrival check as far as it has come: what was shown, which steps that opens, and the next ask. It walks the path in
 * its order and asks nothing the permit refuses, nothing whose needs were not shown today or are on record, and of new
 * things beyond touch, lead and yield one kind a day.
 */
export const arrivalCheck = (
  horse: ArrivalHorse,
  answers: readonly ArrivalAnswer[],
  on: Day,
): ArrivalCheck => {
  const walk = new Walk(horse, answers, on)
  const isOver = !horse.handled || walk.isSettled || answers.length >= MOST_ASKS
  const next = isOver ? null : walk.next
  return {
    asked: answers.length,
    failed: walk.failed.map(({ key }) => key),
    known: walk.shown.map(({ step, rung }) => ({ step: step.key, name: step.name, rung, how: 'shown' })),
    next: next && {
      step: next.step.key,
      name: next.step.name,
      side: next.side,
      rung: next.rung,
      reason: reasonFor(walk, next),
      provided: walk.permitted(next.step, next.rung).because.map(({ words }) => words),
    },
    end: next === null ? endOf(walk) : null,
  }
}

/** The steps that are open for work with what a check has shown so far, in the order of the path. */
export const opensAfter = (
  horse: ArrivalHorse,
  answers: readonly ArrivalAnswer[],
  on: Day,
): readonly string[] => {
  const walk = new Walk(horse, answers, on)
  return horse.program.steps.filter((step) => walk.isOpen(step)).map(({ key }) => key)
}
