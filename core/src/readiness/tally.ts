import {
  isCleanPass,
  isLight,
  isTight,
  type Answer,
  type Calm,
  type Day,
  type Grade,
  type PlaceByHorse,
} from '../answer'
import { exposuresAt, type JudgedStep } from '../program'

/** The last day a track was worked, as far as later rules read it. */
export interface DayWorked {
  readonly day: Day
  readonly answers: number
  readonly four: boolean
  /** Hardest rung answered light and not tight that day; 0 if none. */
  readonly hardestGood: number
  readonly lastGrade: Grade
  readonly lastCalm: Calm | null
  /** Whether the day's first answer was a cold pass; `null` if it could not count as one. */
  readonly coldPass: boolean | null
  /** The day's first answer where it could count, whatever its rung. */
  readonly first?: FirstAnswer | null
  /** What was foretold of the day's first answer, and what came; `null` where it was by chance or recalled. */
  readonly foretold?: Foretold | null
}

/** A first ask put to the test: the chances just before it, at its own rung, and its answer. */
export interface Foretold {
  readonly chance: number
  readonly light: boolean
  readonly calmChance: number
  /** `null` where no calm was noted. */
  readonly tight: boolean | null
}

/** The first answer of a day: its rung, and whether it was light and not tight. */
export interface FirstAnswer {
  readonly rung: number
  readonly passed: boolean
}

/** Work behind a gate: the last day on which it was Go and was then gone through, and the last day of such work since. */
export interface Behind {
  readonly went: Day
  readonly last: Day
}

/** Grade and calm of an answer, all that a reason in words needs. */
export interface Marked {
  readonly grade: Grade
  readonly calm: Calm | null
}

/** Counters beside the belief: all that the rules of Solid and the states read, so that no answer is read twice. */
export interface Tally {
  readonly answers: number
  readonly atRequired: number
  /** Newest last, at most ten. */
  readonly days: readonly DayWorked[]
  /** Cold asks at the required rung or harder that could count, newest last, at most three. */
  readonly coldPasses: readonly boolean[]
  /** The last day a clean pass was given from each place. */
  readonly places: Readonly<Partial<Record<PlaceByHorse, Day>>>
  /** Days of the last two clean passes given while moving, newest last. */
  readonly moving: readonly Day[]
  /** The last eight answers, newest last, for the reasons in words. */
  readonly recent: readonly Marked[]
  /** Whether it was Solid at the end of each day worked before the last one; newest last, at most ten. */
  readonly solidEnds: readonly boolean[]
  readonly onceSolid: boolean
  /** The hardest rung ever answered; 0 before the first answer. */
  readonly hardest?: number
  /** Days on which it was asked away from its home pen. */
  readonly awayDays?: number
  /** Work on this track behind gates, by the gate's key. */
  readonly behind?: Readonly<Record<string, Behind>>
}

export const EMPTY_TALLY: Tally = {
  answers: 0,
  atRequired: 0,
  days: [],
  coldPasses: [],
  places: {},
  moving: [],
  recent: [],
  solidEnds: [],
  onceSolid: false,
  hardest: 0,
  awayDays: 0,
}

export const DAYS_REMEMBERED = 10
const COLD_REMEMBERED = 3
const MOVING_REMEMBERED = 2
const RECENT_REMEMBERED = 8

export const newest = <T>(list: readonly T[], item: T, most: number): readonly T[] =>
  [...list, item].slice(-most)

/** Whether a day's first answer counts among the cold asks; one nobody saw the calm of does not. */
const canPassCold = (answer: Answer): boolean => answer.calm !== null && !answer.byChance && !answer.recalled

const dayOpened = (
  answer: Answer,
  { requiredRung, foretold }: { requiredRung: number; foretold: Foretold | null },
): DayWorked => ({
  day: answer.day,
  answers: 0,
  four: false,
  hardestGood: 0,
  lastGrade: answer.grade,
  lastCalm: answer.calm,
  coldPass: canPassCold(answer) && answer.rung >= requiredRung ? isCleanPass(answer) : null,
  first: canPassCold(answer) ? { rung: Math.floor(answer.rung), passed: isCleanPass(answer) } : null,
  foretold,
})

const isAway = (step: JudgedStep, { rung }: Answer): boolean => exposuresAt(step, rung).includes('away')

const dayWith = (today: DayWorked, answer: Answer): DayWorked => ({
  ...today,
  answers: today.answers + 1,
  four: today.four || answer.grade === 4,
  hardestGood:
    isLight(answer.grade) && !isTight(answer.calm)
      ? Math.max(today.hardestGood, answer.rung)
      : today.hardestGood,
  lastGrade: answer.grade,
  lastCalm: answer.calm,
})

/** The counters after one more answer; `cold` when it opens a day. */
export const tallyWith = (
  tally: Tally,
  step: JudgedStep,
  { answer, cold, foretold = null }: { answer: Answer; cold: boolean; foretold?: Foretold | null },
): Tally => {
  const today = cold ? dayOpened(answer, { requiredRung: step.requiredRung, foretold }) : tally.days.at(-1)!
  const earlier = cold ? tally.days : tally.days.slice(0, -1)
  const clean = isCleanPass(answer)
  return {
    ...tally,
    answers: tally.answers + 1,
    // A rung that lies between two on another ladder counts as the easier one.
    hardest: Math.max(tally.hardest ?? 0, Math.floor(answer.rung)),
    awayDays: (tally.awayDays ?? 0) + (cold && isAway(step, answer) ? 1 : 0),
    atRequired: tally.atRequired + (answer.rung >= step.requiredRung ? 1 : 0),
    days: newest(earlier, dayWith(today, answer), DAYS_REMEMBERED),
    coldPasses:
      cold && today.coldPass !== null
        ? newest(tally.coldPasses, today.coldPass, COLD_REMEMBERED)
        : tally.coldPasses,
    places: clean && answer.place !== null ? { ...tally.places, [answer.place]: answer.day } : tally.places,
    recent: newest(tally.recent, { grade: answer.grade, calm: answer.calm }, RECENT_REMEMBERED),
    moving: clean && answer.moving ? newest(tally.moving, answer.day, MOVING_REMEMBERED) : tally.moving,
  }
}
