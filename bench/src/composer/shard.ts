import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { STANDARD_LAW, type LearningLaw } from '@still-pine/core/learning'
import { FEET_FIRST } from '@still-pine/core/program'
import { drawnNature } from '../../../core/tests/trial/herd'
import { pathTo } from '../../../core/tests/trial/path-to'
import { PLANNERS } from '../../../core/tests/trial/planners'
import { raise, type Raised } from '../../../core/tests/trial/raise'

export type PlannerName = keyof typeof PLANNERS
export const PLANNER_NAMES = Object.keys(PLANNERS) as PlannerName[]

/** What is changed of the law the horses learn by; the planners always reckon with the standard one. */
export interface Change {
  readonly constant: keyof LearningLaw | null
  readonly by: number
}

export const CHANGES: readonly Change[] = [
  { constant: null, by: 1 },
  ...(Object.keys(STANDARD_LAW) as (keyof LearningLaw)[]).flatMap((constant) => [
    { constant, by: 0.5 },
    { constant, by: 1.5 },
  ]),
]

const changedLaw = ({ constant, by }: Change): LearningLaw =>
  constant === null ? STANDARD_LAW : { ...STANDARD_LAW, [constant]: STANDARD_LAW[constant] * by }

/** How one made-up horse fared under each planner. */
export interface Row extends Record<PlannerName, Raised> {
  readonly horse: number
  readonly change: Change
}

/** Neighbouring seeds begin alike, so the first draws are thrown away. */
const drawsOf = (seed: number): (() => number) => {
  const generator = xoroshiro128plus(seed)
  for (let i = 0; i < 20; i++) generator.next()
  return () => (generator.next() >>> 0) / 2 ** 32
}

export const GATE = 'first-time-up'
const PATH = pathTo(FEET_FIRST, GATE)

/** The longest any horse is worked. */
export const MOST_DAYS = 120

/** A horse to be worked by each planner under a law. */
export interface Race {
  readonly horse: number
  readonly change: Change
}

/**
 * One horse by each planner with the same draws. Where the law is changed the others are worked no longer than the
 * composer took: all that is asked then is who comes first.
 */
export const raced = ({ horse, change }: Race): Row => {
  const nature = drawnNature(changedLaw(change), drawsOf(7919 * (horse + 1)))
  const run = (name: PlannerName, most: number): Raised =>
    raise(PATH, GATE, { nature, planner: PLANNERS[name], draw: drawsOf(104_729 * (horse + 1)), most })
  const composer = run('composer', MOST_DAYS)
  const most = change.constant === null ? MOST_DAYS : (composer.workDays ?? MOST_DAYS)
  return { horse, change, composer, greedy: run('greedy', most), plain: run('plain', most) }
}
