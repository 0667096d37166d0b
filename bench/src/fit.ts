import { fitTo, type Fit } from '@still-pine/core/fit'
import { STANDARD_MODEL, type FittedName, type FittedValues } from '@still-pine/core/judgement'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { DEFAULTS, SHIFTED, yardOf } from '../../core/tests/trial/fitted-yards'
import type { Figure } from './measure'

const SIZE = { horses: 12, days: 40 }
const PLAIN_YARDS = 10
const THROWN_AWAY = 20

const drawOf = (seed: number): (() => number) => {
  const generator = xoroshiro128plus(15_485_863 + 7919 * seed)
  const draw = (): number => (generator.next() >>> 0) / 2 ** 32
  for (let i = 0; i < THROWN_AWAY; i++) draw()
  return draw
}

const fitted = (values: FittedValues, seed: number): Fit =>
  fitTo(STANDARD_MODEL, yardOf(values, drawOf(seed), SIZE))!

const sdOf = (values: readonly number[]): number => {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1))
}

/** Which value each shifted yard differs in. */
const MOVED: Readonly<Record<keyof typeof SHIFTED, FittedName>> = {
  'start higher': 'startMean',
  'cold twice as hard': 'cold',
  'learn half as fast': 'speedMean',
}

/** Whether a yard's own values are found in its log, and left alone where there is nothing to find. */
export const fitFigures = (heard: (done: string) => void): readonly Figure[] => {
  const plain = Array.from({ length: PLAIN_YARDS }, (_, n) => {
    const fit = fitted(DEFAULTS, n)
    heard(`plain yard ${n + 1} of ${PLAIN_YARDS}`)
    return fit
  })
  const shifted = (Object.keys(SHIFTED) as (keyof typeof SHIFTED)[]).flatMap((name, i): Figure[] => {
    const values = SHIFTED[name]
    const fit = fitted(values, 100 + i)
    heard(name)
    const moved = MOVED[name]
    const error = sdOf(plain.map((one) => one.values[moved]))
    return [
      { name: `${name}: ${moved}, truth`, value: values[moved], unit: '', aim: '' },
      { name: `${name}: ${moved}, found`, value: fit.values[moved], unit: '', aim: '' },
      {
        name: `${name}: distance in sampling errors`,
        value: Math.abs(fit.values[moved] - values[moved]) / error,
        unit: '',
        aim: '≤ 2',
      },
      {
        name: `${name}: held-out days better, an answer`,
        value: fit.heldOut - fit.inUse,
        unit: '',
        aim: '≥ 0.01',
      },
    ]
  })
  return [
    ...shifted,
    {
      name: `plain yards where nothing was taken up, of ${PLAIN_YARDS}`,
      value: plain.filter(({ isWorthIt }) => !isWorthIt).length,
      unit: '',
      aim: '≥ 9',
    },
  ]
}
