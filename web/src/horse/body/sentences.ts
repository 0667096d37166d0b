import { riderShare, type bodyOf } from '@still-pine/core/body'
import { upperFirst } from '@still-pine/core/readiness'
import { plainDay } from '../../shared/words'
import { heightWords, kgWords } from './units'

type Body = ReturnType<typeof bodyOf>

const BY = { scale: 'on the scale', adult: 'by tape', yearling: 'by tape', weanling: 'by tape' } as const

/** "About 436 kg, 962 lb (393 to 480 kg) by tape on 14 May." */
export const weightSentence = ({ weight }: Body): string => {
  if (!weight) return 'Not weighed yet: a girth with a length, or a scale, tells its weight.'
  const { kg, lowKg, highKg, method, on } = weight
  const spread = method === 'scale' ? '' : ` (${Math.round(lowKg)} to ${Math.round(highKg)} kg)`
  return `${method === 'scale' ? '' : 'About '}${kgWords(kg)}${spread} ${BY[method]} on ${plainDay(on)}.`
}

/** What rider and tack may weigh together, down to a kilogram: nobody is let up by a rounding. */
export const riderSentence = (body: Body, rides: number): string | null => {
  if (!body.weight) return null
  const { mostRiderKg, cap } = riderShare({
    riderKg: 0,
    tackKg: 0,
    horseKg: body.weight.kg,
    rideNumber: rides + 1,
    conditionScore: body.condition?.score ?? null,
  })
  return `Rider and tack together at most ${Math.floor(mostRiderKg)} kg: ${Math.round(100 * cap)} % of it.`
}

const percent = (share: number): string => `${Math.round(100 * share)} %`

const span = (low: number, high: number, unit: string): string => {
  const [from, to] = [Math.round(low), Math.round(high)]
  return from === to ? `${from} ${unit}` : `${from} to ${to} ${unit}`
}

const CROUP = {
  'growing-now': 'it grows just now; smaller asks, and no new load',
  'built-so': 'it is built so',
  level: 'level',
} as const

/** How it grows, in a few sentences. */
export const growthSentences = ({ growth, heights }: Body): readonly string[] => {
  const tall = heights.at(-1)
  const height = tall ? [`${heightWords(tall.withersCm!)} at the withers on ${plainDay(tall.on)}.`] : []
  if (!growth) return height
  const croup =
    growth.says === 'level'
      ? 'Withers and croup are level.'
      : `The croup is ${growth.croupHighCm} cm higher: ${CROUP[growth.says]}.`
  const [least, most] = [percent(growth.weightShareLow), percent(growth.weightShareHigh)]
  const grown = `At its age a horse has ${least === most ? least : `${least} to ${most}`} of its grown weight.`
  const mature =
    growth.matureKgLow === null
      ? []
      : [`Grown it will weigh about ${span(growth.matureKgLow, growth.matureKgHigh!, 'kg')}.`]
  const more =
    Math.round(growth.remainingCmMost) === 0
      ? 'It is grown.'
      : `It still grows ${span(growth.remainingCmLeast, growth.remainingCmMost, 'cm')}.`
  return [...height, croup, grown, ...mature, more]
}

const CONDITION = {
  vet: 'far too lean: the vet first, and no load',
  lean: 'lean: no new load until it is better',
  ready: 'ready for work',
  round: 'round: work will do it good',
  heavy: 'heavy: no new load, and no heavier rider for it',
} as const

export const conditionSentence = ({ condition }: Body): string | null =>
  condition && `Condition ${condition.score} of 9 on ${plainDay(condition.on)}: ${CONDITION[condition.says]}.`

const TREND = {
  losing: 'it loses weight: look for the reason',
  behind: 'it stays behind what a horse of its age gains',
  gaining: 'it gains more than its age says',
  steady: 'steady',
} as const

/** Whether it gains or loses; from too few it says so. */
export const trendSentence = ({ trend }: Body): string | null => {
  if (!trend) return null
  if (trend.says === 'too-few')
    return `Too few to say whether it gains or loses: ${trend.n} of four weights, over ${trend.spanDays} of 21 days, taken the same way.`
  const { changePercent, spanDays, n } = trend
  const change = `${changePercent > 0 ? '+' : ''}${Math.round(10 * changePercent) / 10} %`
  return upperFirst(`${TREND[trend.says]}: ${change} over ${spanDays} days, from ${n} weights.`)
}
