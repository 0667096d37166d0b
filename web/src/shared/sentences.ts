import { count } from '@still-pine/core/answer'
import type { SidesOver } from '@still-pine/core/evidence'
import type { Temper } from '@still-pine/core/readiness'

/** "Of 34 tracks with answers enough, 29 are soft; 3 are right but tight, 2 worried." */
export const planeInWords = (tempers: readonly Temper[]): string => {
  if (tempers.length === 0)
    return 'No skill has eight answers on two days yet: then this shows which are soft, tight, worried or slow.'
  const named: readonly (readonly [Temper, string])[] = [
    ['soft', 'soft'],
    ['reactive', 'right but tight'],
    ['worried', 'worried'],
    ['dull', 'dull'],
    ['learning', 'still learning'],
  ]
  const parts = named.flatMap(([temper, words]) => {
    const many = tempers.filter((one) => one === temper).length
    return many === 0 ? [] : [`${many} ${words}`]
  })
  return `Of ${count(tempers.length, 'skill')} with answers enough: ${parts.join(', ')}.`
}

const points = (share: number): string => count(Math.round(Math.abs(share) * 100), 'point')

/** What left against right comes to over all steps. */
export const sidesInWords = ({ compared, behind, mean, oneSided, answers }: SidesOver): string => {
  const given = `${answers.left} answers on the left, ${answers.right} on the right.`
  const short =
    oneSided.length === 0
      ? ''
      : ` ${count(oneSided.length, 'step')} asked on one side only: ${oneSided
          .slice(0, 3)
          .map(({ name, side }) => `${name} (${side} not enough)`)
          .join(', ')}${oneSided.length > 3 ? ' and others' : ''}.`
  if (compared === 0) return `No step was asked often enough on both sides to compare. ${given}${short}`
  const weaker = mean! > 0 ? 'right' : 'left'
  const over =
    Math.round(Math.abs(mean!) * 100) === 0
      ? 'the sides are even'
      : `the ${weaker} is ${points(mean!)} behind on average`
  const many =
    behind.length === 0
      ? ', none of them by 15 or more'
      : `, by 15 or more in ${count(behind.length, 'step')}`
  return `Over ${count(compared, 'step')} asked enough on both sides ${over}${many}. ${given}${short}`
}
