import { isLight, isTight, type Calm, type Grade, type Side } from '../answer'
import { gateGuarding, sidesOf, stepOf, type Program, type Step } from '../program'
import {
  anyLevel,
  asksFor,
  chanceHeld,
  levelAfter,
  passChance,
  placeOf,
  placesOfNeed,
  type Level,
} from './level'

/** One answer of an arrival check; only the first of each track at each rung is read. */
export interface ArrivalAnswer {
  readonly step: string
  readonly side: Side
  readonly rung: number
  readonly grade: Grade
  readonly calm: Calm | null
}

/** The next ask of an arrival check, and why it is that one. */
export interface ArrivalAsk {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly rung: number
  readonly reason: string
}

/** How a rung comes to be taken as known. */
export type How = 'shown' | 'stands-under' | 'likely'

export interface Known {
  readonly step: string
  readonly rung: number
  readonly how: How
}

export interface ArrivalCheck {
  readonly asked: number
  /** Steps that were not light and easy at the rung they must reach. */
  readonly failed: readonly string[]
  readonly known: readonly Known[]
  /** Steps that are open for work now. */
  readonly opens: readonly string[]
  readonly next: ArrivalAsk | null
  /** Why it ends, where it does. */
  readonly end: string | null
}

const MOST_FAILED = 2

/** A step that is held half way up its ladder is half a failure. */
const IN_PART = 0.5
const MOST_ASKS = 20

/** How often one step is otherwise than the horse’s level says: each came to it in its own way. */
const OWN_WAY = 0.14

/** A need is taken as known, and an ask as safe, from this chance on. */
const LIKELY = 0.75

/** What a first ask that went well, or badly, says of its own step. */
const SHOWN = 0.97
const NOT_SHOWN = 0.05

/** Second sides say less: a horse that does it on one side mostly does it on both. */
const SECOND_SIDE = 0.5

/** An ask that tells less than this is not worth making. */
const LEAST_GAIN = 0.02

interface Standing {
  /** Hardest rung that was light and easy on every side asked. */
  readonly shown: number
  /** Smallest rung that was not; none is `Infinity`. */
  readonly failed: number
  readonly sides: ReadonlyMap<Side, number>
}

type Standings = ReadonlyMap<string, Standing>

const passed = ({ grade, calm }: ArrivalAnswer): boolean => isLight(grade) && !isTight(calm)

const firstOfEach = (answers: readonly ArrivalAnswer[]): readonly ArrivalAnswer[] => {
  const seen = new Set<string>()
  return answers.filter(({ step, side, rung }) => {
    const key = `${step}/${side}/${rung}`
    return seen.has(key) ? false : seen.add(key)
  })
}

const standingsFrom = (answers: readonly ArrivalAnswer[]): Standings => {
  const standings = new Map<string, Standing>()
  for (const answer of answers) {
    const { step, side, rung } = answer
    const before = standings.get(step) ?? { shown: 0, failed: Infinity, sides: new Map() }
    const sides = new Map(before.sides).set(side, (before.sides.get(side) ?? 0) + 1)
    const failed = passed(answer) ? before.failed : Math.min(before.failed, rung)
    const shown = passed(answer) ? Math.max(before.shown, rung) : before.shown
    standings.set(step, { shown: Math.min(shown, failed - 1), failed, sides })
  }
  return standings
}

const levelFrom = (program: Program, answers: readonly ArrivalAnswer[]): Level => {
  const asked = new Set<string>()
  return answers.reduce((level, answer) => {
    const step = stepOf(program, answer.step)
    if (!step) return level
    const weight = asked.has(step.key) ? SECOND_SIDE : 1
    asked.add(step.key)
    return levelAfter(level, placeOf(program, step, answer.rung), passed(answer), weight)
  }, anyLevel(program))
}

/** What must be held for a rung to have gone well: the needs of its step, and of those, all the way down. */
const standsUnder = (program: Program, standings: Standings): ReadonlyMap<string, number> => {
  const under = new Map<string, number>()
  const add = (step: Step, rung: number): void => {
    for (const need of step.needs.filter(({ fromRung }) => (fromRung ?? 1) <= rung)) {
      const ways = placesOfNeed(program, need)
      // Which step of a role it was is not known.
      if (ways.length !== 1) continue
      const [way] = ways
      if ((under.get(way!.step.key) ?? 0) >= way!.rung) continue
      under.set(way!.step.key, way!.rung)
      add(way!.step, way!.rung)
    }
  }
  for (const [key, { shown }] of standings) {
    const step = stepOf(program, key)
    if (step && shown > 0) add(step, shown)
  }
  return under
}

