import { count } from '../answer'
import type { Estimate, Model, OwnNumber, OwnNumbers } from '../judgement'

/** A horse's own numbers, and from how many answers they are known. */
export interface OwnTold {
  readonly own: OwnNumbers
  readonly answers: number
}

/** A difference of so many of the standard deviations among horses is worth a word. */
const WORTH_A_WORD = 0.5

/** A number is still unsure while its spread is more than this share of that among horses. */
const UNSURE = 0.6

const spreadOf = ({ variance }: Estimate): number => Math.sqrt(variance)

const compared = (model: Model, own: OwnNumbers, which: OwnNumber): -1 | 0 | 1 => {
  const { mean, sd } = model.own[which]
  const apart = (own[which].mean - mean) / sd
  return apart >= WORTH_A_WORD ? 1 : apart <= -WORTH_A_WORD ? -1 : 0
}

const WORDS: Readonly<Record<OwnNumber, Readonly<Record<-1 | 0 | 1, string>>>> = {
  talent: {
    [-1]: 'starts steps less able than most',
    0: 'starts steps about as able as most',
    1: 'starts steps more able than most',
  },
  ease: {
    [-1]: 'starts tighter than most',
    0: 'starts about as loose as most',
    1: 'starts looser than most',
  },
  speed: { [-1]: 'learns more slowly than most', 0: 'learns at about the usual speed', 1: 'learns fast' },
}

const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`

/** From what to what a number may be: one standard deviation either way. */
const rangeOf = (model: Model, own: OwnNumbers, which: OwnNumber): string => {
  const { mean } = own[which]
  const sd = spreadOf(own[which])
  if (which !== 'speed') return `${signed(mean - sd)} to ${signed(mean + sd)}`
  const times = (value: number): string => (Math.max(0, value) / model.own.speed.mean).toFixed(1)
  return `${times(mean - sd)} to ${times(mean + sd)} times the usual`
}

const ORDER: readonly OwnNumber[] = ['talent', 'ease', 'speed']

/** What is known of a horse as a whole, each number with its spread and from how many answers. */
export const ownInWords = (model: Model, { own, answers }: OwnTold): string => {
  if (answers === 0) return 'What it is like is not known: nothing was asked yet.'
  const words = ORDER.map((which) => {
    const unsure = spreadOf(own[which]) > UNSURE * model.own[which].sd ? ', still unsure' : ''
    return `${WORDS[which][compared(model, own, which)]} (${rangeOf(model, own, which)}${unsure})`
  })
  return `It ${words[0]}, ${words[1]} and ${words[2]}. From ${count(answers, 'answer')}.`
}
