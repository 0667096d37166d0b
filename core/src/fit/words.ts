import type { FittedName, FittedValues } from '../judgement'

/** A change smaller than this is not worth a word. */
const WORTH_A_WORD: Readonly<Record<FittedName, number>> = {
  startMean: 0.2,
  startSd: 0.1,
  talentSd: 0.2,
  speedMean: 0.04,
  noise: 0.02,
  cold: 0.1,
  rungStep: 0.1,
}

interface Said {
  readonly more: string
  readonly less: string
  /** Told as a change, or from what to what. */
  readonly as: 'change' | 'values'
  readonly digits: number
}

const SAID: Readonly<Record<FittedName, Said>> = {
  startMean: {
    more: 'your horses start steps more able than we assumed',
    less: 'your horses start steps less able than we assumed',
    as: 'change',
    digits: 1,
  },
  startSd: {
    more: 'the steps of one horse differ more than we assumed',
    less: 'the steps of one horse differ less than we assumed',
    as: 'values',
    digits: 1,
  },
  talentSd: {
    more: 'your horses differ more from each other than we assumed',
    less: 'your horses are more alike than we assumed',
    as: 'values',
    digits: 1,
  },
  speedMean: {
    more: 'your horses learn faster than we assumed',
    less: 'your horses learn more slowly than we assumed',
    as: 'values',
    digits: 2,
  },
  noise: {
    more: 'what one ask teaches varies more than we assumed',
    less: 'what one ask teaches varies less than we assumed',
    as: 'values',
    digits: 2,
  },
  cold: {
    more: 'the first ask of a day is harder for them than we assumed',
    less: 'the first ask of a day is easier for them than we assumed',
    as: 'values',
    digits: 1,
  },
  rungStep: {
    more: 'a rung more is harder for them than we assumed',
    less: 'a rung more is easier for them than we assumed',
    as: 'values',
    digits: 1,
  },
}

const NAMES = Object.keys(SAID) as readonly FittedName[]

/** What other values say of a yard's horses, in plain words, one for each that moved. */
export const fitInWords = (from: FittedValues, to: FittedValues): readonly string[] =>
  NAMES.filter((name) => Math.abs(to[name] - from[name]) >= WORTH_A_WORD[name]).map((name) => {
    const { more, less, as, digits } = SAID[name]
    const change = to[name] - from[name]
    const size =
      as === 'change'
        ? `${Math.abs(change).toFixed(digits)} ${change > 0 ? 'up' : 'down'}`
        : `${from[name].toFixed(digits)} to ${to[name].toFixed(digits)}`
    return `${change > 0 ? more : less}: ${size}`
  })
