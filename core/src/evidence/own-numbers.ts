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

/**
 * The standard normal distribution function, to 1e-7 everywhere (Abramowitz and Stegun 1964, 26.2.17; coefficients from
 * memory, checked against an independent library in the tests).
 */
export const normalBelow = (z: number): number => {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return z >= 0 ? 1 - tail : tail
}

/** The horses in a hundred that it is before, as far as it is known: one standard deviation either way. */
const inHundred = (model: Model, own: OwnNumbers, which: OwnNumber): string => {
  const { mean, sd } = model.own[which]
  const place = (value: number): number => Math.round(100 * normalBelow((value - mean) / sd))
  const spread = spreadOf(own[which])
  return `${place(own[which].mean - spread)} to ${place(own[which].mean + spread)} horses in 100`
}

/** From what to what a number may be: one standard deviation either way. */
const rangeOf = (model: Model, own: OwnNumbers, which: OwnNumber): string => {
  const { mean } = own[which]
  const sd = spreadOf(own[which])
  if (which === 'talent') return `more able than ${inHundred(model, own, which)}`
  if (which === 'ease') return `looser than ${inHundred(model, own, which)}`
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
