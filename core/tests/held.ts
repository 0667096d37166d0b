import { addDays, PLAIN, type Day, type Grade, type Side } from '../src/answer'
import { STANDARD_MODEL } from '../src/judgement'
import type { Confirmation, Facts } from '../src/facts'
import { FEET_FIRST, type Program, type Step } from '../src/program'
import { replayHorse, viewsOf, type TrackedAnswer, type Views } from '../src/readiness'

const PLACES = [1, 2, 3, 4, 5] as const

const sidesOf = (step: Step): readonly Side[] => (step.sided ? ['left', 'right'] : ['none'])

const onDay = (step: Step, day: Day, { rung, grade }: { rung: number; grade: Grade }): TrackedAnswer[] =>
  sidesOf(step).flatMap((side) =>
    PLACES.map((place) => ({
      ...PLAIN,
      step: step.key,
      side,
      day,
      rung,
      grade,
      calm: 0,
      place,
      moving: true,
    })),
  )

export interface HeldWays {
  readonly program?: Program
  /** Steps left out altogether. */
  readonly without?: readonly string[]
  /** Steps never asked beyond their required rung. */
  readonly notBeyond?: readonly string[]
  /** The last of its days of work, and how many there were. */
  readonly lastDay: Day
  readonly days?: number
  readonly grade?: Grade
}

/**
 * A log that makes every track of a program Solid: a few days of loose answers on the thought, all round at the required rung, and
 * after them a few on the rungs beyond, so that nothing of the ladder was never asked.
 */
export const heldLog = ({
  program = FEET_FIRST,
  without = [],
  notBeyond = [],
  lastDay,
  days = 4,
  grade = 0,
}: HeldWays): TrackedAnswer[] => {
  const steps = program.steps.filter(({ key }) => !without.includes(key))
  return Array.from({ length: days }, (_, i) => addDays(lastDay, 2 * (i - days + 1))).flatMap((day) => [
    ...steps.flatMap((step) => onDay(step, day, { rung: step.requiredRung, grade })),
    ...steps
      .filter((step) => step.rungs.length > step.requiredRung && !notBeyond.includes(step.key))
      .flatMap((step) => onDay(step, day, { rung: step.rungs.length, grade })),
  ])
}

export const viewsFrom = (log: readonly TrackedAnswer[], on: Day, program: Program = FEET_FIRST): Views =>
  viewsOf(STANDARD_MODEL, program, { records: replayHorse(STANDARD_MODEL, program, log), on })

export const ALL_CONFIRMED: readonly Confirmation[] = [
  'helper',
  'helmet',
  'safe-rail',
  'company',
  'rider-share',
  'whereabouts',
  'load-day',
]

/** A grown horse with its papers in order, and nothing confirmed today. */
export const inOrder = (on: Day, change: Partial<Facts> = {}): Facts => ({
  born: addDays(on, -5 * 365 - 10),
  checks: (['mouth', 'saddle'] as const).map((kind) => ({
    kind,
    on: addDays(on, -10),
    until: null,
    passed: true,
  })),
  incidents: [],
  confirmed: [],
  handOver: [],
  ...change,
})
