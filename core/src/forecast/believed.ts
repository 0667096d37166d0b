import { isTight } from '../answer'
import { momentsOf, type Density, type Model, type Normal } from '../judgement'
import { sidesOf, type Program, type Step } from '../program'
import { solidAtEndOfDay, trackKey, type Records, type TrackRecord } from '../readiness'
import type { ForecastAsked } from './forecast'
import type { Known, KnownTrack } from './standing'

/** What a forecast must know of a horse beside how it is to be worked. */
export type HorseBelieved = Pick<
  ForecastAsked,
  'talent' | 'calmTalent' | 'logSpeed' | 'stiffness' | 'newTracks' | 'tracks'
>

const knownFrom = (density: Density): Known => {
  const { mean, variance } = momentsOf(density)
  return { mean, sd: Math.sqrt(variance), grid: Array.from(density) }
}

const BADLY = 3

const trackFrom = (
  model: Model,
  step: Step,
  { side, record }: { side: KnownTrack['side']; record: TrackRecord },
): KnownTrack => {
  const { belief, tally } = record
  const last = tally.days.at(-1)
  return {
    step: step.key,
    side,
    ability: knownFrom(belief.ability),
    calm: knownFrom(belief.calm),
    answers: tally.answers,
    daysWorked: belief.daysWorked,
    atRequired: tally.atRequired,
    coldPasses: tally.coldPasses,
    lastDay: belief.lastDay,
    solidAtEnd: solidAtEndOfDay(model, step, record),
    places: Object.keys(tally.places).map(Number),
    moving: tally.moving.length,
    hardest: tally.hardest ?? 0,
    ...(last
      ? {
          ended: {
            badly: last.lastGrade >= BADLY || isTight(last.lastCalm),
            goodRung: last.hardestGood,
          },
        }
      : {}),
  }
}

/** How stiff a horse is to one side is not known before two steps were asked on both (our judgement). */
const UNKNOWN_STIFFNESS: Normal = { mean: 0, sd: 0.6 }

const stiffnessOf = (program: Program, tracks: readonly KnownTrack[]): Normal => {
  const abilityOf = (step: Step, side: KnownTrack['side']): number | undefined =>
    tracks.find((one) => one.step === step.key && one.side === side)?.ability.mean
  const gaps = program.steps.flatMap((step) => {
    const [left, right] = [abilityOf(step, 'left'), abilityOf(step, 'right')]
    return left === undefined || right === undefined ? [] : [left - right]
  })
  if (gaps.length < 2) return UNKNOWN_STIFFNESS
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length
  const squares = gaps.reduce((sum, gap) => sum + (gap - mean) ** 2, 0)
  return { mean, sd: Math.sqrt(squares / (gaps.length - 1)) }
}

/** What the judge believes of a horse, as a forecast takes it up: its own numbers, and each track it was asked. */
export const horseBelieved = (model: Model, program: Program, { horse, tracks }: Records): HorseBelieved => {
  const known = program.steps.flatMap((step) =>
    sidesOf(step).flatMap((side) => {
      const record = tracks.get(trackKey(step.key, side))
      return record && record.tally.answers > 0 ? [trackFrom(model, step, { side, record })] : []
    }),
  )
  const { talent, ease, speed } = horse
  return {
    talent: { mean: talent.mean, sd: Math.sqrt(talent.variance) },
    calmTalent: { mean: ease.mean, sd: Math.sqrt(ease.variance) },
    logSpeed: { mean: Math.log(speed.mean / model.law.speed), sd: Math.sqrt(speed.variance) / speed.mean },
    stiffness: stiffnessOf(program, known),
    newTracks: { abilitySd: model.priorAbility.sd, calmSd: model.priorCalm.sd },
    tracks: known,
  }
}
