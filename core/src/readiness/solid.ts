import { count, daysBetween, PLACES, type Day, type PlaceByHorse, chancePercent } from '../answer'
import type { Belief, Chances, Model, Thresholds } from '../judgement'
import type { JudgedStep } from '../program'
import type { Tally } from './tally'

/** A rule of Solid that does not hold yet; `words` finish the sentence "missing:". */
export interface Miss {
  readonly rule: 'chance' | 'low' | 'calm' | 'days' | 'answers' | 'fought' | 'cold' | 'places' | 'moving'
  readonly words: string
}

/** Days that a place or a movement stays proved. */
export const PLACE_DAYS = 60

const MOVING_NEEDED = 2

export const needOf = (model: Model, step: JudgedStep): Thresholds => step.need ?? model.solid[step.kind]

const isFresh = (proved: Day | undefined, on: Day): boolean =>
  proved !== undefined && daysBetween(proved, on) <= PLACE_DAYS

/** The places of an all-round step without a clean pass in the last 60 days; none for other steps. */
export const placesMissing = (step: JudgedStep, tally: Tally, on: Day): readonly PlaceByHorse[] =>
  step.allRound ? PLACES.filter((place) => !isFresh(tally.places[place], on)) : []

/** How many clean passes while moving an all-round step still lacks. */
export const movingMissing = (step: JudgedStep, tally: Tally, on: Day): number =>
  step.allRound ? MOVING_NEEDED - tally.moving.filter((day) => isFresh(day, on)).length : 0

const chanceMisses = (need: Thresholds, { chance, low, calmChance }: Chances): Miss[] => [
  ...(chance < need.chance
    ? [
        {
          rule: 'chance',
          words: `chance of a light answer ${chancePercent(chance)}, needs ${chancePercent(need.chance)}`,
        } as const,
      ]
    : []),
  ...(low < need.low
    ? [
        {
          rule: 'low',
          words: `too little known: could be as low as ${chancePercent(low)}, needs ${chancePercent(need.low)}`,
        } as const,
      ]
    : []),
  ...(calmChance < need.calm
    ? [
        {
          rule: 'calm',
          words: `chance that it is not tight ${chancePercent(calmChance)}, needs ${chancePercent(need.calm)}`,
        } as const,
      ]
    : []),
]

const countMisses = (
  model: Model,
  step: JudgedStep,
  { tally, daysWorked }: { tally: Tally; daysWorked: number },
): Miss[] => {
  const { days, atRung } = model.solid[step.kind]
  return [
    ...(daysWorked < days
      ? [{ rule: 'days', words: `${count(daysWorked, 'work day')} so far, needs ${days}` } as const]
      : []),
    ...(tally.atRequired < atRung
      ? [
          {
            rule: 'answers',
            words: `${count(tally.atRequired, 'answer')} at the required rung, needs ${atRung}`,
          } as const,
        ]
      : []),
  ]
}

const hasPassedCold = ({ coldPasses }: Tally): boolean =>
  coldPasses.length >= 2 && coldPasses.at(-1) === true && coldPasses.filter(Boolean).length >= 2

const coldMiss = ({ coldPasses }: Tally): Miss => ({
  rule: 'cold',
  words:
    coldPasses.length === 0
      ? 'no first ask of a day at the required rung yet'
      : coldPasses.at(-1) === false
        ? 'the last first ask of a day failed'
        : `${count(coldPasses.filter(Boolean).length, 'first ask')} of the last ${coldPasses.length} passed, needs 2`,
})

const practiceMisses = (tally: Tally): Miss[] => [
  ...(tally.days.slice(-2).some((day) => day.four)
    ? [{ rule: 'fought', words: 'no answer or a fight on the last two days worked' } as const]
    : []),
  ...(hasPassedCold(tally) ? [] : [coldMiss(tally)]),
]

const allRoundMisses = (step: JudgedStep, tally: Tally, on: Day): Miss[] => {
  const places = placesMissing(step, tally, on)
  const moving = movingMissing(step, tally, on)
  return [
    ...(places.length > 0
      ? [{ rule: 'places', words: `not proved from place ${places.join(', ')}` } as const]
      : []),
    ...(moving > 0
      ? [{ rule: 'moving', words: `${count(moving, 'answer')} short while moving` } as const]
      : []),
  ]
}

/** The rules of Solid that ask nothing of the belief but the days worked, without the all-round ones. */
export const countedMisses = (
  model: Model,
  step: JudgedStep,
  { tally, daysWorked }: { tally: Tally; daysWorked: number },
): readonly Miss[] => [...countMisses(model, step, { tally, daysWorked }), ...practiceMisses(tally)]

/**
 * The rules of Solid that fail on the day `on`; empty when the track is Solid. `chances` are those of a cold ask at
 * the required rung. `withPlaces: false` leaves the all-round rules out.
 */
export const solidMisses = (
  model: Model,
  step: JudgedStep,
  {
    chances,
    tally,
    belief,
    on,
    withPlaces = true,
  }: { chances: Chances; tally: Tally; belief: Belief; on: Day; withPlaces?: boolean },
): readonly Miss[] => [
  ...chanceMisses(needOf(model, step), chances),
  ...countedMisses(model, step, { tally, daysWorked: belief.daysWorked }),
  ...(withPlaces ? allRoundMisses(step, tally, on) : []),
]
