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
import { FEET_FIRST, stepOf, type Step } from '../../src/program'
import type { TrackedAnswer } from '../../src/readiness'
import { answer, day, normalDraw, times } from '../logs'

/** Steps that carry nothing over to one another, so that what a yard's horses are like is all there is to find. */
const STEPS = ['settle-in-pen', 'face-up', 'lead-up', 'stand', 'step-back', 'draw'].map((key) =>
  stepOf(FEET_FIRST, key)!,
)

/** How a yard works: how many horses come, how many on a day, and how long each stays. */
export interface Yard {
  readonly horses: number
  readonly arrivals: number
  readonly workDays: number
  /** Steps asked on a day, and asks of each in a row. */
  readonly steps: number
  readonly asks: number
  /** The rung at which each step begins. */
  readonly from: number
}

const GAP = 2

/** A step is asked a rung up where most went light, and a rung down where little did. */
const UP = 0.6
const DOWN = 0.34

interface Track {
  readonly start: number
  ability: number
  rung: number
  lastDay: string | null
  daysWorked: number
}

/** A yard whose horses are as some values say: drawn from the very model that is to find them again. */
export const yardOf = (
  values: FittedValues,
  draw: Draw,
  { horses, arrivals, workDays, steps, asks, from }: Yard,
): readonly HorseHistory[] => {
  const model = modelWith(STANDARD_MODEL, values)
  const { least, most } = model.speedBounds
  // Horses that learn half as fast also differ half as much in it.
  const spread = (model.own.speed.sd * values.speedMean) / DEFAULTS.speedMean

  const rest = (track: Track, on: string): void => {
    if (track.lastDay !== null) {
      const share = retention(model, daysBetween(track.lastDay, on), track.daysWorked)
      const worn = track.start + (track.ability - track.start) * share
      const wandered = values.startSd * Math.sqrt(1 - share ** 2) * normalDraw(draw)
      track.ability = draw() < model.setBack ? track.start : worn + wandered
    }
    track.daysWorked++
    track.lastDay = on
  }

  const burst = (track: Track, { step, on, speed }: { step: Step; on: string; speed: number }) => {
    rest(track, on)
    const { rung } = track
    const given = times(asks, (k): TrackedAnswer => {
      const hardness = difficulty(model, rung, { requiredRung: step.requiredRung, cold: k === 0 })
      const grade = drawGrade(track.ability, hardness, draw)
      const p = 1 / (1 + Math.exp(-model.slope * (track.ability - hardness)))
      const gain = p < model.law.tooBig ? 0 : speed * 4 * p * (1 - p) * model.law.tiring ** k
      track.ability += gain + model.noise * normalDraw(draw)
      const calm = drawCalm(2, hardness, draw)
      return { ...answer({ day: on, rung, grade, calm }), step: step.key, side: 'none' }
    })
    const light = given.filter(({ grade }) => grade <= 1).length / asks
    if (light >= UP) track.rung = Math.min(step.rungs.length, rung + 1)
    else if (light <= DOWN) track.rung = Math.max(1, rung - 1)
    return given
  }

  return times(horses, (n) => {
    const talent = values.talentSd * normalDraw(draw)
    const speed = Math.min(most, Math.max(least, values.speedMean + spread * normalDraw(draw)))
    const tracks = new Map<Step, Track>()
    const trackOf = (step: Step): Track => {
      const start = values.startMean + talent + values.startSd * normalDraw(draw)
      const track = tracks.get(step) ?? { start, ability: start, rung: from, lastDay: null, daysWorked: 0 }
      tracks.set(step, track)
      return track
    }
    const answers = times(workDays, (worked) => {
      const on = day(GAP * (Math.floor(n / arrivals) + worked))
      const first = Math.floor((worked * STEPS.length) / workDays)
      return times(steps, (j) => STEPS[(first + j) % STEPS.length]!).flatMap((step) =>
        burst(trackOf(step), { step, on, speed }),
      )
    }).flat()
    return { program: FEET_FIRST, answers }
  })
}

export const DEFAULTS = valuesOf(STANDARD_MODEL)

/** Through such a yard many horses pass, and stay for a few days only. */
export const MANY_HORSES: Yard = { horses: 180, arrivals: 2, workDays: 3, steps: 5, asks: 2, from: 1 }

/** In such a yard every step is asked once a day, for three weeks. */
export const ONCE_A_DAY: Yard = { horses: 120, arrivals: 4, workDays: 10, steps: 6, asks: 1, from: 2 }

/** Yards whose horses differ from what is assumed: the value that does, and how they work. */
export const SHIFTED = {
  'start higher': { moved: 'startMean', by: 1.5, yard: MANY_HORSES },
  'cold twice as hard': { moved: 'cold', by: DEFAULTS.cold, yard: MANY_HORSES },
  'learn half as fast': { moved: 'speedMean', by: -DEFAULTS.speedMean / 2, yard: ONCE_A_DAY },
} as const

export const shifted = (name: keyof typeof SHIFTED): FittedValues => {
  const { moved, by } = SHIFTED[name]
  return { ...DEFAULTS, [moved]: DEFAULTS[moved] + by }
}
