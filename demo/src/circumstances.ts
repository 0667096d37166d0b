import { daysBetween, type Day } from '@still-pine/core/answer'
import { NOTHING_NOTED, type Circumstances } from '@still-pine/core/circumstances'
import { seededDraw } from './draw'

/** One of several, each as likely as its weight. */
const pick = <T>(draw: number, choices: readonly (readonly [weight: number, value: T])[]): T => {
  const total = choices.reduce((sum, [weight]) => sum + weight, 0)
  let left = draw * total
  for (const [weight, value] of choices) {
    left -= weight
    if (left < 0) return value
  }
  return choices.at(-1)![1]
}

/** Neighbouring seeds begin alike, so the first draws are thrown away. */
const drawsFor = (seed: number): (() => number) => {
  const draw = seededDraw(seed)
  for (let i = 0; i < 20; i++) draw()
  return draw
}

/** How a session of the made-up past was: the weather and who watched are of the day, the rest of the horse. */
export const circumstancesOf = (day: Day, today: Day, horseSeed: number): Circumstances => {
  const ago = daysBetween(day, today)
  const ofDay = drawsFor(1009 * (ago + 1))
  const ofHorse = drawsFor(1009 * (ago + 1) + 7 * horseSeed)
  const weather = pick(ofDay(), [
    [6, 'fair' as const],
    [3, 'wind' as const],
    [1, 'slippery' as const],
  ])
  const watching = pick(ofDay(), [
    [6, 'nobody' as const],
    [2, 'few' as const],
    [1, 'many' as const],
    [2, null],
  ])
  return {
    ...NOTHING_NOTED,
    weather,
    watching,
    handler: pick(ofDay(), [
      [8, 'fit' as const],
      [1, 'tired' as const],
    ]),
    hands: pick(ofHorse(), [
      [2, 'one' as const],
      [1, 'two' as const],
    ]),
    turnout: pick(ofHorse(), [
      [5, 'company' as const],
      [2, 'in' as const],
      [2, null],
    ]),
  }
}
