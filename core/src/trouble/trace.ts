import { daysBetween, type Day, type Side } from '../answer'
import { rungName, stepsMeeting, TROUBLES, type Program, type Step, type Trouble } from '../program'
import {
  knownFrom,
  latestCheck,
  sideViews,
  unmetNeeds,
  upperFirst,
  type Facts,
  type TrackView,
  type Views,
} from '../readiness'
import { openSteps, type OpenStep } from '../plan'
import { lacksOf, type Lack, type LackKind } from './lacks'

/** Somebody who looks first, because pain or a bad fit goes wrong in the same way. */
export interface LookFirst {
  readonly who: 'vet' | 'teeth' | 'saddle'
  readonly words: string
}

/** A step that may be what is missing. */
export interface Suspect {
  readonly step: string
  readonly name: string
  /** How much points to it, from 0 up; only the order and the ratio mean something. */
  readonly weight: number
  readonly lacks: readonly Lack[]
  /** What is known of it, the worse side first. */
  readonly evidence: readonly string[]
  /** Why it is looked at: the troubles it keeps away, or the step that stands on it. */
  readonly because: readonly string[]
  readonly today: string
}

export interface Trace {
  readonly lookFirst: readonly LookFirst[]
  /** The likeliest first. */
  readonly suspects: readonly Suspect[]
  /** Steps that belong to these troubles and hold on every side. */
  readonly sound: readonly string[]
}

export interface TroubleCase {
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
  readonly on: Day
  /** Keys of what goes wrong. */
  readonly troubles: readonly string[]
  /** Where each step was answered light and easy, by step key. */
  readonly provedAt: ReadonlyMap<string, readonly string[]>
}

/** Each further step of a trouble's list counts this much less than the one before it. */
const RANK_SHARE = 0.85

/** What a listed step stands on counts this much of it. */
const BELOW_SHARE = 0.5

/** A step that cannot be worked yet, because another is missing, is less likely to be the first cause. */
const CLOSED_SHARE = 0.6

/** How much a lack adds to the doubt about a step; what the chance already tells adds nothing. */
const ADDED_DOUBT: Record<LackKind, number> = {
  missing: 0,
  weak: 0,
  tight: 0,
  slipped: 0.15,
  'one-sided': 0.15,
  stale: 0.05,
  'not-moving': 0.1,
  'home-only': 0.1,
}

interface Named {
  readonly step: Step
  readonly share: number
  readonly because: readonly string[]
}

const listedSteps = (program: Program, troubles: readonly Trouble[]): Map<string, Named> => {
  const named = new Map<string, Named>()
  const add = (step: Step, share: number, because: string): void => {
    const known = named.get(step.key)
    named.set(step.key, {
      step,
      share: (known?.share ?? 0) + share,
      because: [...(known?.because ?? []), because],
    })
  }
  for (const { steps, words } of troubles)
    program.steps
      .filter(({ key }) => steps.includes(key))
      .forEach((step) => add(step, RANK_SHARE ** steps.indexOf(step.key), words))
  const listed = [...named.values()]
  for (const { step, share } of listed) {
    const below = new Set(step.needs.flatMap((need) => stepsMeeting(program, need)))
    for (const ingredient of below)
      if (!listed.some((one) => one.step.key === ingredient.key))
        add(ingredient, (share * BELOW_SHARE) / below.size, `${step.name} stands on it`)
  }
  return named
}

const worseFirst = (views: Views, step: Step) =>
  [...sideViews(views, step)].sort((a, b) => sureness(a.view) - sureness(b.view))

const sureness = ({ answers, chance, calmChance }: TrackView): number =>
  answers === 0 ? 0 : chance * calmChance

const doubtOf = (views: Views, step: Step, lacks: readonly Lack[]): number => {
  const [worst] = worseFirst(views, step)
  const kinds = new Set(lacks.map(({ kind }) => kind))
  return Math.min(
    1,
    [...kinds].reduce((sum, kind) => sum + ADDED_DOUBT[kind], 1 - sureness(worst!.view)),
  )
}