class Picture {
  private readonly under: ReadonlyMap<string, number>
  private readonly held = new Map<number, number>()

  constructor(
    private readonly program: Program,
    private readonly standings: Standings,
    readonly level: Level,
  ) {
    this.under = standsUnder(program, standings)
  }

  private heldAt(place: number): number {
    const known = this.held.get(place)
    if (known !== undefined) return known
    const chance = OWN_WAY + (1 - 2 * OWN_WAY) * chanceHeld(this.level, place)
    this.held.set(place, chance)
    return chance
  }

  chanceOf(step: Step, rung: number): number {
    const standing = this.standings.get(step.key)
    if (standing && standing.shown >= rung) return SHOWN
    if (standing && standing.failed <= rung) return NOT_SHOWN
    if ((this.under.get(step.key) ?? 0) >= rung) return SHOWN
    return this.heldAt(placeOf(this.program, step, rung))
  }

  howKnown(step: Step, rung: number): How | null {
    if ((this.standings.get(step.key)?.shown ?? 0) >= rung) return 'shown'
    if (this.chanceOf(step, rung) < LIKELY) return null
    return (this.under.get(step.key) ?? 0) >= rung ? 'stands-under' : 'likely'
  }

  needChances(step: Step): readonly number[] {
    return step.needs
      .filter(({ fromRung }) => (fromRung ?? 1) === 1)
      .map((need) =>
        Math.max(0, ...placesOfNeed(this.program, need).map((way) => this.chanceOf(way.step, way.rung))),
      )
  }

  /** How unsure it is which steps are open: the sum of the variances of all needs. */
  doubt(): number {
    return this.program.steps
      .flatMap((step) => this.needChances(step))
      .reduce((sum, chance) => sum + chance * (1 - chance), 0)
  }
}

const isBehindGate = (program: Program, { key }: Step): boolean => gateGuarding(program, key, 1) !== undefined

/** The first stage until something was shown, and then one above the highest stage that was. */
const reachOf = (program: Program, standings: Standings): number =>
  1 +
  Math.max(
    0,
    ...[...standings].filter(([, { shown }]) => shown > 0).map(([key]) => stepOf(program, key)?.stage ?? 0),
  )

/** What asking a step next would tell, per ask. */
const gainOf = (
  program: Program,
  answers: readonly ArrivalAnswer[],
  picture: Picture,
  step: Step,
): number => {
  const rung = step.requiredRung
  const pass = passChance(picture.level, placeOf(program, step, rung))
  const after = (grade: Grade): number => {
    const more = sidesOf(step).map((side): ArrivalAnswer => ({ step: step.key, side, rung, grade, calm: 0 }))
    return pictureFrom(program, [...answers, ...more]).doubt()
  }
  return (picture.doubt() - pass * after(1) - (1 - pass) * after(3)) / asksFor(step)
}

const pictureFrom = (program: Program, answers: readonly ArrivalAnswer[]): Picture =>
  new Picture(program, standingsFrom(answers), levelFrom(program, answers))

const MOST_A_STEP = 3

/** A step that was begun: its other side first, then, where it failed, one rung half way down. */
const goingOnWith = (step: Step, { sides, failed, shown }: Standing): Omit<ArrivalAsk, 'name'> | null => {
  const asked = [...sides.values()].reduce((sum, n) => sum + n, 0)
  const other = sidesOf(step).find((side) => !sides.has(side))
  if (other && failed > step.requiredRung)
    return {
      step: step.key,
      side: other,
      rung: step.requiredRung,
      reason: `The ${other} side is a horse of its own`,
    }
  const smaller = Math.ceil(step.requiredRung / 2)
  if (failed !== step.requiredRung || shown > 0 || smaller >= failed || asked >= MOST_A_STEP) return null
  return {
    step: step.key,
    side: [...sides.keys()].at(-1)!,
    rung: smaller,
    reason: 'Not at the rung it must reach: half way down tells where it is',
  }
}

