import { PLAIN, type Day } from '../../src/answer'
import { reliabilityOf, replayPredicting, talliesOf, type Reliability } from '../../src/evidence'
import { rearing, type Draw, type Nature } from '../../src/herd'
import { STANDARD_MODEL } from '../../src/judgement'
import { STANDARD_LAW } from '../../src/learning'
import { FEET_FIRST } from '../../src/program'
import type { TrackedAnswer } from '../../src/readiness'
import { drawnNature, drawnSteps } from './herd'
import { PLANNERS } from './planners'

/** A herd of made-up horses: its middle talent and its middle speed. */
export interface Herd {
  readonly talent: number
  readonly speed: number
}

/** Five worlds, from horses as able as the judge assumes to far more able ones, and from slow to quick. */
export const HERDS: readonly Herd[] = [
  { talent: 0, speed: 0.35 },
  { talent: 0.6, speed: 0.2 },
  { talent: 1.2, speed: 0.35 },
  { talent: 1.8, speed: 0.5 },
  { talent: 2.4, speed: 0.28 },
]

interface Outcome {
  readonly chance: number
  readonly light: boolean
}

/** What was said of first asks, and what came: of light answers, and of the calm. */
export interface Predicted {
  readonly light: readonly Outcome[]
  readonly calm: readonly Outcome[]
  /** Sum of log P(grade) over all answers. */
  readonly logLikelihood: number
  readonly answers: number
}

/** A horse's answers over so many work days, three a week, by a plain hand. */
const workedDays = (nature: Nature, draw: Draw, days: number): readonly TrackedAnswer[] => {
  const answers: TrackedAnswer[] = []
  let before: Day | null = null
  for (const { workDays, day, lastWork } of rearing(FEET_FIRST, nature, { planner: PLANNERS.plain, draw })) {
    for (const answer of lastWork) answers.push({ ...PLAIN, ...answer, day: before! })
    if (workDays >= days) break
    before = day
  }
  return answers
}

/** What the judge says of a herd that it knows nothing of, and what comes. */
export const predictedOf = (
  { talent, speed }: Herd,
  { horses, days, drawOf }: { horses: number; days: number; drawOf: (n: number) => Draw },
): Predicted => {
  const steps = drawnSteps(drawOf(0))
  const all = Array.from({ length: horses }, (_, n) => {
    const draw = drawOf(n + 1)
    const nature = drawnNature({ ...STANDARD_LAW, speed }, draw, { talent, steps })
    const answers = workedDays(nature, draw, days)
    return { answers, ...replayPredicting(STANDARD_MODEL, FEET_FIRST, answers) }
  })
  const predictions = all.flatMap((one) => one.predictions)
  const tracks = all.flatMap(({ records }) => [...records.tracks.values()])
  return {
    light: predictions.map(({ chance, light }) => ({ chance, light })),
    calm: predictions.flatMap(({ calmChance, tight }) =>
      tight === null ? [] : [{ chance: calmChance, light: !tight }],
    ),
    logLikelihood: tracks.reduce((sum, { belief }) => sum + belief.logLikelihood, 0),
    answers: all.reduce((sum, { answers }) => sum + answers.length, 0),
  }
}

const ENOUGH_IN_A_TENTH = 200

/** How far chances lie from what came. */
export interface Calibration extends Reliability {
  /** The furthest tenth of those with enough first asks. */
  readonly worstTenth: number
}

export const calibrationOf = (outcomes: readonly Outcome[]): Calibration => {
  const told = reliabilityOf(talliesOf(outcomes))
  return {
    ...told,
    worstTenth: Math.max(
      0,
      ...told.tenths
        .filter(({ predictions }) => predictions >= ENOUGH_IN_A_TENTH)
        .map(({ said, came }) => Math.abs(said - came)),
    ),
  }
}