const sideWords = (side: Side): string => (side === 'none' ? '' : `, ${side} first`)

const todayFor = (
  { program, views, facts }: TroubleCase,
  step: Step,
  { open, lacks }: { open: OpenStep | undefined; lacks: readonly Lack[] },
) => {
  if (!open) {
    const unmet = unmetNeeds(program, views, { step, rung: 1, known: facts.known })
    return unmet.length > 0
      ? `Not open yet: it needs ${unmet.map(({ words }) => words).join('; ')}.`
      : 'A gate is shut before it.'
  }
  const [worst] = worseFirst(views, step)
  const { side, view } = worst!
  const rung = open.tracks.find((track) => track.side === side)!.rung
  const at = `rung ${rung}, “${rungName(step, rung)}”${sideWords(side)}`
  const kinds = new Set(lacks.map(({ kind }) => kind))
  if (view.answers === 0) return `Begin it at ${at}.`
  if (kinds.has('tight')) return `Make it smaller until it is loose: ${at}.`
  if (kinds.has('weak') || kinds.has('slipped')) return `Work it at ${at}.`
  if (kinds.has('not-moving')) return `Ask it twice while the horse walks: ${at}.`
  if (kinds.has('home-only')) return `Ask it somewhere else: ${at}.`
  return `Ask it cold: ${at}.`
}

const WHO_WORDS = {
  vet: 'Pain does this too: the vet looks before more work.',
  teeth: 'A sore mouth does this too: the vet or equine dentist looks first.',
  saddle: 'A saddle that pinches does this too: the fitter looks first.',
} as const

const lastLook = ({ facts, on }: TroubleCase, who: LookFirst['who']): string => {
  const kind = who === 'teeth' ? 'mouth' : who
  if (kind === 'vet') return ''
  const look = latestCheck(facts.checks, kind, on)
  if (!look) return ' It was never looked at here.'
  return ` Last looked at ${daysBetween(look.on, on)} calendar days ago, ${look.passed ? 'all well' : 'not right'}.`
}

const WHO = ['vet', 'teeth', 'saddle'] as const

/**
 * Which steps of this horse are behind a trouble: each step that the trade names for it, and what that step stands on,
 * weighed by how far up the list it is and by how much is wanting in it today.
 */
export const traceTrouble = (trouble: TroubleCase): Trace => {
  const { program, views, facts, on, provedAt } = trouble
  const chosen = TROUBLES.filter(({ key }) => trouble.troubles.includes(key))
  const placesWorked = new Set([...provedAt.values()].flat()).size
  const { open } = openSteps(program, views, { facts, on })
  const suspects: Suspect[] = []
  const sound: string[] = []
  for (const { step, share, because } of listedSteps(program, chosen).values()) {
    const lacks = lacksOf(views, step, { provedAt: provedAt.get(step.key) ?? [], placesWorked, on })
    if (lacks.length === 0) {
      sound.push(step.name)
      continue
    }
    const isOpen = open.find((one) => one.step.key === step.key)
    const doubt = doubtOf(views, step, lacks)
    suspects.push({
      step: step.key,
      name: step.name,
      weight: share * doubt * (isOpen ? 1 : CLOSED_SHARE),
      lacks,
      evidence: worseFirst(views, step).map(({ side, view }) =>
        upperFirst(side === 'none' ? knownFrom(view, on) : `${side}: ${knownFrom(view, on)}`),
      ),
      because,
      today: todayFor(trouble, step, { open: isOpen, lacks }),
    })
  }
  return {
    lookFirst: WHO.filter((who) => chosen.some(({ lookFirst }) => lookFirst.includes(who))).map((who) => ({
      who,
      words: WHO_WORDS[who] + lastLook(trouble, who),
    })),
    suspects: suspects.sort((a, b) => b.weight - a.weight || a.step.localeCompare(b.step)),
    sound,
  }
}
