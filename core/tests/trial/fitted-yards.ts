import { daysBetween } from '../../src/answer'
import type { HorseHistory } from '../../src/fit'
import { drawCalm, drawGrade, type Draw } from '../../src/herd'
import {
  difficulty,
  modelWith,
  retention,
  STANDARD_MODEL,
  valuesOf,
  type FittedValues,
} from '../../src/judgement'
import { FEET_FIRST, stepOf } from '../../src/program'
import type { TrackedAnswer } from '../../src/readiness'
import { answer, day, normalDraw, times } from '../logs'

/** Steps that carry nothing over to one another, so that what a yard's horses are like is all there is to find. */
const STEPS = ['settle-in-pen', 'face-up', 'lead-up', 'stand', 'step-back', 'draw'] as const

interface Size {
  readonly horses: number
  readonly days: number
}

/** A day's asks of one step: a first one and two more. */
const ASKS = 3

const GAP = 2

interface Track {
  readonly start: number
  ability: number
  lastDay: string | null
  daysWorked: number
}

/** A yard whose horses are as some values say: drawn from the very model that is to find them again. */
export const yardOf = (values: FittedValues, draw: Draw, { horses, days }: Size): readonly HorseHistory[] => {
  const model = modelWith(STANDARD_MODEL, values)
  const { least, most } = model.speedBounds
  const ask = (
    track: Track,
    { speed, n, k, step }: { speed: number; n: number; k: number; step: string },
  ) => {
    const shape = stepOf(FEET_FIRST, step)!
    const on = day(GAP * n)
    if (k === 0 && track.lastDay !== null) {
      const share = retention(model, daysBetween(track.lastDay, on), track.daysWorked)
      const worn = track.start + (track.ability - track.start) * share
      const wandered = values.startSd * Math.sqrt(1 - share ** 2) * normalDraw(draw)
      track.ability = draw() < model.setBack ? track.start : worn + wandered
    }
    if (k === 0) track.daysWorked++
    track.lastDay = on
    const rung = 1 + (n % 3)
    const hardness = difficulty(model, rung, { requiredRung: shape.requiredRung, cold: k === 0 })
    const grade = drawGrade(track.ability, hardness, draw)
    const p = 1 / (1 + Math.exp(-model.slope * (track.ability - hardness)))
    const gain = p < model.law.tooBig ? 0 : speed * 4 * p * (1 - p) * model.law.tiring ** k
    track.ability += gain + model.noise * normalDraw(draw)
    return {
      ...answer({ day: on, rung, grade, calm: drawCalm(2, hardness, draw) }),
      step,
      side: 'none' as const,
    }
  }
  return times(horses, () => {
    const talent = values.talentSd * normalDraw(draw)
    const speed = Math.min(most, Math.max(least, values.speedMean + model.own.speed.sd * normalDraw(draw)))
    const tracks = new Map(
      STEPS.map((step): [string, Track] => {
        const start = values.startMean + talent + values.startSd * normalDraw(draw)
        return [step, { start, ability: start, lastDay: null, daysWorked: 0 }]
      }),
    )
    const answers = times(days, (n) =>
      STEPS.filter((_, i) => (n + i) % 2 === 0).flatMap((step) =>
        times(ASKS, (k): TrackedAnswer => ask(tracks.get(step)!, { speed, n, k, step })),
      ),
    ).flat()
    return { program: FEET_FIRST, answers }
  })
}

export const DEFAULTS = valuesOf(STANDARD_MODEL)

/** Yards whose horses differ from what is assumed, and the value that differs. */
export const SHIFTED = {
  'start higher': { ...DEFAULTS, startMean: DEFAULTS.startMean + 1.5 },
  'cold twice as hard': { ...DEFAULTS, cold: 2 * DEFAULTS.cold },
  'learn half as fast': { ...DEFAULTS, speedMean: DEFAULTS.speedMean / 2 },
} as const