const goesOn = (program: Program, key: string, standing: Standing): boolean => {
  const step = stepOf(program, key)
  return step !== undefined && goingOnWith(step, standing) !== null
}

const goingOn = (program: Program, standings: Standings): ArrivalAsk | null => {
  for (const [key, standing] of standings) {
    const step = stepOf(program, key)
    const ask = step ? goingOnWith(step, standing) : null
    if (ask) return { ...ask, name: step!.name }
  }
  return null
}

const FIRST_REASON = 'Safe to begin with, and much stands on it'

const reasonFor = (program: Program, step: Step, answers: readonly ArrivalAnswer[]): string => {
  if (answers.length === 0) return FIRST_REASON
  const on = program.steps.filter(({ needs }) => needs.some(({ step: key }) => key === step.key)).length
  const below = step.needs.length
  const parts = [
    below > 0 ? `it cannot be had without ${below === 1 ? 'one step' : `${below} steps`} below it` : '',
    on > 0 ? `${on === 1 ? 'one step stands' : `${on} steps stand`} on it` : '',
  ].filter(Boolean)
  return `Tells most now${parts.length > 0 ? `: ${parts.join(', and ')}` : ''}`
}

const nextAsk = (
  program: Program,
  answers: readonly ArrivalAnswer[],
  standings: Standings,
  picture: Picture,
) => {
  const begun = goingOn(program, standings)
  if (begun) return begun
  const reach = reachOf(program, standings)
  const safe = program.steps.filter(
    (step) =>
      !standings.has(step.key) &&
      step.stage <= reach &&
      !isBehindGate(program, step) &&
      picture.needChances(step).every((chance) => chance >= LIKELY),
  )
  const ranked = safe
    .map((step) => ({ step, gain: gainOf(program, answers, picture, step) }))
    .sort((a, b) => b.gain - a.gain)
  const [best] = ranked
  if (!best || best.gain < LEAST_GAIN) return null
  const [side] = sidesOf(best.step)
  return {
    step: best.step.key,
    name: best.step.name,
    side: side!,
    rung: best.step.requiredRung,
    reason: reasonFor(program, best.step, answers),
  }
}

const endOf = (failures: number, asked: number): string => {
  if (failures >= MOST_FAILED) return 'Enough did not go: this is where its work begins.'
  return asked >= MOST_ASKS
    ? 'Twenty asks are enough for one day.'
    : 'Nothing that is safe to ask would tell more.'
}

const knownRungs = (program: Program, picture: Picture): readonly Known[] =>
  program.steps.flatMap((step): Known[] => {
    const rung = Array.from({ length: step.requiredRung }, (_, i) => step.requiredRung - i).find(
      (one) => picture.howKnown(step, one) !== null,
    )
    return rung === undefined ? [] : [{ step: step.key, rung, how: picture.howKnown(step, rung)! }]
  })

/**
 * An arrival check as far as it has come: what was shown, what stands under it, which steps that opens, and the next
 * ask. The order is the core's: of the asks that are safe (what they need is likely, and no more than one stage above
 * what was shown) the one that leaves least doubt about which steps are open, per ask.
 */
export const arrivalCheck = (program: Program, all: readonly ArrivalAnswer[]): ArrivalCheck => {
  const answers = firstOfEach(all)
  const standings = standingsFrom(answers)
  const picture = pictureFrom(program, answers)
  const missed = [...standings].filter(
    ([key, standing]) => standing.failed < Infinity && !goesOn(program, key, standing),
  )
  const failures = missed.reduce((sum, [, { shown }]) => sum + (shown === 0 ? 1 : IN_PART), 0)
  const isOver = failures >= MOST_FAILED || answers.length >= MOST_ASKS
  const begun = goingOn(program, standings)
  const next = isOver ? begun : nextAsk(program, answers, standings, picture)
  return {
    asked: answers.length,
    failed: missed.map(([key]) => key),
    known: knownRungs(program, picture),
    opens: program.steps
      .filter((step) => picture.needChances(step).every((chance) => chance >= LIKELY))
      .map(({ key }) => key),
    next,
    end: next === null ? endOf(failures, answers.length) : null,
  }
}
